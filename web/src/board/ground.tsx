import type { LengthFormat, PlanResult } from '@splay/core';
import type { Across, Strip, View } from '../client/picture-props.ts';
import { type Crossmember, CrossmemberAbove, CrossmemberEnd } from './crossmember-marks.tsx';
import { memoized } from '../ui/memoized.ts';
import { Dimension } from './dimension.tsx';
import { halo } from './halo.ts';
import { acrossPx } from './strips.ts';
import { toPx } from './view.ts';

/** A wheel in side view, mm. */
export interface Wheel {
  readonly id: string;
  readonly x: number;
  readonly z: number;
  readonly radius: number;
  /** Where it stands was not measured yet. */
  readonly assumed: boolean;
}

export interface GroundProps {
  readonly view: View;
  readonly side: Strip;
  readonly plan: Strip;
  readonly datum: number;
  readonly format: LengthFormat;
  readonly wheels: readonly Wheel[];
  readonly wheelbase: number | null;
  readonly crossmembers: readonly Crossmember[];
  readonly onSelect: (id: string) => void;
}

/** The wheels of a frame. */
export const wheelsOf = ({ axles }: PlanResult): Wheel[] =>
  axles.flatMap(({ item, built }) =>
    built ? [{ id: item.id, x: built.x, z: built.z, radius: item.tireRadius, assumed: item.origin === 'assumed' }] : [],
  );

/** A wheel seen from the side: lower than it is long where heights are drawn smaller. */
export function WheelShape({
  wheel: { x, z, radius },
  view,
  across,
  ...line
}: {
  readonly wheel: Wheel;
  readonly view: View;
  readonly across: Across;
  readonly stroke: string;
  readonly strokeDasharray: string;
  readonly strokeWidth: number;
}) {
  return (
    <ellipse
      cx={toPx(view, x)}
      cy={acrossPx(across, z)}
      rx={radius * view.scale}
      ry={radius * across.scale}
      fill="none"
      {...line}
    />
  );
}

/** Everything under the steel, in both views: wheels, crossmembers, the wheelbase, where the datum hole is. */
export const Ground = memoized(function Ground(props: GroundProps) {
  return (
    <>
      <SideGround {...props} />
      <PlanGround {...props} />
    </>
  );
});

function SideGround({ view, side, datum, format, wheels, wheelbase, crossmembers }: GroundProps) {
  const { top, height, foot, across } = side;
  const px = (x: number) => toPx(view, x);
  const py = (z: number) => acrossPx(across, z);
  const [first, last] = [wheels[0], wheels.at(-1)];
  return (
    <g clipPath="url(#clip-side)">
      {wheels.map((wheel) => (
        <WheelMark key={wheel.id} {...{ wheel, view, across, top, height }} />
      ))}
      {crossmembers.map(({ id, x, z, length, depth, assumed }) => (
        <CrossmemberEnd
          key={id}
          x={px(x - length / 2)}
          y={py(z)}
          width={length * view.scale}
          height={depth * across.scale}
          assumed={assumed}
        />
      ))}
      <DatumMark x={px(datum)} y={foot} />
      {first && last && wheelbase !== null && (
        <Dimension
          from={px(first.x)}
          to={px(last.x)}
          y={top + height - 14}
          mm={wheelbase}
          format={format}
          before="WB"
          strong
        />
      )}
    </g>
  );
}

function PlanGround({ view, plan: { across }, crossmembers, onSelect }: GroundProps) {
  const px = (x: number) => toPx(view, x);
  const py = (y: number) => acrossPx(across, y);
  return (
    <g clipPath="url(#clip-plan)">
      <path d={`M0 ${py(0)}H${view.width}`} stroke="var(--color-rule)" strokeDasharray="12 4 3 4" />
      {across.broken && <Break view={view} across={across} />}
      {crossmembers.map(({ id, name, x, length, left, right, ...state }) => (
        <CrossmemberAbove
          key={id}
          {...{ id, name, onSelect, ...state }}
          middle={px(x)}
          center={py(0)}
          y={py(left)}
          width={length * view.scale}
          height={py(right) - py(left)}
        />
      ))}
    </g>
  );
}

interface WheelMarkProps {
  readonly wheel: Wheel;
  readonly view: View;
  readonly across: Across;
  /** Of the strip that it stands in, px. */
  readonly top: number;
  readonly height: number;
}

const WheelMark = memoized(function WheelMark({ wheel, view, across, top, height }: WheelMarkProps) {
  const [x, y] = [toPx(view, wheel.x), acrossPx(across, wheel.z)];
  return (
    <g stroke="var(--color-graphite)">
      <WheelShape
        {...{ wheel, view, across }}
        stroke="var(--color-graphite)"
        strokeDasharray={wheel.assumed ? '7 6' : '2 4'}
        strokeWidth={1.6}
      />
      {wheel.assumed && (
        <text
          x={x}
          y={y + 4}
          textAnchor="middle"
          fontSize={12}
          className="font-label"
          fill="var(--color-pencil)"
          {...halo}
        >
          assumed
        </text>
      )}
      <path d={`M${x} ${top + 26}V${top + height}`} strokeDasharray="9 3 2 3" strokeWidth={0.8} />
    </g>
  );
});

const DatumMark = memoized(function DatumMark({ x, y }: { readonly x: number; readonly y: number }) {
  return (
    <g fill="var(--color-graphite)">
      <path d={`M${x - 5} ${y + 13}h10l-5 -10Z`} />
      <text x={x} y={y + 25} textAnchor="middle" fontSize={12.5} className="font-label" fontWeight={600} {...halo}>
        datum
      </text>
    </g>
  );
});

/** Two wavy lines across: what lies between them is drawn short. */
function Break({ view, across }: { readonly view: View; readonly across: Across }) {
  const wave = (y: number) => {
    const waves = Math.ceil(view.width / 24);
    return `M0 ${y}${Array.from({ length: waves }, (_, at) => `q6 ${at % 2 ? 3 : -3} 12 0t12 0`).join('')}`;
  };
  return (
    <g fill="none" stroke="var(--color-rule)" strokeWidth={1.2}>
      <path d={wave(across.zero - 4)} />
      <path d={wave(across.zero + 4)} />
    </g>
  );
}
