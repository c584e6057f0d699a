import { type Field, id, length, list, name, oneOf, orNull, record } from '../../fields/index.ts';
import { type WeldSettings, weldSettingsSchema } from '../../weld/index.ts';
import { FRAME_POSES, type FramePose } from './rail-here.ts';

/** What a shop has decided of the welding of a plan. */
export interface Welding {
  readonly pose: FramePose;
  /** How the machine is set and how fast the torch goes; null while nobody has measured it. */
  readonly settings: WeldSettings | null;
  /** Ids of steps in the order that the shop wants; those not named keep their place after the ones before them. */
  readonly order: readonly string[];
  /**
   * What each control measurement is set beyond the plan until it is welded, mm, so that the pull of the welds brings it there. Kept
   * as it was set: whoever sets the halves must not find other targets because somebody changed a plate meanwhile.
   */
  readonly preset: readonly Preset[];
}

/** How far one control measurement is set beyond the plan, mm. */
export interface Preset {
  readonly measurement: string;
  readonly mm: number;
}

/** What is done where nothing is decided. */
export const USUAL_WELDING: Welding = { pose: 'upright', settings: null, order: [], preset: [] };

/** What a MIG welder of 3/16 in wall is often set to: taken until the shop has typed its own, and said to be assumed. */
export const ASSUMED_SETTINGS: WeldSettings = { volts: 19.5, amps: 155, travel: 280 };

/** The shape of what is decided of the welding. */
export const weldingSchema = (): Field<Welding> =>
  record<Welding>(
    {
      pose: oneOf(FRAME_POSES),
      settings: orNull(weldSettingsSchema()),
      order: list(name(300), 1000),
      preset: list(record<Preset>({ measurement: id(), mm: length() }), 1000),
    },
    'welding',
  );
