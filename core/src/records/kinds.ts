import { hash, id, length, list, mass, name, oneOf, orNull, record, text, whole } from '../fields/index.ts';
import { type Ref, REF_KINDS } from '../frame/index.ts';
import { readingProblem, type Stage, STAGES } from '../survey/index.ts';
import type { RecordDefinition } from './definition.ts';

/** What the tape or the level said. */
export interface ReadingBody {
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
export interface CautionReadBody {
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

/** A picture, and what it shows. */
export interface PhotoBody {
  /** What it is of; null for the whole frame. */
  readonly of: Ref | null;
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
export interface CouponBody {
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
export interface PropSetBody {
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

/** Every kind of record. To add one, write its schema and name it here. */
export const RECORD_DEFINITIONS = {
  reading,
  'caution-read': cautionRead,
  'gate-signed': gateSigned,
  photo,
  coupon,
  'prop-set': propSet,
} as const;
