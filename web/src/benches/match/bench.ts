import type { BenchDefinition } from '../../client/bench.ts';

export const match: BenchDefinition = {
  phase: 'Plan',
  name: 'Match',
  sentence: 'Where the body sits, and what wheelbase, width and height that asks for.',
  shows: 'built',
  figures: ['asked-wheelbase', 'wheelbase', 'floor-height', 'highest-mount', 'clashes'],
  keys: [
    ['[ ]', 'the body before and the body behind'],
    ['← → ↑ ↓', 'on the body: along the frame, up and down; Shift eight, Alt a quarter'],
  ],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
