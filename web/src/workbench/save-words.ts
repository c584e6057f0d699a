import type { SaveState } from '../client/job-store.ts';

/** How the job stands against the server's, in words. */
export const SAVE_WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'saved',
  changed: 'saving soon',
  saving: 'saving …',
  offline: 'no connection: kept on this device, sent when it is back',
  stale: 'somebody else saved: choose a version',
  refused: 'not saved',
  'signed-out': 'not saved: signed out. Sign in again in another window',
};

/** How many records are still on this device only; nothing where all are sent. */
export const waitingWords = (count: number): string =>
  count === 0 ? '' : `${count} ${count === 1 ? 'record' : 'records'} waiting to be sent`;
