import type { Vec3 } from '../../frame/index.ts';
import type { DrawnPoint } from '../outline.ts';

/**
 * The outline of something straight or bent that is `wide` mm across, seen from above (`plan`: x and y) or from the
 * side (x and z): its center line in space, `wide` / 2 to each side of it, mitered where it bends. `points` has two at
 * least.
 *
 * @param points Its center line, two points or more, mm.
 * @param wide How wide it is in that view, mm.
 * @param view From above, or from the side.
 */
export function ribbon(points: readonly Vec3[], wide: number, view: 'plan' | 'side'): readonly DrawnPoint[] {
  const flat = points.map(({ x, y, z }) => [x, view === 'plan' ? y : z] as const);
  const directions = flat.slice(1).map(([x, v], index) => {
    const [fromX, fromV] = flat[index] as DrawnPoint;
    const length = Math.hypot(x - fromX, v - fromV) || 1;
    return [(x - fromX) / length, (v - fromV) / length] as const;
  });
  const edge = (sign: 1 | -1): DrawnPoint[] =>
    flat.map(([x, v], index) => {
      const [a, b] = [directions[index - 1] ?? directions[index], directions[index] ?? directions[index - 1]];
      if (!a || !b) return [x, v];
      const [nx, nv] = [-(a[1] + b[1]), a[0] + b[0]];
      // A mitre is longer than half the width by the cosine of half the bend.
      const long = (nx * nx + nv * nv) / 2 || 1;
      return [x + (sign * wide * nx) / 2 / long, v + (sign * wide * nv) / 2 / long];
    });
  return [...edge(1), ...edge(-1).reverse()];
}
