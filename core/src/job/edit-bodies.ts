import type { Body } from '../body/index.ts';
import type { Plan } from '../plan/index.ts';
import type { Job } from './job.ts';

/**
 * The job with a body changed, or added where it has none of that id.
 *
 * @param job The job.
 * @param body The body.
 */
export const withBody = <T extends Pick<Job, 'bodies'>>(job: T, body: Body): T => ({
  ...job,
  bodies: job.bodies.some(({ id }) => id === body.id)
    ? job.bodies.map((old) => (old.id === body.id ? body : old))
    : [...job.bodies, body],
});

/**
 * The job without a body, and without what its plans say of where that sits.
 *
 * @param job The job.
 * @param id Id of the body.
 */
export function withoutBody<T extends Pick<Job, 'bodies' | 'plan' | 'variants'>>(job: T, id: string): T {
  const unseated = (plan: Plan): Plan => ({ ...plan, seats: plan.seats.filter(({ body }) => body !== id) });
  return {
    ...job,
    bodies: job.bodies.filter((body) => body.id !== id),
    plan: unseated(job.plan),
    variants: job.variants.map(unseated),
  };
}
