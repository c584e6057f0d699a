import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { SpliceOver } from './splice-layer.tsx';
import { SpliceTray } from './splice-tray.tsx';

const AssumptionsDrawer = lazyComponent<BenchProps>(() =>
  import('./assumptions-drawer.tsx').then((file) => file.AssumptionsDrawer),
);
const CompareDrawer = lazyComponent<BenchProps>(() =>
  import('./compare-drawer.tsx').then((file) => file.CompareDrawer),
);
const FinderDrawer = lazyComponent<BenchProps>(() => import('./finder-drawer.tsx').then((file) => file.FinderDrawer));
const SpliceFloor = lazyComponent<BenchProps>(() => import('./floor-splice.tsx').then((file) => file.SpliceFloor));
const PartsDrawer = lazyComponent<BenchProps>(() => import('./parts-drawer.tsx').then((file) => file.PartsDrawer));
const SplicePanel = lazyComponent<BenchProps>(() => import('./splice-panel.tsx').then((file) => file.SplicePanel));

export const parts: BenchParts = {
  Panel: SplicePanel,
  Tray: SpliceTray,
  trayTitle: () => 'Joint unfolded, with its strength',
  Floor: SpliceFloor,
  Over: SpliceOver,
  along: ({ result }) => result.splices.map(({ joint }) => joint.id),
  drawers: {
    compare: { name: 'Compare', Content: CompareDrawer },
    sleeves: { name: 'Sleeves', Content: FinderDrawer },
    parts: { name: 'Parts', Content: PartsDrawer },
    assumptions: { name: 'Assumptions', Content: AssumptionsDrawer },
  },
  legend: [
    { name: 'weld in the wall', draw: <path d="M2 7H24" stroke="var(--color-oxide)" strokeWidth={3} /> },
    { name: 'plate outside', draw: <Swatch fill="var(--color-layout-wash)" stroke="var(--color-layout)" /> },
    {
      name: 'plate or sleeve inside',
      draw: <Swatch fill="var(--color-layout-wash)" stroke="var(--color-layout)" dash="6 3" />,
    },
    { name: 'plug weld', draw: <circle cx={13} cy={7} r={4} fill="var(--color-oxide)" /> },
    { name: 'joint not decided', draw: <Swatch stroke="var(--color-layout)" dash="4 3" /> },
  ],
};
