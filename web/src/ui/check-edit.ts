import { checkJob, InputError, type Job } from '@splay/core';
import type { CellProblem } from './edit-table.tsx';

/** What keeps an edited job from being taken: problems of one table's cells, and the first that is not in it. */
export interface EditProblems {
  readonly cells: readonly CellProblem[];
  readonly elsewhere: string;
}

/** `donor.features[2].x` in the table `donor.features` → row 2, column x. */
function cellOf(path: string, table: string): Pick<CellProblem, 'row' | 'column'> | null {
  if (!path.startsWith(`${table}[`)) return null;
  const match = /^\[(\d+)\](?:\.(\w+))?/.exec(path.slice(table.length));
  return match ? { row: Number(match[1]), column: match[2] ?? '' } : null;
}

/** What everything in a document is called, by its id. */
function namesIn(value: unknown, names = new Map<string, string>()): ReadonlyMap<string, string> {
  if (typeof value !== 'object' || value === null) return names;
  const { id, name } = value as { readonly id?: unknown; readonly name?: unknown };
  if (typeof id === 'string' && typeof name === 'string') names.set(id, name);
  for (const part of Object.values(value)) namesIn(part, names);
  return names;
}

/**
 * Checks an edited job as the server would.
 *
 * @param job The job with the edit.
 * @param table The path of the table that was edited.
 * @param before The job without it: what is gone is told by the name that it had, not by its id.
 * @returns Null when it is right.
 */
export function editProblems(job: Job, table: string, before: Job): EditProblems | null {
  try {
    checkJob(job);
    return null;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const names = namesIn([before.donor, before.bodies, before.rack]);
    const named = (message: string) =>
      message.replace(/“([^”]+)”/g, (_, said: string) => `“${names.get(said) ?? said}”`);
    const cells = error.problems.flatMap(({ path, message }): CellProblem[] => {
      const at = cellOf(path, table);
      return at ? [{ ...at, message: named(message) }] : [];
    });
    const elsewhere = error.problems.find(({ path }) => !cellOf(path, table));
    return { cells, elsewhere: elsewhere ? named(elsewhere.message) : '' };
  }
}
