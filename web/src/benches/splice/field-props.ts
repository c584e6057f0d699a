import type { Job } from '@splay/core';
import type { JobStore } from '../../client/job-store.ts';
import type { Selection } from './selection.ts';

/** What every group of fields of the bench gets. */
export interface SpliceFieldsProps {
  readonly store: JobStore;
  readonly job: Job;
  readonly hand: Selection;
  readonly disabled: boolean;
}
