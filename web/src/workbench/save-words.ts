import type { JobState, SaveState } from '../client/job-store.ts';
import type { OnlyHere } from '../client/device.ts';
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

const jobs = (count: number) => `${count} changed ${count === 1 ? 'job is' : 'jobs are'} not saved`;
const takenBy = (records: OnlyHere['records']) =>
  Array.from(records, ([by, count]) => `${waitingWords(count)}, taken by ${by}`).join('; ');

/** What somebody leaves on this device who signs out; nothing where there is nothing. */
export function leftWords({ records, drafts }: OnlyHere): string {
  const waiting =
    records.size > 0 ? `${takenBy(records)}: they stay here, and go out when who took them opens the job here.` : '';
  const unsaved = drafts > 0 ? `${jobs(drafts)}: open it first, or the change is lost when you sign out.` : '';
  return [waiting, unsaved].filter((one) => one !== '').join(' ');
}

/** What waits on this device for whoever signs in; nothing where there is nothing. */
export function waitsHereWords({ records, drafts }: OnlyHere): string {
  const waiting = records.size > 0 ? `On this device: ${takenBy(records)}. They go out as theirs alone.` : '';
  const unsaved =
    drafts > 0
      ? `${jobs(drafts)} here: whoever changed it signs in to go on; when somebody else does, that is lost.`
      : '';
  return [waiting, unsaved].filter((one) => one !== '').join(' ');
}
