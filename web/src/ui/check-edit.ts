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

/** Checks a job as the server would; `table` is the path of the table that was edited. Null when it is right. */
export function editProblems(job: Job, table: string): EditProblems | null {
  try {
    checkJob(job);
    return null;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const cells = error.problems.flatMap(({ path, message }): CellProblem[] => {
      const at = cellOf(path, table);
      return at ? [{ ...at, message }] : [];
    });
    return { cells, elsewhere: error.problems.find(({ path }) => !cellOf(path, table))?.message ?? '' };
  }
}
