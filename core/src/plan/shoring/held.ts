import { GRAVITY } from '../../units/index.ts';
import { railAt, type Ref, type Side, SIDES, type Vec3 } from '../../frame/index.ts';
import {
  type Beam,
  fallOver,
  type Stability,
  stabilityOf,
  type PlacedLoad,
  type Shore,
  SHORE_FACTS,
  type StandLoads,
  standLoads,
  type BeamSupport,
} from '../../shoring/index.ts';
import { widthOf } from '../../sections/index.ts';
import { balance } from '../axle-loads.ts';
import type { Context } from '../context.ts';
import { frontTop, type Piece, place, railEnd, rearTop, spine } from '../piece.ts';
import { railLumps } from '../solid.ts';
import type { Rework } from '../state.ts';
import { stiffnessOf } from './stiffness.ts';

/** Something that weighs on a piece: a mass, and at which stations of the rails it bears. */
export interface Bearing {
  readonly ref: Ref | null;
  readonly name: string;
  readonly mass: number;
  readonly at: Vec3;
  /** How far along the frame it is spread, mm; 0: at one place. */
  readonly run: number;
  /** The line that it is spread along, where it is: a member or a brace, which a cut parts. */
  readonly line?: readonly [Vec3, Vec3];
}

/** One support under a piece as it stands: mm, N. */
export interface StandUnder {
  readonly shore: Shore;
  readonly side: Side | 'middle';
  readonly at: Vec3;
  /** From the floor to the steel, without its shim: what it is set or cut to; null while the floor is not known. */
  readonly height: number | null;
  /** What it carries; null where the piece does not stand, or it is a strap. */
  readonly load: number | null;
}

/** A part of the frame that moves as one, on what is under it. kg, mm. */
export interface HeldPart {
  readonly name: string;
  /** Places among the pieces of the step, first and last. */
  readonly pieces: readonly [number, number];
  readonly from: number;
  readonly to: number;
  readonly mass: number;
  readonly center: Vec3;
  /** The operation takes it out. */
  readonly removed: boolean;
  readonly stands: readonly StandUnder[];
  readonly stability: Stability;
  /** How stands share the load; null where it does not stand. */
  readonly shared: StandLoads | null;
  /** Names of what holds it down where it would tip. */
  readonly heldDown: readonly string[];
  /** The two stands that it would go over first, or goes over; null where fewer are under it. */
  readonly edge: readonly [StandUnder, StandUnder] | null;
  /**
   * How far each end that is cut free goes up (above 0) or down where the part tips, mm, until its rails meet the floor;
   * null while the height over the floor is not known, or where no rail meets it.
   */
  readonly freed: readonly { readonly end: 'front' | 'rear'; readonly moves: number | null }[];
}

/** A piece of a step with what bears on it. */
export interface LadenPiece {
  readonly piece: Piece;
  /** Notches and boxing plates on it before the cut. */
  readonly reworks: readonly Rework[];
  readonly removed: boolean;
  readonly bearings: readonly Bearing[];
}

/**
 * The steel of a piece as it bears on it: each straight stretch of each rail.
 *
 * @param piece The piece.
 * @param context Sections and density.
 */
export const steelBearings = (piece: Piece, context: Context): Bearing[] =>
  SIDES.flatMap((side) =>
    railLumps(piece, side, context.section, context.density).map(({ mass, at, run }) => ({
      ref: null,
      name: `${side} rail`,
      mass,
      at,
      run,
    })),
  );

const placedLoads = (pieces: readonly LadenPiece[]): PlacedLoad[] =>
  pieces.flatMap(({ bearings }) =>
    bearings.map(({ mass, at, run }) => ({
      from: at.x - run / 2,
      to: at.x + run / 2,
      y: at.y,
      force: mass * GRAVITY,
    })),
  );

/**
 * Some pieces in a row as one beam, both rails together.
 *
 * @param pieces Pieces that move as one, front to rear.
 * @param context Sections and density.
 */
export function beamOf(pieces: readonly LadenPiece[], context: Context): Beam {
  return {
    stretches: pieces.flatMap(({ piece, reworks }) =>
      stiffnessOf(piece, reworks, context).map(({ from, to, left, right }) => ({ from, to, stiffness: left + right })),
    ),
    loads: placedLoads(pieces),
  };
}

/**
 * Which piece of the donor's steel a station is on; −1 where that steel is not there.
 *
 * @param pieces Pieces of the step.
 * @param x Station on the donor, mm.
 */
export const pieceOver = (pieces: readonly LadenPiece[], x: number): number =>
  pieces.findIndex(({ piece }) => piece.source === 'donor' && x >= frontTop(piece) && x <= rearTop(piece));

/** Half of a rail's width, as the place under it where a stand pushes, mm. */
function underRail(piece: Piece, side: Side, x: number, context: Context): { outward: number; top: number } {
  const here = railAt(piece.rails[side], x);
  const section = context.section(here.section);
  const wide = widthOf(section);
  return { outward: here.halfWidth - wide / 2, top: here.top - section.depth };
}

/**
 * Where a shore touches the steel of a piece.
 *
 * @param shore The shore.
 * @param piece The piece over it.
 * @param context Sections.
 */
export function touchesAt(
  shore: Shore,
  piece: Piece,
  context: Context,
): readonly { readonly side: Side | 'middle'; readonly at: Vec3 }[] {
  if (shore.side === 'middle') {
    const { top } = underRail(piece, 'left', shore.x, context);
    return [{ side: 'middle', at: { ...place(piece, 'left', shore.x, 0, top), y: 0 } }];
  }
  const sides = shore.side === 'both' ? SIDES : [shore.side];
  return sides.map((side) => {
    const { outward, top } = underRail(piece, side, shore.x, context);
    return { side, at: place(piece, side, shore.x, outward, top) };
  });
}

/**
 * Props as what a beam rests on: those at one station are one.
 *
 * @param stands Where they touch, with what each does.
 */
export function supportsOf(stands: readonly Pick<StandUnder, 'shore' | 'at'>[]): BeamSupport[] {
  const supports: BeamSupport[] = [];
  for (const { shore, at } of stands) {
    const way = SHORE_FACTS[shore.kind].does === 'down' ? 'pull' : 'push';
    const index = supports.findIndex(({ x }) => Math.abs(x - at.x) < 1);
    const known = supports[index];
    if (!known) supports.push({ x: at.x, rise: shore.shim, way });
    else if (known.way !== way) supports[index] = { ...known, way: 'both' };
    else supports[index] = { ...known, rise: Math.max(known.rise, shore.shim) };
  }
  return supports.sort((a, b) => a.x - b.x);
}

/**
 * A part of the frame on what is under it.
 *
 * @param name What it is called.
 * @param range Places of its pieces, first and last.
 * @param pieces All pieces of the step.
 * @param shores What is there.
 * @param level Height of the datum plane over the floor, mm; null while not said.
 * @param context Sections, density and rules.
 */
export function heldPart(
  name: string,
  range: readonly [number, number],
  pieces: readonly LadenPiece[],
  shores: readonly Shore[],
  level: number | null,
  context: Context,
): HeldPart {
  const own = pieces.slice(range[0], range[1] + 1);
  const { mass, centerOfGravity } = balance(own.flatMap(({ bearings }) => bearings));
  const center = centerOfGravity ?? { x: 0, y: 0, z: 0 };
  const touching = shores.flatMap((shore) => {
    const index = pieceOver(pieces, shore.x);
    const piece = pieces[index]?.piece;
    if (!piece || index < range[0] || index > range[1] || SHORE_FACTS[shore.kind].does === 'ties') return [];
    return touchesAt(shore, piece, context).map((touch) => ({ shore, ...touch }));
  });
  const does = (what: 'up' | 'down') => touching.filter(({ shore }) => SHORE_FACTS[shore.kind].does === what);
  const [up, down] = [does('up'), does('down')];
  const points = up.map(({ shore, at }) => ({ x: at.x, y: at.y, top: at.z, rise: shore.shim }));
  const free = stabilityOf(center, points);
  const stiffness = own.flatMap(({ piece, reworks }) => stiffnessOf(piece, reworks, context));
  const shared =
    free.state === 'stays'
      ? standLoads(
          placedLoads(own),
          points,
          stiffness.map(({ from, to, left, right }) => ({ from, to, stiffness: (left + right) / 2 })),
        )
      : null;
  const stands = touching.map((touch): StandUnder => {
    const { shore, at } = touch;
    const index = up.indexOf(touch);
    return {
      ...touch,
      height: level === null || SHORE_FACTS[shore.kind].does !== 'up' ? null : level + at.z - shore.floor,
      load: index >= 0 ? (shared?.reactions[index] ?? null) : null,
    };
  });
  const upright = up.map((touch) => stands[touching.indexOf(touch)] as StandUnder);
  const edge: HeldPart['edge'] = free.edge && [
    upright[free.edge[0]] as StandUnder,
    upright[free.edge[1]] as StandUnder,
  ];
  // Where it would go over along the frame, straps on the other side may hold it.
  const strapped = free.state === 'tips' && down.length > 0 && holdsDown(center, up, down);
  return {
    name,
    pieces: range,
    from: Math.min(...own.map(({ piece }) => spine(piece, frontTop(piece)).x)),
    to: Math.max(...own.map(({ piece }) => spine(piece, rearTop(piece)).x)),
    mass,
    center,
    removed: own.every(({ removed }) => removed),
    stands,
    stability: strapped ? { ...free, state: 'stays', over: null } : free,
    shared,
    heldDown: strapped ? [...new Set(down.map(({ shore }) => SHORE_FACTS[shore.kind].name.toLowerCase()))] : [],
    edge,
    freed: free.state === 'tips' && !strapped ? freedEnds(pieces, range, center, edge, level, context) : [],
  };
}

/** How far the cut ends of a part move when it goes over two stands onto the floor. */
function freedEnds(
  pieces: readonly LadenPiece[],
  [first, last]: readonly [number, number],
  center: Vec3,
  edge: HeldPart['edge'],
  level: number | null,
  context: Context,
): HeldPart['freed'] {
  const tops = (index: number, end: 'front' | 'rear'): Vec3[] =>
    SIDES.map((side) => railEnd((pieces[index] as LadenPiece).piece, side, end).point);
  const corners = pieces.slice(first, last + 1).flatMap(({ piece }) =>
    (['front', 'rear'] as const).flatMap((end) =>
      SIDES.map((side): Vec3 => {
        const { point, section } = railEnd(piece, side, end);
        return { ...point, z: point.z - context.section(section).depth };
      }),
    ),
  );
  const fall =
    level === null || !edge ? null : fallOver([edge[0].at, edge[1].at], center, corners, edge[0].shore.floor - level);
  const moves = (index: number, end: 'front' | 'rear'): number | null => {
    const [left, right] = tops(index, end) as [Vec3, Vec3];
    return fall && (fall.moves(left) + fall.moves(right)) / 2;
  };
  return [
    ...(first > 0 ? [{ end: 'front', moves: moves(first, 'front') } as const] : []),
    ...(last < pieces.length - 1 ? [{ end: 'rear', moves: moves(last, 'rear') } as const] : []),
  ];
}

/** Whether straps ahead of the stands hold a part that would go over behind them, or the other way round. */
function holdsDown(
  center: Vec3,
  up: readonly Pick<StandUnder, 'at'>[],
  down: readonly Pick<StandUnder, 'at'>[],
): boolean {
  const xs = up.map(({ at }) => at.x);
  const [first, last] = [Math.min(...xs), Math.max(...xs)];
  const wide = new Set(up.map(({ at }) => Math.sign(at.y))).size > 1;
  if (!wide) return false;
  // It turns about the stand that it goes over; a strap holds it from the other side of that.
  if (center.x > last) return down.some(({ at }) => at.x < last - 1);
  return center.x < first && down.some(({ at }) => at.x > first + 1);
}
