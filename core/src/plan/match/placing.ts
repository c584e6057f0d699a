import { type Body, type BodyPose, onFrame, openingOver, type ProfilePoint } from '../../body/index.ts';
import { solve } from '../../solve.ts';

/** A point of a body that is wanted at a place of the frame, in x, in z, or in both, mm; the weight counts how much. */
export interface PlacingTarget {
  readonly at: ProfilePoint;
  readonly x?: number | undefined;
  readonly z?: number | undefined;
  /** Above 0. */
  readonly weight: number;
}

/** How far a target is missed in each coordinate that it names, mm. */
const missesOf = (pose: BodyPose, { at, x, z, weight }: PlacingTarget) => {
  const there = onFrame(pose, at);
  return [
    ...(x === undefined ? [] : [{ off: there.x - x, weight }]),
    ...(z === undefined ? [] : [{ off: there.z - z, weight }]),
  ];
};

/**
 * The sum of weight × miss² over everything that a placing wants, mm².
 *
 * @param pose Where the body sits.
 * @param targets What is wanted.
 */
export const missed = (pose: BodyPose, targets: readonly PlacingTarget[]): number =>
  targets.flatMap((target) => missesOf(pose, target)).reduce((sum, { off, weight }) => sum + weight * off ** 2, 0);

/** Steps of Gauss and Newton that are taken at most, and a step that is none, mm. */
const MOST_STEPS = 60;
const NO_STEP = 1e-12;

/**
 * The place of a body that misses what is wanted least: the least sum of weight × miss² over x, z and rake, turned exactly.
 * What the targets do not say stays as it was.
 *
 * @param targets What is wanted; none leaves the body where it is.
 * @param from Where the body sits now.
 * @param keepRake Whether the rake stays as it is.
 */
export function leastSquares(targets: readonly PlacingTarget[], from: BodyPose, keepRake = false): BodyPose {
  const heights = targets.filter(({ z }) => z !== undefined);
  // One height says nothing of the rake: then it is kept.
  const turns = !keepRake && new Set(heights.map(({ at }) => at.x)).size > 1;
  let pose = from;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const [cos, sin] = [Math.cos(pose.rake), Math.sin(pose.rake)];
    const rows = targets.flatMap(({ at, x, z, weight }) => {
      const there = onFrame(pose, at);
      return [
        ...(x === undefined ? [] : [{ by: [1, 0, turns ? -at.x * sin - at.z * cos : 0], off: there.x - x, weight }]),
        ...(z === undefined ? [] : [{ by: [0, 1, turns ? at.x * cos - at.z * sin : 0], off: there.z - z, weight }]),
      ];
    });
    const normal = [0, 1, 2].map((i) =>
      [0, 1, 2].map((j) => rows.reduce((sum, { by, weight }) => sum + weight * (by[i] ?? 0) * (by[j] ?? 0), 0)),
    );
    const right = [0, 1, 2].map((i) => rows.reduce((sum, { by, off, weight }) => sum - weight * (by[i] ?? 0) * off, 0));
    const [dx = 0, dz = 0, turn = 0] = solve(normal, right);
    pose = { x: pose.x + dx, z: pose.z + dz, rake: pose.rake + turn };
    if (Math.abs(dx) + Math.abs(dz) + 1000 * Math.abs(turn) < NO_STEP) break;
  }
  return pose;
}

/** Middle of the axles of a role on the frame, mm; null without any. */
export interface AxlePlaces {
  readonly front: ProfilePoint | null;
  readonly rear: ProfilePoint | null;
}

/** A rule that places a body along the frame. */
export const PLACING_RULES = [
  'front-opening',
  'rear-opening',
  'both-openings',
  'round-wheels',
  'round-wheels-keep-rake',
] as const;
export type PlacingRule = (typeof PLACING_RULES)[number];

/** How much each opening counts where both cannot be met. */
export interface OpeningWeights {
  readonly front: number;
  readonly rear: number;
}

/**
 * A body placed by a rule: an opening right over its axle, or both with the least weighted misses along the frame, which keep
 * height and rake; or both openings round their wheels, middle on middle, in height too, the body raked or not. Null where
 * the body has no such opening, nobody measured its height, or the frame has no such axle.
 *
 * @param rule The rule.
 * @param body The body.
 * @param axles Where the axles are.
 * @param from Where the body sits now.
 * @param weights How much each opening counts.
 */
export function placedBy(
  rule: PlacingRule,
  body: Body,
  axles: AxlePlaces,
  from: BodyPose,
  weights: OpeningWeights = { front: 1, rear: 1 },
): BodyPose | null {
  const round = rule === 'round-wheels' || rule === 'round-wheels-keep-rake';
  const target = (role: 'front' | 'rear'): PlacingTarget | null => {
    const opening = openingOver(body, role);
    const axle = axles[role];
    if (!opening || !axle || (round && opening.z === undefined)) return null;
    const at = { x: opening.x, z: opening.z ?? 0 };
    return { at, x: axle.x, ...(round ? { z: axle.z } : {}), weight: weights[role] };
  };
  const roles = { 'front-opening': ['front'], 'rear-opening': ['rear'] } as const;
  const wanted = (rule === 'front-opening' || rule === 'rear-opening' ? roles[rule] : (['front', 'rear'] as const)).map(
    target,
  );
  return wanted.every((one) => one !== null)
    ? leastSquares(wanted as readonly PlacingTarget[], from, rule === 'round-wheels-keep-rake')
    : null;
}

/** Where somebody wants a mount of a body: along the frame, in height, or both, mm; the weight counts how much. */
export interface MountWish {
  readonly mount: string;
  readonly x?: number | undefined;
  readonly z?: number | undefined;
  /** Above 0. */
  readonly weight: number;
}

/** A body placed by wishes for its mounts, and how far each is then off: behind and above what was wanted, mm. */
export interface PlacedAtMounts {
  readonly pose: BodyPose;
  readonly misses: readonly { readonly mount: string; readonly x: number | null; readonly z: number | null }[];
}

/**
 * A body placed so that chosen mounts come where they are wanted, with the least sum of weight × miss². One height alone keeps
 * the rake; what no wish names stays as it was.
 *
 * @param body The body.
 * @param wishes What is wanted; those of mounts that the body does not have, and those that name neither, are left out.
 * @param from Where the body sits now.
 * @returns Null where nothing is left to place it by.
 */
export function placedAtMounts(body: Body, wishes: readonly MountWish[], from: BodyPose): PlacedAtMounts | null {
  const wanted = wishes.flatMap(({ mount, ...wish }) => {
    const at = body.mounts.find(({ id }) => id === mount);
    return at && (wish.x !== undefined || wish.z !== undefined)
      ? [{ mount, target: { at: { x: at.x, z: at.z }, ...wish } }]
      : [];
  });
  if (wanted.length === 0) return null;
  const pose = leastSquares(
    wanted.map(({ target }) => target),
    from,
  );
  return {
    pose,
    misses: wanted.map(({ mount, target: { at, x, z } }) => {
      const there = onFrame(pose, at);
      return { mount, x: x === undefined ? null : there.x - x, z: z === undefined ? null : there.z - z };
    }),
  };
}

/**
 * A body raked so that its floor lies along the ground, turned about its front opening, else about the front of its floor; null
 * where the floor has not been measured.
 *
 * @param body The body.
 * @param from Where the body sits now.
 * @param ground How much the ground rises to the rear under the tires, dz/dx.
 */
export function floorLevel(body: Body, from: BodyPose, ground: number): BodyPose | null {
  const [first, last] = [body.underside[0], body.underside.at(-1)];
  if (!first || !last || last.x <= first.x) return null;
  const rake = Math.atan(ground) - Math.atan2(last.z - first.z, last.x - first.x);
  const opening = openingOver(body, 'front');
  const about: ProfilePoint = opening ? { x: opening.x, z: opening.z ?? 0 } : first;
  const [was, is] = [onFrame(from, about), onFrame({ x: 0, z: 0, rake }, about)];
  return { x: was.x - is.x, z: was.z - is.z, rake };
}

/**
 * Where a body sits while nobody has decided: its front opening over the front axle, or its rear one over the rear, its own
 * level line on the datum plane.
 *
 * @param body The body.
 * @param axles Where the axles are.
 */
export function usualPose(body: Body, axles: AxlePlaces): BodyPose {
  const level: BodyPose = { x: 0, z: 0, rake: 0 };
  return placedBy('front-opening', body, axles, level) ?? placedBy('rear-opening', body, axles, level) ?? level;
}
