import type { BenchDefinition } from '../../client/bench.ts';

export const splice: BenchDefinition = {
  phase: 'Plan',
  name: 'Splice',
  sentence: 'How each joint is made, and whether it is as strong as the rail.',
  shows: 'built',
  figures: ['joint-ratio', 'joints-decided', 'worst-detail', 'weld-length', 'new-steel'],
  keys: [['[ ]', 'the joint before and the joint behind']],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
