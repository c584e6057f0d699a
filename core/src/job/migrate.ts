import { InputError } from '../input-error.ts';
import { JOB_VERSION } from './job.ts';

/** Plain data of a job file of some version. */
export type RawJobFile = Readonly<Record<string, unknown>>;

/** `MIGRATIONS[n]` turns a file of version n into one of version n + 1. */
export type Migrations = Readonly<Record<number, (file: RawJobFile) => RawJobFile>>;

/** There is only one version so far. */
export const MIGRATIONS: Migrations = {};

/**
 * A job file brought up to `target`, one version at a time.
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
