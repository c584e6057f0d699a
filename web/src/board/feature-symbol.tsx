import type { SymbolName } from '@splay/core';

interface FeatureSymbolProps {
  readonly name: SymbolName;
  /** Its middle, px. */
  readonly x?: number;
  readonly y?: number;
  /** Its extent along the rail, px. */
  readonly width?: number;
}

/**
 * One symbol, at most about 10 px high. It is drawn where it stands and not moved there by a transform: hundreds of
 * transforms would cost a drag more than everything else on the sheet.
 */
export function FeatureSymbol({ name, x = 0, y = 0, width = 0 }: FeatureSymbolProps) {
  const half = Math.max(width / 2, 3.2);
  const at = (right: number, down: number) => `M${x + right} ${y + down}`;
  switch (name) {
    case 'hole':
      return <circle cx={x} cy={y} r={2.4} fill="var(--color-paper)" stroke="currentColor" strokeWidth={1.1} />;
    case 'mount':
      return (
        <path
          d={`${at(-half, 2)}h${2 * half}l${-0.45 * half} -5.5h${-1.1 * half}Z`}
          fill="var(--color-sheet)"
          stroke="currentColor"
          strokeWidth={1.1}
        />
      );
    case 'hanger':
      return (
        <path
          d={`${at(-half, -3)}h${2 * half}l${-half} 8Z`}
          fill="var(--color-pencil)"
          stroke="currentColor"
          strokeWidth={1}
        />
      );
    case 'gear':
      return (
        <rect
          x={x - half}
          y={y - 4}
          width={2 * half}
          height={8}
          rx={3}
          fill="var(--color-bench)"
          stroke="currentColor"
          strokeWidth={1.1}
        />
      );
    case 'clip':
      return (
        <path
          d={`${at(-2.6, -2.6)}l5.2 5.2${at(2.6, -2.6)}l-5.2 5.2`}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.2}
        />
      );
    case 'stamp':
      return (
        <g>
          <rect
            x={x - half}
            y={y - 4}
            width={2 * half}
            height={8}
            fill="var(--color-ochre-wash)"
            stroke="var(--color-ochre)"
            strokeWidth={1.3}
          />
          <path
            d={`${at(2.5 - half, -1)}h${2 * half - 5}${at(2.5 - half, 1.6)}h${2 * half - 5}`}
            stroke="var(--color-ochre)"
            strokeWidth={1}
          />
        </g>
      );
    case 'flaw':
      return <path d={`${at(-4, 2)}l2.5 -4l2.5 4l3 -4`} fill="none" stroke="var(--color-oxide)" strokeWidth={1.4} />;
  }
}
