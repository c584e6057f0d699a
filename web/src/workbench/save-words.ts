import type { JobState, SaveState } from '../client/job-store.ts';
import { momentWords } from '../ui/moment-words.ts';

/** How the job stands against the server's, in words. */
export const SAVE_WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'saved',
  changed: 'saving soon',
  saving: 'saving …',
  offline: 'no connection: kept on this device, sent when it is back',
  stale: 'somebody else changed the same: choose',
  refused: 'not saved',
  'signed-out': 'not saved: signed out. Sign in again in another window',
};

/** What keeps this page from being the server's, worst first; nothing where it is. */
export function apartWords({ asOf, keepsNothing }: Pick<JobState, 'asOf' | 'keepsNothing'>): string {
  if (keepsNothing) return 'this browser keeps nothing: leave the page open until all is sent';
  return asOf === null ? '' : `no connection: as of ${momentWords(asOf)}`;
}

/** How many records are still on this device only; nothing where all are sent. */
export const waitingWords = (count: number): string =>
  count === 0 ? '' : `${count} ${count === 1 ? 'record' : 'records'} waiting to be sent`;
