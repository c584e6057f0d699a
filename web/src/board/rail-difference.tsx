import { frameProfile, type LengthFormat, type Piece, type ProfileRow, type Section, sideOutline } from '@splay/core';
import { useMemo } from 'react';
import { SvgLength } from './svg-length.tsx';
import { type Across, acrossPx, pathOf } from './steel.tsx';
import { toPx, type View } from './view.ts';

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

const worst = (rows: readonly ProfileRow[], of: (row: ProfileRow) => number): ProfileRow | undefined =>
  rows.reduce<ProfileRow | undefined>((a, b) => (a && Math.abs(of(a)) >= Math.abs(of(b)) ? a : b), undefined);

/** The right rail behind the left one where both were measured, and where they differ most. */
export function RailDifference({ pieces, view, across, section, datum, y, format }: RailDifferenceProps) {
  const rows = useMemo(() => frameProfile(pieces, section), [pieces, section]);
  const height = (row: ProfileRow) => row.right.top - row.left.top;
  const width = (row: ProfileRow) => row.right.halfWidth - row.left.halfWidth;
  const [higher, wider] = [worst(rows, height), worst(rows, width)];
  const notes = [
    ...(higher && Math.abs(height(higher)) > SEEN
      ? [{ row: higher, mm: height(higher), words: height(higher) > 0 ? 'higher' : 'lower' }]
      : []),
    ...(wider && Math.abs(width(wider)) > SEEN
      ? [{ row: wider, mm: width(wider), words: width(wider) > 0 ? 'farther out' : 'farther in' }]
      : []),
  ];
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
        return (
          <g key={words} className="font-label" fill="var(--color-pencil)">
            <path
              d={`M${x} ${acrossPx(view, across, row.left.bottom)}V${labelY + 4}`}
              stroke="var(--color-pencil)"
              strokeWidth={0.9}
            />
            <text
              x={x + 5}
              y={labelY + 4}
              fontSize={13}
              fontWeight={500}
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
