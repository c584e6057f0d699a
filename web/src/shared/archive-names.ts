import type { AttachmentType } from '@splay/core';

/** What is where in an archive of a shop's work. */
export const ARCHIVE = {
  /** By where the jobs are kept. */
  jobs: { listed: 'jobs/', archived: 'archived/', deleted: 'deleted/' },
  /** Pictures, each called by its hash. */
  pictures: 'photos/',
  endings: { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' } satisfies Record<AttachmentType, string>,
  library: 'library/',
  ruleSets: 'rule-sets.json',
} as const;

/** The largest job file that the server takes, with its records and pictures, bytes. */
export const JOB_FILE_LIMIT = 16 * 1024 * 1024;
