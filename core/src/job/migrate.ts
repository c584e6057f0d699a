import { InputError } from '../input-error.ts';
import { STOCK_MATERIALS } from '../materials/index.ts';
import { claimProblem } from './claimed-version.ts';
import { JOB_VERSION } from './job.ts';
import { toVersion3 } from './version-3.ts';
import { toVersion4 } from './version-4.ts';
import { toVersion6 } from './version-6.ts';
import { toVersion7 } from './version-7.ts';
import { toVersion8 } from './version-8.ts';
import { toVersion10 } from './version-10.ts';
import { toVersion11 } from './version-11.ts';
import { toVersion12 } from './version-12.ts';

/** Plain data of a job file of some version. */
export type RawJobFile = Readonly<Record<string, unknown>>;

/** `MIGRATIONS[n]` turns a file of version n into one of version n + 1. */
export type Migrations = Readonly<Record<number, (file: RawJobFile) => RawJobFile>>;

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Adds keys to a record; anything else is left for the schema to refuse. */
const adding = (value: unknown, keys: Readonly<Record<string, unknown>>): unknown =>
  isRecord(value) ? { ...value, ...keys } : value;

/** The figures of the material that a donor of version 1 only named. */
function withMaterial(donor: unknown): unknown {
  if (!isRecord(donor)) return donor;
  const known: Readonly<Record<string, unknown>> = STOCK_MATERIALS;
  return { ...donor, material: known[String(donor.material)] ?? donor.material };
}

/** Version 1 knew no new piece where rail comes out. */
function withTransitions(plan: unknown): unknown {
  if (!isRecord(plan) || !Array.isArray(plan.operations)) return plan;
  const operations = plan.operations.map((operation: unknown) =>
    isRecord(operation) && operation.kind === 'shorten' ? { ...operation, transition: 0 } : operation,
  );
  return { ...plan, operations };
}

const MIGRATIONS: Migrations = {
  /**
   * 2: variants, a note on each plan, transitions where rail comes out, the body's masses, the material's figures,
   * cautions read.
   */
  1: ({ job, ...file }) => ({
    ...file,
    job: isRecord(job)
      ? {
          ...job,
          donor: withMaterial(job.donor),
          body: adding(job.body, { masses: [] }),
          plan: withTransitions(adding(job.plan, { note: '' })),
          variants: [],
          cautionsRead: [],
        }
      : job,
  }),
  2: toVersion3,
  3: toVersion4,
  /** 5: how joints are made, and the rack that their sleeves come from. */
  4: ({ job, ...file }) => ({
    ...file,
    job: isRecord(job)
      ? {
          ...job,
          rack: [],
          plan: adding(job.plan, { splices: [], fittings: [] }),
          variants: Array.isArray(job.variants)
            ? job.variants.map((plan: unknown) => adding(plan, { splices: [], fittings: [] }))
            : job.variants,
        }
      : job,
  }),
  5: toVersion6,
  6: toVersion7,
  7: toVersion8,
  /** 9: rules may say which rule set of the shop they are from: older ones are from none. */
  8: (file) => file,
  9: toVersion10,
  10: toVersion11,
  11: toVersion12,
};

/**
 * A job file brought up to `target`, one version at a time.
 *
 * @param file Plain data of a job file.
 * @param migrations The way up from each version.
 * @param target The version to come to.
 * @throws InputError for a version that is missing, newer than the program, or without a way up.
 */
export function migrate(
  file: RawJobFile,
  migrations: Migrations = MIGRATIONS,
  target: number = JOB_VERSION,
): RawJobFile {
  const refuse = (code: string, message: string): never => {
    throw new InputError([{ code, path: 'version', message }]);
  };
  const { version } = file;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refuse('file/version', 'The file must say which version of the format it is, as a whole number from 1.');
  if (version > target)
    return refuse(
      'file/newer',
      `The file is of version ${version}; this program reads up to ${target}. Update the program.`,
    );
  if (version === target) return file;
  const step = migrations[version];
  if (!step) return refuse('file/too-old', `There is no way up from version ${version}.`);
  return migrate({ ...step(file), version: version + 1 }, migrations, target);
}

/**
 * A job document of some version, without its file, brought up to the present one.
 *
 * @param job A job document, untrusted.
 * @param version The version of the format it was written in.
 * @throws InputError as `migrate` does.
 */
export const upgradeJob = (job: unknown, version: number): unknown =>
  version === JOB_VERSION ? job : upgradeFile({ version, job }).job;

/**
 * Migrates a job file to the present version, after checking that it is of the version it claims.
 *
 * @param file Plain data of a job file.
 * @throws InputError as `migrate` does, and for a file that holds what came with a later version.
 */
export function upgradeFile(file: RawJobFile): RawJobFile {
  const wrong = typeof file.version === 'number' ? claimProblem(file, file.version) : null;
  if (wrong) throw new InputError([wrong]);
  return migrate(file);
}
