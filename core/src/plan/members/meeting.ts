import type { MemberPoint, RailId, Vec3 } from '../../frame/index.ts';
import { faceAt } from '../face.ts';
import { axisOf, posed, unposed } from '../pose.ts';
import { directionAt, type MemberRun, placedRun } from './runs.ts';

/** How the two ends of a member that was cut with the rails lie to each other: rear minus front, mm and radians. */
export interface MemberMeeting {
  readonly rail: RailId;
  /** Indices of the pieces ahead and behind; more than one apart where new rail was put in between. */
  readonly pieces: readonly [front: number, rear: number];
  /** Middles of the two faces. */
  readonly front: Vec3;
  readonly rear: Vec3;
  /** Opening along the piece ahead, at the center line, the top and the bottom edge; below 0 they overlap. */
  readonly gap: number;
  readonly gapTop: number;
  readonly gapBottom: number;
  /** Where the rear part's line meets the front face, less that face's middle. */
  readonly lineOffset: { readonly dy: number; readonly dz: number };
  /** How far that line lies from the front part's, square to it. */
  readonly square: number;
  readonly yaw: number;
  readonly pitch: number;
  /** Along the rear part's line from the front face to the rear one: new member that would fill the gap. */
  readonly fill: number;
}

const minus = (a: Vec3, b: Vec3): Vec3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
const lengthOf = ({ x, y, z }: Vec3): number => Math.hypot(x, y, z);

/** Where a line through `at` meets the rear face of the run ahead, as a share of `along`; null where it never does. */
function onFace({ piece: { pose }, faces: { rear } }: MemberRun, at: Vec3, along: Vec3): number | null {
  const off = ({ x, z }: Vec3) => {
    const local = unposed(pose, x, z);
    return local.x - faceAt(rear, local.z);
  };
  const [here, there] = [off(at), off({ x: at.x + along.x, y: 0, z: at.z + along.z })];
  return Math.abs(there - here) < 1e-9 ? null : here / (here - there);
}

/** Where the face at an end of a run cuts the line `up` over its center line, mm, now. */
function edgeAt({ piece, points, faces }: MemberRun, end: 'front' | 'rear', up: number) {
  const face = faces[end];
  const [a, b] = (end === 'front' ? points.slice(0, 2) : points.slice(-2)) as [MemberPoint, MemberPoint];
  const middle = end === 'front' ? a : b;
  const slope = (b.z - a.z) / (b.x - a.x);
  const along = (face.lean * up) / (1 - face.lean * slope);
  return posed(piece.pose, middle.x + along, middle.z + up + slope * along);
}

/**
 * How the end of a run ahead and the end of the next one behind it meet. `depth` of the member's section, mm.
 *
 * @param ahead The run ahead of the cut.
 * @param behind The next run behind it.
 * @param depth Of the member’s section, mm.
 */
export function meetingOf(ahead: MemberRun, behind: MemberRun, depth: number): MemberMeeting {
  const [front, rear] = [placedRun(ahead).at(-1), placedRun(behind)[0]] as [Vec3, Vec3];
  const [along, line] = [directionAt(ahead, 'rear'), directionAt(behind, 'front')];
  const axis = axisOf(ahead.piece.pose);
  const gap = (rear.x - front.x) * axis.x + (rear.z - front.z) * axis.z;
  const gapAt = (up: number) => {
    const [a, b] = [edgeAt(ahead, 'rear', up), edgeAt(behind, 'front', up)];
    return (b.x - a.x) * axis.x + (b.z - a.z) * axis.z;
  };
  const share = onFace(ahead, rear, line) ?? 0;
  const met = { x: rear.x + share * line.x, y: rear.y + share * line.y, z: rear.z + share * line.z };
  const off = minus(met, front);
  const length = lengthOf(along);
  const forth = (off.x * along.x + off.y * along.y + off.z * along.z) / length;
  return {
    rail: ahead.rail,
    pieces: [ahead.index ?? 0, behind.index ?? 0],
    front,
    rear,
    gap,
    gapTop: gapAt(depth / 2),
    gapBottom: gapAt(-depth / 2),
    lineOffset: { dy: off.y, dz: off.z },
    square: Math.sqrt(Math.max(0, lengthOf(off) ** 2 - forth ** 2)),
    yaw: Math.atan2(line.y, line.x) - Math.atan2(along.y, along.x),
    pitch: Math.atan2(line.z, line.x) - Math.atan2(along.z, along.x),
    fill: Math.abs(share) * lengthOf(line) * Math.sign(gap || 1),
  };
}
