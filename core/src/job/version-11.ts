import type { RawJobFile } from './migrate.ts';

type Raw = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

function withSteps(plan: unknown): unknown {
  if (!isRecord(plan) || !isRecord(plan.propping) || !Array.isArray(plan.propping.off)) return plan;
  const off = plan.propping.off.map((id: unknown) => ({ id, step: null }));
  return { ...plan, propping: { ...plan.propping, off } };
}

/**
 * 11: what is off the frame may be off for one operation.
 *
 * @param file A file of version 10.
 */
export function toVersion11({ job, ...file }: RawJobFile): RawJobFile {
  if (!isRecord(job)) return { ...file, job };
  const { variants } = job;
  return {
    ...file,
    job: {
      ...job,
      plan: withSteps(job.plan),
      variants: Array.isArray(variants) ? variants.map(withSteps) : variants,
    },
  };
}
