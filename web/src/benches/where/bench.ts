import type { BenchDefinition } from '../../client/bench.ts';

export const where: BenchDefinition = {
  phase: 'Plan',
  name: 'Where',
  sentence: 'Where to cut: every place is tried, and each says why.',
  shows: 'donor',
  figures: ['asked-wheelbase', 'wheelbase', 'cab-to-axle', 'axle-to-end', 'worst-joint'],
  keys: [
    ['[ ]', 'the option before and the option after'],
    ['← →', 'on the cursor: along the frame; Shift eight, Alt a quarter'],
  ],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
