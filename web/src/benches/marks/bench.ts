import type { BenchDefinition } from '../../client/bench.ts';

export const marks: BenchDefinition = {
  phase: 'Mark',
  name: 'Marks',
  sentence: 'What to scribe on both rails before the saw.',
  shows: 'donor',
  figures: ['lines', 'new-steel', 'wheelbase', 'cab-to-axle', 'readings-right'],
  keys: [['[ ]', 'the line before and the line behind']],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
