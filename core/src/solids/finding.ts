import { type Acceptance, advise, type Conflict, conflictOf } from '../plan/index.ts';
import type { Manifold, Triple } from './kernel.ts';
import type { FrameSolid } from './frame-solid.ts';

/** Overlaps up to this count as touching, mm. */
export const TOUCH = 0.2;

/** A finding of the check in 3D. */
export interface SolidFinding {
  readonly code: 'overlap' | 'plate-off-steel' | 'bracket-off-steel' | 'sleeve-blocked' | 'unsupported';
  /** Names it within its plan. */
  readonly key: string;
  /** Ids of the things it is about; a click selects the first. */
  readonly about: readonly string[];
  readonly message: string;
  /** Its middle in frame coordinates, mm; x is its built station. */
  readonly at: Triple;
  /** How much, mm; for a plate or bracket the share of its face in contact. */
  readonly amount: number;
}

/**
 * The middle of a solid's bounding box, mm.
 *
 * @param solid The solid.
 */
export const middleOf = (solid: Manifold): Triple => {
  const { min, max } = solid.boundingBox();
  return [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2];
};

/**
 * The key of a finding within its plan: ids first, since an acceptance is kept as long as they exist.
 *
 * @param code The kind of finding.
 * @param about The solids.
 */
export const keyOf = (code: SolidFinding['code'], ...about: readonly FrameSolid[]): string => {
  const named = about.flatMap(({ id }) => id ?? []).sort();
  const unnamed = about
    .flatMap(({ id, kind, side }) => (id === null || kind === 'rail' ? [`${kind} ${side}`] : []))
    .sort();
  return [`solid-${code}`, ...named, ...unnamed].join('/');
};

/** Advice for each kind of finding. */
const ADVICE: Readonly<Record<SolidFinding['code'], readonly string[]>> = {
  overlap: ['Move one of them, or change the plan.', 'Measure both if their sizes are assumed.'],
  'plate-off-steel': ['Move or shorten the plate so that it lies on the rail.'],
  'bracket-off-steel': ['Fit the bracket to the rail as it is, or move the mount.'],
  'sleeve-blocked': ['Use a smaller tube or a shorter sleeve, or splice with plates.'],
  unsupported: ['Move it to a station with both rails, or make it longer.'],
};

/**
 * A finding as a conflict of the plan. It is a warning: an overlap may come from a size that nobody measured.
 *
 * @param finding The finding.
 * @param acceptances What somebody has decided to live with.
 */
export const solidConflict = (
  { code, key, about, message, at }: SolidFinding,
  acceptances: readonly Acceptance[],
): Conflict =>
  conflictOf(
    {
      code: `solid-${code}`,
      severity: 'warn',
      operation: null,
      donorX: null,
      builtX: at[0],
      about: about[0] ?? null,
      message,
      fixes: advise(...ADVICE[code]),
    },
    acceptances,
    key,
  );
