import { type Job, type JobProgress, progressOf, type ShopRecord } from '@splay/core';
import type { ReactNode } from 'react';

interface WithProgressProps {
  readonly job: Job;
  readonly records: readonly ShopRecord[];
  readonly children: (progress: JobProgress) => ReactNode;
}

/** What stands beside the board tells how far the work has come: loaded and worked out once the board stands. */
export const WithProgress = ({ job, records, children }: WithProgressProps): ReactNode =>
  children(progressOf(job, records));
