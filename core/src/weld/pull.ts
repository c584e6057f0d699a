import type { Vec3 } from '../frame/index.ts';
import { InputError } from '../input-error.ts';

/** A wall that joins two pieces at a joint, as a rectangle across the frame: middle and extents, mm; y to the right, z up. */
export interface JoinedWall {
  readonly area: number;
  readonly y: number;
  readonly z: number;
  readonly wide: number;
  readonly deep: number;
  /** How much its weld shrinks it along the frame, mm; 0 where it is only tacked or not welded. */
  readonly shrinkage: number;
}

/** How welding a joint moves what is behind it against what is ahead. mm, radians. */
export interface Pull {
  readonly shortening: number;
  /** Above 0 what is behind rises. */
  readonly pitch: number;
  /** Above 0 what is behind swings to the right. */
  readonly yaw: number;
  /** Where the turn is about, across the frame: the centroid of the walls. */
  readonly center: { readonly y: number; readonly z: number };
}

/**
 * How a joint pulls as its walls shrink: the plane that fits their shrinkage best, each wall counted by its area and its own
 * second moment. The product moment is left out.
 *
 * @param walls All walls that join the two pieces there, both rails together.
 * @throws InputError where no wall has an area.
 */
export function pullOf(walls: readonly JoinedWall[]): Pull {
  const sum = (of: (wall: JoinedWall) => number) => walls.reduce((total, wall) => total + of(wall), 0);
  const area = sum((wall) => wall.area);
  if (!(area > 0))
    throw new InputError([
      { code: 'weld/no-walls', path: 'walls', message: 'No wall joins the two pieces: nothing can pull them.' },
    ]);
  const center = { y: sum((wall) => wall.area * wall.y) / area, z: sum((wall) => wall.area * wall.z) / area };
  const turn = (axis: 'y' | 'z', extent: 'wide' | 'deep') => {
    const second = sum((wall) => wall.area * ((wall[axis] - center[axis]) ** 2 + wall[extent] ** 2 / 12));
    return second > 0 ? sum((wall) => wall.area * wall.shrinkage * (wall[axis] - center[axis])) / second : 0;
  };
  return {
    shortening: sum((wall) => wall.area * wall.shrinkage) / area,
    pitch: turn('z', 'deep'),
    yaw: turn('y', 'wide'),
    center,
  };
}

/**
 * Where a point goes that hangs on the piece behind a joint: turned about the walls' center at the joint, then moved forward.
 *
 * @param pull How the joint pulls.
 * @param x Station of the joint, mm.
 * @param point The point; one ahead of the joint stays.
 */
export function pulled({ shortening, pitch, yaw, center }: Pull, x: number, point: Vec3): Vec3 {
  if (point.x < x) return point;
  const [dx, dy, dz] = [point.x - x, point.y - center.y, point.z - center.z];
  const [along, up] = [dx * Math.cos(pitch) - dz * Math.sin(pitch), dx * Math.sin(pitch) + dz * Math.cos(pitch)];
  return {
    x: x + along * Math.cos(yaw) - dy * Math.sin(yaw) - shortening,
    y: center.y + along * Math.sin(yaw) + dy * Math.cos(yaw),
    z: center.z + up,
  };
}
