import { railAt, SIDES } from '../../frame/index.ts';
import { type Beam, type Kerf, kerfAt, type Neutral, neutralAt, type Shore, SHORE_FACTS } from '../../shoring/index.ts';
import type { Context } from '../context.ts';
import { frontSpine, frontTop } from '../piece.ts';
import type { PlanStep } from '../plan-result.ts';
import { beamOf, type LadenPiece, pieceOver, supportsOf, touchesAt } from './held.ts';

/** What is to be done at a cut, from what the steel carries there. */
interface CutAdvice {
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
export interface ShoringCut {
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

/**
 * What the stands of a cut must carry so that nothing is in the steel there.
 *
 * @param cut The cut.
 * @returns Null unless at least two stand on each side of it, and each side balances on its own.
 */
export const neutralOf = ({ beam, stands, x }: ShoringCut): Neutral | null => neutralAt(beam, stands, x);

export interface Bodies {
  readonly step: PlanStep;
  readonly pieces: readonly LadenPiece[];
  readonly shores: readonly Shore[];
  readonly names: ReadonlyMap<number, string>;
  readonly context: Context;
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

const touchesOn = ({ pieces, shores, context }: Bodies, [first, last]: readonly [number, number]) =>
  shores.flatMap((shore) => {
    const index = pieceOver(pieces, shore.x);
    const piece = pieces[index]?.piece;
    if (!piece || index < first || index > last || SHORE_FACTS[shore.kind].does === 'ties') return [];
    return touchesAt(shore, piece, context).map((touch) => ({ shore, ...touch }));
  });

/** What ties the pieces ahead of a parting to those behind it. */
const tiesOver = ({ pieces, shores }: Bodies, behind: number): readonly Shore[] =>
  shores.filter(({ kind, x, to }) => {
    const { does, trusted } = SHORE_FACTS[kind];
    if (does !== 'ties' || !trusted) return false;
    const [a, b] = [pieceOver(pieces, Math.min(x, to)), pieceOver(pieces, Math.max(x, to))];
    return a >= 0 && b >= 0 && a <= behind && b > behind;
  });

function cutOf(
  bodies: Bodies,
  body: readonly [number, number],
  behind: number,
  holding: readonly string[],
): ShoringCut {
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
    ...tiesOver(bodies, behind).map(({ kind }) => SHORE_FACTS[kind].name.toLowerCase()),
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

/**
 * Cuts of one step: first the one at which less is in the steel, then the other from what is left.
 *
 * @param bodies The pieces of the step with what holds them.
 * @param behinds Behind which pieces the steel is parted.
 * @param holding Names of units that hold both sides of a parting.
 */
export function cutsInOrder(
  bodies: Bodies,
  behinds: readonly number[],
  holding: (behind: number) => readonly string[],
): ShoringCut[] {
  const cuts: ShoringCut[] = [];
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
    const bending = ({ kerf }: ShoringCut) => Math.abs(kerf.before?.moment ?? Infinity);
    const next = tried.reduce((best, each) => (bending(each) < bending(best) - 1e-6 ? each : best));
    cuts.push(next);
    left = left.filter((behind) => behind !== next.behind);
  }
  return cuts;
}
