import { type Job, type PlanResult, type Section } from '@splay/core';
import { Dimension } from './dimension.tsx';
import { chainOf, type ChainLink, DimensionChain } from './dimension-chain.tsx';
import { RailDifference } from './rail-difference.tsx';
import { ReworkMark } from './rework-mark.tsx';
import { type Across, acrossPx, Steel } from './steel.tsx';
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

/** The left rail seen from outside, to scale, with the lengths that matter: what moves when a cut is moved. */
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
  const shown = showBefore ? donor : result;
  const { before, after } = result.measures;
  const axle = (role: 'front' | 'rear', from: PlanResult) =>
    from.axles.find((candidate) => candidate.item.role === role && candidate.built);
  const [front, rear] = [axle('front', shown), axle('rear', shown)];
  const wheelbase = showBefore ? before.wheelbase : after.wheelbase;
  const railTop = acrossPx(view, across, 0);
  const cuts = [...result.joints, ...result.cutEnds];
  const chosenCut = cuts.find((cut) => cut.operation === selected);
  const added = result.tape.spans
    .filter((span) => span.kind === 'new')
    .map((span) => [span.builtFrom, span.builtTo] as const);
  // Lines of dimensions: the wheelbase, the selected cut from the datum hole, and the chain through all cuts, whose
  // figures may stand above it.
  const datumY = top + height - 48;
  const links = chainOf(
    datum,
    cuts.map((cut) => cut.builtX),
    added,
  );
  const fromDatum = chosenCut ? datumToCut(datum, chosenCut, links) : null;
  const laneY = fromDatum ? datumY - 27 : datumY;
  // Clear of the figures of folds, which stand on the tape.
  const wheelbaseY = top + height - 23;

  return (
    <g clipPath="url(#clip-side)">
      <Steel {...{ result, donor, view, across, section, showBefore, trims }} what="side" />
      {!showBefore &&
        result.reworks.map((rework) => (
          <ReworkMark key={rework.operation.id} {...{ rework, result, view, across, section }} />
        ))}

      {job.donor.rails.kind === 'measured' && (
        <RailDifference
          pieces={shown.pieces}
          format={job.display}
          y={railTop + 74}
          {...{ view, across, section, datum }}
        />
      )}
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
    </g>
  );
}
