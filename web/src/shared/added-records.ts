import type { ShopRecord } from '@splay/core';

/** A record that was not stored, and why. */
export interface RefusedRecord {
  readonly id: string;
  readonly message: string;
  /** What is stored under this id already, where it is something else. */
  readonly theirs?: ShopRecord;
}

/** What became of records that were sent: those that the job has now, as it has them, and those that were refused. */
export interface AddedRecords {
  readonly records: readonly ShopRecord[];
  readonly refused: readonly RefusedRecord[];
}
