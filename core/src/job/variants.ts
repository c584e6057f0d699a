import { emptyPlan, type Plan } from '../plan/index.ts';
import type { Job } from './job.ts';

/** As many variants as a job keeps beside its plan. */
export const MOST_VARIANTS = 20;

/** Every plan of a job: the one in hand first. */
export const plansOf = ({ plan, variants }: Job): readonly Plan[] => [plan, ...variants];

/**
 * Whether a plan could have this name: it says something, and no other plan of the job has it.
 *
 * @param job The job; validated.
 * @param name The name to be tried.
 * @param own The name that the plan has now.
 */
export const isPlanName = (job: Job, name: string, own?: string): boolean =>
  name.trim() !== '' && (name === own || plansOf(job).every((plan) => plan.name !== name));

/**
 * A name that no plan of the job has: `… 2`, `… 3`
 *
 * @param job The job; validated.
 */
export function nameForVariant(job: Job): string {
  const stem = job.plan.name.replace(/ \d+$/, '').slice(0, 110);
  for (let count = 2; ; count += 1) {
    const name = `${stem} ${count}`;
    if (isPlanName(job, name)) return name;
  }
}

/**
 * The job with its plan kept as a variant, and a plan of another name in hand to go on with: the same operations, or
 * none. As it was when the name is taken, or as many variants are kept as can be.
 *
 * @param job The job; validated.
 * @param name The name of the plan to go on with.
 * @param from Whether it begins with the same operations, or with none.
 */
export function setAside(job: Job, name: string, from: 'copy' | 'empty'): Job {
  if (!isPlanName(job, name) || job.variants.length >= MOST_VARIANTS) return job;
  const next = from === 'copy' ? { ...job.plan, name, note: '' } : emptyPlan(name);
  return { ...job, plan: next, variants: [...job.variants, job.plan] };
}

/**
 * The job with a variant in hand, and the plan that was in hand kept in its place. As it was without such a variant.
 *
 * @param job The job; validated.
 * @param name The variant’s name.
 */
export function takeUp(job: Job, name: string): Job {
  const plan = job.variants.find((variant) => variant.name === name);
  if (!plan) return job;
  return { ...job, plan, variants: job.variants.map((variant) => (variant === plan ? job.plan : variant)) };
}

/**
 * The job without one of its variants.
 *
 * @param job The job; validated.
 * @param name The variant’s name.
 */
export const withoutVariant = (job: Job, name: string): Job => ({
  ...job,
  variants: job.variants.filter((variant) => variant.name !== name),
});

/**
 * The job with a plan renamed, or its note rewritten. As it was when the new name is taken.
 *
 * @param job The job; validated.
 * @param name The plan’s name now.
 * @param next Its new name or note.
 */
export function withPlanNamed(job: Job, name: string, next: Partial<Pick<Plan, 'name' | 'note'>>): Job {
  if (next.name !== undefined && !isPlanName(job, next.name, name)) return job;
  const edited = (plan: Plan): Plan => (plan.name === name ? { ...plan, ...next } : plan);
  return { ...job, plan: edited(job.plan), variants: job.variants.map(edited) };
}
