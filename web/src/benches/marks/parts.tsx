import { cutsAlong } from '@splay/core';
import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { MarksOver } from './marks-layer.tsx';
import { MarksTray } from './marks-tray.tsx';

const FloorMarks = lazyComponent<BenchProps>(() => import('./floor-marks.tsx').then((file) => file.FloorMarks));
const MarksDrawer = lazyComponent<BenchProps>(() => import('./marks-drawer.tsx').then((file) => file.MarksDrawer));
const MarksPanel = lazyComponent<BenchProps>(() => import('./marks-panel.tsx').then((file) => file.MarksPanel));

export const parts: BenchParts = {
  Panel: MarksPanel,
  Tray: MarksTray,
  trayTitle: () => 'Rails unfolded, outside of the web',
  trayRepeats: true,
  Floor: FloorMarks,
  Over: MarksOver,
  along: ({ result }) => cutsAlong(result),
  drawers: { sheet: { name: 'All marks', Content: MarksDrawer } },
  legend: [
    { name: 'line to scribe', draw: <path d="M13 0V14" stroke="var(--color-layout)" strokeWidth={2} /> },
    { name: 'the blade goes on this side', draw: <Swatch fill="url(#hatch-cut)" stroke="var(--color-oxide)" /> },
  ],
};
