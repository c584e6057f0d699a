import type { PointerEvent, ReactNode } from 'react';

interface SheetProps {
  readonly width: number;
  readonly height: number;
  readonly onPointerDown?: (event: PointerEvent<SVGSVGElement>) => void;
  readonly children: ReactNode;
}

/**
 * One of the sheets that the drawing is made of, laid over each other: what changes together is on one sheet, which the
 * browser paints for itself, so that a change paints that sheet anew and no other. The lowest, which takes the pointer,
 * lies on the page itself; on the others only what asks for it can be pressed.
 */
export function Sheet({ width, height, onPointerDown, children }: SheetProps) {
  return (
    <svg
      width={width}
      height={height}
      className={`absolute inset-0 select-none ${onPointerDown ? '' : 'pointer-events-none will-change-transform'}`}
      {...(onPointerDown ? { onPointerDown } : {})}
    >
      {children}
    </svg>
  );
}
