import type { Vec3 } from '../../frame/index.ts';

/** A change of direction at an end of a leg, radians, as the piece sees it that the end is fixed to. */
interface LegTurn {
  readonly plan: number;
  readonly side: number;
  /** The angle in space between the two directions. */
  readonly true: number;
  /** Width of the wedge that turns it sideways, mm: with one face square, and with both faces alike; and upright. */
  readonly wedge: {
    readonly plan: { readonly square: number; readonly symmetric: number };
    readonly side: { readonly square: number; readonly symmetric: number };
  };
}

/** A leg re-fitted between its two anchors. Lengths in mm, angles in radians. */
export interface RefittedLeg {
  readonly before: number;
  readonly after: number;
  /** What comes out of it; below 0 that much goes in. */
  readonly out: number;
  readonly yaw: { readonly before: number; readonly after: number };
  readonly pitch: { readonly before: number; readonly after: number };
  readonly front: LegTurn;
  readonly rear: LegTurn;
  /** Where it is cut and what comes out there, or goes in: along its axis from its front end, as it was. */
  readonly cutAt: number;
  /** Its axis as built, front to rear: bends stay as they were. */
  readonly points: readonly Vec3[];
}

/** One end of a leg: where its anchor was and is, mm, and how far its piece was turned in pitch, radians. */
export interface LegAnchor {
  readonly donor: Vec3;
  readonly built: Vec3;
  readonly turn: number;
}

const minus = (a: Vec3, b: Vec3): Vec3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
const lengthOf = ({ x, y, z }: Vec3): number => Math.hypot(x, y, z);
const yawOf = ({ x, y }: Vec3): number => Math.atan2(y, x);
const pitchOf = ({ x, z }: Vec3): number => Math.atan2(z, x);

/** A direction turned in pitch, rising to the rear above 0. */
function pitched({ x, y, z }: Vec3, turn: number): Vec3 {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return { x: x * cos - z * sin, y, z: x * sin + z * cos };
}

/** The angle between two directions: by both products, so that a small one is right too. */
function angleBetween(a: Vec3, b: Vec3): number {
  const cross = Math.hypot(a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x);
  return Math.atan2(cross, a.x * b.x + a.y * b.y + a.z * b.z);
}

const wedgesOf = (size: number, turn: number) => ({
  square: size * Math.tan(Math.abs(turn)),
  symmetric: 2 * size * Math.tan(Math.abs(turn) / 2),
});

const plus = (a: Vec3, b: Vec3): Vec3 => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });
const times = ({ x, y, z }: Vec3, by: number): Vec3 => ({ x: x * by, y: y * by, z: z * by });
const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;
const cross = (a: Vec3, b: Vec3): Vec3 => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});

/** The shortest rotation that brings one direction onto another, as what it makes of a vector; Rodrigues' formula. */
function rotationTo(from: Vec3, to: Vec3): (vector: Vec3) => Vec3 {
  const [a, b] = [times(from, 1 / lengthOf(from)), times(to, 1 / lengthOf(to))];
  const [axis, cos] = [cross(a, b), dot(a, b)];
  const sine = lengthOf(axis);
  if (sine < 1e-12) return (vector) => vector;
  const k = times(axis, 1 / sine);
  return (vector) =>
    plus(plus(times(vector, cos), times(cross(k, vector), sine)), times(k, dot(k, vector) * (1 - cos)));
}

/** A leg's axis between its ends, and the straight stretch of it that is cut. */
export interface LegAxis {
  /** Front to rear on the donor, two points or more, mm. */
  readonly path: readonly Vec3[];
  /** Which stretch is cut: from this point to the next. */
  readonly stretch: number;
  /** Where on it, along the axis from the front end, mm; its middle where not said. */
  readonly along?: number;
}

/**
 * How much comes out of one straight stretch of a leg so that its ends come to a new distance, mm; below 0 it goes in. With c from
 * end to end and u along the stretch, |c − s·u| = D, so s = c·u − √(D² − |c|² + (c·u)²). NaN where no length does it.
 */
function cutOut(ends: Vec3, stretch: Vec3, distance: number): number {
  const along = dot(ends, stretch) / lengthOf(stretch);
  return along - Math.sqrt(distance ** 2 - dot(ends, ends) + along ** 2);
}

/**
 * A leg between two anchors that the plan moves. It is cut in one straight stretch; its bends stay as they are, and it turns at
 * both ends. Each end's turn is the change of its direction there as seen from the piece it is fixed to: in plan, in side view,
 * and true. Lengths run along its axis.
 *
 * @param front The front anchor, on the leg's axis.
 * @param rear The rear anchor; behind the other, before and after.
 * @param size Width of the leg in plan and depth in side view, mm.
 * @param axis Its axis and where it is cut; straight from anchor to anchor where not given.
 * Source: derived, rigid motion of both anchors.
 */
export function refittedLeg(
  front: LegAnchor,
  rear: LegAnchor,
  size: { readonly width: number; readonly depth: number },
  axis: LegAxis = { path: [front.donor, rear.donor], stretch: 0 },
): RefittedLeg {
  const { path, stretch } = axis;
  const legs = path.slice(1).map((point, index) => minus(point, path[index] as Vec3));
  const [ends, wanted] = [minus(rear.donor, front.donor), minus(rear.built, front.built)];
  const cut = legs[stretch] as Vec3;
  const found = cutOut(ends, cut, lengthOf(wanted));
  const out = Number.isFinite(found) ? found : lengthOf(ends) - lengthOf(wanted);
  const shortened = legs.map((leg, index) => (index === stretch ? times(leg, 1 - out / lengthOf(leg)) : leg));
  const rotate = rotationTo(shortened.reduce(plus), wanted);
  const now = shortened.map(rotate);
  const points = now.reduce<readonly Vec3[]>((all, leg) => [...all, plus(all.at(-1) as Vec3, leg)], [front.built]);
  const turnAt = ({ turn }: LegAnchor, was: Vec3, is: Vec3): LegTurn => {
    // Seen from its piece: what the piece itself turned by is taken back.
    const seen = pitched(is, -turn);
    const [plan, side] = [yawOf(seen) - yawOf(was), pitchOf(seen) - pitchOf(was)];
    return {
      plan,
      side,
      true: angleBetween(seen, was),
      wedge: { plan: wedgesOf(size.width, plan), side: wedgesOf(size.depth, side) },
    };
  };
  const [first, last] = [legs[0] as Vec3, legs.at(-1) as Vec3];
  const [firstNow, lastNow] = [now[0] as Vec3, now.at(-1) as Vec3];
  const before = legs.reduce((sum, leg) => sum + lengthOf(leg), 0);
  const ahead = legs.slice(0, stretch).reduce((sum, leg) => sum + lengthOf(leg), 0);
  return {
    before,
    after: before - out,
    out,
    yaw: { before: yawOf(first), after: yawOf(firstNow) },
    pitch: { before: pitchOf(first), after: pitchOf(firstNow) },
    front: turnAt(front, first, firstNow),
    rear: turnAt(rear, last, lastNow),
    cutAt: axis.along ?? ahead + lengthOf(cut) / 2,
    points,
  };
}
