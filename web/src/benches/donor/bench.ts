import type { BenchDefinition } from '../../client/bench.ts';

export const donor: BenchDefinition = {
  phase: 'Measure',
  name: 'Donor',
  sentence: 'What the frame is, and what hangs on it.',
  shows: 'donor',
  donorAlone: true,
  figures: ['measured', 'wheelbase', 'overall-length', 'width', 'mass'],
  keys: [
    ['[ ]', 'the thing before and the thing behind on the rail'],
    ['D', 'make the picked hole the datum'],
    ['← →', 'on a station or the cursor: along the frame; Shift eight, Alt a quarter'],
    ['↑ ↓', 'on a station: higher or lower'],
  ],
  load: () => import('./parts.tsx').then(({ parts }) => parts),
};
