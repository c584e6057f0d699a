import { railAt, SIDES } from '../../frame/index.ts';
import { ruleValue } from '../../rules/index.ts';
import {
  type Beam,
  type Kerf,
  kerfAt,
  type Neutral,
  neutralAt,
  type Prop,
  PROP_FACTS,
  weightOf,
} from '../../props/index.ts';
import { burdensOn } from '../burdens.ts';
import type { Context } from '../context.ts';
import { dotted, operationName } from '../operations/index.ts';
import type { Operation } from '../operations/index.ts';
import { featureOutcomes } from '../feature-outcome.ts';
import type { Standing } from '../measures.ts';
import type { Outcomes } from '../outcomes.ts';
import type { PlanStep } from '../plan-result.ts';
import { frontSpine, frontTop, rearTop, spine } from '../piece.ts';
import { standingOf } from '../prepare.ts';
import type { PlanState } from '../state.ts';
import {
  beamOf,
  type Bearing,
  type HeldPart,
  heldPart,
  type LadenPiece,
  pieceOver,
  steelBearings,
  supportsOf,
  touchesAt,
} from './held.ts';

/** What is to be done at a cut, from what the steel carries there. */
export interface CutAdvice {
  /** Where the kerf closes on the blade. */
  readonly pinches: 'top' | 'bottom' | 'neither';
  /** The side to begin from: the one that opens. */
  readonly begin: 'top' | 'bottom' | 'either';
  /** Where the last of the steel is left: at the side that closes. */
  readonly last: 'top' | 'bottom' | 'either';
  /** Which side goes down when the last of it lets go, and by how much by springing alone, mm. */
  readonly drops: { readonly side: 'front' | 'rear'; readonly by: number | null } | null;
}

/** One cut through both rails, in the order in which they are made. mm, N, N·mm. */
export interface PropCut {
  /** Its letter, and which of two lines where it has two. */
  readonly name: string;
  /** Between which pieces of the step it is: behind this one. */
  readonly behind: number;
  /** Where the frame stands then, and on the donor; null on new rail. */
  readonly x: number;
  readonly donorX: number | null;
  readonly depth: number;
  readonly kerf: Kerf;
  readonly advice: CutAdvice;
  /** The beam that is cut, and the stations of what holds it up. */
  readonly beam: Beam;
  readonly stands: readonly number[];
  /** What ties both sides once it is through. */
  readonly tied: readonly string[];
  /** Bending that ties then hold instead of the steel, N·mm; null where nothing ties or nothing held it before. */
  readonly inTies: number | null;
}

/** A unit that stands on both sides of a cut. */
export interface Spanning {
  readonly unit: string;
  readonly name: string;
  readonly ahead: readonly string[];
  readonly behind: readonly string[];
  /** Counted on to hold both. */
  readonly holds: boolean;
}

/** One operation of the plan, from the frame that stands to its parts that lie apart. */
export interface PropStep {
  readonly operation: Operation;
  readonly name: string;
  readonly letters: readonly string[];
  /** The pieces at the moment of the cut, front to rear, where they stood. */
  readonly pieces: readonly LadenPiece[];
  /** The frame before the cut. */
  readonly whole: HeldPart;
  readonly cuts: readonly PropCut[];
  /** What is loose when all its cuts are through, front to rear; what is tied together is one. */
  readonly loose: readonly HeldPart[];
  readonly spanning: readonly Spanning[];
  /** Names of units on the frame that nobody has given a weight: nothing of them is in the figures. */
  readonly weightless: readonly string[];
  /** Props with nothing over them at this step. */
  readonly idle: readonly Prop[];
}

/** Everything on the frame before an operation. */
function standingBefore(outcomes: Outcomes, state: PlanState): Standing {
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
  };
  return standingOf(state, features, looking, before);
}

/** What a unit carries bears at its mounts, shared as by springs that give alike; anything else where it is. */
function bearingsOf(
  standing: Standing,
  off: ReadonlySet<string>,
  carriers: Outcomes['prepared']['carriers'],
): Bearing[] {
  return burdensOn(standing).flatMap((burden): Bearing[] => {
    const carrier = burden.ref.kind === 'point' ? (carriers.get(burden.ref.id) ?? null) : null;
    if (off.has(burden.ref.id) || (carrier && off.has(carrier.id))) return [];
    const unit = carrier?.kind === 'unit' ? standing.units.find((each) => each.unit.id === carrier.id) : undefined;
    const mounts = unit?.mounts.flatMap(({ built }) => (built ? [built.x] : [])) ?? [];
    if (mounts.length < 2) return [{ ...burden, run: 0 }];
    const mean = mounts.reduce((sum, x) => sum + x, 0) / mounts.length;
    const spread = mounts.reduce((sum, x) => sum + (x - mean) ** 2, 0);
    return mounts.map((x) => {
      const share = 1 / mounts.length + (spread > 0 ? ((burden.at.x - mean) * (x - mean)) / spread : 0);
      return { ...burden, mass: burden.mass * share, at: { ...burden.at, x }, run: 0 };
    });
  });
}

/** Units that are on the frame and carry no weight that is known. */
const weightlessOn = (
  { units, points }: Standing,
  off: ReadonlySet<string>,
  carriers: Outcomes['prepared']['carriers'],
): string[] =>
  units.flatMap(({ unit }) => {
    const weighs = points.some(({ item }) => item.mass > 0 && carriers.get(item.id)?.id === unit.id);
    return weighs || off.has(unit.id) ? [] : [unit.name];
  });

/** The pieces of a step with what bears on each; what bears beyond the ends bears on the end piece. */
function ladenPieces(step: PlanStep, bearings: readonly Bearing[], context: Context): LadenPiece[] {
  const begins = step.cut.map((piece) => frontSpine(piece).x);
  const over = (x: number) =>
    Math.max(
      0,
      begins.findLastIndex((begin) => x >= begin),
    );
  const taken = step.state.removed.filter(({ operation }) => operation === step.outcome.operation.id);
  return step.cut.map((piece, index) => ({
    piece,
    removed: taken.some(({ front, rear }) => front === piece.front && rear === piece.rear),
    bearings: [...steelBearings(piece, context), ...bearings.filter(({ at }) => over(at.x) === index)],
  }));
}

const opposite = { top: 'bottom', bottom: 'top' } as const;

function adviceOf(kerf: Kerf): CutAdvice {
  const { closes, front, rear, before } = kerf;
  const standing = front.state === 'stays' && rear.state === 'stays';
  const falls = (['front', 'rear'] as const).find(
    (side) => kerf[side].state === 'tips' || kerf[side].state === 'falls',
  );
  const lower = kerf.step === null || Math.abs(kerf.step) < 1e-6 ? null : kerf.step < 0 ? 'front' : 'rear';
  // The rail in front hangs on the one behind where what is in front of the cut stands on too little.
  const byShear = !before || Math.abs(before.shear) < 1e-6 ? null : before.shear < 0 ? 'front' : 'rear';
  return {
    pinches: closes,
    begin: closes === 'neither' ? 'either' : opposite[closes],
    last: closes === 'neither' ? 'either' : closes,
    drops: standing
      ? lower && { side: lower, by: Math.abs(kerf.step ?? 0) }
      : falls
        ? { side: falls, by: null }
        : byShear && { side: byShear, by: null },
  };
}

/** Where the steel is parted by an operation: behind which pieces. */
const partings = ({ cut }: PlanStep, operation: string): number[] =>
  cut.slice(1).flatMap((piece, index) => {
    const before = cut[index];
    return before?.rear.operation === operation || piece.front.operation === operation ? [index] : [];
  });

/**
 * What the stands of a cut must carry so that nothing is in the steel there.
 *
 * @param cut The cut.
 * @returns Null unless two stand on each side of it, and each side balances between its two.
 */
export const neutralOf = ({ beam, stands: [a, b, c, d, ...more], x }: PropCut): Neutral | null =>
  a === undefined || b === undefined || c === undefined || d === undefined || more.length > 0
    ? null
    : neutralAt(beam, [a, b, c, d], x);

interface Bodies {
  readonly step: PlanStep;
  readonly pieces: readonly LadenPiece[];
  readonly props: readonly Prop[];
  readonly names: ReadonlyMap<number, string>;
  readonly context: Context;
}

const touchesOn = ({ pieces, props, context }: Bodies, [first, last]: readonly [number, number]) =>
  props.flatMap((prop) => {
    const index = pieceOver(pieces, prop.x);
    const piece = pieces[index]?.piece;
    if (!piece || index < first || index > last || PROP_FACTS[prop.kind].does === 'ties') return [];
    return touchesAt(prop, piece, context).map((touch) => ({ prop, ...touch }));
  });

/** What ties the pieces ahead of a parting to those behind it. */
const tiesOver = ({ pieces, props }: Bodies, behind: number): readonly Prop[] =>
  props.filter(({ kind, x, to }) => {
    const { does, trusted } = PROP_FACTS[kind];
    if (does !== 'ties' || !trusted) return false;
    const [a, b] = [pieceOver(pieces, Math.min(x, to)), pieceOver(pieces, Math.max(x, to))];
    return a >= 0 && b >= 0 && a <= behind && b > behind;
  });

function cutOf(bodies: Bodies, body: readonly [number, number], behind: number, holding: readonly string[]): PropCut {
  const { pieces, context } = bodies;
  const { piece } = pieces[behind + 1] as LadenPiece;
  const x = frontSpine(piece).x;
  const depth = Math.max(
    ...SIDES.map((side) => context.section(railAt(piece.rails[side], frontTop(piece)).section).depth),
  );
  const beam = beamOf(pieces.slice(body[0], body[1] + 1), context);
  const supports = supportsOf(touchesOn(bodies, body));
  const kerf = kerfAt(beam, supports, x, depth);
  const ups = supports.filter(({ way }) => way !== 'pull').map((each) => each.x);
  const tied = [
    // The flange that a pie cut turns about is never cut.
    ...(bodies.step.outcome.operation.kind === 'pie-cut' ? ['the flange that it folds about'] : []),
    ...tiesOver(bodies, behind).map(({ kind }) => PROP_FACTS[kind].name.toLowerCase()),
    ...holding,
  ];
  return {
    name: bodies.names.get(behind) ?? '',
    behind,
    x,
    donorX: piece.source === 'donor' ? frontTop(piece) : null,
    depth,
    kerf,
    advice: adviceOf(kerf),
    beam,
    stands: supports.length === ups.length ? ups : [],
    tied,
    inTies: tied.length > 0 && kerf.before ? kerf.before.moment : null,
  };
}

/** Cuts of one step: first the one at which less is in the steel, then the other from what is left. */
function cutsInOrder(
  bodies: Bodies,
  behinds: readonly number[],
  holding: (behind: number) => readonly string[],
): PropCut[] {
  const cuts: PropCut[] = [];
  let left = behinds;
  while (left.length > 0) {
    const body = (behind: number): readonly [number, number] => {
      const done = cuts.map((cut) => cut.behind);
      return [
        Math.max(0, ...done.filter((each) => each < behind).map((each) => each + 1)),
        Math.min(bodies.pieces.length - 1, ...done.filter((each) => each > behind)),
      ];
    };
    const tried = left.map((behind) => cutOf(bodies, body(behind), behind, holding(behind)));
    const bending = ({ kerf }: PropCut) => Math.abs(kerf.before?.moment ?? Infinity);
    const next = tried.reduce((best, each) => (bending(each) < bending(best) - 1e-6 ? each : best));
    cuts.push(next);
    left = left.filter((behind) => behind !== next.behind);
  }
  return cuts;
}

/** Names of the partings of a step: its letters, and which line where one joint has two. */
function namesOf(step: PlanStep, letters: readonly string[], behinds: readonly number[]): ReadonlyMap<number, string> {
  const joint = letters.length > 0 ? dotted(letters) : operationName(step.outcome.operation);
  return new Map(
    behinds.map((behind, index) => [
      behind,
      behinds.length === 1
        ? joint
        : letters.length === behinds.length
          ? (letters[index] as string)
          : behinds.length === 2
            ? `${joint}, ${index === 0 ? 'front' : 'rear'} line`
            : `${joint}, line ${index + 1}`,
    ]),
  );
}

/** A part by where it lies: `A` and `B` are what was cut ahead of it and behind it. */
function partName(first: number, last: number, { pieces, names }: Bodies): string {
  const [ahead, behind] = [names.get(first - 1), names.get(last)];
  const cutOut = pieces.slice(first, last + 1).every(({ removed }) => removed);
  if (cutOut) return 'What is cut out';
  if (!ahead && !behind) return 'Whole frame';
  if (!ahead) return 'Front part';
  if (!behind) return 'Rear part';
  return `Part from ${ahead} to ${behind}`;
}

function spanningAt(
  standing: Standing,
  bodies: Bodies,
  behinds: readonly number[],
  off: ReadonlySet<string>,
  holding: ReadonlySet<string>,
): { readonly spanning: readonly Spanning[]; readonly over: (behind: number) => readonly string[] } {
  const begin = (index: number) => frontSpine((bodies.pieces[index] as LadenPiece).piece).x;
  const sides = standing.units.flatMap(({ unit, mounts }) => {
    if (off.has(unit.id)) return [];
    return behinds.flatMap((behind) => {
      const x = begin(behind + 1);
      const there = mounts.filter(({ built }) => built !== null);
      const ahead = there.filter(({ built }) => (built?.x ?? 0) < x).map(({ name }) => name);
      const after = there.filter(({ built }) => (built?.x ?? 0) >= x).map(({ name }) => name);
      return ahead.length > 0 && after.length > 0
        ? [{ at: behind, unit: unit.id, name: unit.name, ahead, behind: after, holds: holding.has(unit.id) }]
        : [];
    });
  });
  const seen = new Set<string>();
  return {
    spanning: sides.flatMap(({ at: _, ...each }) => (seen.has(each.unit) ? [] : (seen.add(each.unit), [each]))),
    over: (behind) => sides.flatMap(({ at, name, holds }) => (at === behind && holds ? [name] : [])),
  };
}

/**
 * How a frame stands on its props at each operation that cuts through its rails, before the cut and when it is through.
 *
 * @param outcomes The second stage of an evaluation.
 */
export function propSteps(outcomes: Outcomes): PropStep[] {
  const { input, context, prepared, steps, joints, cutEnds } = outcomes;
  const { props: all, level, off: away, holding } = input.plan.propping;
  const off = new Set(away);
  return steps.flatMap((step, at): PropStep[] => {
    const { operation, status } = step.outcome;
    const behinds = status === 'done' ? partings(step, operation.id) : [];
    if (behinds.length === 0) return [];
    const before = steps[at - 1]?.state ?? prepared.state;
    const standing = standingBefore(outcomes, before);
    const pieces = ladenPieces(step, bearingsOf(standing, off, prepared.carriers), context);
    const letters = [...joints, ...cutEnds]
      .filter((mark) => mark.operation === operation.id)
      .map(({ letter }) => letter)
      .sort();
    const props = all.filter((prop) => prop.step === null || prop.step === operation.id);
    const bodies: Bodies = { step, pieces, props, names: namesOf(step, letters, behinds), context };
    const { spanning, over } = spanningAt(standing, bodies, behinds, off, new Set(holding));
    const cuts = cutsInOrder(bodies, behinds, over);
    const last = pieces.length - 1;
    const parted = behinds.filter((behind) => cuts.find((cut) => cut.behind === behind)?.tied.length === 0);
    const begins = [0, ...parted.map((behind) => behind + 1)];
    const part = (first: number, end: number) =>
      heldPart(partName(first, end, bodies), [first, end], pieces, props, level, context);
    return [
      {
        operation,
        name: operationName(operation),
        letters,
        pieces,
        whole: part(0, last),
        cuts,
        loose: begins.map((first, index) => part(first, (begins[index + 1] ?? last + 1) - 1)),
        spanning,
        weightless: weightlessOn(standing, off, prepared.carriers),
        idle: props.filter(({ x }) => pieceOver(pieces, x) < 0),
      },
    ];
  });
}

/**
 * Where two stands under a part of a frame would carry it by themselves: as near as can be to a fifth of its length from
 * each end, clear of the cut and of what hangs below, with its centre of gravity well between them.
 *
 * @param pieces All pieces of the step.
 * @param range The part’s pieces, first and last.
 * @param keep Stretches on the donor where nothing can stand, mm.
 * @param context Rules.
 * @returns Two donor stations, front to rear; null where there is no room.
 */
export function standsUnder(
  pieces: readonly LadenPiece[],
  range: readonly [number, number],
  keep: readonly { readonly from: number; readonly to: number }[],
  context: Context,
): readonly [number, number] | null {
  const off = ruleValue(context.rules, 'props/off-cut');
  const margin = ruleValue(context.rules, 'props/margin');
  const own = pieces.slice(range[0], range[1] + 1);
  const spots = own.flatMap(({ piece }) => {
    if (piece.source !== 'donor') return [];
    const [from, to] = [frontTop(piece) + off, rearTop(piece) - off];
    return Array.from({ length: Math.max(0, Math.floor((to - from) / STEP) + 1) }, (_, index) => from + index * STEP)
      .map((x) => Math.round(x / STEP) * STEP)
      .filter((x) => x >= from && x <= to && !keep.some((each) => x > each.from && x < each.to))
      .map((x) => ({ donor: x, x: spine(piece, x).x }));
  });
  const { x: centre } = weightOf(beamOf(own, context).loads);
  const ends = own.map(({ piece }) => [spine(piece, frontTop(piece)).x, spine(piece, rearTop(piece)).x] as const);
  const [from, to] = [Math.min(...ends.map(([x]) => x)), Math.max(...ends.map(([, x]) => x))];
  const fifth = (to - from) / 5;
  const nearest = (wanted: number, some: typeof spots) =>
    some.reduce<(typeof spots)[0] | null>(
      (best, each) => (!best || Math.abs(each.x - wanted) < Math.abs(best.x - wanted) ? each : best),
      null,
    );
  // Where it balances off the middle, the stand on that side goes as far out as that asks for.
  const wide = Math.max(margin, fifth / 2);
  const first = nearest(
    Math.min(from + fifth, centre - wide),
    spots.filter(({ x }) => x <= centre - margin),
  );
  const last = nearest(
    Math.max(to - fifth, centre + wide),
    spots.filter(({ x }) => x >= centre + margin),
  );
  return first && last ? [first.donor, last.donor] : null;
}

/** Grid that stands are looked for on, mm. */
const STEP = 12.7;
