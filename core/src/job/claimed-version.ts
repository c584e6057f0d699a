import type { InputProblem } from '../input-error.ts';

/**
 * What each version of the job format brought: a file that says an older version and holds it is not of that version, and
 * bringing it up would overwrite what it holds. Paths go through every plan and every body.
 */
const CAME_WITH: readonly (readonly [version: number, paths: readonly string[]])[] = [
  [2, ['job.variants']],
  [3, ['job.donor.features.ahead']],
  [4, ['records', 'job.donor.units', 'job.donor.members', 'job.donor.braces', 'plan.stays']],
  [5, ['job.rack', 'plan.splices', 'plan.fittings']],
  [6, ['job.bodies', 'plan.seats']],
  [7, ['job.donor.rooms', 'plan.mountings', 'body.fenders', 'body.points', 'body.changes']],
  [8, ['plan.propping']],
  [9, ['job.rules.from']],
  [11, ['plan.propping.off.id']],
  [12, ['plan.shoring', 'job.donor.axles.tireRadius', 'body.tireGap']],
];

type Raw = Readonly<Record<string, unknown>>;
const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/** True when some value lies at a path; lists are looked through. */
function holds(value: unknown, path: readonly string[]): boolean {
  const [key, ...rest] = path;
  if (key === undefined) return value !== undefined;
  if (Array.isArray(value)) return value.some((item: unknown) => holds(item, path));
  return isRecord(value) && holds(value[key], rest);
}

function placeOf(file: Raw, path: string): readonly [value: unknown, rest: readonly string[]] {
  const [first = '', ...rest] = path.split('.');
  const job = isRecord(file.job) ? file.job : {};
  if (first === 'plan') return [[job.plan, job.variants], rest];
  if (first === 'body') return [job.bodies, rest];
  return [file, [first, ...rest]];
}

/**
 * What is wrong with the version that a file claims: null where nothing is.
 *
 * @param file Plain data of a job file, untrusted.
 * @param version The version that it says.
 */
export function claimProblem(file: Raw, version: number): InputProblem | null {
  for (const [since, paths] of CAME_WITH) {
    if (since <= version) continue;
    const found = paths.find((path) => holds(...placeOf(file, path)));
    if (found !== undefined)
      return {
        code: 'file/claims-older',
        path: 'version',
        message: `The file says version ${version}, and holds “${found}”, which came with version ${since}. Set "version" to that of the program that wrote it.`,
      };
  }
  return null;
}
