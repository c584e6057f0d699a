import { type Frame, type ProposedPoint } from '@splay/core';
import { freshId } from '../../client/fresh-id.ts';

interface ProposePointsProps {
  readonly proposed: readonly ProposedPoint[];
  readonly disabled: boolean;
  readonly set: (label: string, change: (frame: Frame) => Frame) => void;
}

/** Points that the plan asks for, added in one press. */
export function ProposePoints({ proposed, set, disabled }: ProposePointsProps) {
  if (proposed.length === 0) return null;
  return (
    <p className="my-2 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm text-pencil">
      <button
        type="button"
        className="button pointer-coarse:min-h-13"
        disabled={disabled}
        onClick={() =>
          set('Added control points', (frame) => ({
            ...frame,
            controlPoints: [
              ...frame.controlPoints,
              ...proposed.map(({ name, x }) => ({ id: freshId('point'), name, x, inboard: 0, down: 0 })),
            ].toSorted((a, b) => a.x - b.x),
          }))
        }
      >
        Add the {proposed.length} that the plan asks for
      </button>
      both ends, 6 in to each side of every joint, axles, bends
    </p>
  );
}
