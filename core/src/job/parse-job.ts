import { bodyProblems } from '../body/index.ts';
import { frameProblems } from '../frame/index.ts';
import { guarded } from '../frozen.ts';
import { InputError, type InputProblem } from '../input-error.ts';
import { rackProblems } from '../plan/index.ts';
import { upgradeRecord } from '../records/index.ts';
import { RULE_IDS, type Rulebook, ruleProblem } from '../rules/index.ts';
import { type Field, MOST_PROBLEMS, schemaProblems } from '../fields/index.ts';
import { idProblems, referenceProblems } from './ids.ts';
import { JOB_FORMAT, JOB_VERSION, type Job, type JobFile } from './job.ts';
import { upgradeFile, upgradeJob } from './migrate.ts';
import { jobFileSchema, jobSchema, rulesSchema } from './schema.ts';
import { withRuleNamesOf12 } from './version-12.ts';

function check<T>(schema: Field<T>, value: unknown, meaning: (value: T) => InputProblem[] = () => []): T {
  const shape = schemaProblems(schema, value);
  const problems = shape.length > 0 ? shape : meaning(value as T);
  if (problems.length > 0) throw new InputError(problems.slice(0, MOST_PROBLEMS));
  return guarded(value as T);
}

function variantProblems({ plan, variants }: Job, path: string): InputProblem[] {
  const names = [plan.name, ...variants.map(({ name }) => name)];
  return variants.flatMap((variant, index) => [
    ...(names.indexOf(variant.name) <= index
      ? [
          {
            code: 'plan/same-name',
            path: `${path}variants[${index}].name`,
            message: `Two plans are named “${variant.name}”: give one another name.`,
          },
        ]
      : []),
  ]);
}

const rulesProblems = ({ rules }: { readonly rules: Pick<Rulebook, 'changes'> }, path: string): InputProblem[] =>
  RULE_IDS.flatMap((id) => {
    const value = rules.changes[id];
    const message = value === undefined ? null : ruleProblem(id, value);
    return message === null ? [] : [{ code: 'rules/value', path: `${path}rules.changes.${id}`, message }];
  });

const jobProblems = (job: Job, path = ''): InputProblem[] => [
  ...frameProblems(job.donor, job.display, `${path}donor`),
  ...job.bodies.flatMap((body, index) => bodyProblems(body, `${path}bodies[${index}]`)),
  ...idProblems(job, path),
  ...referenceProblems(job, path),
  ...variantProblems(job, path),
  ...rackProblems(job.rack, `${path}rack`),
  ...rulesProblems(job, path),
];

/** Records may be about what the job has no longer: they are kept all the same. */
function jobFileProblems({ job, records }: JobFile): InputProblem[] {
  const ids = new Set<string>();
  return [
    ...jobProblems(job, 'job.'),
    ...records.flatMap(({ id }, index): InputProblem[] => {
      const twice = ids.has(id);
      ids.add(id);
      return twice ? [{ code: 'record/same-id', path: `records[${index}].id`, message: `“${id}” is used twice.` }] : [];
    }),
  ];
}

/**
 * A job document from untrusted data, brought up from the version of the format it was written in.
 *
 * @param value The value, untrusted.
 * @param version The version of the format it was written in.
 * @throws InputError with the problems found, `MOST_PROBLEMS` at most.
 */
export const checkJob = (value: unknown, version: number = JOB_VERSION): Job =>
  check<Job>(jobSchema, upgradeJob(value, version), jobProblems);

/**
 * The rules of a rule set from untrusted data; under the names of rules before version 12 too.
 *
 * @param value The value, untrusted.
 * @throws InputError with the problems found.
 */
export const checkRules = (value: unknown): Pick<Rulebook, 'profile' | 'changes'> =>
  check(rulesSchema, withRuleNamesOf12(value), (rules) => rulesProblems({ rules }, ''));

/**
 * A job file from its text, brought up to the present version.
 *
 * @param text The text of the file.
 * @throws InputError with every problem found.
 */
export function parseJobFile(text: string): JobFile {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    const where = error instanceof SyntaxError ? `: ${error.message}` : '';
    throw new InputError([
      { code: 'file/not-json', path: '', message: `This is not a job file: it is not JSON${where}.` },
    ]);
  }
  if (typeof raw !== 'object' || raw === null || (raw as Record<string, unknown>).format !== JOB_FORMAT)
    throw new InputError([
      {
        code: 'file/not-a-job',
        path: 'format',
        message: `This is not a job file: it must say "format": "${JOB_FORMAT}".`,
      },
    ]);
  const file = upgradeFile(raw as Record<string, unknown>);
  const records = Array.isArray(file.records) ? file.records.map(upgradeRecord) : file.records;
  return check<JobFile>(jobFileSchema, { ...file, records }, jobFileProblems);
}
