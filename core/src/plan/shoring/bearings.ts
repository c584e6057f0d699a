import { cutOf } from '../cut-moment.ts';
import { reworkLumps } from '../added-steel.ts';
import { frameLoads } from '../frame-loads.ts';
import type { Context } from '../context.ts';
import { featureOutcomes } from '../feature-outcome.ts';
import type { Standing } from '../measures.ts';
import type { Outcomes } from '../outcomes.ts';
import type { Ref, Vec3 } from '../../frame/index.ts';
import { endAt } from '../face.ts';
import { frontSpine, type Piece } from '../piece.ts';
import { unposed } from '../pose.ts';
import type { PlanStep } from '../plan-result.ts';
import { standingOf } from '../prepare.ts';
import type { PlanState } from '../state.ts';
import { type Bearing, type LadenPiece, steelBearings } from './held.ts';

/** What was on frames already looked at, evaluation by evaluation. */
const standings = new WeakMap<Outcomes, WeakMap<PlanState, Standing>>();

/**
 * Everything on the frame before an operation.
 *
 * @param outcomes The second stage of an evaluation.
 * @param state The frame before the operation.
 */
export function standingBefore(outcomes: Outcomes, state: PlanState): Standing {
  const looked = standings.get(outcomes) ?? new WeakMap<PlanState, Standing>();
  standings.set(outcomes, looked);
  const known = looked.get(state);
  if (known) return known;
  const { input, prepared, context, before } = outcomes;
  const { view, carriers, wanted } = prepared;
  const features = featureOutcomes(state, view.seats, context, before);
  const looking = {
    frame: input.donor,
    view,
    donor: prepared.state,
    carriers,
    wanted,
    stays: input.plan.stays,
    context,
    made: state,
  };
  const standing = standingOf(state, features, looking, before);
  looked.set(state, standing);
  return standing;
}

/** What carries a point, and what carries that: an axle rides on its suspension. */
function carriersUp(id: string, carriers: Outcomes['prepared']['carriers']): readonly Ref[] {
  const found: Ref[] = [];
  for (let next = carriers.get(id); next && found.length < carriers.size; next = carriers.get(next.id))
    found.push(next);
  return found;
}

/**
 * What a unit carries bears at its mounts, shared as by springs that give alike; anything else where it is.
 *
 * @param standing Everything on the frame, where it is.
 * @param off Ids of what is off the frame.
 * @param carriers What carries each axle and point, by its id.
 */
export function bearingsOf(
  standing: Standing,
  off: ReadonlySet<string>,
  carriers: Outcomes['prepared']['carriers'],
): Bearing[] {
  return frameLoads(standing).flatMap((load): Bearing[] => {
    const chain = load.ref.kind === 'point' ? carriersUp(load.ref.id, carriers) : [];
    if (off.has(load.ref.id) || chain.some(({ id }) => off.has(id))) return [];
    const under = chain.find(({ kind }) => kind === 'unit');
    const unit = under && standing.units.find((each) => each.unit.id === under.id);
    const mounts = unit?.mounts.flatMap(({ built }) => (built ? [built.x] : [])) ?? [];
    if (mounts.length < 2) return [{ ...load, run: 0 }];
    const mean = mounts.reduce((sum, x) => sum + x, 0) / mounts.length;
    const spread = mounts.reduce((sum, x) => sum + (x - mean) ** 2, 0);
    return mounts.map((x) => {
      const share = 1 / mounts.length + (spread > 0 ? ((load.at.x - mean) * (x - mean)) / spread : 0);
      return { ...load, mass: load.mass * share, at: { ...load.at, x }, run: 0 };
    });
  });
}

/**
 * Units that are on the frame and carry no weight that is known.
 *
 * @param off Ids of what is off the frame.
 * @param carriers What carries each axle and point, by its id.
 */
export const weightlessOn = (
  { units, points }: Standing,
  off: ReadonlySet<string>,
  carriers: Outcomes['prepared']['carriers'],
): string[] =>
  units.flatMap(({ unit }) => {
    const weighs = points.some(
      ({ item }) => item.mass > 0 && carriersUp(item.id, carriers).some(({ id }) => id === unit.id),
    );
    return weighs || off.has(unit.id) ? [] : [unit.name];
  });

/** How far a point lies behind the front face of a piece, mm along the piece; below 0 ahead of it. */
function behindFace({ pose, front }: Piece, { x, z }: Vec3): number {
  const local = unposed(pose, x, z);
  return local.x - endAt(front, 'front', local.z);
}

/**
 * What is spread along a line, cut where the pieces of a step are parted: each part bears on its own piece.
 *
 * @param pieces The pieces at the moment of the cut, front to rear.
 * @param bearing What bears on them.
 */
function cutApart(
  pieces: readonly Piece[],
  bearing: Bearing,
): readonly { readonly index: number; readonly bearing: Bearing }[] {
  const at = (share: number): Vec3 => {
    const [a, b] = bearing.line as readonly [Vec3, Vec3];
    const mix = (axis: keyof Vec3) => a[axis] + share * (b[axis] - a[axis]);
    return { x: mix('x'), y: mix('y'), z: mix('z') };
  };
  const behind = pieces.slice(1);
  const breaks = behind.flatMap((piece) => {
    const [a, b] = [behindFace(piece, at(0)), behindFace(piece, at(1))];
    return a * b < 0 ? [a / (a - b)] : [];
  });
  const shares = [0, ...breaks.sort((a, b) => a - b), 1];
  return shares.slice(1).map((to, step) => {
    const from = shares[step] as number;
    const middle = at((from + to) / 2);
    return {
      index: behind.filter((piece) => behindFace(piece, middle) >= 0).length,
      bearing: {
        ...bearing,
        mass: bearing.mass * (to - from),
        at: middle,
        run: Math.abs(at(to).x - at(from).x),
        line: [at(from), at(to)],
      },
    };
  });
}

/**
 * The pieces of a step with what bears on each; what bears beyond the ends bears on the end piece. A member or a brace that the
 * cut runs through bears on both sides of it, each part with its own weight.
 *
 * @param step The step.
 * @param bearings What bears on the frame.
 * @param context Sections and density.
 */
export function ladenPieces(step: PlanStep, bearings: readonly Bearing[], context: Context): LadenPiece[] {
  const pieces = cutOf(step);
  const begins = pieces.map((piece) => frontSpine(piece).x);
  const over = (x: number) =>
    Math.max(
      0,
      begins.findLastIndex((begin) => x >= begin),
    );
  const taken = step.state.removed.filter(({ operation }) => operation === step.outcome.operation.id);
  const placed = bearings.flatMap((bearing) =>
    bearing.line ? cutApart(pieces, bearing) : [{ index: over(bearing.at.x), bearing }],
  );
  const { reworks } = step.before;
  return pieces.map((piece, index) => ({
    piece,
    reworks: reworks.filter(({ source }) => source === piece.source),
    removed: taken.some(({ front, rear }) => front === piece.front && rear === piece.rear),
    bearings: [
      ...steelBearings(piece, context),
      ...reworkLumps(piece, reworks, context).map((lump) => ({ ref: null, name: 'added steel', ...lump })),
      ...placed.filter((each) => each.index === index).map(({ bearing }) => bearing),
    ],
  }));
}
