import { railAt, type Side, SIDES } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { builtUpSection, type Section, sectionProperties, torsionConstant, widthOf } from '../sections/index.ts';
import { type Context, contextOf } from './context.ts';
import type { PlanInput, PlanResult } from './plan-result.ts';
import { topLength } from './new-rail.ts';
import type { Box, Notch, Operation, PieCut } from './operation.ts';
import { pieTurn } from './pie-turn.ts';
import { faceTop, frontTop, type Piece, rearTop, spine } from './piece.ts';
import { massOf, steelLumps } from './solid.ts';
import { findEndSpot, findSpot, pieceAt, type PlanState } from './state.ts';

/** A length of each rail, mm. */
export type OfSides = Readonly<Record<Side, number>>;

/** A new, oblique piece that leads from one end to another: its length on each rail, and its direction in plan. */
export interface Lead {
  readonly end: 'front' | 'rear';
  readonly length: OfSides;
  readonly slope: OfSides;
}

/** New rail: along its top edge, its mass, and what comes off the old end first. */
interface AddedFigures<K extends 'lengthen' | 'extend'> {
  readonly kind: K;
  readonly each: OfSides;
  readonly mass: number;
  readonly off: number;
}

/** What an operation does, in figures: lengths in mm, angles in radians, masses in kg. */
export type OperationFigures =
  | {
      readonly kind: 'shorten';
      /** Along the top edge of each rail. */
      readonly out: OfSides;
      /** The piece that is left of it after both saw cuts. */
      readonly scrap: OfSides;
      readonly mass: number;
      readonly halfWidths: { readonly ahead: number; readonly behind: number };
      readonly transition: { readonly length: OfSides; readonly turn: number } | null;
    }
  | AddedFigures<'lengthen'>
  | AddedFigures<'extend'>
  | { readonly kind: 'widen'; readonly out: number; readonly leads: readonly Lead[] }
  | {
      readonly kind: 'pie-cut';
      readonly angle: number;
      /** Width of the wedge, or of the opening, at the edge away from the pivot. */
      readonly wedge: number;
      /** How far the point moves along the frame, nearer to the cut above 0; null where it is given by its angle. */
      readonly nearer: number | null;
    }
  | {
      readonly kind: 'step';
      readonly slope: number;
      readonly length: number;
      /** What the frame gets shorter by; below 0 it gets longer. */
      readonly shorter: number;
      /** Width at the bottom edge of the wedge that comes out, and of the opening at the other cut. */
      readonly wedge: number;
      readonly opening: number;
    }
  | { readonly kind: 'trim'; readonly off: number; readonly lean: number; readonly face: number }
  | {
      readonly kind: 'notch';
      readonly left: number;
      /** The smaller modulus at the notch against the rail's, without and with its plate; null where not computed. */
      readonly modulus: number | null;
      readonly plated: number | null;
    }
  | {
      readonly kind: 'box';
      /** Each run of plate that later cuts leave, from front to rear. */
      readonly runs: readonly number[];
      readonly bending: number;
      readonly torsion: number;
    }
  | {
      readonly kind: 'crossmember';
      readonly railDepth: number;
      readonly below: number;
      readonly depth: number;
      /** Below the bottom edge of the rail; below 0 it stays clear of it. */
      readonly under: number;
      readonly wider: number;
    }
  | {
      readonly kind: 'bracket';
      readonly railDepth: number;
      /** Of its middle, below the rail's top edge: before, and now. */
      readonly was: number;
      readonly down: number;
      /** Steel between the hole, or the middle, and the rail's edges. */
      readonly fromTop: number;
      readonly fromBottom: number;
      /** Steel between two holes of a row, and first hole to last; null for one alone. */
      readonly between: number | null;
      readonly row: number;
    };

interface Around {
  readonly before: PlanState;
  readonly after: PlanState;
  readonly context: Context;
  readonly input: PlanInput;
  readonly result: PlanResult;
}

const both = (of: (side: Side) => number): OfSides => ({ left: of('left'), right: of('right') });
const summed = (pieces: readonly Piece[]) =>
  both((side) => pieces.reduce((sum, piece) => sum + topLength(piece, side), 0));

/** Depth of the rail at local x of a piece, mm. */
const sectionOn = (piece: Piece, x: number, context: Context): Section =>
  context.section(railAt(piece.rails.left, x).section);

const slopeOf = (piece: Piece, side: Side): number => {
  const [a, b] = [piece.rails[side][0], piece.rails[side].at(-1)];
  return a && b ? Math.atan2(b.halfWidth - a.halfWidth, b.x - a.x) : 0;
};

type Of<K extends Operation['kind']> = Extract<Operation, { kind: K }>;

function shortenFigures(operation: Of<'shorten'>, { before, after, context, input }: Around): OperationFigures {
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

function widenFigures(operation: Of<'widen'>, { after }: Around): OperationFigures {
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

function pieFigures(operation: PieCut, { before, context }: Around): OperationFigures {
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

function stepFigures(operation: Of<'step'>, { before, after, context, result }: Around): OperationFigures | null {
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

function notchFigures(operation: Notch, { before, context }: Around): OperationFigures {
  const at = findSpot(before, operation.at);
  const section = sectionOn(pieceAt(before, at), at.x, context);
  const left = section.depth - operation.depth;
  if (section.kind === 'round') return { kind: 'notch', left, modulus: null, plated: null };
  const least = ({ modulusTop, modulusBottom }: ReturnType<typeof sectionProperties>) =>
    Math.min(modulusTop, modulusBottom);
  const whole = least(sectionProperties(section));
  const share = (plate?: { readonly width: number; readonly thickness: number }) => {
    const notch = { kind: 'notch', from: operation.from, depth: operation.depth } as const;
    return least(builtUpSection(section, [plate ? { ...notch, plate } : notch]).properties) / whole;
  };
  const fits = operation.plate > 0 && operation.plate < left;
  return {
    kind: 'notch',
    left,
    modulus: share(),
    plated: fits ? share({ width: widthOf(section), thickness: operation.plate }) : null,
  };
}

function boxFigures(operation: Box, { before, context, result }: Around): OperationFigures | null {
  const rework = result.reworks.find((candidate) => candidate.operation.id === operation.id);
  const from = findSpot(before, operation.from);
  const section = sectionOn(pieceAt(before, from), from.x, context);
  if (!rework || section.kind !== 'channel') return null;
  const boxed = builtUpSection(section, [{ kind: 'boxing', thickness: operation.plate }]);
  const runs = result.pieces
    .filter(({ source }) => source === rework.source)
    .map((piece) => Math.min(rework.to, rearTop(piece)) - Math.max(rework.from, frontTop(piece)))
    .filter((length) => length > 1e-6);
  return {
    kind: 'box',
    runs,
    bending: boxed.properties.iy / sectionProperties(section).iy,
    torsion: boxed.j / torsionConstant(section).j,
  };
}

function crossmemberFigures(
  { change }: Of<'crossmember'>,
  { result, input, context }: Around,
): OperationFigures | null {
  const id = typeof change.crossmember === 'string' ? change.crossmember : change.crossmember.id;
  const outcome = result.crossmembers.find(({ crossmember }) => crossmember.id === id);
  const was = input.donor.crossmembers.find((member) => member.id === id);
  const shown = (change.what === 'remove' ? was : outcome?.crossmember) ?? was;
  const piece = result.pieces[outcome?.piece ?? 0] ?? result.pieces[0];
  if (!shown || !piece) return null;
  const railDepth = sectionOn(piece, shown.x, context).depth;
  const { below, depth } = shown;
  return { kind: 'crossmember', railDepth, below, depth, under: below + depth - railDepth, wider: outcome?.wider ?? 0 };
}

function bracketFigures({ change }: Of<'bracket'>, { result, input, context }: Around): OperationFigures | null {
  const named = typeof change.feature === 'string' ? change.feature : null;
  const feature = named === null ? change.feature : input.donor.features.find(({ id }) => id === named);
  if (!feature || typeof feature === 'string') return null;
  const outcome = result.features.find(
    (candidate) => candidate.feature.id === feature.id || candidate.feature.id === `${feature.id}-1`,
  );
  const piece = result.pieces[outcome?.piece ?? 0] ?? result.pieces[0];
  if (!piece) return null;
  const railDepth = sectionOn(piece, outcome?.feature.x ?? feature.x, context).depth;
  /** What stands on an edge stands there whatever its figure says. */
  const onRail = (down: number) =>
    ({ top: 0, bottom: railDepth, 'web-outside': down, 'web-inside': down })[feature.face];
  const down = onRail(change.what === 'move' ? change.down : feature.down);
  const radius = feature.diameter / 2;
  return {
    kind: 'bracket',
    railDepth,
    was: onRail(feature.down),
    down,
    fromTop: down - radius,
    fromBottom: railDepth - down - radius,
    between: change.what === 'drill' && change.count > 1 ? change.pitch - feature.diameter : null,
    row: change.what === 'drill' ? change.pitch * (change.count - 1) : 0,
  };
}

/** How much comes off the frame where an end is cut, along the top edge. */
const cutOff = (operation: string, { after }: Around): number =>
  summed(after.removed.filter((piece) => piece.operation === operation)).left;

function trimFigures(operation: Of<'trim'>, around: Around): OperationFigures {
  const { before, context } = around;
  const at = findEndSpot(before, operation.at, operation.end);
  const { depth } = sectionOn(pieceAt(before, at), at.x, context);
  return {
    kind: 'trim',
    off: cutOff(operation.id, around),
    lean: depth * Math.tan(operation.angle),
    face: depth / Math.cos(operation.angle),
  };
}

function addedFigures(operation: Of<'lengthen' | 'extend'>, around: Around): OperationFigures | null {
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

function figuresFor(operation: Operation, around: Around): OperationFigures | null {
  switch (operation.kind) {
    case 'shorten':
      return shortenFigures(operation, around);
    case 'lengthen':
    case 'extend':
      return addedFigures(operation, around);
    case 'widen':
      return widenFigures(operation, around);
    case 'pie-cut':
      return pieFigures(operation, around);
    case 'step':
      return stepFigures(operation, around);
    case 'trim':
      return trimFigures(operation, around);
    case 'notch':
      return notchFigures(operation, around);
    case 'box':
      return boxFigures(operation, around);
    case 'crossmember':
      return crossmemberFigures(operation, around);
    case 'bracket':
      return bracketFigures(operation, around);
  }
}

/**
 * What an operation does, in figures, from the frame as it was when its turn came: what every sketch and sheet shows of
 * it. Null where it was refused, is off, or is not in the plan.
 */
export function operationFigures(input: PlanInput, result: PlanResult, id: string): OperationFigures | null {
  const index = result.steps.findIndex(({ outcome }) => outcome.operation.id === id);
  const step = result.steps[index];
  if (!step || step.outcome.status !== 'done') return null;
  const before = result.steps[index - 1]?.state ?? result.donorState;
  return figuresFor(step.outcome.operation, { before, after: step.state, context: contextOf(input), input, result });
}
