import type { BenchDefinition } from '../../client/bench.ts';

export const props: BenchDefinition = {
  phase: 'Join',
  name: 'Props',
  sentence: 'What holds every part of the frame, and what happens when the kerf opens.',
  shows: 'donor',
  donorAlone: true,
  figures: ['frame-weighs', 'tipping-margin', 'heaviest-stand', 'kerf-closes', 'cut-out-weighs'],
  keys: [
    ['[ ]', 'the prop ahead and the prop behind'],
    ['← →', 'nudge the prop at hand along the frame'],
  ],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
