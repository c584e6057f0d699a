import type { ControlPrediction } from '../plan/index.ts';
import { type Rulebook, type RuleId, ruleValue } from '../rules/index.ts';
import type { ControlEnd, Vec3 } from '../frame/index.ts';
import type { Observation, Points } from './observation.ts';
import { type Misread, withoutMisreads } from './misreads.ts';
import { latestReadings, type Reading, type Stage } from './reading.ts';
import { type Network, predicted } from './network.ts';
import { tellingOrder, WEAK } from './telling-order.ts';
import { type OutOfShape, shapeOf, type ShapePart } from './shape.ts';

/** One way in which a frame may be out of shape, in mm, judged. */
export interface JudgedPart extends Omit<OutOfShape, 'sigma'> {
  /** What the readings can tell: nineteen of twenty times it is within so much of the amount. */
  readonly within: number;
  /** There is more of it than that may be chance: it can be said which way it is. */
  readonly told: boolean;
  readonly tolerance: number;
  /** `doubtful`: beyond the tolerance by less than the readings can tell, or they cannot tell that much at all. */
  readonly verdict: 'right' | 'doubtful' | 'off';
}

/** A reading that does not go with the others, with the measurement that it is of. */
interface MisreadControl extends Omit<Misread, 'observation' | 'orElse'> {
  readonly control: ControlPrediction;
  /** Measurements whose readings could be wrong in its place. */
  readonly orElse: readonly ControlPrediction[];
}

/** What all readings of a stage together say of the frame. */
export type FrameSurvey =
  | { readonly state: 'nothing-read' }
  | {
      /** The readings do not hold all of it yet. */
      readonly state: 'floats';
      /** In how many ways it can still move. */
      readonly ways: number;
      /** The measurement that holds most of what floats; null where none of the list does. */
      readonly next: ControlPrediction | null;
      /** Where each point should be, mm, and what was read. */
      readonly nominal: Points;
      readonly read: readonly Observation[];
    }
  | {
      readonly state: 'held';
      /** Null for points that cannot tell the ways apart: fewer than three pairs along the frame. */
      readonly parts: readonly JudgedPart[] | null;
      /** What fits none of the parts, root mean square, mm. */
      readonly rest: number;
      /** The worst first; they are left out of the rest. */
      readonly misreads: readonly MisreadControl[];
      /** How many readings there are more than are needed. */
      readonly checks: number;
      /** Where each point should be, and where it is, mm. */
      readonly nominal: Points;
      readonly points: Points;
      /** The measurement still to be taken that would tell most: the others know least what it reads. Null with all taken. */
      readonly next: ControlPrediction | null;
      /** Readings that the others hardly check: an error in one of them would not show. */
      readonly weak: readonly ControlPrediction[];
    };

const SIGMAS = { tape: 'survey/tape', height: 'survey/height' } as const satisfies Record<string, RuleId>;
const TOLERANCES: Readonly<Record<ShapePart, RuleId>> = {
  length: 'shape/length',
  width: 'shape/width',
  diamond: 'shape/diamond',
  'side-bend': 'shape/side-bend',
  sag: 'shape/sag',
  twist: 'shape/twist',
};
/** Two standard deviations: what the readings can tell. */
const TELLS = 2;

const idOf = ({ point, side }: ControlEnd): string => `${point}/${side}`;
const endsOf = ({ measurement }: ControlPrediction): readonly string[] =>
  measurement.kind === 'height' ? [idOf(measurement.at)] : [idOf(measurement.from), idOf(measurement.to)];

/**
 * A measurement as the network reads it.
 *
 * @param control The measurement.
 * @param value What was read, mm.
 * @param rules The shop's rules: how well a tape and a level read.
 */
export function observationOf(control: ControlPrediction, value: number, rules: Rulebook): Observation {
  const { measurement } = control;
  const [from = '', to = ''] = endsOf(control);
  const { id } = measurement;
  return measurement.kind === 'height'
    ? { id, kind: 'height', at: from, value, sigma: ruleValue(rules, SIGMAS.height) }
    : measurement.kind === 'rise'
      ? { id, kind: 'rise', from, to, value, sigma: ruleValue(rules, SIGMAS.height) }
      : {
          id,
          kind: measurement.kind === 'plumb' ? 'level-tape' : 'tape',
          from,
          to,
          value,
          sigma: ruleValue(rules, SIGMAS.tape),
        };
}

/** The measurements that can be taken at a stage, and where each of their points should be, mm. */
function placedAt(controls: readonly ControlPrediction[], stage: Stage) {
  const placed = controls.filter(({ ends }) => stage === 'before-cut' || ends.built !== null);
  const placeOf = ({ ends }: ControlPrediction): readonly Vec3[] =>
    (stage === 'before-cut' ? ends.donor : ends.built) ?? [];
  const nominal: Points = Object.fromEntries(
    placed.flatMap((control) => endsOf(control).map((id, at) => [id, placeOf(control)[at] as Vec3])),
  );
  return { placed, nominal };
}

/** Which measurements to take first, before any of them is taken, and how many are enough. */
export interface ReadingOrder {
  /** The most telling first: each the one that those before it can foretell least. */
  readonly order: readonly ControlPrediction[];
  /** With so many of them every point is held; null where all of them leave something floating. */
  readonly holds: number | null;
  /** Those that the others hardly check even with all of them taken: an error in one of them would not show. */
  readonly unchecked: readonly ControlPrediction[];
}

/**
 * In which order the measurements of a frame tell most, and how many of them are enough; of where the points are, not of what
 * was read.
 *
 * @param controls The measurements, what each should read and where its ends are, mm.
 * @param stage When in the work readings are taken.
 * @param rules The shop's rules: how well a tape and a level read.
 */
export function readingOrder(controls: readonly ControlPrediction[], stage: Stage, rules: Rulebook): ReadingOrder {
  const { placed, nominal } = placedAt(controls, stage);
  const byId = new Map(placed.map((control) => [control.measurement.id, control]));
  const { ids, holds, unchecked } = tellingOrder(
    nominal,
    placed.map((control) => observationOf(control, 0, rules)),
  );
  const named = (some: readonly string[]) => some.map((id) => byId.get(id) as ControlPrediction);
  return { order: named(ids), holds, unchecked: named(unchecked) };
}

/**
 * What the readings of a stage say of the frame as a whole: the donor's before the cut, the built frame's after it.
 *
 * @param controls The measurements, what each should read and where its ends are, mm.
 * @param readings Readings, in any order; the latest of each measurement at the stage counts.
 * @param stage When in the work readings are taken.
 * @param rules The shop's rules: how well a tape and a level read, and how straight a frame has to be.
 */
export function frameSurvey(
  controls: readonly ControlPrediction[],
  readings: readonly Reading[],
  stage: Stage,
  rules: Rulebook,
): FrameSurvey {
  const { placed, nominal } = placedAt(controls, stage);
  const latest = latestReadings(readings, stage);
  const read = placed.flatMap((control) => {
    const reading = latest.get(control.measurement.id);
    return reading ? [observationOf(control, reading.value, rules)] : [];
  });
  if (read.length === 0) return { state: 'nothing-read' };
  const unread = placed.filter(({ measurement }) => !latest.has(measurement.id));
  const asked = (id: string | null) => placed.find(({ measurement }) => measurement.id === id) ?? null;
  const found = withoutMisreads(
    nominal,
    read,
    unread.map((control) => observationOf(control, 0, rules)),
  );
  if ('ways' in found)
    return {
      state: 'floats',
      ways: found.ways,
      next: asked(found.next),
      nominal,
      read,
    };
  const byId = new Map(controls.map((control) => [control.measurement.id, control]));
  const controlOf = ({ id }: Observation) => byId.get(id) as ControlPrediction;
  const shape = shapeOf(nominal, found.network);
  const ys = Object.values(nominal).map(({ y }) => y);
  const width = Math.max(...ys) - Math.min(...ys);
  return {
    state: 'held',
    parts: shape && shape.parts.map((part) => judged(part, width, rules)),
    rest: shape?.rest ?? 0,
    misreads: found.misreads.map(({ observation, orElse, ...misread }) => ({
      ...misread,
      control: controlOf(observation),
      orElse: orElse.map(controlOf),
    })),
    checks: found.network.freedom,
    nominal,
    points: found.network.points,
    next: tellsMost(unread, found.network, rules),
    weak: found.network.adjusted
      .filter(({ redundancy }) => redundancy < WEAK)
      .map(({ observation }) => controlOf(observation)),
  };
}

/** The measurement whose reading the others can foretell least, in its own standard deviations. */
function tellsMost(unread: readonly ControlPrediction[], network: Network, rules: Rulebook): ControlPrediction | null {
  const doubt = (control: ControlPrediction) => {
    const observation = observationOf(control, 0, rules);
    return predicted(network, observation).sigma / observation.sigma;
  };
  return unread.reduce<{ readonly control: ControlPrediction | null; readonly doubt: number }>(
    (most, control) => {
      const found = doubt(control);
      return found > most.doubt ? { control, doubt: found } : most;
    },
    { control: null, doubt: 0 },
  ).control;
}

/** A part against its tolerance; twist as the rise of one rail over the other, mm. */
function judged({ part, amount, sigma }: OutOfShape, width: number, rules: Rulebook): JudgedPart {
  const by = part === 'twist' ? width : 1;
  const [size, doubt] = [amount * by, sigma * by];
  const tolerance = ruleValue(rules, TOLERANCES[part]);
  const beyond = Math.abs(size) - tolerance;
  const within = TELLS * doubt;
  const verdict = beyond > within ? 'off' : beyond > 0 || within > tolerance ? 'doubtful' : 'right';
  return { part, amount: size, within, told: Math.abs(size) > doubt, tolerance, verdict };
}
