import type { LengthFormat } from '@splay/core';
import type { KeyboardEvent, PointerEvent } from 'react';
import { sliderRole } from '../../ui/slider-role.ts';

interface GripProps {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly handle: string;
  /** Where it stands from the joint, mm. */
  readonly at: number;
  readonly format: LengthFormat;
  readonly onPointerDown?: (event: PointerEvent) => void;
  readonly onNudge?: (event: KeyboardEvent, way: number) => void;
}

/** What a hand takes hold of. */
export function Grip({ name, x, y, at, format, handle, onPointerDown, onNudge }: GripProps) {
  if (!onPointerDown) return null;
  return (
    <g
      className="pointer-events-auto cursor-ew-resize touch-none"
      data-handle={handle}
      data-name={name}
      {...sliderRole(name, at, format)}
      onPointerDown={onPointerDown}
      onKeyDown={(event) => {
        const way = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
        if (way === 0) return;
        event.preventDefault();
        onNudge?.(event, way);
      }}
    >
      <title>{name}</title>
      <rect x={x - 24} y={y - 24} width={48} height={48} className="touch-target" fill="transparent" />
      <rect x={x - 9} y={y - 13} width={18} height={26} fill="transparent" />
      <rect
        className="focus-ring"
        x={x - 4}
        y={y - 9}
        width={8}
        height={18}
        fill="var(--color-sheet)"
        stroke="var(--color-layout)"
        strokeWidth={1.8}
      />
    </g>
  );
}
