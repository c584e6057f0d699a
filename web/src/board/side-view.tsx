import { type Body, type Job, otherUnitText, type PlanResult, type Section } from '@splay/core';
import { Dimension } from './dimension.tsx';
import { FeatureSymbol, symbolOf } from './feature-symbol.tsx';
import { type Across, acrossPx, Steel } from './steel.tsx';
import { SvgLength } from './svg-length.tsx';
import { toPx, type View } from './view.ts';

export interface ViewProps {
  readonly job: Job;
  readonly result: PlanResult;
  readonly donor: PlanResult;
  readonly view: View;
  readonly top: number;
  readonly height: number;
  readonly section: (id: string) => Section;
  readonly datum: number;
  readonly showBefore: boolean;
  readonly trims: ReadonlySet<string>;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
}

/** The left rail seen from outside, to scale: steel, what hangs on it, wheels, the body's outline, and the lengths that matter. */
export function SideView({
  job,
  result,
  donor,
  view,
  top,
  height,
  section,
  datum,
  showBefore,
  trims,
  selected,
  onSelect,
}: ViewProps) {
  const across: Across = { zero: top + height * 0.46, sign: -1 };
  const px = (x: number) => toPx(view, x);
  const py = (z: number) => acrossPx(view, across, z);
  const shown = showBefore ? donor : result;
  const { before, after } = result.measures;
  const axle = (role: 'front' | 'rear', from: PlanResult) =>
    from.axles.find((candidate) => candidate.item.role === role && candidate.built);
  const [front, rear, rearBefore] = [axle('front', shown), axle('rear', shown), axle('rear', donor)];
  const wheelbase = showBefore ? before.wheelbase : after.wheelbase;
  const railTop = py(0);
  const firstJoint = result.joints[0];
  const laneY = top + height - 46;
  const wheelbaseY = top + height - 18;

  return (
    <g clipPath="url(#clip-side)">
      <text x={10} y={top + 18} className="label" fontSize={12} fill="var(--color-pencil)">
        Side · left rail
      </text>

      {!showBefore && rearBefore?.built && rear?.built && Math.abs(rearBefore.built.x - rear.built.x) > 1 && (
        <circle
          cx={px(rearBefore.built.x)}
          cy={py(rearBefore.built.z)}
          r={rearBefore.item.tyreRadius * view.scale}
          fill="none"
          stroke="var(--color-rule)"
          strokeDasharray="1 4"
          strokeWidth={1.5}
        />
      )}
      {shown.axles.map(
        ({ item, built }) =>
          built && (
            <g key={item.id} fill="none" stroke="var(--color-graphite)">
              <circle
                cx={px(built.x)}
                cy={py(built.z)}
                r={item.tyreRadius * view.scale}
                strokeDasharray="2 4"
                strokeWidth={1.6}
              />
              <path d={`M${px(built.x)} ${top + 26}V${top + height}`} strokeDasharray="9 3 2 3" strokeWidth={0.8} />
            </g>
          ),
      )}

      {job.body && job.body.outline.length > 1 && front?.built && <BodyOver body={job.body} px={px} py={py} />}

      {shown.crossmembers.map(({ crossmember, built }) => {
        if (!built) return null;
        const [w, h] = [crossmember.length * view.scale, crossmember.depth * view.scale];
        return (
          <rect
            key={crossmember.id}
            x={px(built.x) - w / 2}
            y={py(built.z)}
            width={w}
            height={h}
            fill="var(--color-bench)"
            stroke="var(--color-pencil)"
            strokeWidth={0.9}
          />
        );
      })}
      <Steel {...{ result, donor, view, across, section, showBefore, trims }} what="side" />
      {!showBefore &&
        result.reworks.map((rework) => (
          <ReworkMark key={rework.operation.id} {...{ rework, result, view, across, section }} />
        ))}

      {shown.features.map(({ feature, places }) => {
        const at = places.left?.built ?? places.right?.built;
        if (!at) return null;
        const chosen = selected === feature.id;
        return (
          <g
            key={feature.id}
            transform={`translate(${px(at.x)} ${py(at.z)})`}
            className={`cursor-pointer ${chosen ? 'text-layout' : 'text-graphite'}`}
            onClick={() => onSelect(feature.id)}
          >
            <title>{`${feature.name}, ${otherUnitText(at.x - datum, job.display)} from the datum hole`}</title>
            {chosen && <circle r={9} fill="none" stroke="var(--color-layout)" strokeWidth={2} />}
            <FeatureSymbol name={symbolOf(feature.kind)} width={feature.length * view.scale} />
          </g>
        );
      })}

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

      {!showBefore && firstJoint && (
        <>
          <Dimension
            from={px(datum)}
            to={px(firstJoint.builtX)}
            y={laneY}
            mm={firstJoint.builtX - datum}
            format={job.display}
          />
          {result.tape.spans
            .filter((span) => span.kind === 'new')
            .map((span) => (
              <Dimension
                key={span.piece}
                from={px(span.builtFrom)}
                to={px(span.builtTo)}
                y={laneY}
                mm={span.builtTo - span.builtFrom}
                format={job.display}
                signed
                strong
                className="text-layout"
              />
            ))}
        </>
      )}
      {front?.built && rear?.built && wheelbase !== null && (
        <Dimension
          from={px(front.built.x)}
          to={px(rear.built.x)}
          y={wheelbaseY}
          mm={wheelbase}
          format={job.display}
          before="WB"
          strong
        />
      )}
      {!showBefore &&
        rearBefore?.built &&
        before.wheelbase !== null &&
        after.wheelbase !== null &&
        Math.abs(before.wheelbase - after.wheelbase) > 0.1 && (
          <text
            x={px(rearBefore.built.x)}
            y={top + 18}
            textAnchor="middle"
            fontSize={13}
            fill="var(--color-pencil)"
            className="font-label"
            fontWeight={500}
          >
            was <SvgLength mm={before.wheelbase} format={job.display} />
          </text>
        )}
    </g>
  );
}

/** How much of the body is drawn over its floor, mm: enough to see where it ends and sits. */
const BODY_SHOWN = 420;

/** The underside of the body's floor with the feet of its walls, and where it wants to sit. */
function BodyOver({
  body,
  px,
  py,
}: {
  readonly body: Body;
  readonly px: (x: number) => number;
  readonly py: (z: number) => number;
}) {
  const floor = Math.min(...body.outline.map(({ z }) => z));
  const front = Math.min(...body.outline.map(({ x }) => x));
  return (
    <g stroke="var(--color-ochre)" fill="none" strokeWidth={1.6}>
      <clipPath id="clip-body">
        <rect x={-1e4} y={py(floor + BODY_SHOWN)} width={3e4} height={BODY_SHOWN * 2} />
      </clipPath>
      <path
        clipPath="url(#clip-body)"
        d={`${body.outline.map(({ x, z }, index) => `${index ? 'L' : 'M'}${px(x)} ${py(z)}`).join('')}Z`}
        strokeDasharray="8 4"
      />
      {body.mounts
        .filter((mount) => mount.y < 0)
        .map((mount) => (
          <path key={mount.id} d={`M${px(mount.x) - 5} ${py(mount.z)}h10M${px(mount.x)} ${py(mount.z)}v-7`} />
        ))}
      <text
        x={px(front) + 40}
        y={py(floor) - 16}
        fontSize={13}
        fill="var(--color-ochre)"
        stroke="none"
        className="font-label"
        fontWeight={500}
      >
        {body.name}, floor
      </text>
    </g>
  );
}

function ReworkMark({
  rework,
  result,
  view,
  across,
  section,
}: {
  readonly rework: PlanResult['reworks'][number];
  readonly result: PlanResult;
  readonly view: View;
  readonly across: Across;
  readonly section: (id: string) => Section;
}) {
  const piece = result.pieces.find(
    (candidate) =>
      candidate.source === rework.source && candidate.front.x <= rework.from && candidate.rear.x >= rework.to,
  );
  const station =
    piece?.rails.left.filter((candidate) => candidate.x <= (rework.from + rework.to) / 2).at(-1) ??
    piece?.rails.left[0];
  if (!piece || !station) return null;
  const depth = section(station.section).depth;
  const [left, right] = [toPx(view, rework.from + piece.pose.dx), toPx(view, rework.to + piece.pose.dx)];
  const top = acrossPx(view, across, station.top + piece.pose.dz);
  const { operation } = rework;
  if (operation.kind === 'box')
    return (
      <rect
        x={left}
        y={top}
        width={right - left}
        height={depth * view.scale}
        fill="url(#hatch-boxed)"
        stroke="var(--color-layout)"
        strokeDasharray="5 2"
      />
    );
  const deep = operation.depth * view.scale;
  const y = operation.from === 'below' ? top + depth * view.scale : top;
  const way = operation.from === 'below' ? -1 : 1;
  return (
    <path
      d={`M${left} ${y}C${left} ${y + way * deep * 1.3} ${right} ${y + way * deep * 1.3} ${right} ${y}Z`}
      fill="url(#hatch-cut)"
      stroke="var(--color-oxide)"
      strokeWidth={1.5}
    />
  );
}
