import * as yup from 'yup';
import { frameProblems } from '../frame/index.ts';
import { InputError, type InputProblem } from '../input-error.ts';
import type { Reading } from '../survey/index.ts';
import { JOB_FORMAT, type Job, type JobFile } from './job.ts';
import { migrate } from './migrate.ts';
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

function planProblems(job: Job, path: string): InputProblem[] {
  const seen = new Set<string>();
  return job.plan.operations.flatMap(({ id }, index) => {
    const twice = seen.has(id);
    seen.add(id);
    return twice
      ? [{ code: 'plan/same-id', path: `${path}plan.operations[${index}].id`, message: `“${id}” is used twice.` }]
      : [];
  });
}

const jobProblems = (job: Job, path = ''): InputProblem[] => [
  ...frameProblems(job.donor, job.display, `${path}donor`),
  ...planProblems(job, path),
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

/** A job document from untrusted data. @throws InputError with every problem found. */
export const checkJob = (value: unknown): Job => check<Job>(jobSchema, value, jobProblems);

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
