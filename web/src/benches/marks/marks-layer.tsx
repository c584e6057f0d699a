import { markSheet } from '@splay/core';
import { useMemo } from 'react';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { linesByCut } from './cut-lines.ts';

/** The lines to scribe on the donor: through the steel of both strips, with their letters. */
export function MarksOver({ job, result, view, side, plan, tape, datum, selected, onSelect }: PictureProps) {
  const lines = useMemo(() => linesByCut(markSheet(job, result).lines), [job, result]);
  const half = plan.foot - plan.across.zero + 5;
  return (
    <g>
      {lines.map(({ key, letters, operation, left, right }) => {
        const line = left ?? right;
        if (!line) return null;
        const x = toPx(view, datum + line.from.level);
        const lean = line.lean * view.scale;
        const chosen = selected === operation;
        return (
          <g
            key={key}
            className="pointer-events-auto cursor-pointer"
            data-pick={operation}
            data-name={`Line ${letters}`}
            onClick={() => onSelect(operation)}
          >
            <title>{`Line ${letters}`}</title>
            <rect className="touch-target" x={x - 24} y={side.top + 20} width={48} height={48} fill="transparent" />
            <path
              d={`M${x} ${side.across.zero - 10}L${x + lean} ${side.foot + 6}M${x} ${tape.top}V${tape.top + tape.height}M${x} ${plan.across.zero - half}V${plan.across.zero + half}`}
              stroke="var(--color-layout)"
              strokeWidth={chosen ? 2.6 : 1.5}
              strokeDasharray={line.instead ? '3 4' : undefined}
              fill="none"
            />
            <rect
              x={x - 4 - letters.length * 4.4}
              y={side.top + 22}
              width={8 + letters.length * 8.8}
              height={19}
              fill="var(--color-layout)"
            />
            <text
              x={x}
              y={side.top + 32}
              dy="0.34em"
              textAnchor="middle"
              fontSize={14}
              fontWeight={600}
              className="font-label"
              fill="var(--color-sheet)"
            >
              {letters}
            </text>
          </g>
        );
      })}
    </g>
  );
}
