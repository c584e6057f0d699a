import { type Base, baseOf, type FinderGoal, inputWith, type CutOption } from '../finder/index.ts';
import { contextOf, evaluatePlan, lastHanger, type Plan, shopSplices, withSplice } from '../plan/index.ts';
import { withoutDeadAcceptances } from './ids.ts';
import type { Job } from './job.ts';
import type { RailSplice } from '../splice/index.ts';
import { inches } from '../units/index.ts';
import { isPlanName, MOST_VARIANTS } from './variants.ts';

/** An option of the finder, and what a plan that is made of it is called. */
interface Named extends Pick<CutOption, 'operations'> {
  readonly name: string;
}

/** How far plates and sleeves may reach from a joint, mm. */
interface Room {
  readonly ahead: number;
  readonly behind: number;
}

/** Plates of two joints keep this far from the middle between them, mm. */
const BETWEEN = inches(1 / 4);

/** A joint whose plates and sleeve end before those of the next joint begin. */
function within(splice: RailSplice, { ahead, behind }: Room): RailSplice {
  const short = <T extends Room>(part: T): T => ({
    ...part,
    ahead: Math.min(part.ahead, ahead),
    behind: Math.min(part.behind, behind),
  });
  return { ...splice, plates: splice.plates.map(short), sleeve: splice.sleeve && short(splice.sleeve) };
}

/**
 * The plan in hand with an option of the finder in it, in place of what answered the same goal, and its joints made as the shop
 * makes them: by its first choice that nothing in the plan stops.
 */
function planWithOption(job: Job, base: Base, option: Named, newId: () => string): Plan {
  const operations = option.operations.map((operation) => ({ ...operation, id: newId() }));
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
    return [{ id: joint.id, x: joint.builtX, forms }];
  });
  const room = (id: string, x: number): Room => {
    const others = joints.filter((joint) => joint.id !== id).map((joint) => joint.x - x);
    const half = (distances: readonly number[]) => Math.min(Infinity, ...distances) / 2 - BETWEEN;
    return { ahead: half(others.filter((d) => d < 0).map((d) => -d)), behind: half(others.filter((d) => d > 0)) };
  };
  const made = (choice: number): Plan =>
    joints.reduce((all, { id, x, forms }) => {
      const form = forms[Math.min(choice, forms.length - 1)];
      return form ? withSplice(all, { joint: id, rails: within(form.splice, room(id, x)), others: [] }) : all;
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
  const stem = wished.trim().slice(0, 110) || 'Another option';
  for (let count = 1; ; count += 1) {
    const name = count === 1 ? stem : `${stem} ${count}`;
    if (isPlanName(job, name)) return name;
  }
}

/**
 * The job with an option of the finder as its plan. Where the plan in hand answered the same goal already, it is kept beside it
 * as a variant. As it was where no more variants can be kept.
 *
 * @param job The job; validated.
 * @param goal The goal.
 * @param option The option, and what a plan that is made of it is called.
 * @param newId Gives an id for each new operation.
 */
export function withOptionAsPlan(job: Job, goal: FinderGoal, option: Named, newId: () => string): Job {
  const base = baseOf(job, goal);
  const plan = planWithOption(job, base, option, newId);
  if (base.replaced.length === 0) return withoutDeadAcceptances({ ...job, plan });
  if (job.variants.length >= MOST_VARIANTS) return job;
  const named = { ...plan, name: freeName(job, option.name), note: '' };
  return withoutDeadAcceptances({ ...job, plan: named, variants: [...job.variants, job.plan] });
}

/**
 * The job with an option of the finder kept beside its plan, to be compared and taken up. As it was where no more can be kept.
 *
 * @param job The job; validated.
 * @param goal The goal.
 * @param option The option, and what a plan that is made of it is called.
 * @param newId Gives an id for each new operation.
 */
export function withOptionAsVariant(job: Job, goal: FinderGoal, option: Named, newId: () => string): Job {
  if (job.variants.length >= MOST_VARIANTS) return job;
  const plan = planWithOption(job, baseOf(job, goal), option, newId);
  const named = { ...plan, name: freeName(job, option.name), note: '' };
  return withoutDeadAcceptances({ ...job, variants: [...job.variants, named] });
}
