import type { HeatedWall } from './heated-wall.ts';
import { COARSE_MESH, type Mesh } from './mesh.ts';
import { WarmWall } from './warm-wall.ts';
import type { StitchToLay } from './schedule.ts';

/** A stitch that was laid: how long ago its arc went out, s, 0 or more. */
export interface LaidStitch {
  readonly id: string;
  readonly ago: number;
}

/** The next stitch of a joint as it stands now. */
export interface NextStitch {
  readonly id: string;
  /** How long from now until its start is below the limit for good, s. */
  readonly wait: number;
  /** How hot its start is now, °C. */
  readonly temperature: number;
}

/** Steel that nobody has heated for so long is as cold as the shop, s. */
const COLD_AFTER = 4 * 3600;

/**
 * How walls stand now that some stitches were laid on them: cold before the first of them.
 *
 * @param walls The walls by their keys.
 * @param stitches All stitches.
 * @param laid Those that were laid, in any order.
 * @param mesh How finely the walls are divided.
 */
export function wallsNow(
  walls: Readonly<Record<string, HeatedWall>>,
  stitches: readonly StitchToLay[],
  laid: readonly LaidStitch[],
  mesh: Mesh = COARSE_MESH,
): ReadonlyMap<string, WarmWall> {
  const known = new Map(stitches.map((stitch) => [stitch.id, stitch]));
  return new Map(
    Object.entries(walls).map(([key, wall]) => {
      const own = laid.flatMap(({ id, ago }) => {
        const stitch = known.get(id);
        return stitch && stitch.wall === key && ago < COLD_AFTER ? [{ stitch, began: ago + stitch.seconds }] : [];
      });
      const seams = stitches.filter((stitch) => stitch.wall === key).flatMap(({ from, to }) => [from.x, to.x]);
      const warm = new WarmWall(wall, seams.length > 0 ? seams : [wall.length / 2], mesh);
      const since = Math.max(0, ...own.map(({ began }) => began));
      warm.runTo(
        since,
        own.map(({ stitch, began }) => ({ ...stitch, start: since - began })),
      );
      return [key, warm];
    }),
  );
}

/**
 * The next stitch of each joint, and how long it has to wait.
 *
 * @param walls The walls by their keys.
 * @param joints The stitches of each joint in their order.
 * @param laid Those that were laid, in any order.
 * @param limit No stitch starts where the steel is above this, °C.
 */
export function nextStitches(
  walls: Readonly<Record<string, HeatedWall>>,
  joints: readonly (readonly StitchToLay[])[],
  laid: readonly LaidStitch[],
  limit: number,
): readonly NextStitch[] {
  const now = wallsNow(walls, joints.flat(), laid);
  const done = new Set(laid.map(({ id }) => id));
  return joints.flatMap((stitches): NextStitch[] => {
    const next = stitches.find(({ id }) => !done.has(id));
    const wall = next && now.get(next.wall);
    if (!next || !wall) return [];
    const { x, s } = next.from;
    return [{ id: next.id, wait: wall.waitFor(x, s, limit), temperature: wall.at(x, s) }];
  });
}
