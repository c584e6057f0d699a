import { SIDES, type Vec3 } from '../frame/index.ts';
import type { PlanResult } from './plan-result.ts';
import { distance } from './pose.ts';

/** Something on the frame that a tape can be put to: where it is on the donor and as built; null where it is not. */
export interface Thing {
  /** Its own among all things: a feature on both rails is two of them. */
  readonly id: string;
  /** Id of the feature, crossmember, axle or point that it is. */
  readonly of: string;
  readonly name: string;
  readonly donor: Vec3 | null;
  readonly built: Vec3 | null;
}

/** Everything that a tape can be put to, front to rear: features on each side, crossmembers, axles, points. */
export function thingsOn({ features, crossmembers, axles, points }: PlanResult): Thing[] {
  const things: Thing[] = [
    ...features.flatMap(({ feature, places }) =>
      SIDES.flatMap((side): Thing[] => {
        const place = places[side];
        const { id, name } = feature;
        return place ? [{ id: `${side}/${id}`, of: id, name: `${name}, ${side}`, ...place }] : [];
      }),
    ),
    ...crossmembers.map(({ crossmember: { id, name }, donor, built }) => ({
      id: `crossmember/${id}`,
      of: id,
      name,
      donor,
      built,
    })),
    ...axles.map(({ item: { id, name }, donor, built }) => ({ id: `axle/${id}`, of: id, name, donor, built })),
    ...points.map(({ item: { id, name }, donor, built }) => ({ id: `point/${id}`, of: id, name, donor, built })),
  ];
  const x = ({ built, donor }: Thing): number => (built ?? donor)?.x ?? 0;
  return things.filter(({ built, donor }) => built ?? donor).sort((a, b) => x(a) - x(b));
}

/** How far one place is from another, mm: the tape pulled straight, and its parts along, across and up (signed). */
export interface Between {
  readonly straight: number;
  readonly along: number;
  readonly across: number;
  readonly up: number;
}

/**
 * How far one place is from another.
 *
 * @param a One place, mm.
 * @param b The other, mm.
 */
export const between = (a: Vec3, b: Vec3): Between => ({
  straight: distance(a, b),
  along: b.x - a.x,
  across: b.y - a.y,
  up: b.z - a.z,
});
