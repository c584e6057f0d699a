import type { Frame } from '../frame/index.ts';
import type { RecordColumn, RecordDefinition } from './definition.ts';
import { RECORD_DEFINITIONS } from './kinds.ts';

type Definitions = typeof RECORD_DEFINITIONS;
export type RecordKind = keyof Definitions;
type BodyOf<K extends RecordKind> = Definitions[K] extends RecordDefinition<infer B> ? B : never;

/**
 * Something that somebody added while at work: never changed or deleted, only followed by a later one that names the
 * one it replaces.
 */
export type ShopRecord<K extends RecordKind = RecordKind> = {
  readonly [Kind in K]: {
    /** Made by the device, so that sending twice stores once. */
    readonly id: string;
    readonly kind: Kind;
    /** Of its kind's body. */
    readonly version: number;
    readonly body: BodyOf<Kind>;
    /** When, as an ISO 8601 moment in UTC, and by whom. */
    readonly taken: string;
    readonly by: string;
    /** Id of the record that it corrects. */
    readonly replaces?: string;
  };
}[K];

export const RECORD_KINDS = Object.keys(RECORD_DEFINITIONS) as readonly RecordKind[];

/**
 * What a kind of record is.
 *
 * @param kind A kind of record.
 */
export const definitionOf = (kind: RecordKind) => RECORD_DEFINITIONS[kind] as unknown as RecordDefinition<object>;

/**
 * What a kind of record is called.
 *
 * @param kind A kind of record.
 */
export const recordName = (kind: RecordKind): string => definitionOf(kind).name;

/**
 * The columns of a kind's CSV table, besides id, taken and by.
 *
 * @param kind A kind of record.
 */
export const columnsOf = (kind: RecordKind): readonly RecordColumn<Record<string, unknown>>[] =>
  definitionOf(kind).columns as unknown as readonly RecordColumn<Record<string, unknown>>[];

/**
 * A record of a kind, in the version its body has now.
 *
 * @param kind A kind of record.
 * @param body What it says, in the present version of its kind.
 * @param made Its id, when and by whom, and what it corrects.
 */
export const newRecord = <K extends RecordKind>(
  kind: K,
  body: BodyOf<K>,
  made: { readonly id: string; readonly taken: string; readonly by: string; readonly replaces?: string },
): ShopRecord<K> => ({ ...made, kind, version: definitionOf(kind).version, body }) as unknown as ShopRecord<K>;

/**
 * Why a record cannot be, though its shape is right; null where it can.
 *
 * @param donor The donor; validated.
 */
export const recordProblem = ({ kind, body }: Pick<ShopRecord, 'kind' | 'body'>, donor: Frame): string | null =>
  definitionOf(kind).problem?.(body, donor) ?? null;

/**
 * The records of a kind that stand, in their order: without those that a later one replaces.
 *
 * @param records Records of the job, in any order.
 * @param kind A kind of record.
 */
export function standing<K extends RecordKind>(records: readonly ShopRecord[], kind: K): readonly ShopRecord<K>[] {
  const replaced = new Set(records.flatMap(({ replaces }) => (replaces === undefined ? [] : [replaces])));
  const stands = records.filter((one) => one.kind === kind && !replaced.has(one.id));
  return stands as readonly ShopRecord[] as readonly ShopRecord<K>[];
}

/**
 * Records in order of time; of two taken at the same moment by their ids.
 *
 * @param records Records in any order.
 */
export const inOrderOfTime = <R extends Pick<ShopRecord, 'taken' | 'id'>>(records: readonly R[]): readonly R[] =>
  [...records].sort((a, b) => (a.taken === b.taken ? (a.id < b.id ? -1 : 1) : a.taken < b.taken ? -1 : 1));
