import * as yup from 'yup';
import { bodyProblems } from '../body/index.ts';
import { frameProblems } from '../frame/index.ts';
import { InputError, type InputProblem } from '../input-error.ts';
import type { Plan } from '../plan/index.ts';
import { RULE_IDS, ruleProblem } from '../rules/index.ts';
import type { Reading } from '../survey/index.ts';
import { JOB_FORMAT, JOB_VERSION, type Job, type JobFile } from './job.ts';
import { migrate, upgradeJob } from './migrate.ts';
import { jobFileSchema, jobSchema, readingSchema } from './schema.ts';

/** Every way a value differs from a schema, each with its path. Empty when it fits. */
export function schemaProblems(schema: yup.Schema, value: unknown): InputProblem[] {
  try {
    schema.validateSync(value, { abortEarly: false, strict: true });
    return [];
  } catch (error) {
    if (!(error instanceof yup.ValidationError)) throw error;
    const each = error.inner.length > 0 ? error.inner : [error];
    return each.map((problem) => ({
      code: `document/${problem.type ?? 'wrong'}`,
      path: problem.path ?? '',
      message: problem.message,
    }));
  }
}

function check<T>(schema: yup.Schema, value: unknown, meaning: (value: T) => InputProblem[] = () => []): T {
  const shape = schemaProblems(schema, value);
  const problems = shape.length > 0 ? shape : meaning(value as T);
  if (problems.length > 0) throw new InputError(problems);
  return value as T;
}

function planProblems(plan: Plan, path: string): InputProblem[] {
  const seen = new Set<string>();
  return plan.operations.flatMap(({ id }, index) => {
    const twice = seen.has(id);
    seen.add(id);
    return twice
      ? [{ code: 'plan/same-id', path: `${path}.operations[${index}].id`, message: `“${id}” is used twice.` }]
      : [];
  });
}

function variantProblems({ plan, variants }: Job, path: string): InputProblem[] {
  const names = [plan.name, ...variants.map(({ name }) => name)];
  return variants.flatMap((variant, index) => [
    ...planProblems(variant, `${path}variants[${index}]`),
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

const rulesProblems = ({ rules }: Job, path: string): InputProblem[] =>
  RULE_IDS.flatMap((id) => {
    const value = rules.changes[id];
    const message = value === undefined ? null : ruleProblem(id, value);
    return message === null ? [] : [{ code: 'rules/value', path: `${path}rules.changes.${id}`, message }];
  });

const jobProblems = (job: Job, path = ''): InputProblem[] => [
  ...frameProblems(job.donor, job.display, `${path}donor`),
  ...(job.body ? bodyProblems(job.body, `${path}body`) : []),
  ...planProblems(job.plan, `${path}plan`),
  ...variantProblems(job, path),
  ...rulesProblems(job, path),
];

function jobFileProblems({ job, readings }: JobFile): InputProblem[] {
  const known = new Set(job.donor.controlMeasurements.map((measurement) => measurement.id));
  const ids = new Set<string>();
  return [
    ...jobProblems(job, 'job.'),
    ...readings.flatMap(({ id, measurement }, index): InputProblem[] => {
      const twice = ids.has(id);
      ids.add(id);
      return [
        ...(twice
          ? [{ code: 'reading/same-id', path: `readings[${index}].id`, message: `“${id}” is used twice.` }]
          : []),
        ...(known.has(measurement)
          ? []
          : [
              {
                code: 'reading/unknown-measurement',
                path: `readings[${index}].measurement`,
                message: `There is no control measurement “${measurement}”.`,
              },
            ]),
      ];
    }),
  ];
}

/**
 * A job document from untrusted data, brought up from the version of the format it was written in.
 * @throws InputError with every problem found.
 */
export const checkJob = (value: unknown, version: number = JOB_VERSION): Job =>
  check<Job>(jobSchema, upgradeJob(value, version), jobProblems);

/** A reading from untrusted data. @throws InputError with every problem found. */
export const checkReading = (value: unknown): Reading => check<Reading>(readingSchema, value);

/** A job file from its text, brought up to the present version. @throws InputError with every problem found. */
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
  return check<JobFile>(jobFileSchema, migrate(raw as Record<string, unknown>), jobFileProblems);
}
