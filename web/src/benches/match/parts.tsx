import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import { MatchOver, MatchUnder } from './match-layer.tsx';
import { MatchPanel } from './match-panel.tsx';
import { MatchTray } from './match-tray.tsx';
import { MountGapsDrawer } from './mounts-drawer.tsx';

const drawers = { mounts: { name: 'Mounts', Content: MountGapsDrawer } } as const;

/** Where a body sits, on a phone: what it asks for, its place to type, and its gaps to fold out. */
function MatchFloor(bench: BenchProps) {
  return (
    <div className="relative p-3">
      <h2 className="sr-only">Match</h2>
      <MatchPanel {...bench} />
      <FoldOuts bench={bench} slides={Object.entries(drawers)} />
    </div>
  );
}

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
