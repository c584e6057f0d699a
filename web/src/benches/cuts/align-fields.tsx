import type { Alignment, LengthFormat } from '@splay/core';
import { AngleField } from '../../ui/angle-field.tsx';
import { LengthField } from '../../ui/length-field.tsx';

interface AlignFieldsProps {
  readonly align: Alignment;
  readonly format: LengthFormat;
  readonly disabled: boolean;
  readonly onChange: (align: Alignment) => void;
}

const inLine = ({ out, up, yaw, pitch }: Alignment): boolean => out === 0 && up === 0 && yaw === 0 && pitch === 0;

/** New rail that stands wider, higher or at an angle to the end it goes on. */
export function AlignFields({ align, format, disabled, onChange }: AlignFieldsProps) {
  return (
    <details open={!inLine(align)}>
      <summary className="cursor-pointer text-sm text-layout underline underline-offset-2">
        At another width, height or angle
      </summary>
      <div className="mt-1.5 grid grid-cols-2 gap-2">
        <LengthField
          label="Each rail out (− in)"
          mm={align.out}
          {...{ format, disabled }}
          onChange={(out) => onChange({ ...align, out })}
        />
        <LengthField
          label="Up (− down)"
          mm={align.up}
          {...{ format, disabled }}
          onChange={(up) => onChange({ ...align, up })}
        />
        <AngleField
          signed
          label="Spreads, in plan"
          radians={align.yaw}
          disabled={disabled}
          onChange={(yaw) => onChange({ ...align, yaw })}
        />
        <AngleField
          signed
          label="Rises, in side view"
          radians={align.pitch}
          disabled={disabled}
          onChange={(pitch) => onChange({ ...align, pitch })}
        />
      </div>
      <p className="mt-1 text-xs text-pencil">
        Top edges are level with each other at 0. Angles count going away from the end.
      </p>
    </details>
  );
}
