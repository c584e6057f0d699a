import type { EndPlace, Operation, Place, Plan } from './operation.ts';

/** The plan with one operation replaced by another of the same id. */
export const withOperation = (plan: Plan, operation: Operation): Plan => ({
  ...plan,
  operations: plan.operations.map((other) => (other.id === operation.id ? operation : other)),
});

export const withoutOperation = (plan: Plan, id: string): Plan => ({
  ...plan,
  operations: plan.operations.filter((operation) => operation.id !== id),
});

/** The plan with an operation moved up (−1) or down (+1) the list; as it was at the ends. */
export function withOrder(plan: Plan, id: string, by: -1 | 1): Plan {
  const index = plan.operations.findIndex((operation) => operation.id === id);
  const [here, other] = [plan.operations[index], plan.operations[index + by]];
  if (!here || !other) return plan;
  return {
    ...plan,
    operations: plan.operations.map((operation) =>
      operation === here ? other : operation === other ? here : operation,
    ),
  };
}

const shifted = <P extends Place>(place: P, by: number): P => ({ ...place, x: place.x + by });

/** What comes off an end is less when its cut is moved towards that end. */
const shiftedAtEnd = (place: EndPlace, by: number, end: 'front' | 'rear'): EndPlace =>
  place.on === 'end' ? { ...place, x: place.x + (end === 'rear' ? -by : by) } : shifted(place, by);
const shiftedOrEnd = (place: Place | null, by: number): Place | null => (place ? shifted(place, by) : null);

/** The operation moved along the frame by mm, every place it names. Operations without a place stay as they are. */
export function shiftOperation(operation: Operation, by: number): Operation {
  switch (operation.kind) {
    case 'lengthen':
    case 'pie-cut':
    case 'notch':
      return { ...operation, at: shifted(operation.at, by) };
    case 'trim':
      return { ...operation, at: shiftedAtEnd(operation.at, by, operation.end) };
    case 'shorten':
    case 'step':
    case 'box':
      return { ...operation, from: shifted(operation.from, by), to: shifted(operation.to, by) };
    case 'widen':
      return { ...operation, from: shiftedOrEnd(operation.from, by), to: shiftedOrEnd(operation.to, by) };
    case 'extend':
      return operation.cut ? { ...operation, cut: shiftedAtEnd(operation.cut, by, operation.end) } : operation;
    case 'crossmember': {
      const { change } = operation;
      if (change.what === 'add') return { ...operation, change: { ...change, at: shifted(change.at, by) } };
      if (change.what === 'move') return { ...operation, change: { ...change, to: shifted(change.to, by) } };
      return operation;
    }
    case 'bracket': {
      const { change } = operation;
      if (change.what === 'add' || change.what === 'drill')
        return { ...operation, change: { ...change, at: shifted(change.at, by) } };
      if (change.what === 'move') return { ...operation, change: { ...change, to: shifted(change.to, by) } };
      return operation;
    }
  }
}

/** The place an operation is known by: its cut, or the front one of its cuts; null where it has none. */
export function placeOfOperation(operation: Operation): EndPlace | null {
  switch (operation.kind) {
    case 'lengthen':
    case 'trim':
    case 'pie-cut':
    case 'notch':
      return operation.at;
    case 'shorten':
    case 'step':
    case 'box':
    case 'widen':
      return operation.from;
    case 'extend':
      return operation.cut;
    case 'crossmember':
    case 'bracket':
      return 'at' in operation.change ? operation.change.at : 'to' in operation.change ? operation.change.to : null;
  }
}
