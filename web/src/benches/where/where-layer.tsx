import { gapsOf } from '@splay/core';
import type { PictureProps } from '../../client/picture-props.ts';
import { Blade } from '../../board/blade.tsx';
import { toPx } from '../../board/view.ts';
import { pickedOf, useFinding } from '../../client/finding.ts';
import { bladeGrid } from './blade-grid.ts';

/** The cuts of the option that is looked at, on the donor, and the blade over all of it. */
export function WhereOver(props: PictureProps) {
  const { view, side, plan, tape, store } = props;
  const answer = pickedOf(useFinding(store));
  const gaps = answer ? gapsOf(answer.operations) : [];
  const strips = [
    [side.top + 8, side.height - 16],
    [plan.top + 4, plan.height - 8],
  ] as const;
  return (
    <>
      {gaps.map(({ ahead, behind }, index) => {
        const [from, to] = [toPx(view, ahead), toPx(view, behind)];
        return (
          <g key={index} stroke="var(--color-layout)" strokeWidth={2}>
            {strips.map(([top, height]) => (
              <g key={top}>
                {to - from > 1 && (
                  <rect x={from} y={top} width={to - from} height={height} fill="url(#hatch-cut)" stroke="none" />
                )}
                <path d={`M${from} ${top}v${height}${to - from > 1 ? `M${to} ${top}v${height}` : ''}`} />
              </g>
            ))}
          </g>
        );
      })}
      <Blade
        {...props}
        label="Blade: the place that is judged"
        top={side.top + 24}
        bottom={plan.top + plan.height - 4}
        at={tape.top}
        grid={bladeGrid(props.job)}
      />
    </>
  );
}
