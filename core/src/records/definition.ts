import type { Fields } from '../fields/index.ts';
import type { Frame } from '../frame/index.ts';

/** A column of a kind's CSV table. */
export interface RecordColumn<B> {
  readonly key: keyof B & string;
  /** Lengths are mm in the record, and carry their unit in the table. */
  readonly kind: 'text' | 'length';
}

/** What there is to know of one kind of record, whose body is a `B`. */
export interface RecordDefinition<B extends object> {
  /** What it is called on its own. */
  readonly name: string;
  /** The version of its body; a body of an older one is brought up when it is read. */
  readonly version: number;
  /** `upgrade[n]` turns a body of version n into one of version n + 1. */
  readonly upgrade?: Readonly<
    Record<number, (body: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>>
  >;
  readonly fields: Fields<B>;
  readonly columns: readonly RecordColumn<B>[];
  /** Why a body cannot be, though its shape is right, as a sentence; null where it can. */
  readonly problem?: (body: B, donor: Frame) => string | null;
}
