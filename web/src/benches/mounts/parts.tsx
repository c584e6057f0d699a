import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { inOrder } from './selection.ts';
import { MountsOver, MountsUnder } from './mounts-layer.tsx';
import { MountsTray } from './mounts-tray.tsx';

const ContourDrawer = lazyComponent<BenchProps>(() =>
  import('./contour-drawer.tsx').then((file) => file.ContourDrawer),
);
const MountsFloor = lazyComponent<BenchProps>(() => import('./floor-mounts.tsx').then((file) => file.MountsFloor));
const MountsDrawer = lazyComponent<BenchProps>(() => import('./mounts-drawer.tsx').then((file) => file.MountsDrawer));
const MountsPanel = lazyComponent<BenchProps>(() => import('./mounts-panel.tsx').then((file) => file.MountsPanel));
const MountPartsDrawer = lazyComponent<BenchProps>(() =>
  import('./parts-drawer.tsx').then((file) => file.MountPartsDrawer),
);

export const parts: BenchParts = {
  Panel: MountsPanel,
  Tray: MountsTray,
  trayTitle: () => 'Every mount as its stack',
  Floor: MountsFloor,
  Under: MountsUnder,
  Over: MountsOver,
  along: ({ result }) => inOrder(result.mountings).map(({ seat }) => seat.mount.id),
  drawers: {
    making: { name: 'Mounts', Content: MountsDrawer },
    parts: { name: 'Parts', Content: MountPartsDrawer },
    contour: { name: 'Contour', Content: ContourDrawer },
  },
  legend: [
    { name: 'bracket', draw: <Swatch fill="url(#hatch-new)" stroke="var(--color-layout)" /> },
    { name: 'bushing', draw: <Swatch fill="var(--color-bench)" stroke="var(--color-graphite)" /> },
    { name: 'plate, spacer, washer', draw: <Swatch fill="var(--color-sheet)" stroke="var(--color-graphite)" /> },
    { name: 'underside of the body', draw: <path d="M2 7H24" stroke="var(--color-ochre)" strokeWidth={3} /> },
    { name: 'not decided', draw: <Swatch stroke="var(--color-layout)" dash="4 3" /> },
  ],
};
