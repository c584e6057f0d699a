import type { BenchDefinition } from '../../client/bench.ts';

export const cuts: BenchDefinition = {
  phase: 'Plan',
  name: 'Cuts',
  sentence: 'Where to cut, and what is done there.',
  shows: 'built',
  figures: ['wheelbase', 'cab-to-axle', 'axle-to-end', 'worst-joint', 'shaft-angle'],
  keys: [
    ['[ ]', 'the cut before and the cut behind'],
    ['← →', 'on a cut: by one division; Shift eight, Alt a quarter'],
    ['N', 'new operation'],
  ],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
