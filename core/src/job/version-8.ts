import type { RawJobFile } from './migrate.ts';

type Raw = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * 8: how the frame is held while it is cut.
 *
 * @param file A file of version 7.
 */
export function toVersion8({ job, ...file }: RawJobFile): RawJobFile {
  if (!isRecord(job)) return { ...file, job };
  const held = (plan: unknown): unknown =>
    isRecord(plan) ? { ...plan, propping: { props: [], level: null, off: [], holding: [] } } : plan;
  return {
    ...file,
    job: {
      ...job,
      plan: held(job.plan),
      variants: Array.isArray(job.variants) ? job.variants.map(held) : job.variants,
    },
  };
}
