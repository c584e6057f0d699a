import type { Ref } from './ref.ts';

/** What there is to know of a kind of unit. */
export interface UnitFacts {
  readonly name: string;
  /** Which of its mounts it stays with where the plan moves them apart: the first, or those nearest to its axle. */
  readonly stays: 'first' | 'at-axle';
  /** How grave it is when a mount leaves it: a suspension is not to be pulled apart, a cab mount is re-drilled. */
  readonly split: 'stop' | 'warn';
}

/** Every kind of unit. */
export const UNIT_FACTS = {
  cab: { name: 'Cab', stays: 'first', split: 'warn' },
  'power-unit': { name: 'Power unit', stays: 'first', split: 'warn' },
  'front-suspension': { name: 'Front suspension', stays: 'at-axle', split: 'stop' },
  'rear-suspension': { name: 'Rear suspension', stays: 'at-axle', split: 'stop' },
  tank: { name: 'Tank', stays: 'first', split: 'warn' },
  body: { name: 'Bed or body', stays: 'first', split: 'warn' },
} as const satisfies Readonly<Record<string, UnitFacts>>;

export type UnitKind = keyof typeof UNIT_FACTS;
export const UNIT_KINDS = Object.keys(UNIT_FACTS) as readonly UnitKind[];

/** Something rigid that rides on the frame by its mounts, and carries what hangs on it: a cab, a suspension, a tank. */
export interface Unit {
  readonly id: string;
  readonly name: string;
  readonly kind: UnitKind;
  /** What it is fastened to: features and crossmembers. */
  readonly mounts: readonly Ref<'feature' | 'crossmember'>[];
}

/**
 * The unit that stands on a feature or crossmember; undefined where none does.
 *
 * @param mount Id of a feature or crossmember.
 */
export const unitOf = ({ units }: { readonly units: readonly Unit[] }, mount: string): Unit | undefined =>
  units.find(({ mounts }) => mounts.some(({ id }) => id === mount));

/**
 * The units with a mount under another unit, or under none (`null`).
 *
 * @param units The donor’s units.
 * @param mount A feature or crossmember.
 * @param unit Id of the unit to put it under; null: under none.
 */
export const withMount = (
  units: readonly Unit[],
  mount: Unit['mounts'][number],
  unit: string | null,
): readonly Unit[] =>
  units.map((each) => {
    const others = each.mounts.filter(({ id }) => id !== mount.id);
    if (each.id === unit) return { ...each, mounts: [...others, mount] };
    return others.length === each.mounts.length ? each : { ...each, mounts: others };
  });
