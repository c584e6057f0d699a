import type { RawJobFile } from './migrate.ts';

type Raw = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
/** Adds keys to each record of a list; anything else is left for the schema to refuse. */
const addingToEach = (list: unknown, keys: Raw): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isRecord(item) ? { ...item, ...keys } : item)) : list;

/**
 * 7: how mounts are made, and of bodies their fenders, steps, what hangs low, and what is changed on them;
 * of the donor what takes up room on it.
 *
 * @param file A file of version 6.
 */
export function toVersion7({ job, ...file }: RawJobFile): RawJobFile {
  if (!isRecord(job)) return { ...file, job };
  const plan = isRecord(job.plan) ? { ...job.plan, mountings: [] } : job.plan;
  return {
    ...file,
    job: {
      ...job,
      donor: isRecord(job.donor) ? { ...job.donor, rooms: [] } : job.donor,
      plan,
      variants: addingToEach(job.variants, { mountings: [] }),
      bodies: addingToEach(job.bodies, { fenders: [], points: [], changes: [] }),
    },
  };
}
