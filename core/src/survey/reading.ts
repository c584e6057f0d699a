import type { ControlMeasurement } from '../frame/index.ts';
import type { ControlPrediction } from '../plan/index.ts';
import { type Rulebook, type RuleId, ruleValue } from '../rules/index.ts';
import { finer, inches, lengthText, type LengthFormat } from '../units/index.ts';

/** When a reading was taken: before the first cut, and after each time the frame was handled. */
export const STAGES = ['before-cut', 'fit-up', 'tacked', 'welded'] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_NAMES: Readonly<Record<Stage, string>> = {
  'before-cut': 'Before the cut',
  'fit-up': 'Fit-up',
  tacked: 'Tacked',
  welded: 'Fully welded',
};

/** One reading; never changed or deleted, only followed by a later one. */
export interface Reading {
  readonly id: string;
  /** Id of the control measurement. */
  readonly measurement: string;
  readonly stage: Stage;
  /** What the tape or the level said, mm. */
  readonly value: number;
  /** When, as an ISO 8601 moment in UTC, and by whom. */
  readonly taken: string;
  readonly by: string;
}

export interface ReadingVerdict {
  readonly verdict: 'right' | 'off' | 'misread' | 'no-target';
  /** Reading minus target, mm; 0 where there is no target. */
  readonly off: number;
  readonly tolerance: number;
  /** The reason, in shop words. */
  readonly message: string;
}

const TOLERANCES = {
  length: 'reading/length',
  width: 'reading/length',
  diagonal: 'reading/diagonal',
  height: 'reading/height',
  rise: 'reading/height',
} as const satisfies Record<ControlPrediction['kind'], RuleId>;

/** How a reading that is off is off, in shop words: above its target, and below. */
const WAYS: Readonly<Record<ControlPrediction['kind'], readonly [over: string, under: string]>> = {
  length: ['long', 'short'],
  width: ['wide', 'narrow'],
  diagonal: ['long', 'short'],
  height: ['high', 'low'],
  rise: ['high at its far end', 'low at its far end'],
};

/**
 * The target of a measurement at a stage, mm: the donor before the cut, the plan after it. Until it is fully welded it is off the
 * plan by what the shop sets for the pull of the welds.
 *
 * @param control The measurement and what it should read, mm.
 * @param stage When in the work readings are taken.
 */
export function targetOf({ before, predicted, preset }: ControlPrediction, stage: Stage): number | null {
  if (stage === 'before-cut') return before;
  return predicted === null || stage === 'welded' ? predicted : predicted + preset;
}

/**
 * How far a reading of a kind may be off, mm.
 *
 * @param kind What is measured.
 * @param rules The shop’s rules.
 */
export const toleranceOf = (kind: ControlPrediction['kind'], rules: Rulebook): number =>
  ruleValue(rules, TOLERANCES[kind]);

/**
 * Judges a reading by the rulebook. Lengths and widths share a tolerance; diagonals and heights have their own.
 *
 * @param control The measurement and what it should read, mm.
 * @param reading What was read, mm, and when.
 * @param rules The shop’s rules.
 * @param format Unit and division that lengths are written in.
 */
export function judgeReading(
  control: ControlPrediction,
  reading: Pick<Reading, 'stage' | 'value'>,
  rules: Rulebook,
  format: LengthFormat,
): ReadingVerdict {
  const tolerance = toleranceOf(control.kind, rules);
  const target = targetOf(control, reading.stage);
  if (target === null) return { verdict: 'no-target', off: 0, tolerance, message: control.reason };
  const off = reading.value - target;
  // As the figure beside it is shown: to the division that readings are taken to.
  const show = (mm: number) => lengthText(Math.abs(mm), finer(format), true);
  const way = WAYS[control.kind][off > 0 ? 0 : 1];
  if (Math.abs(off) <= tolerance + 1e-9) return { verdict: 'right', off, tolerance, message: 'right' };
  if (Math.abs(Math.abs(off) - inches(1)) <= ruleValue(rules, 'reading/inch') + 1e-9)
    return { verdict: 'misread', off, tolerance, message: `an inch ${way}: read from the 1 in mark? Read it again` };
  return { verdict: 'off', off, tolerance, message: `${show(off)} ${way}, allowed ${show(tolerance)}` };
}

/**
 * What is wrong with a reading before it is judged, or null: a tape reads above 0, a height or a rise may be at 0 or below.
 *
 * @param kind What is measured; undefined where it is not known.
 * @param value mm.
 */
export const readingProblem = (kind: ControlMeasurement['kind'] | undefined, value: number): string | null =>
  (kind === 'tape' || kind === 'plumb') && value <= 0 ? 'A tape reads more than 0.' : null;

/**
 * Readings of measurements that are not on the list any more, newest first: kept, and shown as such.
 *
 * @param readings Readings, in any order.
 * @param measurements The measurements that are on the list.
 */
export function strayReadings(
  readings: readonly Reading[],
  measurements: readonly { readonly id: string }[],
): readonly Reading[] {
  const known = new Set(measurements.map(({ id }) => id));
  return readings.filter(({ measurement }) => !known.has(measurement)).sort((a, b) => (a.taken < b.taken ? 1 : -1));
}

/**
 * The latest reading of each measurement at a stage; ties go to the one later in the list.
 *
 * @param readings Readings, in any order.
 * @param stage When in the work readings are taken.
 */
export function latestReadings(readings: readonly Reading[], stage: Stage): ReadonlyMap<string, Reading> {
  const latest = new Map<string, Reading>();
  for (const reading of readings) {
    const known = latest.get(reading.measurement);
    // `>=`: of two taken at the same moment the one later in the list.
    if (reading.stage === stage && (!known || reading.taken >= known.taken)) latest.set(reading.measurement, reading);
  }
  return latest;
}

/** A reading against its target. */
export interface JudgedReading extends ReadingVerdict {
  readonly control: ControlPrediction;
  readonly reading: Reading;
}

/**
 * The latest reading of each measurement at a stage, judged; measurements that were not read are left out.
 *
 * @param controls The measurements and what each should read, mm.
 * @param readings Readings, in any order.
 * @param stage When in the work readings are taken.
 * @param rules The shop’s rules.
 * @param format Unit and division that lengths are written in.
 */
export function judgedReadings(
  controls: readonly ControlPrediction[],
  readings: readonly Reading[],
  stage: Stage,
  rules: Rulebook,
  format: LengthFormat,
): readonly JudgedReading[] {
  const latest = latestReadings(readings, stage);
  return controls.flatMap((control) => {
    const reading = latest.get(control.measurement.id);
    return reading ? [{ control, reading, ...judgeReading(control, reading, rules, format) }] : [];
  });
}
