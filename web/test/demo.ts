import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Job, type JobFile, parseJobFile, type ShopRecord } from '@splay/core';
import { createJobStore } from '../src/client/job-store.ts';

/** A job of the demo shop, with its records. */
export const demoJob = (name: 'parcel-van' | 'orchard-sprayer' | 'beach-rescue' | 'tour-carrier'): JobFile =>
  parseJobFile(readFileSync(join(import.meta.dirname, `../../demo/${name}.json`), 'utf8'));

/** A job as it is open on a page, on the Cuts bench. */
export const openStore = (job: Job, records: readonly ShopRecord[] = [], canWrite = true) =>
  createJobStore({
    saved: { id: 'job', revision: 1, job, savedBy: 'owner', savedAt: '' },
    records,
    bench: 'cuts',
    canWrite,
    canRecord: canWrite,
    memberName: 'owner',
    shopName: 'Shop',
    me: 'me',
    asOf: null,
  });
