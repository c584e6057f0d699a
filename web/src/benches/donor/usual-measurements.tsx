import { type Frame, usualMeasurements } from '@splay/core';

interface UsualMeasurementsProps {
  readonly donor: Frame;
  readonly disabled: boolean;
  readonly set: (label: string, change: (frame: Frame) => Frame) => void;
}

/** Measurements between the control points as most shops take them, added in one press. */
export function UsualMeasurements({ donor, set, disabled }: UsualMeasurementsProps) {
  return (
    <button
      type="button"
      className="button mt-2 pointer-coarse:min-h-13"
      disabled={disabled || donor.controlPoints.length < 2}
      onClick={() =>
        set('Chose the measurements', (frame) => {
          const known = new Set(frame.controlMeasurements.map(({ id }) => id));
          const fresh = usualMeasurements(frame.controlPoints).filter(({ id }) => !known.has(id));
          return { ...frame, controlMeasurements: [...frame.controlMeasurements, ...fresh] };
        })
      }
    >
      Add the usual ones: widths, lengths, both diagonals, heights
    </button>
  );
}
