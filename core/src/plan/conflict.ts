import type { Acceptance } from './operation.ts';
import type { PlanEdit } from './plan-edit.ts';

/** A suggested fix of a conflict: what to do, and the edit of the plan that does it, where the program can. */
export interface SuggestedFix {
  readonly say: string;
  readonly edit: PlanEdit | null;
}

/** What is looked for and found: a conflict before it is known whether somebody has accepted it. */
export interface Finding {
  readonly code: string;
  /** `stop`: must not be done as it stands; `warn`: needs a decision; `note`: follows from it. */
  readonly severity: 'stop' | 'warn' | 'note';
  /** The operation it comes from, if one. */
  readonly operation: string | null;
  /** Where it is, mm: on the donor and on the built frame; null where it has no single place there. */
  readonly donorX: number | null;
  readonly builtX: number | null;
  /** Id of the feature, crossmember, group, joint or other thing it is about. */
  readonly about: string | null;
  readonly message: string;
  readonly fixes: readonly SuggestedFix[];
}

/** Something a builder must know about a plan, with its place, the reason, and suggested fixes. */
export interface Conflict extends Finding {
  /** Names it within its plan, whatever its figures are: what an acceptance refers to. */
  readonly key: string;
  /** Whether the shop may decide to live with it, with a reason. */
  readonly acceptable: boolean;
  /** Who decided that, and why; then it is only a note, and stays in sight. */
  readonly accepted: Acceptance | null;
}

export const SEVERITIES = ['stop', 'warn', 'note'] as const;

/** The place of a conflict that has none. */
export const NOWHERE = { operation: null, donorX: null, builtX: null, about: null } as const;

/**
 * Advice that no press of a button carries out.
 *
 * @param sentences What to do, each a sentence.
 */
export const advise = (...sentences: readonly string[]): SuggestedFix[] =>
  sentences.map((say) => ({ say, edit: null }));

/** Stops that the shop may decide to live with: all others are never to be done as they stand. */
const ACCEPTABLE_STOPS: readonly string[] = ['unit-split', 'joint-cannot'];

/**
 * The conflict of a finding, with what the plan says of it.
 *
 * @param finding What was found.
 * @param acceptances What somebody has decided to live with.
 * @param key Names it within its plan, where its code and what it is about do not.
 */
export function conflictOf(
  finding: Finding,
  acceptances: readonly Acceptance[],
  key = [finding.code, finding.operation, finding.about].filter((part) => part !== null).join('/'),
): Conflict {
  const { code, severity } = finding;
  const acceptable = severity === 'warn' || (severity === 'stop' && ACCEPTABLE_STOPS.includes(code));
  const accepted = acceptable ? (acceptances.find(({ conflict }) => conflict === key) ?? null) : null;
  return { ...finding, severity: accepted ? 'note' : severity, key, acceptable, accepted };
}

/** Who accepted a conflict and why, as it is said wherever the conflict is. */
export const acceptedText = ({ by, reason }: Acceptance): string => `Accepted by ${by} because ${reason}`;
