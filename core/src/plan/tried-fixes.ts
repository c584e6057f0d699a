import type { Conflict, SuggestedFix } from './conflict.ts';
import { evaluatePlan } from './evaluate-plan.ts';
import { carryOutEdit, type PlanEdit } from './plan-edit.ts';
import type { PlanInput } from './plan-result.ts';

/** What a new operation of a suggested fix is called while it is tried. */
const TRIED = 'tried-fix';

/** What stops each job as it is: asked for each fix that is tried on it. */
const stopsKnown = new WeakMap<PlanInput, ReadonlySet<string>>();

function stopsBefore(input: PlanInput): ReadonlySet<string> {
  const known = stopsKnown.get(input) ?? stopsOf(evaluatePlan(input).conflicts);
  stopsKnown.set(input, known);
  return known;
}

const stopsOf = (conflicts: readonly Conflict[]): ReadonlySet<string> =>
  new Set(conflicts.filter(({ severity }) => severity === 'stop').map(({ key }) => key));

/**
 * Whether an edit clears a conflict and adds no stop: tried on a copy.
 *
 * @param input The job that the conflict is of.
 * @param conflict The conflict.
 * @param edit The edit.
 */
function clears(input: PlanInput, conflict: Conflict, edit: PlanEdit): boolean {
  const before = stopsBefore(input);
  const { conflicts } = evaluatePlan(carryOutEdit(input, edit, TRIED));
  const isLeft = conflicts.some(({ key, severity }) => key === conflict.key && severity !== 'note');
  return !isLeft && [...stopsOf(conflicts)].every((key) => before.has(key));
}

/** What was tried last of each plan, by conflict: a job that is looked at again is not tried again. */
const tried = new WeakMap<
  PlanInput['plan'],
  Map<string, { readonly conflict: Conflict; readonly ways: readonly SuggestedFix[] }>
>();

/**
 * The suggested fixes of a conflict that work, each tried on a copy: it removes the conflict and adds no stop. Advice stays. A stop
 * that nothing is left for and that cannot be accepted says so.
 *
 * @param input The job that the conflict is of.
 * @param conflict The conflict.
 */
export function triedFixes(input: PlanInput, conflict: Conflict): readonly SuggestedFix[] {
  const known = tried.get(input.plan) ?? new Map<string, { conflict: Conflict; ways: readonly SuggestedFix[] }>();
  tried.set(input.plan, known);
  const found = known.get(conflict.key);
  if (found?.conflict === conflict) return found.ways;
  const working = conflict.fixes.filter(({ edit }) => edit === null || clears(input, conflict, edit));
  const isStuck = conflict.severity === 'stop' && !conflict.acceptable && !working.some(({ edit }) => edit !== null);
  const ways = isStuck
    ? [
        ...working,
        { say: 'No single change that Splay knows clears this without stopping something else.', edit: null },
      ]
    : working;
  known.set(conflict.key, { conflict, ways });
  return ways;
}

/**
 * One edit that takes off everything that an operation's cuts run through; null where that is fewer than two things, or where some
 * of it cannot come off.
 *
 * @param input The job that the conflicts are of.
 * @param conflicts What stops the plan.
 * @param operation Id of the operation.
 */
export function removeAllFirst(
  input: PlanInput,
  conflicts: readonly Conflict[],
  operation: string,
): SuggestedFix | null {
  const own = conflicts.filter((conflict) => conflict.operation === operation && conflict.severity === 'stop');
  const edits = own.flatMap(({ fixes }) => fixes.flatMap(({ edit }) => (edit?.do === 'take-off' ? [edit] : [])));
  if (edits.length < 2) return null;
  const way: SuggestedFix = { say: `Remove these ${edits.length} things first`, edit: { do: 'all', edits } };
  const { conflicts: left } = evaluatePlan(carryOutEdit(input, { do: 'all', edits }, TRIED));
  const removed = new Set(edits.map(({ thing }) => thing.id));
  const isLeft = left.some(({ about, severity }) => about !== null && removed.has(about) && severity === 'stop');
  const before = stopsBefore(input);
  return !isLeft && [...stopsOf(left)].every((key) => before.has(key)) ? way : null;
}
