import type { ReactNode } from 'react';

interface SheetProps {
  readonly width: number;
  readonly height: number;
  /** The lowest lies on the page itself. */
  readonly lowest?: boolean;
  readonly children: ReactNode;
}

/**
 * One of the sheets that the drawing is made of, laid over each other: what changes together is on one sheet, which the
 * browser paints for itself, so that a change paints that sheet again and no other. Only what asks for it can be pressed.
 */
export function Sheet({ width, height, lowest = false, children }: SheetProps) {
  return (
    <svg
      width={width}
      height={height}
      className={`pointer-events-none absolute inset-0 select-none ${lowest ? '' : 'will-change-transform'}`}
    >
      {children}
    </svg>
  );
}
