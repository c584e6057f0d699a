import { insideEdge, type LengthFormat, type Piece, type PlanResult, type Section } from '@splay/core';
import type { Across, Strip, View } from '../client/picture-props.ts';
import { still } from '../ui/still.ts';
import { Dimension } from './dimension.tsx';
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

/** A crossmember in both views, mm: its middle and top, its size, and the inside edges of the rails that it reaches. */
interface Crossmember {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly z: number;
  readonly length: number;
  readonly depth: number;
  readonly left: number;
  readonly right: number;
  /** True when it does not fit between its rails any more. */
  readonly misfit: boolean;
  readonly assumed: boolean;
  readonly chosen: boolean;
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
    built ? [{ id: item.id, x: built.x, z: built.z, radius: item.tyreRadius, assumed: item.origin === 'assumed' }] : [],
  );

/** The crossmembers of a frame as they are drawn. */
export function crossmembersOf(
  shown: PlanResult,
  section: (id: string) => Section,
  chosen: (id: string) => boolean,
): readonly Crossmember[] {
  return shown.crossmembers.flatMap(
    ({ crossmember: { id, name, x, length, depth, origin }, built, piece, wider }): Crossmember[] => {
      const carrier = shown.pieces[piece ?? -1] as Piece | undefined;
      if (!built || !carrier) return [];
      const [left, right] = [insideEdge(carrier, 'left', x, section), insideEdge(carrier, 'right', x, section)];
      return [
        {
          id,
          name,
          x: built.x,
          z: built.z,
          length,
          depth,
          left,
          right,
          misfit: wider !== 0,
          assumed: origin === 'assumed',
          chosen: chosen(id),
        },
      ];
    },
  );
}

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
export const Ground = still(function Ground(props: GroundProps) {
  return (
    <>
      <SideGround {...props} />
      <PlanGround {...props} />
    </>
  );
});

const halo = { stroke: 'var(--color-paper)', strokeWidth: 4, paintOrder: 'stroke' } as const;

function SideGround({ view, side, datum, format, wheels, wheelbase, crossmembers }: GroundProps) {
  const { top, height, foot, across } = side;
  const px = (x: number) => toPx(view, x);
  const py = (z: number) => acrossPx(across, z);
  const [first, last] = [wheels[0], wheels.at(-1)];
  return (
    <g clipPath="url(#clip-side)">
      <text x={10} y={top + 16} className="label" fontSize={12} fill="var(--color-pencil)" {...halo}>
        Side · left rail
        {across.scale < view.scale * 0.97 && ' · heights drawn smaller'}
      </text>
      {wheels.map((wheel) => (
        <g key={wheel.id} stroke="var(--color-graphite)">
          <WheelShape
            {...{ wheel, view, across }}
            stroke="var(--color-graphite)"
            strokeDasharray={wheel.assumed ? '7 6' : '2 4'}
            strokeWidth={1.6}
          />
          {wheel.assumed && (
            <text
              x={px(wheel.x)}
              y={py(wheel.z) + 4}
              textAnchor="middle"
              fontSize={12}
              className="font-label"
              fill="var(--color-pencil)"
              {...halo}
            >
              assumed
            </text>
          )}
          <path d={`M${px(wheel.x)} ${top + 26}V${top + height}`} strokeDasharray="9 3 2 3" strokeWidth={0.8} />
        </g>
      ))}
      {crossmembers.map(({ id, x, z, length, depth, assumed }) => (
        <rect
          key={id}
          x={px(x - length / 2)}
          y={py(z)}
          width={length * view.scale}
          height={depth * across.scale}
          fill="var(--color-bench)"
          stroke="var(--color-pencil)"
          strokeWidth={0.9}
          strokeDasharray={assumed ? '4 3' : undefined}
        />
      ))}
      <g fill="var(--color-graphite)">
        <path d={`M${px(datum) - 5} ${foot + 13}h10l-5 -10Z`} />
        <text
          x={px(datum)}
          y={foot + 25}
          textAnchor="middle"
          fontSize={12.5}
          className="font-label"
          fontWeight={600}
          {...halo}
        >
          datum
        </text>
      </g>
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

function PlanGround({ view, plan: { top, height, across }, crossmembers, onSelect }: GroundProps) {
  const px = (x: number) => toPx(view, x);
  const py = (y: number) => acrossPx(across, y);
  return (
    <g clipPath="url(#clip-plan)">
      <text x={10} y={top + height - 6} className="label" fontSize={12} fill="var(--color-pencil)" {...halo}>
        Plan · left on top{across.broken && ' · rails drawn nearer each other'}
      </text>
      <path d={`M0 ${py(0)}H${view.width}`} stroke="var(--color-rule)" strokeDasharray="12 4 3 4" />
      {across.broken && <Break view={view} across={across} />}
      {crossmembers.map(({ id, name, x, length, left, right, misfit, assumed, chosen }) => {
        const number = /\d+/.exec(name)?.[0];
        return (
          <g
            key={id}
            className={`pointer-events-auto cursor-pointer ${chosen ? 'text-layout' : 'text-pencil'}`}
            data-pick={id}
            data-name={name}
            onClick={() => onSelect(id)}
          >
            <title>{name}</title>
            <circle cx={px(x)} cy={py(0)} className="touch-target" fill="transparent" />
            <rect
              x={px(x - length / 2)}
              y={py(left)}
              width={length * view.scale}
              height={py(right) - py(left)}
              fill="var(--color-sheet)"
              stroke="currentColor"
              strokeWidth={chosen ? 2.2 : 1}
              strokeDasharray={misfit ? '4 2' : assumed ? '4 3' : undefined}
            />
            {number && (
              <text
                x={px(x)}
                y={py(0)}
                dy="0.34em"
                textAnchor="middle"
                fontSize={12}
                fontWeight={600}
                className="font-label"
                fill="currentColor"
                stroke="var(--color-sheet)"
                strokeWidth={3}
                paintOrder="stroke"
              >
                {number}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

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
