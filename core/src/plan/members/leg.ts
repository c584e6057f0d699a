import type { Vec3 } from '../../frame/index.ts';

/** A change of direction at an end of a leg, radians, as the piece sees it that the end is fixed to. */
export interface LegTurn {
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

/**
 * A straight leg between two anchors that the plan moves: its new length is the distance of the anchors afterwards, and
 * it turns at both ends. Each end's turn is the change of direction as seen from the piece it is fixed to: in plan, in
 * side view, and true.
 *
 * @param front The foremost anchor, on the leg's centre line.
 * @param rear The rearmost anchor; behind the other, before and after.
 * @param size Width of the leg in plan and depth in side view, mm.
 * Source: derived, rigid motion of both anchors (ENGINEERING 2, more than two rails).
 */
export function refittedLeg(
  front: LegAnchor,
  rear: LegAnchor,
  size: { readonly width: number; readonly depth: number },
): RefittedLeg {
  const [was, is] = [minus(rear.donor, front.donor), minus(rear.built, front.built)];
  const turnAt = ({ turn }: LegAnchor): LegTurn => {
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
  const [before, after] = [lengthOf(was), lengthOf(is)];
  return {
    before,
    after,
    out: before - after,
    yaw: { before: yawOf(was), after: yawOf(is) },
    pitch: { before: pitchOf(was), after: pitchOf(is) },
    front: turnAt(front),
    rear: turnAt(rear),
  };
}
