import { type Axle, extentOf, SIDES } from '../frame/index.ts';
import type { Context } from './context.ts';
import type { MemberOutcome } from './members/index.ts';
import type { CrossmemberOutcome } from './crossmember-outcome.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import type { OtherSolid } from './match/solids.ts';
import { sideOutline } from './outline.ts';
import type { Piece } from './piece.ts';
import type { RiderOutcome } from './rider-outcome.ts';

interface Spot {
  readonly x: number;
  readonly z: number;
}

/** A straight stretch of what could touch the ground, in side view, mm. */
export interface UndersideLine {
  readonly from: Spot;
  readonly to: Spot;
  readonly what: string;
  readonly ofRail: boolean;
}

/** What stands on a frame and could touch the ground before its rails do. */
interface Mounted {
  readonly crossmembers: readonly CrossmemberOutcome[];
  readonly members: readonly MemberOutcome[];
  readonly features: readonly FeatureOutcome[];
  /** What takes up room on the frame: tank, battery box, spare wheel. */
  readonly rooms: readonly OtherSolid[];
}

/**
 * The outlines of the rails in side view, leaning ends and all, and the lower edges of what is mounted on them: crossmembers, members,
 * hitches at the height that they are fastened at, and what takes up room.
 *
 * @param pieces Pieces, front to rear.
 * @param mounted What is mounted on them, as built.
 * @param context Sections, rules and how lengths are written.
 */
export function undersides(
  pieces: readonly Piece[],
  { crossmembers, members, features, rooms }: Mounted,
  context: Context,
): UndersideLine[] {
  const lines: UndersideLine[] = [];
  for (const piece of pieces)
    // Rails that are the same from the side are looked at once.
    for (const side of piece.rails.left === piece.rails.right ? (['left'] as const) : SIDES) {
      const outline = sideOutline(piece, side, context.section).map(([x, z]) => ({ x, z }));
      outline.forEach((to, index) => {
        const from = outline[index === 0 ? outline.length - 1 : index - 1] as Spot;
        lines.push({ from, to, what: `${side} rail`, ofRail: true });
      });
    }
  for (const { built, crossmember } of crossmembers)
    if (built) {
      const z = built.z - crossmember.depth;
      const end = (sign: 1 | -1) => ({ x: built.x + (sign * crossmember.length) / 2, z });
      lines.push({ from: end(-1), to: end(1), what: crossmember.name, ofRail: false });
    }
  for (const { member, copies } of members) {
    const half = context.section(member.section).depth / 2;
    for (const { built } of copies)
      for (const { points } of built)
        points.slice(1).forEach((to, index) => {
          const from = points[index] as Spot;
          const down = ({ x, z }: Spot): Spot => ({ x, z: z - half });
          lines.push({ from: down(from), to: down(to), what: member.name, ofRail: false });
        });
  }
  for (const { name, stations } of rooms)
    stations.slice(1).forEach((to, index) => {
      const from = stations[index] as (typeof stations)[number];
      lines.push({ from: { x: from.x, z: from.low }, to: { x: to.x, z: to.low }, what: name, ofRail: false });
    });
  for (const { feature, places } of features) {
    if (feature.kind !== 'hitch') continue;
    const { from, to } = extentOf(feature);
    for (const side of SIDES) {
      const at = places[side]?.built;
      const end = (x: number) => at && { x: at.x + x - feature.x, z: at.z };
      const [front, rear] = [end(from), end(to)];
      if (front && rear) lines.push({ from: front, to: rear, what: feature.name, ofRail: false });
    }
  }
  return lines;
}

interface Wheel extends Spot {
  readonly radius: number;
}

/** Wheel circles seen from the side: the front-most axle and the rear-most axle. */
export interface Wheels {
  readonly front: Wheel;
  readonly rear: Wheel;
}

/**
 * The outermost wheels seen from the side; null without both axles, or where they lie in the wrong order.
 *
 * @param axles Where the axles are.
 */
export function wheelsUnder(axles: readonly RiderOutcome<Axle>[]): Wheels | null {
  const there = axles.flatMap((axle) =>
    axle.built ? [{ ...axle.built, radius: axle.item.tireRadius, role: axle.item.role }] : [],
  );
  const front = there.filter((axle) => axle.role === 'front').sort((a, b) => a.x - b.x)[0];
  const rear = there.filter((axle) => axle.role === 'rear').sort((a, b) => b.x - a.x)[0];
  return front && rear && rear.x > front.x ? { front, rear } : null;
}

/** The ground under the tires in side view: how high it lies at a station, mm, and how much it rises to the rear. */
export interface GroundLine {
  readonly at: (x: number) => number;
  readonly slope: number;
}

/**
 * The ground that the tires stand on.
 *
 * @param wheels The outermost wheels.
 */
export function groundUnder({ front, rear }: Wheels): GroundLine {
  const slope = (rear.z - rear.radius - (front.z - front.radius)) / (rear.x - front.x);
  return { slope, at: (x) => front.z - front.radius + slope * (x - front.x) };
}

/**
 * What is nearest the ground, and by how much it clears it, mm; of equal ones the first. Null without both axles.
 *
 * @param lines What could touch the ground, in side view, mm.
 * @param wheels The outermost wheels; null without both axles.
 */
export function lowestOf(
  lines: readonly UndersideLine[],
  wheels: Wheels | null,
): { readonly clearance: number; readonly what: string } | null {
  if (!wheels) return null;
  const ground = groundUnder(wheels);
  let lowest = { clearance: Infinity, what: '' };
  const look = ({ x, z }: Spot, what: string) => {
    const clearance = z - ground.at(x);
    if (clearance < lowest.clearance - 1e-9) lowest = { clearance, what };
  };
  for (const { from, to, what, ofRail } of lines) {
    // The outlines of rails go round: each corner is the beginning of one line.
    look(from, what);
    if (!ofRail) look(to, what);
  }
  return lowest;
}

/**
 * Steepest ramp (radians from the datum plane) that clears a spot outside a tire: the line tangent under the tire to the spot.
 * `sign` 1 for a spot behind the wheel, −1 for one ahead of it.
 */
function rampAngle(wheel: Wheel, spot: Spot, sign: 1 | -1): number {
  const [away, height] = [sign * (spot.x - wheel.x), spot.z - wheel.z];
  return Math.atan2(height, away) + Math.asin(Math.min(1, wheel.radius / Math.sqrt(away ** 2 + height ** 2)));
}

/** The part of a line between two stations, or null where it has none there. */
function within({ from, to }: UndersideLine, low: number, high: number): readonly [Spot, Spot] | null {
  const [a, b] = from.x <= to.x ? [from, to] : [to, from];
  if (!(b.x > low && a.x < high)) return null;
  const at = (x: number): Spot => ({ x, z: b.x === a.x ? a.z : a.z + ((x - a.x) / (b.x - a.x)) * (b.z - a.z) });
  return [a.x < low ? at(low) : a, b.x > high ? at(high) : b];
}

/** Halvings that find the least of a curve to well under what a protractor reads. */
const HALVINGS = 40;

/** The least of a figure along a straight line, to where the figure changes no more: it falls, then rises. */
function leastAlong([a, b]: readonly [Spot, Spot], figure: (spot: Spot) => number): number {
  const at = (share: number): Spot => ({ x: a.x + share * (b.x - a.x), z: a.z + share * (b.z - a.z) });
  let [low, high] = [0, 1];
  for (let step = 0; step < HALVINGS; step += 1) {
    const [left, right] = [low + (high - low) / 3, high - (high - low) / 3];
    if (figure(at(left)) < figure(at(right))) high = right;
    else low = left;
  }
  return Math.min(figure(a), figure(b), figure(at((low + high) / 2)));
}

/**
 * Approach, departure and breakover angles, radians from the ground that the tires stand on; null where nothing lies there, or
 * without both axles.
 *
 * @param lines What could touch the ground, in side view, mm.
 * @param wheels The outermost wheels; null without both axles.
 */
export function rampsOf(lines: readonly UndersideLine[], wheels: Wheels | null) {
  if (!wheels) return { approach: null, departure: null, breakover: null };
  const { front, rear } = wheels;
  const parts = (low: number, high: number) => {
    const found: (readonly [Spot, Spot])[] = [];
    for (const line of lines) {
      const { from, to } = line;
      if ((from.x <= low && to.x <= low) || (from.x >= high && to.x >= high)) continue;
      const part = within(line, low, high);
      if (part) found.push(part);
    }
    return found;
  };
  const least = (angles: readonly number[]): number | null => (angles.length > 0 ? Math.min(...angles) : null);
  /** The least ramp that clears everything outside a wheel: ends of straight lines are worst. */
  const outside = (wheel: Wheel, low: number, high: number, sign: 1 | -1) => {
    let ramp: number | null = null;
    for (const [a, b] of parts(low, high)) {
      const nearer = Math.min(rampAngle(wheel, a, sign), rampAngle(wheel, b, sign));
      if (ramp === null || nearer < ramp) ramp = nearer;
    }
    return ramp;
  };
  // Where the ground rises to the rear in the frame, a ramp ahead is so much steeper to it, and one behind so much less steep.
  const rises = Math.atan(groundUnder(wheels).slope);
  const fromGround = (ramp: number | null, sign: 1 | -1) => (ramp === null ? null : ramp - sign * rises);
  const over = (spot: Spot) => rampAngle(front, spot, 1) + rampAngle(rear, spot, -1);
  const between = parts(front.x + front.radius, rear.x - rear.radius);
  // The line whose ends and middle are worst holds the worst spot, but for what a slope between them hides: two more.
  // Corners are shared by two lines: each is looked at once.
  const corners = new Map<Spot, number>();
  const overCorner = (spot: Spot) => {
    const known = corners.get(spot) ?? over(spot);
    corners.set(spot, known);
    return known;
  };
  const worst = between
    .map((part) => {
      const [a, b] = part;
      const middle = { x: (a.x + b.x) / 2, z: (a.z + b.z) / 2 };
      return { part, figure: Math.min(overCorner(a), overCorner(b), over(middle)) };
    })
    .sort((a, b) => a.figure - b.figure)
    .slice(0, 3);
  return {
    approach: fromGround(outside(front, -Infinity, front.x - front.radius, -1), -1),
    departure: fromGround(outside(rear, rear.x + rear.radius, Infinity, 1), 1),
    breakover: least(worst.map(({ part }) => leastAlong(part, over))),
  };
}
