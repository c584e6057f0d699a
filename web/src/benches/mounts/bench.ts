import type { BenchDefinition } from '../../client/bench.ts';

export const mounts: BenchDefinition = {
  phase: 'Seat',
  name: 'Mounts',
  sentence: 'How high every mount is, what lies in its stack, and what bracket it stands on.',
  shows: 'built',
  figures: ['mounts-decided', 'tallest-bracket', 'weakest-bracket', 'brackets-to-make', 'floor-height'],
  keys: [['[ ]', 'the mount ahead and the mount behind']],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
