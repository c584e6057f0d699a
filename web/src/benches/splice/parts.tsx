import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import { AssumptionsDrawer } from './assumptions-drawer.tsx';
import { CompareDrawer } from './compare-drawer.tsx';
import { FinderDrawer } from './finder-drawer.tsx';
import { SpliceFloor } from './floor-splice.tsx';
import { PartsDrawer } from './parts-drawer.tsx';
import { SpliceOver } from './splice-layer.tsx';
import { SplicePanel } from './splice-panel.tsx';
import { SpliceTray } from './splice-tray.tsx';

export const parts: BenchParts = {
  Panel: SplicePanel,
  Tray: SpliceTray,
  trayTitle: () => 'Joint unfolded, and what it carries',
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
