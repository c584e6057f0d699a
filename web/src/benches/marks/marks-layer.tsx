import { type CutLine, markSheet } from '@splay/core';
import { useMemo } from 'react';
import { toPx } from '../../board/view.ts';
import type { PictureProps, Strip } from '../../client/picture-props.ts';
import { linesByCut } from './cut-lines.ts';

/** How far a line is drawn beyond the steel, px. */
const OVER = 10;

/** A line through the side view: across all of the rail, or what of it a line of a step runs over. */
function sideLine(line: CutLine, depth: number, px: (fromDatum: number) => number, { across, foot }: Strip): string {
  const x = px(line.from.level);
  const middle = foot - ((line.height ?? 0) / depth) * (foot - across.zero);
  switch (line.part) {
    case 'across':
      return `M${x} ${across.zero - OVER}L${x + line.lean * (px(1) - px(0))} ${foot + OVER}`;
    case 'upper vertical':
      return `M${x} ${across.zero - OVER}V${middle}`;
    case 'lower vertical':
      return `M${x} ${middle}V${foot + OVER}`;
    case 'horizontal':
      return `M${x} ${middle}H${px(line.from.level + (line.to ?? 0) - (line.from.web ?? 0))}`;
  }
}

/** From one row of tags to the next, px. */
const ROW = 22;
const tagWidth = (letters: string): number => 8 + letters.length * 8.8;

/**
 * In which row each tag has room, by its key: none where a tag with the same letters stands there already, as over the two
 * lines of one cut that are close together.
 *
 * @param tags Tags with the middle of each, px; any order.
 */
export function withRoom(
  tags: readonly { readonly key: string; readonly letters: string; readonly x: number }[],
): ReadonlyMap<string, number> {
  const placed: { readonly letters: string; readonly to: number; readonly row: number }[] = [];
  const rows = new Map<string, number>();
  for (const { key, letters, x } of tags.toSorted((a, b) => a.x - b.x)) {
    const half = tagWidth(letters) / 2;
    const over = placed.filter(({ to }) => to > x - half);
    if (over.some((other) => other.letters === letters)) continue;
    let row = 0;
    while (over.some((other) => other.row === row)) row += 1;
    placed.push({ letters, to: x + half + 2, row });
    rows.set(key, row);
  }
  return rows;
}

/** The lines to scribe on the donor: through the steel of both strips, with their letters. */
export function MarksOver(props: PictureProps) {
  const { job, result, view, side, plan, tape, datum, section, selected, onSelect } = props;
  const lines = useMemo(() => linesByCut(markSheet(job, result).lines), [job, result]);
  const half = plan.foot - plan.across.zero + 5;
  const depth = Math.max(1, ...job.donor.sections.slice(0, 1).map(({ id }) => section(id).depth));
  const px = (fromDatum: number) => toPx(view, datum + fromDatum);
  const tagged = withRoom(
    lines.flatMap(({ key, letters, left, right }) => {
      const line = left ?? right;
      return line && (line.part === 'across' || line.part === 'upper vertical')
        ? [{ key, letters, x: px(line.from.level) }]
        : [];
    }),
  );
  return (
    <g>
      {lines.map(({ key, letters, operation, left, right }) => {
        const line = left ?? right;
        if (!line) return null;
        const x = px(line.from.level);
        const row = tagged.get(key);
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
              d={`${sideLine(line, depth, px, side)}M${x} ${tape.top}V${tape.top + tape.height}${line.part === 'horizontal' ? '' : `M${x} ${plan.across.zero - half}V${plan.across.zero + half}`}`}
              stroke="var(--color-layout)"
              strokeWidth={chosen ? 2.6 : 1.5}
              fill="none"
            />
            {row !== undefined && (
              <>
                <rect
                  x={x - tagWidth(letters) / 2}
                  y={side.top + 22 + row * ROW}
                  width={tagWidth(letters)}
                  height={19}
                  fill="var(--color-layout)"
                />
                <text
                  x={x}
                  y={side.top + 32 + row * ROW}
                  dy="0.34em"
                  textAnchor="middle"
                  fontSize={14}
                  fontWeight={600}
                  className="font-label"
                  fill="var(--color-sheet)"
                >
                  {letters}
                </text>
              </>
            )}
          </g>
        );
      })}
    </g>
  );
}
