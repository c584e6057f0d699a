import type { BenchDefinition } from '../../client/bench.ts';

export const body: BenchDefinition = {
  phase: 'Measure',
  name: 'Body',
  sentence: 'What must sit on the frame, in one part or several.',
  shows: 'donor',
  figures: ['bodies-measured', 'asked-wheelbase', 'mount-ways', 'body-mass', 'wheelbase'],
  keys: [['[ ]', 'the part before and the part behind']],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
