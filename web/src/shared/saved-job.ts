import type { Job } from '@splay/core';

/** A revision of a job: who saved it, and when (ISO 8601, UTC). What answers a save: the document is with whoever sent it. */
export interface SavedRevision {
  readonly id: string;
  readonly revision: number;
  readonly savedBy: string;
  readonly savedAt: string;
}

/** A job as the server keeps it: a revision and its document. */
export interface SavedJob extends SavedRevision {
  readonly job: Job;
}

/** One line of a job's history. */
export interface RevisionNote {
  readonly number: number;
  readonly label: string;
  readonly savedBy: string;
  readonly savedAt: string;
}
