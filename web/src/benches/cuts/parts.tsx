import { Swatch } from '../../board/swatch.tsx';
import { cutsAlong, dotted, operationName } from '@splay/core';
import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { selectedOutcome, CutsTray } from './cuts-tray.tsx';
import { CutsOver, CutsUnder } from './layer.tsx';

const CutsBench = lazyComponent<BenchProps>(() => import('./cuts-bench.tsx').then((file) => file.CutsBench));
const CutsFloor = lazyComponent<BenchProps>(() => import('./floor-cuts.tsx').then((file) => file.CutsFloor));

export const parts: BenchParts = {
  Panel: CutsBench,
  Tray: CutsTray,
  trayTitle: (props) => {
    const outcome = selectedOutcome(props);
    return outcome ? `${dotted(outcome.letters)} ${operationName(outcome.operation)}, close up` : 'Close up';
  },
  Floor: CutsFloor,
  Under: CutsUnder,
  Over: CutsOver,
  along: ({ result }) => cutsAlong(result),
  drawers: {},
  legend: [
    { name: 'new steel', draw: <Swatch fill="url(#hatch-new)" stroke="var(--color-layout)" /> },
    { name: 'cut away', draw: <Swatch fill="url(#hatch-cut)" stroke="var(--color-oxide)" /> },
    { name: 'where it was', draw: <Swatch stroke="var(--color-pencil)" dash="4 3" /> },
    { name: 'body', draw: <Swatch stroke="var(--color-ochre)" dash="8 4" /> },
    {
      name: 'stops the plan',
      draw: <path d="M9.6 0H16.4L21 4.6V9.4L16.4 14H9.6L5 9.4V4.6Z" fill="var(--color-oxide)" />,
    },
    { name: 'asks for a decision', draw: <path d="M13 0L21 14H5Z" fill="var(--color-ochre)" /> },
    {
      name: 'a cut; an end cut off',
      draw: <path d="M2 4l6 -4l6 4v10h-12ZM20 0l6 7l-6 7l-6 -7Z" fill="var(--color-layout)" />,
    },
  ],
};
