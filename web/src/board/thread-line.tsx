import { type FigureId, figureOf } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../client/bench-props.ts';
import type { View } from '../client/picture-props.ts';
import { toPx } from './view.ts';

interface ThreadLineProps {
  readonly figure: FigureId;
  readonly bench: Pick<BenchProps, 'job' | 'whole'>;
  readonly view: View;
  readonly top: number;
  readonly bottom: number;
}

/** A thread through everything that a figure rests on, knotted at each; dashed to what is only assumed. */
export function ThreadLine({ figure, bench: { job, whole }, view, top, bottom }: ThreadLineProps) {
  const { restsOn } = useMemo(() => figureOf(figure, job, whole), [figure, job, whole]);
  const knots = restsOn
    .flatMap(({ builtX, comesFrom }) =>
      builtX === null ? [] : [{ x: toPx(view, builtX), assumed: comesFrom === 'assumed' }],
    )
    .sort((a, b) => a.x - b.x);
  const links = knots.slice(1).map((to, index) => ({ from: knots[index] ?? to, to }));
  return (
    <g stroke="var(--color-ochre)" fill="var(--color-ochre)" aria-hidden="true">
      {links.map(({ from, to }, index) => (
        <path
          key={index}
          d={`M${from.x} ${top}H${to.x}`}
          strokeWidth={2}
          strokeDasharray={from.assumed || to.assumed ? '5 4' : undefined}
        />
      ))}
      {knots.map(({ x, assumed }, index) => (
        <g key={index}>
          <path d={`M${x} ${top}V${bottom}`} strokeWidth={1.2} strokeDasharray={assumed ? '5 4' : undefined} />
          <circle cx={x} cy={top} r={4.5} fill={assumed ? 'var(--color-paper)' : undefined} strokeWidth={1.6} />
        </g>
      ))}
    </g>
  );
}
