import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { LanesTray } from './lanes-tray.tsx';
import { WhereOver } from './where-layer.tsx';

const CostsDrawer = lazyComponent<BenchProps>(() => import('./costs-drawer.tsx').then((file) => file.CostsDrawer));
const FloorWhere = lazyComponent<BenchProps>(() => import('./floor-where.tsx').then((file) => file.FloorWhere));
const OptionsDrawer = lazyComponent<BenchProps>(() =>
  import('./options-drawer.tsx').then((file) => file.OptionsDrawer),
);
const WherePanel = lazyComponent<BenchProps>(() => import('./where-panel.tsx').then((file) => file.WherePanel));

export const parts: BenchParts = {
  Panel: WherePanel,
  Tray: LanesTray,
  trayTitle: () => 'Keep-out and cost of a cut, along the donor',
  Floor: FloorWhere,
  Over: WhereOver,
  along: () => [],
  drawers: {
    options: { name: 'All options', Content: OptionsDrawer },
    costs: { name: 'Costs', Content: CostsDrawer },
  },
  legend: [
    { name: 'keep-out', draw: <Swatch fill="var(--color-oxide)" stroke="var(--color-oxide)" /> },
    {
      name: 'kept clear, assumed',
      draw: <Swatch fill="var(--color-oxide-wash)" stroke="var(--color-oxide)" dash="6 4" />,
    },
    { name: 'unknown, not measured', draw: <Swatch fill="var(--color-paper)" stroke="var(--color-pencil)" /> },
    { name: 'costs: the taller the more', draw: <Swatch fill="url(#hatch-cost)" stroke="var(--color-ochre)" /> },
    { name: 'clear', draw: <Swatch stroke="var(--color-rule)" /> },
    {
      name: 'how hard the rail is bent',
      draw: <path d="M1 12Q13 -4 25 12" stroke="var(--color-graphite)" strokeWidth={1.6} fill="none" />,
    },
    { name: 'an option, with its rank', draw: <Swatch fill="var(--color-layout)" stroke="var(--color-layout)" /> },
  ],
};
