import { type Conflict, type Job, otherUnitText, type PlanResult, type Section } from '@splay/core';
import { BodyOver } from './body-over.tsx';
import { ConflictMarks } from './conflict-marks.tsx';
import { Dimension } from './dimension.tsx';
import { chainOf, DimensionChain } from './dimension-chain.tsx';
import { FeatureSymbol, symbolOf } from './feature-symbol.tsx';
import { MovedThings } from './moved-things.tsx';
import { RailDifference } from './rail-difference.tsx';
import { ReworkMark } from './rework-mark.tsx';
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
  /** What a conflict that was pressed is about. */
  readonly pointed: string | null;
  readonly onSelect: (id: string) => void;
  readonly onPickConflict: (conflict: Conflict) => void;
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
  pointed,
  onSelect,
  onPickConflict,
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
  const cuts = [...result.joints, ...result.cutEnds];
  const chosenCut = cuts.find((cut) => cut.operation === selected);
  const added = result.tape.spans
    .filter((span) => span.kind === 'new')
    .map((span) => [span.builtFrom, span.builtTo] as const);
  // Three lines of dimensions: the selected cut from the datum hole, the chain through all cuts, the wheelbase.
  const datumY = top + height - 74;
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

      {job.donor.rails.kind === 'measured' && (
        <RailDifference pieces={shown.pieces} format={job.display} {...{ view, across, section, datum }} />
      )}
      {!showBefore && (
        <MovedThings result={result} selected={selected} place={(at) => ({ x: px(at.x), y: py(at.z) })} />
      )}

      {shown.features.map(({ feature, places }) => {
        const at = places.left?.built ?? places.right?.built;
        if (!at) return null;
        const chosen = selected === feature.id || pointed === feature.id;
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

      {!showBefore && cuts.length > 0 && (
        <DimensionChain
          links={chainOf(
            datum,
            cuts.map((cut) => cut.builtX),
            added,
          )}
          view={view}
          y={laneY}
          format={job.display}
        />
      )}
      {!showBefore && chosenCut && Math.abs(chosenCut.builtX - datum) > 0.5 && (
        <Dimension
          from={px(Math.min(datum, chosenCut.builtX))}
          to={px(Math.max(datum, chosenCut.builtX))}
          y={datumY}
          mm={chosenCut.builtX - datum}
          format={job.display}
          before={chosenCut.letter}
          strong
          className="text-layout"
        />
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
      {!showBefore && (
        <ConflictMarks conflicts={result.conflicts} view={view} y={railTop - 46} onPick={onPickConflict} />
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
