import { type Body, insideEdge, type LengthFormat, type Piece, type PlanResult, type Section } from '@splay/core';
import { BodyOver } from './body-over.tsx';
import { type Across, acrossPx, DonorGhost } from './steel.tsx';
import { still } from '../ui/still.ts';
import { SvgLength } from './svg-length.tsx';
import { toPx, type View } from './view.ts';

/** A wheel in side view, mm. */
interface Wheel {
  readonly id: string;
  readonly x: number;
  readonly z: number;
  readonly radius: number;
  /** Where it stands was not measured yet. */
  readonly assumed: boolean;
}

/** A crossmember in both views, mm: its middle and top, its size, and the inside edges of the rails that it reaches. */
interface Member {
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

/** A view of the board: where it begins and ends, px, and how mm across the frame become px. */
interface Pane {
  readonly top: number;
  readonly height: number;
  readonly across: Across;
}

export interface GroundProps {
  readonly view: View;
  readonly side: Pane;
  readonly plan: Pane;
  readonly datum: number;
  readonly format: LengthFormat;
  readonly wheels: readonly Wheel[];
  /** The rear wheel on the donor, when the plan moves it, and the wheelbase there. */
  readonly rearBefore: { readonly wheel: Wheel; readonly wheelbase: number } | null;
  readonly body: { readonly body: Body; readonly frontX: number } | null;
  readonly members: readonly Member[];
  /** The donor, to be drawn where it was. */
  readonly ghost: PlanResult | null;
  readonly section: (id: string) => Section;
  readonly onSelect: (id: string) => void;
}

/** The wheels of a frame. */
export const wheelsOf = ({ axles }: PlanResult): Wheel[] =>
  axles.flatMap(({ item, built }) =>
    built ? [{ id: item.id, x: built.x, z: built.z, radius: item.tyreRadius, assumed: item.origin === 'assumed' }] : [],
  );

/** The rearmost wheel on the donor, when the plan moves it by more than can be drawn over. */
export function rearBefore(result: PlanResult, donor: PlanResult): GroundProps['rearBefore'] {
  const { before, after } = result.measures;
  const of = ({ axles }: PlanResult) => axles.find(({ item, built }) => item.role === 'rear' && built);
  const [was, is] = [of(donor), of(result)];
  if (!was?.built || !is?.built || before.wheelbase === null || after.wheelbase === null) return null;
  if (Math.abs(was.built.x - is.built.x) <= 1) return null;
  const { id, tyreRadius: radius } = was.item;
  const wheel = { id, x: was.built.x, z: was.built.z, radius, assumed: false };
  return { wheel, wheelbase: before.wheelbase };
}

/** The crossmembers of a frame as they are drawn. */
export function membersOf(
  shown: PlanResult,
  section: (id: string) => Section,
  chosen: (id: string) => boolean,
): readonly Member[] {
  return shown.crossmembers.flatMap(
    ({ crossmember: { id, name, x, length, depth, origin }, built, piece, wider }): Member[] => {
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

/** Everything under the steel, in both views: wheels, the body's outline, crossmembers, the donor where it was. */
export const Ground = still(function Ground(props: GroundProps) {
  return (
    <>
      <SideGround {...props} />
      <PlanGround {...props} />
    </>
  );
});

function SideGround({
  view,
  side: { top, height, across },
  datum,
  format,
  wheels,
  rearBefore: before,
  body,
  members,
  ghost,
  section,
}: GroundProps) {
  const px = (x: number) => toPx(view, x);
  const py = (z: number) => acrossPx(view, across, z);
  const railTop = py(0);
  return (
    <g clipPath="url(#clip-side)">
      <text x={10} y={top + 18} className="label" fontSize={12} fill="var(--color-pencil)">
        Side · left rail
      </text>
      {before && (
        <>
          <circle
            cx={px(before.wheel.x)}
            cy={py(before.wheel.z)}
            r={before.wheel.radius * view.scale}
            fill="none"
            stroke="var(--color-rule)"
            strokeDasharray="1 4"
            strokeWidth={1.5}
          />
          <text
            x={px(before.wheel.x)}
            y={top + 18}
            textAnchor="middle"
            fontSize={13}
            fill="var(--color-pencil)"
            className="font-label"
            fontWeight={500}
          >
            was <SvgLength mm={before.wheelbase} format={format} />
          </text>
        </>
      )}
      {wheels.map(({ id, x, z, radius, assumed }) => (
        <g key={id} fill="none" stroke="var(--color-graphite)">
          <circle
            cx={px(x)}
            cy={py(z)}
            r={radius * view.scale}
            strokeDasharray={assumed ? '7 6' : '2 4'}
            strokeWidth={1.6}
          />
          {assumed && (
            <text
              x={px(x)}
              y={py(z) + 4}
              textAnchor="middle"
              fontSize={12}
              className="font-label"
              fill="var(--color-pencil)"
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              assumed
            </text>
          )}
          <path d={`M${px(x)} ${top + 26}V${top + height}`} strokeDasharray="9 3 2 3" strokeWidth={0.8} />
        </g>
      ))}
      {body && <BodyOver {...body} view={view} across={across} />}
      {members.map(({ id, x, z, length, depth, assumed }) => (
        <rect
          key={id}
          x={px(x - length / 2)}
          y={py(z)}
          width={length * view.scale}
          height={depth * view.scale}
          fill="var(--color-bench)"
          stroke="var(--color-pencil)"
          strokeWidth={0.9}
          strokeDasharray={assumed ? '4 3' : undefined}
        />
      ))}
      {ghost && <DonorGhost donor={ghost} what="side" {...{ view, across, section }} />}
      <g fill="var(--color-graphite)">
        <path d={`M${px(datum) - 6} ${railTop + 42}h12l-6 -11Z`} />
        <text
          x={px(datum)}
          y={railTop + 56}
          textAnchor="middle"
          fontSize={12.5}
          className="font-label"
          fontWeight={600}
          stroke="var(--color-paper)"
          strokeWidth={4}
          paintOrder="stroke"
        >
          datum hole
        </text>
      </g>
    </g>
  );
}

function PlanGround({ view, plan: { top, across }, members, ghost, section, onSelect }: GroundProps) {
  const px = (x: number) => toPx(view, x);
  const py = (y: number) => acrossPx(view, across, y);
  return (
    <g clipPath="url(#clip-plan)">
      <text x={10} y={top + 20} className="label" fontSize={12} fill="var(--color-pencil)">
        Plan · left on top
      </text>
      <path d={`M0 ${py(0)}H${view.width}`} stroke="var(--color-rule)" strokeDasharray="12 4 3 4" />
      {members.map(({ id, name, x, length, left, right, misfit, assumed, chosen }) => {
        const number = /\d+/.exec(name)?.[0];
        return (
          <g
            key={id}
            className={`pointer-events-auto cursor-pointer ${chosen ? 'text-layout' : 'text-pencil'}`}
            onClick={() => onSelect(id)}
          >
            <title>{name}</title>
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
            {number && view.scale > 0.1 && (
              <text
                x={px(x)}
                y={py(0)}
                dy="0.34em"
                textAnchor="middle"
                fontSize={11}
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
      {ghost && <DonorGhost donor={ghost} what="plan" {...{ view, across, section }} />}
    </g>
  );
}
