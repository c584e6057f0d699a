import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import { inOrder } from './at-hand.ts';
import { ContourDrawer } from './contour-drawer.tsx';
import { MountsFloor } from './floor-mounts.tsx';
import { MountsDrawer } from './mounts-drawer.tsx';
import { MountsOver, MountsUnder } from './mounts-layer.tsx';
import { MountsPanel } from './mounts-panel.tsx';
import { MountsTray } from './mounts-tray.tsx';
import { MountPartsDrawer } from './parts-drawer.tsx';

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
