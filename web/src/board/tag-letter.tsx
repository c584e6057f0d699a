import type { ReactNode } from 'react';

interface TagLetterProps {
  /** The middle of the tag, px; from where the tag itself stands where `x` is not said. */
  readonly x?: number;
  readonly y: number;
  readonly fill?: string;
  readonly children: ReactNode;
}

/** What is written on the tag of a cut or a joint: alike wherever one hangs. */
export const TagLetter = ({ x, y, fill = 'var(--color-sheet)', children }: TagLetterProps) => (
  <text x={x} y={y} dy="0.34em" textAnchor="middle" fontSize={14} fontWeight={600} className="font-label" fill={fill}>
    {children}
  </text>
);
