import type { BenchDefinition } from '../../client/bench.ts';

export const stands: BenchDefinition = {
  phase: 'Join',
  name: 'Stands',
  sentence: 'What holds every part of the frame, and what happens when the kerf opens.',
  shows: 'donor',
  donorAlone: true,
  figures: ['frame-weighs', 'tipping-margin', 'heaviest-stand', 'kerf-closes', 'cut-out-weighs'],
  keys: [
    ['[ ]', 'the stand ahead and the stand behind'],
    ['← →', 'nudge the selected stand along the frame'],
  ],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
