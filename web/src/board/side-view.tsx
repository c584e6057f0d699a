import { type Job, type PlanResult, type Section } from '@splay/core';
import { BodyOver } from './body-over.tsx';
import { Dimension } from './dimension.tsx';
import { chainOf, type ChainLink, DimensionChain } from './dimension-chain.tsx';
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
}

/** The selected cut's own dimension from the datum hole, unless the chain says the same. */
function datumToCut(
  datum: number,
  cut: { readonly letter: string; readonly builtX: number },
  links: readonly ChainLink[],
) {
  const [from, to] = [Math.min(datum, cut.builtX), Math.max(datum, cut.builtX)];
  const said = links.some((link) => Math.abs(link.from - from) < 0.5 && Math.abs(link.to - to) < 0.5);
  return said || to - from < 0.5 ? null : { from, to, mm: cut.builtX - datum, letter: cut.letter };
}

/** Where the datum plane lies in a side view, px. */
export const sideZero = (top: number, height: number): number => top + height * 0.46;

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
}: ViewProps) {
  const across: Across = { zero: sideZero(top, height), sign: -1 };
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
  // Lines of dimensions: the wheelbase, the selected cut from the datum hole, and the chain through all cuts, whose
  // figures may stand above it.
  const datumY = top + height - 45;
  const links = chainOf(
    datum,
    cuts.map((cut) => cut.builtX),
    added,
  );
  const fromDatum = chosenCut ? datumToCut(datum, chosenCut, links) : null;
  const laneY = fromDatum ? datumY - 27 : datumY;
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
        <RailDifference
          pieces={shown.pieces}
          format={job.display}
          y={railTop + 78}
          {...{ view, across, section, datum }}
        />
      )}
      {!showBefore && (
        <MovedThings result={result} selected={selected} place={(at) => ({ x: px(at.x), y: py(at.z) })} />
      )}

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

      {!showBefore && cuts.length > 0 && <DimensionChain links={links} view={view} y={laneY} format={job.display} />}
      {!showBefore && fromDatum && (
        <Dimension
          from={px(fromDatum.from)}
          to={px(fromDatum.to)}
          y={datumY}
          mm={fromDatum.mm}
          format={job.display}
          before={fromDatum.letter}
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
