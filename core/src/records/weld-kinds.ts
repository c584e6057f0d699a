import { bounded, flag, length, list, name, oneOf, orNull, text } from '../fields/index.ts';
import { WELD_TESTS, type WeldTest } from '../splice/index.ts';
import { type WeldSettings, weldSettingsSchema } from '../weld/index.ts';
import type { RecordDefinition } from './definition.ts';

/** A stitch was welded: which, by the plan's order or out of turn. */
interface StitchWeldedBody {
  /** Id of the stitch. */
  readonly stitch: string;
  /** False takes back what was pressed by mistake. */
  readonly laid: boolean;
  /** How the machine was set, as far as that was read off: volts, amperes, mm/min. */
  readonly settings: WeldSettings | null;
  readonly note: string;
}

export const stitchWelded: RecordDefinition<StitchWeldedBody> = {
  name: 'Stitch welded',
  version: 1,
  fields: { stitch: name(400), laid: flag(), settings: orNull(weldSettingsSchema()), note: text(500) },
  columns: [
    { key: 'stitch', kind: 'text' },
    { key: 'laid', kind: 'text' },
    { key: 'note', kind: 'text' },
  ],
};

/** How the temperature of steel was read. */
const THERMOMETERS = ['pyrometer', 'crayon-melted', 'crayon-dry'] as const;

/** How hot the steel was where a stitch starts. */
interface SteelTemperatureBody {
  /** Id of the stitch that starts there. */
  readonly stitch: string;
  readonly by: (typeof THERMOMETERS)[number];
  /** Read off, or what the crayon melts at, °C. */
  readonly celsius: number;
}

export const steelTemperature: RecordDefinition<SteelTemperatureBody> = {
  name: 'Temperature of steel',
  version: 1,
  fields: { stitch: name(400), by: oneOf(THERMOMETERS), celsius: bounded(-30, 900, '°C') },
  columns: [
    { key: 'stitch', kind: 'text' },
    { key: 'by', kind: 'text' },
    { key: 'celsius', kind: 'text' },
  ],
};

/** A seam was looked at after welding, or ground. */
interface SeamCheckedBody {
  /** Id of the seam. */
  readonly seam: string;
  readonly test: WeldTest;
  readonly result: 'passed' | 'repair';
  /** Ground flush, lengthwise. */
  readonly flush: boolean;
  readonly note: string;
}

export const seamChecked: RecordDefinition<SeamCheckedBody> = {
  name: 'Seam checked',
  version: 1,
  fields: {
    seam: name(400),
    test: oneOf(WELD_TESTS),
    result: oneOf(['passed', 'repair']),
    flush: flag(),
    note: text(500),
  },
  columns: [
    { key: 'seam', kind: 'text' },
    { key: 'test', kind: 'text' },
    { key: 'result', kind: 'text' },
    { key: 'flush', kind: 'text' },
    { key: 'note', kind: 'text' },
  ],
};

/** How far some joints shortened together as they were welded, kept for the shop's own factor. mm. */
export interface PullMeasuredBody {
  /** Ids of the joints. */
  readonly joints: readonly string[];
  /** How they were cut, and the wall. */
  readonly form: string;
  readonly wall: number;
  /** By the textbook, and by the readings. */
  readonly expected: number;
  readonly measured: number;
}

export const pullMeasured: RecordDefinition<PullMeasuredBody> = {
  name: 'Measured pull',
  version: 1,
  fields: { joints: list(name(200), 50), form: name(40), wall: length(), expected: length(), measured: length() },
  columns: [
    { key: 'joints', kind: 'text' },
    { key: 'form', kind: 'text' },
    { key: 'wall', kind: 'length' },
    { key: 'expected', kind: 'length' },
    { key: 'measured', kind: 'length' },
  ],
};
