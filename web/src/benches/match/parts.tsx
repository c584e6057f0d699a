import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import { DeckDrawer } from './deck-drawer.tsx';
import { MatchFloor } from './floor-match.tsx';
import { MatchOver, MatchUnder } from './match-layer.tsx';
import { MatchPanel } from './match-panel.tsx';
import { MatchTray } from './match-tray.tsx';
import { MountGapsDrawer } from './mounts-drawer.tsx';

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
