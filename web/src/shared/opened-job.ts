import type { ShopRecord } from '@splay/core';
import type { SavedJob } from './saved-job.ts';

/** All that a page needs to open a job. */
export interface OpenedJob {
  readonly saved: SavedJob;
  readonly records: readonly ShopRecord[];
  readonly canWrite: boolean;
  /** May add readings, notes and photos, whether or not the job may be changed. */
  readonly canRecord: boolean;
  readonly memberName: string;
  readonly shopName: string;
  /** Who is signed in: what is kept on a device is that person's. */
  readonly me: string;
}
