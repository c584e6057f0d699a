import { type Crossmember, extentOf, type Feature, type Frame } from '../frame/index.ts';
import { type Rulebook, ruleValue } from '../rules/index.ts';
import { inches, type LengthFormat, nudgeOf } from '../units/index.ts';
import type { PlanResult } from './plan-result.ts';
import { IN_LINE, type Operation, type OperationKind, type Place } from './operation.ts';
import { builtOf, donorOf } from './tape.ts';

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

/** Rail that a new operation needs ahead of its place and behind it, mm; where it has two, they lie `behind` apart. */
const ROOM: Readonly<Partial<Record<OperationKind, { readonly ahead: number; readonly behind: number }>>> = {
  shorten: { ahead: 0, behind: inches(6) },
  step: { ahead: 0, behind: inches(16) },
  box: { ahead: 0, behind: inches(24) },
  widen: { ahead: inches(12), behind: 0 },
  notch: { ahead: inches(5), behind: inches(5) },
};

/** Work on a rail that must not run over a joint. */
const ON_ONE_PIECE: readonly OperationKind[] = ['box', 'notch'];

/** Where a new operation begins, and where it ends if it has two places. */
export interface StartPlaces {
  readonly at: Place;
  readonly to: Place;
}

/**
 * Where a new operation of a kind begins on the frame as planned so far: behind what is picked, else at the station
 * `centre` (built, mm) that is looked at, else behind the datum. It is moved along so that all of it lies on steel that
 * is there, and of one piece where it must be, and given on the donor where both its places are donor steel, else on the built frame.
 */
export function placesToBegin(
  kind: OperationKind,
  { donor, rules, display }: { readonly donor: Frame; readonly rules: Rulebook; readonly display: LengthFormat },
  { tape, datum }: PlanResult,
  about: string | null,
  centre: number | null,
): StartPlaces {
  const { ahead, behind: span } = ROOM[kind] ?? { ahead: 0, behind: 0 };
  const behind = justBehind(donor, about, rules);
  const wanted = (behind === null ? null : builtOf(tape, behind)) ?? centre ?? datum.built + inches(12);
  const whole = { builtFrom: tape.spans[0]?.builtFrom ?? 0, builtTo: tape.spans.at(-1)?.builtTo ?? 0 };
  const margin = Math.min(inches(1), (whole.builtTo - whole.builtFrom) / 20);
  const within = ({ builtFrom, builtTo }: typeof whole) =>
    Math.max(builtFrom + margin + ahead, Math.min(wanted, builtTo - margin - span));
  const roomy = ON_ONE_PIECE.includes(kind)
    ? tape.spans.filter(({ builtFrom, builtTo }) => builtTo - builtFrom >= ahead + span + 2 * margin)
    : [];
  const start = (roomy.length > 0 ? roomy : [whole])
    .map(within)
    .reduce((best, x) => (Math.abs(x - wanted) < Math.abs(best - wanted) ? x : best));
  const step = nudgeOf(display);
  const snapped = (x: number, zero: number) => zero + Math.round((x - zero) / step) * step;
  const [from, to] = [donorOf(tape, start), donorOf(tape, start + span)];
  const onDonor = from !== null && to !== null && Math.abs(to - from - span) < step;
  const x = onDonor ? snapped(from, datum.donor) : snapped(start, datum.built);
  const on = onDonor ? 'donor' : 'built';
  return { at: { x, on }, to: { x: x + span, on } };
}

/**
 * A new operation of a kind, with sizes to start from. Work on a bracket or a crossmember is on the one called `about`,
 * where it is one, and begins where that is.
 */
export function newOperation(
  kind: OperationKind,
  id: string,
  { at, to }: StartPlaces,
  frame: Frame,
  about: string | null = null,
): Operation {
  const common = { id, note: '', off: false };
  const { x } = at;
  switch (kind) {
    case 'shorten':
      return { ...common, kind, from: at, to, transition: 0, rise: 0 };
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
      return { ...common, kind, from: at, to, rise: inches(2), method: 'turn-middle' };
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
      return { ...common, kind, from: at, to, plate: inches(3 / 16), taper: inches(4) };
    case 'crossmember': {
      const picked = frame.crossmembers.find((member) => member.id === about);
      if (picked)
        return { ...common, kind, change: { what: 'move', crossmember: picked.id, to: { x: picked.x, on: 'donor' } } };
      return { ...common, kind, change: { what: 'add', at, crossmember: newCrossmember(id, x) } };
    }
    case 'bracket': {
      const movable =
        frame.features.find((feature) => feature.id === about) ??
        frame.features.find((feature) => feature.movable !== 'no');
      if (movable) {
        const { id: feature, down } = movable;
        return { ...common, kind, change: { what: 'move', feature, to: { x: movable.x, on: 'donor' }, down } };
      }
      return { ...common, kind, change: { what: 'drill', at, feature: newHole(id, x), count: 1, pitch: 0 } };
    }
  }
}
