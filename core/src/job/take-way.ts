import { type Base, baseOf, type FinderAsk, inputWith, type Way } from '../finder/index.ts';
import { contextOf, evaluatePlan, lastHanger, type Plan, shopSplices, withSplice } from '../plan/index.ts';
import { withoutDeadAcceptances } from './ids.ts';
import type { Job } from './job.ts';
import { isPlanName, MOST_VARIANTS } from './variants.ts';

/** A way of the finder, and what a plan that is made of it is called. */
interface Named extends Pick<Way, 'operations'> {
  readonly name: string;
}

/**
 * The plan in hand with a way of the finder in it, in place of what answered the same ask, and its joints made as the shop
 * makes them: by its first choice that nothing in the plan stops.
 */
function planWithWay(job: Job, base: Base, way: Named, newId: () => string): Plan {
  const operations = way.operations.map((operation) => ({ ...operation, id: newId() }));
  const { plan } = inputWith(base, operations);
  const bare = evaluatePlan({ ...job, plan });
  const context = contextOf(job);
  const last = lastHanger(bare.features);
  const joints = bare.splices.flatMap(({ joint, rails: [rail] }) => {
    if (!rail || !operations.some(({ id }) => id === joint.operation)) return [];
    const { material } = job.donor;
    const forms = shopSplices({
      steel: rail.steel,
      material,
      rules: job.rules,
      display: job.display,
      context,
      aheadOfHanger: joint.builtX < last,
    });
    return [{ id: joint.id, forms }];
  });
  const made = (choice: number): Plan =>
    joints.reduce((all, { id, forms }) => {
      const form = forms[Math.min(choice, forms.length - 1)];
      return form ? withSplice(all, { joint: id, rails: form.splice, others: [] }) : all;
    }, plan);
  const stops = (each: Plan): number =>
    evaluatePlan({ ...job, plan: each }).conflicts.filter(({ severity }) => severity === 'stop').length;
  const before = bare.conflicts.filter(({ severity }) => severity === 'stop').length;
  const most = Math.max(0, ...joints.map(({ forms }) => forms.length));
  for (let choice = 0; choice < most; choice += 1) {
    const plan = made(choice);
    if (stops(plan) <= before) return plan;
  }
  return made(0);
}

/** A name that no plan of the job has, like one that was wished for. */
function freeName(job: Job, wished: string): string {
  const stem = wished.trim().slice(0, 110) || 'Another way';
  for (let count = 1; ; count += 1) {
    const name = count === 1 ? stem : `${stem} ${count}`;
    if (isPlanName(job, name)) return name;
  }
}

/**
 * The job with a way of the finder as its plan. Where the plan in hand answered the same ask already, it is kept beside it
 * as a variant. As it was where no more variants can be kept.
 *
 * @param job The job; validated.
 * @param ask What was asked for.
 * @param way The way, and what a plan that is made of it is called.
 * @param newId Gives an id for each new operation.
 */
export function withWayAsPlan(job: Job, ask: FinderAsk, way: Named, newId: () => string): Job {
  const base = baseOf(job, ask.of);
  const plan = planWithWay(job, base, way, newId);
  if (base.replaced.length === 0) return withoutDeadAcceptances({ ...job, plan });
  if (job.variants.length >= MOST_VARIANTS) return job;
  const named = { ...plan, name: freeName(job, way.name), note: '' };
  return withoutDeadAcceptances({ ...job, plan: named, variants: [...job.variants, job.plan] });
}

/**
 * The job with a way of the finder kept beside its plan, to be compared and taken up. As it was where no more can be kept.
 *
 * @param job The job; validated.
 * @param ask What was asked for.
 * @param way The way, and what a plan that is made of it is called.
 * @param newId Gives an id for each new operation.
 */
export function withWayAsVariant(job: Job, ask: FinderAsk, way: Named, newId: () => string): Job {
  if (job.variants.length >= MOST_VARIANTS) return job;
  const plan = planWithWay(job, baseOf(job, ask.of), way, newId);
  const named = { ...plan, name: freeName(job, way.name), note: '' };
  return withoutDeadAcceptances({ ...job, variants: [...job.variants, named] });
}
