import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { later } from '../../client/later.tsx';
import { MatchOver, MatchUnder } from './match-layer.tsx';
import { MatchTray } from './match-tray.tsx';

const DeckDrawer = later<BenchProps>(() => import('./deck-drawer.tsx').then((file) => file.DeckDrawer));
const MatchFloor = later<BenchProps>(() => import('./floor-match.tsx').then((file) => file.MatchFloor));
const MatchPanel = later<BenchProps>(() => import('./match-panel.tsx').then((file) => file.MatchPanel));
const MountGapsDrawer = later<BenchProps>(() => import('./mounts-drawer.tsx').then((file) => file.MountGapsDrawer));

const drawers = {
  mounts: { name: 'Mounts', Content: MountGapsDrawer },
  deck: { name: 'Deck', Content: DeckDrawer },
} as const;

export const parts: BenchParts = {
  Panel: MatchPanel,
  Tray: MatchTray,
  trayTitle: () => 'Gap at each mount',
  Floor: MatchFloor,
  Under: MatchUnder,
  Over: MatchOver,
  along: ({ job }) => job.bodies.map(({ id }) => id),
  drawers,
  legend: [
    { name: 'body', draw: <Swatch fill="var(--color-ochre-wash)" stroke="var(--color-ochre)" /> },
    { name: 'packing or bracket over the rail', draw: <Swatch fill="url(#hatch-new)" stroke="var(--color-layout)" /> },
    { name: 'the rail is in the way', draw: <Swatch fill="url(#hatch-cut)" stroke="var(--color-oxide)" /> },
  ],
};
