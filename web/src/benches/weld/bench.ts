import type { BenchDefinition } from '../../client/bench.ts';

export const weld: BenchDefinition = {
  phase: 'Join',
  name: 'Weld',
  sentence: 'What is welded when, how long the steel cools between, and how far it pulls.',
  shows: 'built',
  figures: ['stitches-laid', 'seams-passed', 'weld-length', 'readings-right', 'wheelbase'],
  keys: [['[ ]', 'the joint ahead and the joint behind']],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
