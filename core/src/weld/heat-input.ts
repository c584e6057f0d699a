import { bounded, type Field, record } from '../fields/index.ts';
import { InputError, type InputProblem } from '../input-error.ts';

/** How a machine is set and how fast the torch travels. */
export interface WeldSettings {
  readonly volts: number;
  readonly amps: number;
  /** Along the seam, mm/min. */
  readonly travel: number;
}

/** Within these a reading of a machine is believed: outside of them it was misread or mistyped. */
const BELIEVED = {
  volts: { from: 5, to: 60, unit: 'V' },
  amps: { from: 10, to: 600, unit: 'A' },
  travel: { from: 20, to: 3000, unit: 'mm/min' },
} as const;

/** The shape of settings. */
export const weldSettingsSchema = (): Field<WeldSettings> => {
  const believed = (field: keyof WeldSettings) =>
    bounded(BELIEVED[field].from, BELIEVED[field].to, BELIEVED[field].unit);
  return record<WeldSettings>({ volts: believed('volts'), amps: believed('amps'), travel: believed('travel') });
};

/**
 * What is wrong with settings, each problem with its field; empty where they can be worked with.
 *
 * @param settings The settings.
 */
export const settingsProblems = (settings: WeldSettings): readonly InputProblem[] =>
  (Object.keys(BELIEVED) as (keyof WeldSettings)[]).flatMap((field) => {
    const { from, to, unit } = BELIEVED[field];
    if (settings[field] >= from && settings[field] <= to) return [];
    const message = `The ${field} must be from ${from} to ${to} ${unit}: read them off the machine again.`;
    return [{ code: `weld/${field}`, path: field, message }];
  });

/**
 * Heat that goes into the steel for each mm of seam, kJ/mm: volts × amps × efficiency over the travel speed.
 *
 * @param settings The settings.
 * @param efficiency Share of the arc's energy that reaches the steel, above 0, at most 1.
 * @throws InputError for settings that no machine has.
 */
export function heatInput(settings: WeldSettings, efficiency: number): number {
  const problems = settingsProblems(settings);
  if (problems.length > 0) throw new InputError(problems);
  return (60 * settings.volts * settings.amps * efficiency) / (1000 * settings.travel);
}

/**
 * How long the arc burns over a stretch of seam, s.
 *
 * @param length mm.
 * @param travel mm/min.
 */
export const arcTime = (length: number, travel: number): number => (60 * length) / travel;

/**
 * Travel speed as measured on a coupon, mm/min.
 *
 * @param length Of the bead, mm, above 0.
 * @param seconds How long it took, above 0.
 */
export const travelOf = (length: number, seconds: number): number => (60 * length) / seconds;
