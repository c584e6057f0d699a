import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { MatchOver, MatchUnder } from './match-layer.tsx';
import { MatchTray } from './match-tray.tsx';

const DeckDrawer = lazyComponent<BenchProps>(() => import('./deck-drawer.tsx').then((file) => file.DeckDrawer));
const MatchFloor = lazyComponent<BenchProps>(() => import('./floor-match.tsx').then((file) => file.MatchFloor));
const MatchPanel = lazyComponent<BenchProps>(() => import('./match-panel.tsx').then((file) => file.MatchPanel));
const MountGapsDrawer = lazyComponent<BenchProps>(() =>
  import('./mounts-drawer.tsx').then((file) => file.MountGapsDrawer),
);

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
    { name: 'shims or bracket over the rail', draw: <Swatch fill="url(#hatch-new)" stroke="var(--color-layout)" /> },
    { name: 'the rail is in the way', draw: <Swatch fill="url(#hatch-cut)" stroke="var(--color-oxide)" /> },
  ],
};
