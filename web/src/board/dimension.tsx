import type { LengthFormat } from '@splay/core';
import { memoized } from '../ui/memoized.ts';
import { lengthWidth, SvgLength } from './svg-length.tsx';

/** What stands on a dimension line. */
interface Figure {
  readonly mm: number;
  readonly format: LengthFormat;
  readonly before?: string;
  readonly signed?: boolean;
  readonly strong?: boolean;
}

interface DimensionProps extends Figure {
  /** Ends, px. */
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly className?: string;
  /** Draw the line alone: its figure stands elsewhere. */
  readonly bare?: boolean;
}

const GAP = 7;
const sizeOf = (strong: boolean): number => (strong ? 16 : 14);

/** About how wide the figure is, px. */
export const dimensionWidth = ({ mm, format, before = '', signed = false, strong = false }: Figure): number =>
  lengthWidth(mm, format, sizeOf(strong), before.length + (signed ? 1 : 0));

/** True when the figure has room between the ends. */
export const dimensionFits = (dimension: Figure & { readonly from: number; readonly to: number }): boolean =>
  dimension.to - dimension.from > dimensionWidth(dimension) + 2 * GAP + 8;

/** A dimension line: ends ticked, the figure in the line, or behind its end where the line is too short for it. */
export const Dimension = memoized(function Dimension({
  from,
  to,
  y,
  mm,
  format,
  before = '',
  signed = false,
  strong = false,
  className = 'text-graphite',
  bare = false,
}: DimensionProps) {
  const text = dimensionWidth({ mm, format, before, signed, strong });
  const middle = (from + to) / 2;
  const fits = !bare && dimensionFits({ from, to, mm, format, before, signed, strong });
  const line = fits ? `H${middle - text / 2 - GAP}M${middle + text / 2 + GAP} ${y}H${to}` : `H${to}`;
  return (
    <g className={className} stroke="currentColor" fill="none">
      <path d={`M${from} ${y - 4}v8M${to} ${y - 4}v8M${from} ${y}${line}`} strokeWidth={1.1} />
      {!bare && (
        <text
          x={fits ? middle : to + GAP}
          y={y}
          dy="0.34em"
          textAnchor={fits ? 'middle' : 'start'}
          fill="currentColor"
          stroke="var(--color-paper)"
          strokeWidth={5}
          paintOrder="stroke"
          className="font-label"
          fontSize={sizeOf(strong)}
          fontWeight={600}
        >
          {before && `${before} `}
          <SvgLength mm={mm} format={format} signed={signed} />
        </text>
      )}
    </g>
  );
});
