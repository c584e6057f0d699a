import { type Crossmember, extentOf, type Feature, type Frame } from '../frame/index.ts';
import { type Rulebook, ruleValue } from '../rules/index.ts';
import { inches } from '../units/index.ts';
import { type EndPlace, IN_LINE, type Operation, type OperationKind, type Place, type Plan } from './operation.ts';

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

/** A crossmember that operation `id` adds, with sizes to start from. */
export const newCrossmember = (id: string, x: number): Crossmember => ({
  id: `${id}-member`,
  name: 'New crossmember',
  x,
  length: inches(3),
  depth: inches(4),
  below: inches(1),
  fixing: 'bolted',
  removable: true,
  mass: 8,
});

/** A hole that operation `id` drills in both webs. */
export const newHole = (id: string, x: number): Feature => ({
  id: `${id}-hole`,
  name: 'New hole',
  kind: 'hole',
  side: 'both',
  x,
  ahead: 0,
  behind: 0,
  face: 'web-outside',
  down: inches(2),
  diameter: inches(1 / 2),
  attachment: 'hole',
  movable: 'no',
  mass: 0,
});

/** A body mount that operation `id` bolts to both webs. */
export const newBracket = (id: string, x: number): Feature => ({
  id: `${id}-bracket`,
  name: 'New bracket',
  kind: 'body-mount',
  side: 'both',
  x,
  ahead: inches(2),
  behind: inches(2),
  face: 'web-outside',
  down: inches(3),
  diameter: 0,
  attachment: 'bolts',
  movable: 're-drill',
  mass: 2,
});

/**
 * The donor station just behind a feature or crossmember, mm, as far from it as the rulebook keeps a joint; null where
 * the donor has nothing of that id.
 */
export function justBehind(frame: Frame, id: string | null, rules: Rulebook): number | null {
  const clear = ruleValue(rules, 'joint/hole-distance');
  const feature = frame.features.find((candidate) => candidate.id === id);
  if (feature) return extentOf(feature).to + clear;
  const member = frame.crossmembers.find((candidate) => candidate.id === id);
  return member ? member.x + member.length / 2 + clear : null;
}

/**
 * A new operation of a kind at a donor station, with sizes to start from. Work on a bracket or a crossmember is on the
 * one called `about`, where it is one.
 */
export function newOperation(
  kind: OperationKind,
  id: string,
  x: number,
  frame: Frame,
  about: string | null = null,
): Operation {
  const common = { id, note: '', off: false };
  const at: Place = { x, on: 'donor' };
  const behind = (mm: number): Place => ({ x: x + mm, on: 'donor' });
  switch (kind) {
    case 'shorten':
      return { ...common, kind, from: at, to: behind(inches(6)), transition: 0, rise: 0 };
    case 'lengthen':
      return { ...common, kind, at, length: inches(6), section: null, align: IN_LINE };
    case 'widen':
      return { ...common, kind, amount: inches(2), from: at, to: null, transition: inches(12) };
    case 'pie-cut':
      return {
        ...common,
        kind,
        at,
        pivot: 'top',
        mode: 'close',
        turned: 'rear',
        amount: { by: 'drop', drop: inches(1), distance: inches(24) },
        wedge: 'symmetric',
      };
    case 'step':
      return { ...common, kind, from: at, to: behind(inches(16)), rise: inches(2), method: 'turn-middle' };
    case 'trim':
      return { ...common, kind, end: 'rear', at: { x: inches(6), on: 'end' }, angle: 0, lean: 'top-longer' };
    case 'extend':
      return { ...common, kind, end: 'rear', cut: null, length: inches(6), section: null, align: IN_LINE };
    case 'notch':
      return {
        ...common,
        kind,
        at,
        width: inches(10),
        depth: inches(2),
        from: 'below',
        form: 'arch',
        plate: inches(1 / 4),
      };
    case 'box':
      return { ...common, kind, from: at, to: behind(inches(24)), plate: inches(3 / 16), taper: inches(4) };
    case 'crossmember': {
      const picked = frame.crossmembers.find((member) => member.id === about);
      if (picked) return { ...common, kind, change: { what: 'move', crossmember: picked.id, to: at } };
      return { ...common, kind, change: { what: 'add', at, crossmember: newCrossmember(id, x) } };
    }
    case 'bracket': {
      const movable =
        frame.features.find((feature) => feature.id === about) ??
        frame.features.find((feature) => feature.movable !== 'no');
      if (movable)
        return { ...common, kind, change: { what: 'move', feature: movable.id, to: at, down: movable.down } };
      return { ...common, kind, change: { what: 'drill', at, feature: newHole(id, x), count: 1, pitch: 0 } };
    }
  }
}
