import type { Vec3 } from '../frame/index.ts';

/** How something rigid goes over until it lies on the floor. */
export interface Fall {
  /** How far it turns, radians. */
  readonly angle: number;
  /** How far a point of it goes up (above 0) or down, mm. */
  readonly moves: (point: Vec3) => number;
}

const minus = (a: Vec3, b: Vec3): Vec3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;

/** Height of a point, turned about a line: `level + along · cos + across · sin` of the angle. */
function turning(point: Vec3, axis: readonly [Vec3, Vec3], turned: 1 | -1) {
  const line = minus(axis[1], axis[0]);
  const long = Math.hypot(line.x, line.y, line.z);
  const [x, y, z] = [(turned * line.x) / long, (turned * line.y) / long, (turned * line.z) / long];
  const r = minus(point, axis[0]);
  const share = z * dot({ x, y, z }, r);
  return { level: axis[0].z + share, along: r.z - share, across: x * r.y - y * r.x };
}

/**
 * Something rigid that goes over two stands, turned about their tops until the first of its corners meets the floor.
 *
 * @param axis Tops of the two stands, mm.
 * @param center Its center of gravity: the side that goes down.
 * @param corners What can meet the floor.
 * @param floor Height of the floor, mm.
 * @returns Null where the two are one, or no corner can meet the floor: then it slides off its stands.
 */
export function fallOver(
  axis: readonly [Vec3, Vec3],
  center: Vec3,
  corners: readonly Vec3[],
  floor: number,
): Fall | null {
  if (Math.hypot(axis[1].x - axis[0].x, axis[1].y - axis[0].y) < 1) return null;
  const turned = turning(center, axis, 1).across > 0 ? -1 : 1;
  const angles = corners.flatMap((corner) => {
    const { level, along, across } = turning(corner, axis, turned);
    const reach = Math.hypot(along, across);
    if (reach < Math.abs(floor - level)) return [];
    // Heights run as a cosine from where the corner is highest: it meets the floor when it comes down behind that.
    const angle = Math.atan2(across, along) + Math.acos((floor - level) / reach);
    return angle >= 0 && angle <= Math.PI ? [angle] : [];
  });
  if (angles.length === 0) return null;
  const angle = Math.min(...angles);
  return {
    angle,
    moves: (point) => {
      const { along, across } = turning(point, axis, turned);
      return along * (Math.cos(angle) - 1) + across * Math.sin(angle);
    },
  };
}
