import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { WeldTray } from './weld-tray.tsx';

const FloorWeld = lazyComponent<BenchProps>(() => import('./floor-weld.tsx').then((file) => file.FloorWeld));
const WeldPanel = lazyComponent<BenchProps>(() => import('./weld-panel.tsx').then((file) => file.WeldPanel));
const SeamTable = lazyComponent<BenchProps>(() => import('./seam-table.tsx').then((file) => file.SeamTable));
const PullTable = lazyComponent<BenchProps>(() => import('./pull-table.tsx').then((file) => file.PullTable));
const WeldLog = lazyComponent<BenchProps>(() => import('./weld-log.tsx').then((file) => file.WeldLog));

export const parts: BenchParts = {
  Panel: WeldPanel,
  Tray: WeldTray,
  trayTitle: () => 'The joint unfolded, with every stitch in its order',
  Floor: FloorWeld,
  along: ({ result }) => result.splices.map(({ joint }) => joint.id),
  drawers: {
    seams: { name: 'Seams', Content: SeamTable },
    pull: { name: 'Readings', Content: PullTable },
    log: { name: 'Log', Content: WeldLog },
  },
  legend: [
    {
      name: 'stitch to weld, with its number',
      draw: <Swatch fill="var(--color-layout-wash)" stroke="var(--color-layout)" />,
    },
    { name: 'welded', draw: <Swatch fill="var(--color-graphite)" stroke="var(--color-graphite)" /> },
    {
      name: 'tack',
      draw: <circle cx={13} cy={7} r={4} fill="var(--color-sheet)" stroke="var(--color-graphite)" strokeWidth={1.6} />,
    },
    { name: 'steel above the limit', draw: <Swatch fill="var(--color-oxide)" stroke="var(--color-oxide)" /> },
  ],
};
