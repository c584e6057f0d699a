import type { Body } from '../body/index.ts';
import type { Plan } from '../plan/index.ts';
import type { Job } from './job.ts';

type WithBodies = Pick<Job, 'bodies' | 'plan' | 'variants'>;

/**
 * The job with every plan without how mounts are made that are not there any more.
 *
 * @param job The job.
 */
export function withoutLostMountings<T extends WithBodies>(job: T): T {
  const there = new Set(job.bodies.flatMap((body) => body.mounts.map((mount) => `${body.id} ${mount.id}`)));
  const kept = (plan: Plan): Plan => {
    const mountings = plan.mountings.filter(({ body, mount }) => there.has(`${body} ${mount}`));
    return mountings.length === plan.mountings.length ? plan : { ...plan, mountings };
  };
  return { ...job, plan: kept(job.plan), variants: job.variants.map(kept) };
}

/**
 * The job with a body changed, or added where it has none of that id; how a mount is made goes with the mount.
 *
 * @param job The job.
 * @param body The body.
 */
export const withBody = <T extends WithBodies>(job: T, body: Body): T =>
  withoutLostMountings({
    ...job,
    bodies: job.bodies.some(({ id }) => id === body.id)
      ? job.bodies.map((old) => (old.id === body.id ? body : old))
      : [...job.bodies, body],
  });

/**
 * The job without a body, and without what its plans say of where that sits and how its mounts are made.
 *
 * @param job The job.
 * @param id Id of the body.
 */
export function withoutBody<T extends WithBodies>(job: T, id: string): T {
  const unseated = (plan: Plan): Plan => ({ ...plan, seats: plan.seats.filter(({ body }) => body !== id) });
  return withoutLostMountings({
    ...job,
    bodies: job.bodies.filter((body) => body.id !== id),
    plan: unseated(job.plan),
    variants: job.variants.map(unseated),
  });
}
