import {
  flag,
  hash,
  id,
  length,
  list,
  mass,
  name,
  oneOf,
  optional,
  orNull,
  record,
  text,
  whole,
} from '../fields/index.ts';
import { type Ref, REF_KINDS, type Side, SIDES } from '../frame/index.ts';
import { KERF_SIDES, LINE_PARTS, type MarkedLine } from '../markout/index.ts';
import { readingProblem, type Stage, STAGES } from '../survey/index.ts';
import type { RecordDefinition } from './definition.ts';
import { pullMeasured, seamChecked, steelTemperature, stitchWelded } from './weld-kinds.ts';

/** What the tape or the level said. */
interface ReadingBody {
  /** Id of the control measurement. */
  readonly measurement: string;
  readonly stage: Stage;
  /** mm. */
  readonly value: number;
}

const reading: RecordDefinition<ReadingBody> = {
  name: 'Reading',
  version: 1,
  fields: { measurement: id(), stage: oneOf(STAGES), value: length() },
  columns: [
    { key: 'measurement', kind: 'text' },
    { key: 'stage', kind: 'text' },
    { key: 'value', kind: 'length' },
  ],
  problem: ({ measurement, value }, donor) =>
    readingProblem(donor.controlMeasurements.find((known) => known.id === measurement)?.kind, value),
};

/** The step of the work that a caution concerns. */
export const CAUTION_STEPS = ['cutting', 'welding'] as const;
export type CautionStep = (typeof CAUTION_STEPS)[number];

/** Somebody read a caution. */
interface CautionReadBody {
  readonly step: CautionStep;
  readonly caution: string;
}

const cautionRead: RecordDefinition<CautionReadBody> = {
  name: 'Caution read',
  version: 1,
  fields: { step: oneOf(CAUTION_STEPS), caution: id() },
  columns: [
    { key: 'step', kind: 'text' },
    { key: 'caution', kind: 'text' },
  ],
};

/** Somebody lets the work pass a hold point with checks of it open, and says why. */
export interface GateSignedBody {
  readonly gate: string;
  /** Ids of the checks that were open then: one that opens later is not signed for. */
  readonly checks: readonly string[];
  readonly reason: string;
}

const gateSigned: RecordDefinition<GateSignedBody> = {
  name: 'Hold point signed',
  version: 1,
  fields: { gate: id(), checks: list(id(), 50), reason: name(500) },
  columns: [
    { key: 'gate', kind: 'text' },
    { key: 'checks', kind: 'text' },
    { key: 'reason', kind: 'text' },
  ],
};

/** A place of a rail that a picture shows. */
export interface PhotoPlace {
  /** Station on the donor, mm. */
  readonly x: number;
  /** Null where both rails are measured as one. */
  readonly side: Side | null;
}

/** A picture, and what it shows. */
export interface PhotoBody {
  /** What it is of; null for the whole frame. */
  readonly of: Ref | null;
  /** The place along the donor, where it is of a rail itself: a station has no name to keep it by. */
  readonly at?: PhotoPlace;
  readonly note: string;
  /** SHA-256 of the picture, which is kept as an attachment. */
  readonly attachment: string;
  /** px. */
  readonly width: number;
  readonly height: number;
}

const photo: RecordDefinition<PhotoBody> = {
  name: 'Photo',
  version: 1,
  fields: {
    of: orNull(record<Ref>({ kind: oneOf(REF_KINDS), id: id() })),
    at: optional(record<PhotoPlace>({ x: length(), side: orNull(oneOf(SIDES)) })),
    note: text(500),
    attachment: hash(),
    width: whole(1),
    height: whole(1),
  },
  columns: [
    { key: 'note', kind: 'text' },
    { key: 'attachment', kind: 'text' },
  ],
};

/** A practice coupon was welded, and broken or bent: whether the weld held. */
interface CouponBody {
  /** Names the coupon: what it is of, where, and how thick. */
  readonly coupon: string;
  readonly result: 'held' | 'failed';
  readonly note: string;
}

const coupon: RecordDefinition<CouponBody> = {
  name: 'Practice coupon',
  version: 1,
  fields: { coupon: id(), result: oneOf(['held', 'failed']), note: text(500) },
  columns: [
    { key: 'coupon', kind: 'text' },
    { key: 'result', kind: 'text' },
    { key: 'note', kind: 'text' },
  ],
};

/** A stand was set under the frame for a cut, and what it then carried. */
interface PropSetBody {
  readonly prop: string;
  /** What a scale or a jack gauge under it read, both sides of a pair together, kg; null where it was not weighed. */
  readonly load: number | null;
}

const propSet: RecordDefinition<PropSetBody> = {
  name: 'Stand set',
  version: 1,
  fields: { prop: id(), load: orNull(mass()) },
  columns: [
    { key: 'prop', kind: 'text' },
    { key: 'load', kind: 'text' },
  ],
};

/** How steel was moved that no stand or strap moves any more. */
export const CORRECTION_WAYS = ['heat', 'press', 'jack', 'cut and re-weld'] as const;
export type CorrectionWay = (typeof CORRECTION_WAYS)[number];

/** A frame was corrected by heat or force, and what a measurement read before and after. */
interface CorrectionBody {
  readonly how: CorrectionWay;
  /** Id of the control measurement that tells of it. */
  readonly measurement: string;
  /** mm. */
  readonly before: number;
  readonly after: number;
  readonly note: string;
}

const correction: RecordDefinition<CorrectionBody> = {
  name: 'Correction',
  version: 1,
  fields: { how: oneOf(CORRECTION_WAYS), measurement: id(), before: length(), after: length(), note: text(500) },
  columns: [
    { key: 'how', kind: 'text' },
    { key: 'measurement', kind: 'text' },
    { key: 'before', kind: 'length' },
    { key: 'after', kind: 'length' },
    { key: 'note', kind: 'text' },
  ],
};

/** How the two ends of one rail stand to each other at a joint, as read with a gauge before tacking. mm. */
interface FitUpBody {
  /** Id of the joint. */
  readonly joint: string;
  readonly side: Side;
  /** Gap at the top, at the middle of the web, and at the bottom. */
  readonly top: number;
  readonly web: number;
  readonly bottom: number;
  /** How far the rear end stands outward of the front one at the web, and above it at the top: high-low. */
  readonly out: number;
  readonly up: number;
}

const fitUp: RecordDefinition<FitUpBody> = {
  name: 'Fit-up of a joint',
  version: 1,
  fields: {
    joint: name(200),
    side: oneOf(SIDES),
    top: length(),
    web: length(),
    bottom: length(),
    out: length(),
    up: length(),
  },
  columns: [
    { key: 'joint', kind: 'text' },
    { key: 'side', kind: 'text' },
    { key: 'top', kind: 'length' },
    { key: 'web', kind: 'length' },
    { key: 'bottom', kind: 'length' },
    { key: 'out', kind: 'length' },
    { key: 'up', kind: 'length' },
  ],
  problem: ({ top, web, bottom }) =>
    Math.min(top, web, bottom) < 0 ? 'A gap is 0 or more: where the ends touch it is 0.' : null,
};

const markedLineFields = () => ({
  letters: name(40),
  side: oneOf(SIDES),
  part: oneOf(LINE_PARTS),
  kerf: oneOf(KERF_SIDES),
  mm: length(),
});

/** A marks sheet was printed: its number in the job, of which revision it is, and every line as it stands on it. */
interface SheetIssuedBody {
  readonly number: number;
  readonly revision: number;
  readonly lines: readonly MarkedLine[];
}

const sheetIssued: RecordDefinition<SheetIssuedBody> = {
  name: 'Sheet printed',
  version: 1,
  fields: { number: whole(1), revision: whole(1), lines: list(record<MarkedLine>(markedLineFields()), 2000) },
  columns: [
    { key: 'number', kind: 'text' },
    { key: 'revision', kind: 'text' },
  ],
};

/** A line was scribed on the steel: which, and where it then was. */
const lineScribed: RecordDefinition<MarkedLine> = {
  name: 'Line scribed',
  version: 1,
  fields: markedLineFields(),
  columns: [
    { key: 'letters', kind: 'text' },
    { key: 'side', kind: 'text' },
    { key: 'part', kind: 'text' },
    { key: 'kerf', kind: 'text' },
    { key: 'mm', kind: 'length' },
  ],
};

/** Somebody hands the job on: who is next, for what, and what to know; or, once it is taken up, that nobody waits for it. */
export interface HandoffBody {
  readonly to: string;
  readonly task: string;
  readonly note: string;
  /** The next person has taken it up. */
  readonly done: boolean;
}

const handoff: RecordDefinition<HandoffBody> = {
  name: 'Handoff',
  version: 1,
  fields: { to: name(), task: name(200), note: text(500), done: flag() },
  columns: [
    { key: 'to', kind: 'text' },
    { key: 'task', kind: 'text' },
    { key: 'note', kind: 'text' },
    { key: 'done', kind: 'text' },
  ],
};

/** Every kind of record. To add one, write its schema and name it here. */
export const RECORD_DEFINITIONS = {
  reading,
  'caution-read': cautionRead,
  'gate-signed': gateSigned,
  photo,
  coupon,
  'prop-set': propSet,
  correction,
  'fit-up': fitUp,
  'sheet-issued': sheetIssued,
  'line-scribed': lineScribed,
  handoff,
  'stitch-welded': stitchWelded,
  'steel-temperature': steelTemperature,
  'seam-checked': seamChecked,
  'pull-measured': pullMeasured,
} as const;
