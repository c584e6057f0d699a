import type { Body } from '../../body/index.ts';
import { balance } from '../axle-loads.ts';
import { solve } from '../../solve.ts';

/** What the shares may miss of the weight and of where it balances, as a share of it: more cannot be carried at all. */
const MISSED = 1e-6;

/**
 * What each mount carries of a weight, kg: the body rigid on springs of equal rate. A share below 0 says
 * that the mount is pulled. Null where the mounts cannot carry the weight where it balances, as two on one side cannot.
 *
 * @param mounts Where the mounts are, mm.
 * @param weight The weight, kg, and where it balances, mm.
 */
export function sharesOf(
  mounts: readonly { readonly x: number; readonly y: number }[],
  weight: { readonly mass: number; readonly x: number; readonly y: number },
): readonly number[] | null {
  if (mounts.length === 0 || weight.mass <= 0) return null;
  // About where the weight balances, in units of the frame's size: the moments are 0 and the figures alike.
  const size = Math.max(...mounts.flatMap(({ x, y }) => [Math.abs(x - weight.x), Math.abs(y - weight.y)]), 1);
  const arms = mounts.map(({ x, y }) => [1, (x - weight.x) / size, (y - weight.y) / size] as const);
  const normal = [0, 1, 2].map((i) =>
    [0, 1, 2].map((j) => arms.reduce((sum, arm) => sum + (arm[i] ?? 0) * (arm[j] ?? 0), 0)),
  );
  const plane = solve(normal, [weight.mass, 0, 0]);
  const shares = arms.map((arm) => arm.reduce((sum, value, at) => sum + value * (plane[at] ?? 0), 0));
  const left = [0, 1, 2].map((i) => shares.reduce((sum, share, at) => sum + share * (arms[at]?.[i] ?? 0), 0));
  const held = [weight.mass, 0, 0].every((wanted, i) => Math.abs((left[i] ?? 0) - wanted) <= MISSED * weight.mass);
  return held ? shares : null;
}

/**
 * What each mount of a body carries of its weights and load, kg, in the order of its mounts: as somebody said it, else
 * calculated from what the others leave. Null where that is not known.
 *
 * @param body The body; validated.
 */
export function mountLoads({ mounts, masses }: Body): readonly (number | null)[] {
  const { mass, centerOfGravity } = balance(masses.map(({ mass: each, ...at }) => ({ mass: each, at })));
  const given = mounts.some(({ load }) => load !== undefined);
  if (given) return mounts.map(({ load }) => load ?? null);
  const shares = centerOfGravity ? sharesOf(mounts, { mass, x: centerOfGravity.x, y: centerOfGravity.y }) : null;
  return mounts.map((_, at) => shares?.[at] ?? null);
}
