import type { LengthFormat } from '@splay/core';
import { lengthWidth, SvgLength } from './svg-length.tsx';

interface DimensionProps {
  /** Ends, px. */
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly mm: number;
  readonly format: LengthFormat;
  readonly before?: string;
  readonly signed?: boolean;
  readonly strong?: boolean;
  readonly className?: string;
  /** Sides of the figure when it does not fit between the ends. */
  readonly spill?: 'left' | 'right';
}

const GAP = 7;

/** A dimension line: ends ticked, the figure in the line, or beside it where the line is too short for it. */
export function Dimension({
  from,
  to,
  y,
  mm,
  format,
  before = '',
  signed = false,
  strong = false,
  className = 'text-graphite',
  spill = 'right',
}: DimensionProps) {
  const size = strong ? 16 : 14;
  const text = lengthWidth(mm, format, size, before.length + (signed ? 1 : 0));
  const middle = (from + to) / 2;
  const fits = to - from > text + 2 * GAP + 8;
  const x = fits ? middle : spill === 'right' ? to + GAP : from - GAP;
  const anchor = fits ? 'middle' : spill === 'right' ? 'start' : 'end';
  return (
    <g className={className} stroke="currentColor" fill="none">
      <path d={`M${from} ${y - 4}v8M${to} ${y - 4}v8`} strokeWidth={1.25} />
      <path
        d={
          fits
            ? `M${from} ${y}H${middle - text / 2 - GAP}M${middle + text / 2 + GAP} ${y}H${to}`
            : `M${from} ${y}H${to}`
        }
        strokeWidth={1}
      />
      {fits && (
        <rect
          x={middle - text / 2 - 3}
          y={y - 9}
          width={text + 6}
          height={18}
          fill="var(--color-paper)"
          stroke="none"
        />
      )}
      <text
        x={x}
        y={y}
        dy="0.34em"
        textAnchor={anchor}
        fill="currentColor"
        stroke="none"
        className="font-label"
        fontSize={size}
        fontWeight={strong ? 600 : 500}
      >
        {before && `${before} `}
        <SvgLength mm={mm} format={format} signed={signed} />
      </text>
    </g>
  );
}
