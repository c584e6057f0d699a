import type { OnlyHere } from '../client/device.ts';
import { waitingWords } from './save-words.ts';

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
