import type { Body, BodyMount } from '../body/index.ts';
import type { Feature, Frame, Ref } from '../frame/index.ts';
import type { Mounting } from '../mounting/index.ts';
import type { SplicePlan } from '../splice/index.ts';
import { shiftOperation, withMounting, withoutOperation, withOperation, withSeat, withSplice } from './edit-plan.ts';
import type { BodySeat } from './match/index.ts';
import { newCrossmember } from './new-things.ts';
import type { Place, Plan } from './operation.ts';
import { aboutOf, type Operation } from './operations/index.ts';

/** A thing that hangs on the donor, by the list it is in. */
export type HungRef = Ref<'feature' | 'crossmember'>;

/** An edit that a suggested fix offers; plain data, so that it can be shown, sent and carried out later. */
export type PlanEdit =
  | { readonly do: 'shift'; readonly operation: string; readonly by: number }
  | { readonly do: 'replace'; readonly operation: Operation }
  | { readonly do: 'drop'; readonly operation: string }
  /** Brings an operation ahead of another. */
  | { readonly do: 'order'; readonly operation: string; readonly before: string }
  /** Takes something off ahead of an operation; what the plan itself adds goes with the operation that adds it. */
  | { readonly do: 'take-off'; readonly thing: HungRef; readonly before: string }
  /** Moves something: ahead of an operation, or after all of them. */
  | { readonly do: 'move'; readonly thing: HungRef; readonly to: Place; readonly before: string | null }
  /** Adds one ahead of an operation, or last. */
  | { readonly do: 'add-crossmember'; readonly at: Place; readonly before: string | null }
  /** Cuts a member to the new distance of its ends; makes a brace again. */
  | { readonly do: 'refit'; readonly member: string }
  | { readonly do: 'remake-brace'; readonly brace: string }
  /** Lets a unit stay with another of its mounts. */
  | { readonly do: 'stay'; readonly unit: string; readonly mount: string }
  /** Makes joints another way. */
  | { readonly do: 'splice'; readonly splices: readonly SplicePlan[] }
  /** Makes mounts another way. */
  | { readonly do: 'mount'; readonly mountings: readonly Mounting[] }
  /** Puts a body where it says. */
  | { readonly do: 'seat'; readonly seat: BodySeat }
  /** Moves a mount of a body outward from the middle, on the body itself, mm. */
  | { readonly do: 'outboard'; readonly body: string; readonly mount: string; readonly by: number }
  /** Puts new operations last, in order; each gets an id of its own. */
  | { readonly do: 'add'; readonly operations: readonly Operation[] }
  /** Several edits in one step, in order; each new operation gets an id of its own. */
  | { readonly do: 'all'; readonly edits: readonly PlanEdit[] }
  | { readonly do: 'datum'; readonly feature: string }
  | { readonly do: 'movable'; readonly feature: string; readonly movable: Feature['movable'] };

interface Edited {
  readonly bodies: readonly Body[];
  readonly donor: Frame;
  readonly plan: Plan;
}

/** The plan with an operation put ahead of another, or last. */
function inserted(plan: Plan, operation: Operation, before: string | null): Plan {
  const index = plan.operations.findIndex(({ id }) => id === before);
  return {
    ...plan,
    operations: plan.operations.toSpliced(index < 0 ? plan.operations.length : index, 0, operation),
  };
}

/**
 * The operation that brings a thing onto the frame; undefined for what hangs on the donor.
 *
 * @param plan The plan.
 * @param thing The thing.
 */
export const addingOf = (plan: Plan, { kind, id }: HungRef): Operation | undefined =>
  plan.operations.find((operation) => {
    const { brings } = aboutOf(operation);
    return brings?.kind === kind && brings.id === id;
  });

const common = (id: string) => ({ id, note: '', off: false });

function takingOff(thing: HungRef, id: string): Operation {
  return thing.kind === 'feature'
    ? { ...common(id), kind: 'bracket', change: { what: 'remove', feature: thing.id } }
    : { ...common(id), kind: 'crossmember', change: { what: 'remove', crossmember: thing.id } };
}

function moving(thing: HungRef, to: Place, id: string, { features }: Frame): Operation {
  if (thing.kind === 'crossmember')
    return { ...common(id), kind: 'crossmember', change: { what: 'move', crossmember: thing.id, to } };
  const down = features.find((feature) => feature.id === thing.id)?.down ?? 0;
  return { ...common(id), kind: 'bracket', change: { what: 'move', feature: thing.id, to, down } };
}

/**
 * The job after an edit: `newId` is what a new operation is called. As it was where what it names is gone.
 *
 * @param job The job.
 * @param edit The edit.
 * @param newId What a new operation is called.
 */
export function carryOutEdit<T extends Edited>(job: T, edit: PlanEdit, newId: string): T {
  const { plan, donor } = job;
  const withPlan = (next: Plan): T => ({ ...job, plan: next });
  const found = (id: string) => plan.operations.find((operation) => operation.id === id);
  switch (edit.do) {
    case 'shift': {
      const operation = found(edit.operation);
      return operation ? withPlan(withOperation(plan, shiftOperation(operation, edit.by))) : job;
    }
    case 'replace':
      return withPlan(withOperation(plan, edit.operation));
    case 'drop':
      return withPlan(withoutOperation(plan, edit.operation));
    case 'order': {
      const operation = found(edit.operation);
      if (!operation) return job;
      const others = plan.operations.filter(({ id }) => id !== operation.id);
      return withPlan(inserted({ ...plan, operations: others }, operation, edit.before));
    }
    case 'take-off': {
      const adds = addingOf(plan, edit.thing);
      return withPlan(
        adds ? withoutOperation(plan, adds.id) : inserted(plan, takingOff(edit.thing, newId), edit.before),
      );
    }
    case 'move':
      return withPlan(inserted(plan, moving(edit.thing, edit.to, newId, donor), edit.before));
    case 'add-crossmember':
      return withPlan(
        inserted(
          plan,
          {
            ...common(newId),
            kind: 'crossmember',
            change: { what: 'add', at: edit.at, crossmember: newCrossmember(newId, edit.at.x, donor) },
          },
          edit.before,
        ),
      );
    case 'refit':
      return withPlan(
        inserted(plan, { ...common(newId), kind: 'member', change: { what: 'refit', member: edit.member } }, null),
      );
    case 'remake-brace':
      return withPlan(
        inserted(plan, { ...common(newId), kind: 'member', change: { what: 'remake-brace', brace: edit.brace } }, null),
      );
    case 'stay': {
      const { unit, mount } = edit;
      return withPlan({ ...plan, stays: [...plan.stays.filter((stay) => stay.unit !== unit), { unit, mount }] });
    }
    case 'splice':
      return withPlan(edit.splices.reduce(withSplice, plan));
    case 'mount':
      return withPlan(edit.mountings.reduce(withMounting, plan));
    case 'outboard': {
      const moved = (mount: BodyMount): BodyMount =>
        mount.id === edit.mount ? { ...mount, y: mount.y + (mount.y < 0 ? -edit.by : edit.by) } : mount;
      return {
        ...job,
        bodies: job.bodies.map((body) => (body.id === edit.body ? { ...body, mounts: body.mounts.map(moved) } : body)),
      };
    }
    case 'seat':
      return withPlan(withSeat(plan, edit.seat));
    case 'add':
      return withPlan(
        edit.operations.reduce(
          (made, operation, at) => inserted(made, { ...operation, id: at === 0 ? newId : `${newId}-${at + 1}` }, null),
          plan,
        ),
      );
    case 'all':
      return edit.edits.reduce(
        (made, each, at) => carryOutEdit(made, each, at === 0 ? newId : `${newId}-${at + 1}`),
        job,
      );
    case 'datum':
      return { ...job, donor: { ...donor, datum: edit.feature } };
    case 'movable':
      return {
        ...job,
        donor: {
          ...donor,
          features: donor.features.map((feature) =>
            feature.id === edit.feature ? { ...feature, movable: edit.movable } : feature,
          ),
        },
      };
  }
}
