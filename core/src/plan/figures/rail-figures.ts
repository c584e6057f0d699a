import { railAt, type Side, SIDES } from '../../frame/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { faceSpan } from '../face-span.ts';
import { topLength } from '../new-rail.ts';
import type { Extend } from '../operations/extend.ts';
import type { Lengthen } from '../operations/lengthen.ts';
import type { PieCut } from '../operations/pie-cut.ts';
import type { Shorten } from '../operations/shorten.ts';
import type { Step } from '../operations/step.ts';
import type { Trim } from '../operations/trim.ts';
import type { Widen } from '../operations/widen.ts';
import { pieTurn } from '../pie-turn.ts';
import { faceTop, type Piece, rearTop, spine } from '../piece.ts';
import { massOf, steelLumps } from '../solid.ts';
import type { PlanState } from '../state.ts';
import { findSpot, pieceAt } from '../spot.ts';
import { type Around, type Lead, type OfSides, sectionOn } from './figures.ts';

/** Rail taken out. */
export interface Shortened {
  readonly kind: 'shorten';
  /** Along the top edge of each rail. */
  readonly out: OfSides;
  /** The piece that is left of it after both saw cuts. */
  readonly scrap: OfSides;
  readonly mass: number;
  readonly halfWidths: { readonly ahead: number; readonly behind: number };
  readonly transition: { readonly length: OfSides; readonly turn: number } | null;
}

/** New rail: along its top edge, its mass, and what comes off the old end first. */
export interface Added<K extends 'lengthen' | 'extend'> {
  readonly kind: K;
  readonly each: OfSides;
  readonly mass: number;
  readonly off: number;
}

/** Rails moved apart, each by `out`, and the oblique pieces that lead there. */
export interface Widened {
  readonly kind: 'widen';
  readonly out: number;
  readonly leads: readonly Lead[];
}

export interface PieTurned {
  readonly kind: 'pie-cut';
  readonly angle: number;
  /** Width of the wedge, or of the opening, at the edge away from the pivot. */
  readonly wedge: number;
  /** How far the point moves along the frame, nearer to the cut above 0; null where it is given by its angle. */
  readonly nearer: number | null;
}

export interface Stepped {
  readonly kind: 'step';
  readonly slope: number;
  readonly length: number;
  /** What the frame gets shorter by; below 0 it gets longer. */
  readonly shorter: number;
  /** Width at the bottom edge of the wedge that comes out, and of the opening at the other cut. */
  readonly wedge: number;
  readonly opening: number;
}

/** What comes off, how far the face leans over the depth of the rail, and its length. */
export interface Trimmed {
  readonly kind: 'trim';
  readonly off: number;
  readonly lean: number;
  readonly face: number;
  /** Where the cut runs out of the old end: so far below the top edge; null where it crosses the whole rail. */
  readonly runsOut: number | null;
}

const both = (of: (side: Side) => number): OfSides => ({ left: of('left'), right: of('right') });
const summed = (pieces: readonly Piece[]) =>
  both((side) => pieces.reduce((sum, piece) => sum + topLength(piece, side), 0));

const slopeOf = (piece: Piece, side: Side): number => {
  const [a, b] = [piece.rails[side][0], piece.rails[side].at(-1)];
  return a && b ? Math.atan2(b.halfWidth - a.halfWidth, b.x - a.x) : 0;
};

/**
 * What comes out, in figures.
 *
 * @param operation Id of the operation.
 */
export function shortenFigures(operation: Shorten, { before, after, context, input }: Around): Shortened {
  const own = after.removed.filter((piece) => piece.operation === operation.id);
  const out = summed(own);
  const kerf = ruleValue(context.rules, 'cut/kerf');
  const [from, to] = [findSpot(before, operation.from), findSpot(before, operation.to)];
  const [ahead, behind] = [pieceAt(before, from), pieceAt(before, to)];
  const bridge = after.pieces.find(({ source }) => source === operation.id);
  const turn = (piece: Piece) =>
    Math.max(
      ...SIDES.map((side) =>
        Math.abs(slopeOf(piece, side) - Math.atan(railAt(ahead.rails[side], from.x, 'front').widthSlope)),
      ),
    );
  const rear = own.at(-1);
  return {
    kind: 'shorten',
    out,
    scrap: both((side) => Math.max(0, out[side] - 2 * kerf)),
    mass: massOf(steelLumps(own, context.section, input.donor.material.density)),
    halfWidths: {
      ahead: railAt(ahead.rails.left, from.x, 'front').halfWidth + ahead.spread,
      behind:
        railAt(behind.rails.left, rear?.source === behind.source ? rear.rear.x : to.x, 'rear').halfWidth +
        behind.spread,
    },
    transition: bridge ? { length: both((side) => topLength(bridge, side)), turn: turn(bridge) } : null,
  };
}

/**
 * How far the rails go apart and what leads there, in figures.
 *
 * @param operation Id of the operation.
 */
export function widenFigures(operation: Widen, { after }: Around): Widened {
  const index = after.pieces.findIndex(({ source }) => source === operation.id);
  const leads = after.pieces.flatMap((piece, at): Lead[] =>
    piece.source === operation.id
      ? [
          {
            end: operation.from !== null && at === index ? 'front' : 'rear',
            length: both((side) => topLength(piece, side)),
            slope: both((side) => slopeOf(piece, side)),
          },
        ]
      : [],
  );
  return { kind: 'widen', out: operation.amount / 2, leads };
}

/**
 * The turn of a pie cut and its wedge, in figures.
 *
 * @param operation Id of the operation.
 */
export function pieFigures(operation: PieCut, { before, context }: Around): PieTurned {
  const at = findSpot(before, operation.at);
  const { angle, nearer } = pieTurn(before, at, operation, context);
  const { depth } = sectionOn(pieceAt(before, at), at.x, context);
  const wedge =
    operation.mode === 'open'
      ? 2 * depth * Math.sin(angle / 2)
      : operation.wedge === 'symmetric'
        ? 2 * depth * Math.tan(angle / 2)
        : depth * Math.tan(angle);
  return { kind: 'pie-cut', angle, wedge, nearer };
}

/**
 * What a step does to the part between its cuts, in figures; null where nothing of it is left.
 *
 * @param operation Id of the operation.
 */
export function stepFigures(operation: Step, { before, after, context, result }: Around): Stepped | null {
  const from = findSpot(before, operation.from);
  const { depth } = sectionOn(pieceAt(before, from), from.x, context);
  const joints = result.joints.filter((joint) => joint.operation === operation.id);
  const first = after.pieces.findIndex(({ front }) => front.operation === operation.id);
  const middle = after.pieces[first];
  if (!middle) return null;
  const [front, rear] = [
    spine(middle, faceTop(middle, middle.front, 'rear'), 'rear'),
    spine(middle, faceTop(middle, middle.rear, 'front'), 'front'),
  ];
  const end = (state: PlanState) => {
    const last = state.pieces.at(-1) as Piece;
    return spine(last, rearTop(last), 'front').x;
  };
  const wedge = after.removed.find((piece) => piece.operation === operation.id && piece.front.lean !== piece.rear.lean);
  return {
    kind: 'step',
    slope: Math.atan2(rear.z - front.z, rear.x - front.x),
    length: Math.hypot(rear.x - front.x, rear.z - front.z),
    shorter: end(before) - end(after),
    wedge: operation.method === 'turn-middle' && wedge ? (wedge.front.lean - wedge.rear.lean) * depth : 0,
    opening: Math.max(0, ...joints.flatMap(({ sides }) => SIDES.map((side) => sides[side].gapBottom))),
  };
}

/** How much comes off the frame where an end is cut, along the top edge. */
const cutOff = (operation: string, { after }: Around): number =>
  summed(after.removed.filter((piece) => piece.operation === operation)).left;

/**
 * What comes off an end, in figures.
 *
 * @param operation Id of the operation.
 * @param around The frame before and after it, and the whole plan.
 */
export function trimFigures(operation: Trim, around: Around): Trimmed {
  const { after, context } = around;
  const kept = (operation.end === 'rear' ? after.pieces.at(-1) : after.pieces[0]) as Piece;
  const span = faceSpan(kept, 'left', operation.end, (id) => context.section(id).depth);
  const out = [span?.upper, span?.lower].find((point) => point?.runsOut);
  return {
    kind: 'trim',
    off: cutOff(operation.id, around),
    lean: span ? Math.abs(span.lower.x - span.upper.x) : 0,
    face: span?.length ?? 0,
    runsOut: out?.down ?? null,
  };
}

/**
 * New rail put in or on, in figures; null where nothing of it is left.
 *
 * @param operation Id of the operation.
 * @param around The frame before and after it, and the whole plan.
 */
export function addedFigures<O extends Lengthen | Extend>(operation: O, around: Around): Added<O['kind']> | null {
  const { after, context, input } = around;
  const added = after.pieces.filter(({ source }) => source === operation.id);
  if (added.length === 0) return null;
  return {
    kind: operation.kind,
    each: both((side) => added.reduce((sum, piece) => sum + topLength(piece, side), 0)),
    mass: massOf(steelLumps(added, context.section, input.donor.material.density)),
    off: operation.kind === 'extend' ? cutOff(operation.id, around) : 0,
  };
}
