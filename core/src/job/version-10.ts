import type { RawJobFile } from './migrate.ts';

type Raw = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/** What tied both sides of a cut by the name of a threaded leg is a threaded rod; a leg stands on the floor. */
const asRod = (prop: unknown): unknown => (isRecord(prop) && prop.kind === 'leg' ? { ...prop, kind: 'rod' } : prop);

function withRods(plan: unknown): unknown {
  if (!isRecord(plan) || !isRecord(plan.propping) || !Array.isArray(plan.propping.props)) return plan;
  return { ...plan, propping: { ...plan.propping, props: plan.propping.props.map(asRod) } };
}

/**
 * 10: threaded legs stand on the floor; what ties is a rod.
 *
 * @param file A file of version 9.
 */
export function toVersion10({ job, ...file }: RawJobFile): RawJobFile {
  if (!isRecord(job)) return { ...file, job };
  const { variants } = job;
  return {
    ...file,
    job: {
      ...job,
      plan: withRods(job.plan),
      variants: Array.isArray(variants) ? variants.map(withRods) : variants,
    },
  };
}
