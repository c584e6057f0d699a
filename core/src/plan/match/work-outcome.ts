import type { Body, DeckLayer, DeckMechanism, WorkBody } from '../../body/index.ts';
import { type Axle, type FramePoint, type Side, SIDES } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { CrossmemberOutcome } from '../crossmember-outcome.ts';
import type { FeatureOutcome } from '../feature-outcome.ts';
import type { FrameEnd } from '../frame-ends.ts';
import type { Piece } from '../piece.ts';
import type { RiderOutcome } from '../rider-outcome.ts';
import { settled } from '../../units/index.ts';
import { axleUnder } from './openings.ts';
import type { Obstacles } from './obstacles.ts';

/** An open layer of a deck's stack, and how much room it leaves beyond what must pass through; below 0 it is pinched. */
interface OpenLayer {
  readonly layer: DeckLayer;
  readonly left: number;
}

/** Where a mechanism under a deck may stand, built stations, mm, and what moving it trades. */
interface MechanismOutcome {
  readonly mechanism: DeckMechanism;
  readonly hingeX: number;
  readonly at: number;
  /** Whether that is within what it works with. */
  readonly works: boolean;
  /**
   * Stretches within its range where its foot meets no crossmember and no box between the rails, front to rear. A crossmember that the
   * plan puts under its foot carries it, and is not in its way.
   */
  readonly clear: readonly (readonly [from: number, to: number])[];
  /** What it would stand on where it is meant to. */
  readonly standsOn: readonly string[];
  /** Holes of the rails under its foot, on both sides or one, that it can be bolted through. */
  readonly holes: readonly {
    readonly id: string;
    readonly name: string;
    readonly x: number;
    readonly sides: readonly Side[];
  }[];
  /**
   * By levers, against standing as far ahead as it may: the share of its capacity that is left, and how many times as high
   * its stroke lifts the end of the deck.
   */
  readonly capacity: number;
  readonly lift: number;
}

/** What a deck asks of the frame, and what the frame gives it. mm. */
export interface WorkOutcome {
  readonly work: WorkBody;
  /** From the back of the cab to the rear axle: asked for by the deck, there on the built frame; null without either. */
  readonly cabToAxle: { readonly asked: number; readonly has: number | null };
  /** The longest deck with the same share behind the axle that the frame takes; null where its cab or axle is not known. */
  readonly longest: number | null;
  /** Behind the axle; and beyond the end of the frame, by its farthest corner. */
  readonly overhang: number;
  readonly beyondFrame: number | null;
  /** The end of the frame that it is measured to. */
  readonly frameEnd: FrameEnd;
  readonly deckHeight: number;
  readonly open: readonly OpenLayer[];
  readonly mechanism: MechanismOutcome | null;
}

interface Under {
  readonly pieces: readonly Piece[];
  readonly axles: readonly RiderOutcome<Axle>[];
  readonly points: readonly RiderOutcome<FramePoint>[];
  readonly crossmembers: readonly CrossmemberOutcome[];
  readonly features: readonly FeatureOutcome[];
  readonly obstacles: () => Obstacles;
  /** The rear end of the frame. */
  readonly end: FrameEnd;
}

/** Stretches of the boxes that reach between the rails, mm. */
function boxesBetween({ obstacles, pieces }: Under): { name: string; from: number; to: number }[] {
  const outside = Math.max(
    ...pieces.flatMap(({ rails, spread }) => SIDES.flatMap((side) => rails[side].map((at) => at.halfWidth + spread))),
  );
  return obstacles().rooms.flatMap(({ name, stations }) => {
    const inside = stations.filter(({ y: [left, right] }) => left < outside && right > -outside);
    const xs = inside.map(({ x }) => x);
    return xs.length > 0 ? [{ name, from: Math.min(...xs), to: Math.max(...xs) }] : [];
  });
}

/** Stretches of a range that no obstacle lies in. */
function clearOf(
  [from, to]: readonly [number, number],
  obstacles: readonly (readonly [number, number])[],
): readonly (readonly [number, number])[] {
  let start = from;
  const clear: (readonly [number, number])[] = [];
  for (const [a, b] of obstacles.toSorted((one, other) => one[0] - other[0])) {
    if (a > start) clear.push([start, Math.min(a, to)]);
    start = Math.max(start, b);
    if (start >= to) break;
  }
  if (start < to) clear.push([start, to]);
  return clear.filter(([a, b]) => b > a);
}

function mechanismOn(mechanism: DeckMechanism, hingeX: number, under: Under): MechanismOutcome {
  const { crossmembers, features } = under;
  const { least, most, stands, foot } = mechanism;
  const half = foot / 2;
  const at = hingeX - stands;
  const across = crossmembers.flatMap(({ crossmember: { name, length }, built, status }) =>
    built
      ? [
          {
            name,
            from: built.x - length / 2,
            to: built.x + length / 2,
            own: status === 'new' && Math.abs(built.x - at) <= half,
          },
        ]
      : [],
  );
  const stretches = [...across, ...boxesBetween(under).map((box) => ({ ...box, own: false }))];
  const holes = features.flatMap(({ feature, places }) => {
    if (feature.attachment !== 'hole' || feature.diameter <= 0) return [];
    const sides = (['left', 'right'] as const).filter((side) => places[side]?.built);
    const x = (places.left ?? places.right)?.built?.x;
    return x !== undefined && sides.length > 0 && Math.abs(x - at) <= half
      ? [{ id: feature.id, name: feature.name, x, sides }]
      : [];
  });
  return {
    mechanism,
    hingeX,
    at,
    works: stands >= least && stands <= most,
    clear: clearOf(
      [hingeX - most, hingeX - least],
      stretches.filter(({ own }) => !own).map(({ from, to }) => [from - half, to + half] as const),
    ),
    standsOn: stretches.filter(({ from, to }) => at + half > from && at - half < to).map(({ name }) => name),
    holes: holes.toSorted((a, b) => a.x - b.x),
    capacity: stands / most,
    lift: stands > 0 ? most / stands : 0,
  };
}

/**
 * What the deck of a body asks of the built frame, and what that gives it; null where it has none.
 *
 * @param body The body.
 * @param under The built frame.
 * @param rules The shop’s rulebook: the gap behind a cab where the body wants no other.
 */
export function workOutcome(body: Body, under: Under, rules: Rulebook): WorkOutcome | null {
  const { work } = body;
  if (!work) return null;
  const gap = body.gapAhead ?? ruleValue(rules, 'body/cab-gap');
  const cab = under.points
    .flatMap(({ item, built }) => (built && item.kind === 'cab-back' ? [built.x] : []))
    .toSorted((a, b) => b - a)[0];
  const axle = axleUnder(under.axles, 'rear')?.built?.x;
  const has = cab === undefined || axle === undefined ? null : axle - cab;
  const { end } = under;
  const overhang = work.length * work.behind;
  const rear = axle === undefined ? null : axle + overhang;
  return {
    work,
    cabToAxle: { asked: gap + work.length * (1 - work.behind), has },
    longest: has === null ? null : Math.max(0, (has - gap) / (1 - work.behind)),
    overhang,
    beyondFrame: rear === null ? null : rear - end.x,
    frameEnd: end,
    deckHeight: work.stack.reduce((sum, { height }) => sum + height, 0),
    open: work.stack.flatMap((layer) =>
      layer.open ? [{ layer, left: settled(layer.height - work.hose - 2 * work.clearance) }] : [],
    ),
    mechanism: work.mechanism && work.hinge !== null ? mechanismOn(work.mechanism, end.x + work.hinge, under) : null,
  };
}
