import type { BenchDefinition } from '../../client/bench.ts';

export const trueUp: BenchDefinition = {
  phase: 'Join',
  name: 'True-up',
  sentence: 'Whether the halves lie true.',
  shows: 'built',
  figures: ['worst-reading', 'readings-right', 'wheelbase', 'width', 'lowest'],
  keys: [
    ['[ ]', 'the measurement before and the one after'],
    ['R', 'type a reading'],
  ],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
