import { frameProfile, type LengthFormat, type Piece, type Section, sideOutline, worstDifferences } from '@splay/core';
import { useMemo } from 'react';
import { SvgLength } from '../../board/svg-length.tsx';
import type { Across } from '../../client/picture-props.ts';
import { acrossPx } from '../../board/strips.ts';
import { pathOf } from '../../board/steel.tsx';
import type { View } from '../../client/picture-props.ts';
import { toPx } from '../../board/view.ts';

interface RailDifferenceProps {
  readonly pieces: readonly Piece[];
  readonly view: View;
  readonly across: Across;
  readonly section: (id: string) => Section;
  readonly datum: number;
  /** Where the notes begin, px. */
  readonly y: number;
  readonly format: LengthFormat;
}

/** Smaller differences than this are lost in the line, mm. */
const SEEN = 0.4;

/** About how long a note is, px: nearer than this to the right edge it stands on the other side of its line. */
const NOTE = 230;

/** The right rail behind the left one where both were measured, and where they differ most. */
export function RailDifference({ pieces, view, across, section, datum, y, format }: RailDifferenceProps) {
  const { height, width } = useMemo(() => worstDifferences(frameProfile(pieces, section)), [pieces, section]);
  const notes = [
    { difference: height, words: ['higher', 'lower'] as const },
    { difference: width, words: ['farther out', 'farther in'] as const },
  ].flatMap(({ difference, words: [more, less] }) =>
    difference && Math.abs(difference.mm) > SEEN ? [{ ...difference, words: difference.mm > 0 ? more : less }] : [],
  );
  return (
    <g>
      {pieces.map((piece, index) => (
        <path
          key={index}
          d={pathOf(sideOutline(piece, 'right', section), view, across)}
          fill="none"
          stroke="var(--color-pencil)"
          strokeWidth={1}
          strokeDasharray="1.5 3"
        />
      ))}
      {notes.map(({ row, mm, words }, index) => {
        const x = toPx(view, row.builtX);
        const labelY = y + index * 17;
        const flipped = x + NOTE > view.width;
        return (
          <g key={words} className="font-label" fill="var(--color-pencil)">
            <path
              d={`M${x} ${acrossPx(across, row.left.bottom)}V${labelY + 4}`}
              stroke="var(--color-pencil)"
              strokeWidth={0.9}
            />
            <text
              x={flipped ? x - 5 : x + 5}
              y={labelY + 4}
              textAnchor={flipped ? 'end' : 'start'}
              fontSize={13}
              fontWeight={600}
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              right rail <SvgLength mm={Math.abs(mm)} format={format} /> {words} at{' '}
              <SvgLength mm={row.builtX - datum} format={format} />
            </text>
          </g>
        );
      })}
    </g>
  );
}
