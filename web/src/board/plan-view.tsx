import { insideEdge, type Piece } from '@splay/core';
import type { ViewProps } from './side-view.tsx';
import { type Across, acrossPx, Steel } from './steel.tsx';
import { toPx } from './view.ts';

interface PlanViewProps extends ViewProps {
  readonly onSelect: (id: string) => void;
}

/** Where the centre line lies in a plan view, px. */
export const planZero = (top: number, height: number): number => top + height / 2;

/** The frame from above, front at the left, left rail on top: rails, crossmembers with their numbers, control points. */
export function PlanView({
  result,
  donor,
  view,
  top,
  height,
  section,
  showBefore,
  trims,
  selected,
  pointed,
  onSelect,
}: PlanViewProps) {
  const across: Across = { zero: planZero(top, height), sign: 1 };
  const px = (x: number) => toPx(view, x);
  const py = (y: number) => acrossPx(view, across, y);
  const shown = showBefore ? donor : result;
  const chosen = (id: string) => selected === id || pointed === id;

  return (
    <g clipPath="url(#clip-plan)">
      <text x={10} y={top + 20} className="label" fontSize={12} fill="var(--color-pencil)">
        Plan · left on top
      </text>
      <path d={`M0 ${py(0)}H${view.width}`} stroke="var(--color-rule)" strokeDasharray="12 4 3 4" />

      {shown.crossmembers.map(({ crossmember, built, piece, wider }) => {
        const carrier = shown.pieces[piece ?? -1] as Piece | undefined;
        if (!built || !carrier) return null;
        const [a, b] = [
          insideEdge(carrier, 'left', crossmember.x, section),
          insideEdge(carrier, 'right', crossmember.x, section),
        ];
        const width = crossmember.length * view.scale;
        const number = /\d+/.exec(crossmember.name)?.[0];
        return (
          <g
            key={crossmember.id}
            className={`cursor-pointer ${chosen(crossmember.id) ? 'text-layout' : 'text-pencil'}`}
            onClick={() => onSelect(crossmember.id)}
          >
            <title>{crossmember.name}</title>
            <rect
              x={px(built.x) - width / 2}
              y={py(a)}
              width={width}
              height={py(b) - py(a)}
              fill="var(--color-sheet)"
              stroke="currentColor"
              strokeWidth={chosen(crossmember.id) ? 2.2 : 1}
              strokeDasharray={wider !== 0 ? '4 2' : undefined}
            />
            {number && view.scale > 0.1 && (
              <text
                x={px(built.x)}
                y={py(0)}
                dy="0.34em"
                textAnchor="middle"
                fontSize={11}
                fontWeight={600}
                className="font-label"
                fill="currentColor"
                stroke="var(--color-sheet)"
                strokeWidth={3}
                paintOrder="stroke"
              >
                {number}
              </text>
            )}
          </g>
        );
      })}
      <Steel {...{ result, donor, view, across, section, showBefore, trims }} what="plan" />
    </g>
  );
}
