import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { Balance } from './balance.tsx';
import { StandsOver } from './stands-layer.tsx';
import { StandsTray } from './stands-tray.tsx';

const FloorProps = lazyComponent<BenchProps>(() => import('./floor-stands.tsx').then((file) => file.FloorProps));
const StandsPanel = lazyComponent<BenchProps>(() => import('./stands-panel.tsx').then((file) => file.StandsPanel));
const StandsTable = lazyComponent<BenchProps>(() => import('./stands-table.tsx').then((file) => file.StandsTable));
const WeightsTable = lazyComponent<BenchProps>(() => import('./weights-table.tsx').then((file) => file.WeightsTable));

export const parts: BenchParts = {
  Panel: StandsPanel,
  Tray: StandsTray,
  trayTitle: () => 'The kerf, and the load on each stand',
  Floor: FloorProps,
  Over: StandsOver,
  along: ({ job }) => job.plan.shoring.shores.toSorted((a, b) => a.x - b.x).map(({ id }) => id),
  drawers: {
    stands: { name: 'All stands', Content: StandsTable },
    weights: { name: 'What is on the frame', Content: WeightsTable },
  },
  legend: [
    { name: 'stand, with its load', draw: <path d="M13 2L20 12H6Z" fill="var(--color-graphite)" /> },
    {
      name: 'carries nothing: the rail lifts off',
      draw: <path d="M13 2L20 12H6Z" fill="url(#hatch-cut)" stroke="var(--color-oxide)" />,
    },
    { name: 'where a part balances', draw: <Balance x={13} y={7} r={5} /> },
    {
      name: 'the rail as it sags, heights ×50',
      draw: <path d="M1 5Q13 12 25 5" stroke="var(--color-graphite)" strokeDasharray="4 3" fill="none" />,
    },
    { name: 'tie over the cut', draw: <Swatch fill="var(--color-layout-wash)" stroke="var(--color-layout)" /> },
  ],
};
