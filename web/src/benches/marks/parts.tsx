import { cutsAlong, markSheet } from '@splay/core';
import { useMemo } from 'react';
import { Swatch } from '../../board/swatch.tsx';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { MarksTables } from '../../ui/marks-tables.tsx';
import { FloorMarks } from './floor-marks.tsx';
import { MarksOver } from './marks-layer.tsx';
import { MarksPanel } from './marks-panel.tsx';
import { MarksTray } from './marks-tray.tsx';

function MarksDrawer({ job, result }: BenchProps) {
  const sheet = useMemo(() => markSheet(job, result), [job, result]);
  return <MarksTables sheet={sheet} display={job.display} />;
}

export const parts: BenchParts = {
  Panel: MarksPanel,
  Tray: MarksTray,
  trayTitle: () => 'Rails unfolded, outside of the web',
  Floor: FloorMarks,
  Over: MarksOver,
  along: ({ result }) => cutsAlong(result),
  drawers: { sheet: { name: 'All marks', Content: MarksDrawer } },
  legend: [
    { name: 'line to scribe', draw: <path d="M13 0V14" stroke="var(--color-layout)" strokeWidth={2} /> },
    { name: 'the blade goes on this side', draw: <Swatch fill="url(#hatch-cut)" stroke="var(--color-oxide)" /> },
  ],
};
