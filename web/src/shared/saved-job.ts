import type { Job } from '@splay/core';

/** A job as the server keeps it: the document of one revision, and who saved it when (ISO 8601, UTC). */
export interface SavedJob {
  readonly id: string;
  readonly revision: number;
  readonly job: Job;
  readonly savedBy: string;
  readonly savedAt: string;
}

/** One line of a job's history. */
export interface RevisionNote {
  readonly number: number;
  readonly label: string;
  readonly savedBy: string;
  readonly savedAt: string;
}
