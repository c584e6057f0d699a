import { type HoldPoint, isPassed } from '@splay/core';
import type { SavedJob } from './saved-job.ts';

/** What the title strip of a sheet says besides its job; without a number it was not issued, and has none. */
export interface SheetFacts {
  readonly number?: number;
  /** Opens the page that says whether the sheet is current: what its QR code holds. */
  readonly url?: string;
  /** The hold point that it waits for, and how that stands. */
  readonly holdPoint?: string;
  /** Time zone of whoever prints it, such as `America/Chicago`; UTC where it is not known. */
  readonly timeZone?: string;
}

/**
 * A moment as sheets write it, in the shop's time zone: `Dec 1, 2026, 8:31 AM`, with `UTC` where the zone is not known.
 *
 * @param iso The moment.
 */
export function sheetMoment(iso: string, timeZone?: string): string {
  const words = new Intl.DateTimeFormat('en-US', {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: timeZone ?? 'UTC',
  }).format(new Date(iso));
  return timeZone === undefined ? `${words} UTC` : words;
}

/** Whether the runtime knows a time zone. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en-US', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/**
 * The lines of a title strip.
 *
 * @param head The job in a saved revision.
 * @param facts Number, hold point, time zone.
 */
export const sheetFacts = (
  { job, revision, savedAt }: Pick<SavedJob, 'job' | 'revision' | 'savedAt'>,
  { number, holdPoint, timeZone }: SheetFacts,
): readonly string[] => [
  job.name,
  ...(number === undefined ? ['Not numbered'] : [`Sheet ${number}`]),
  `Donor: ${job.donor.name}`,
  `Plan “${job.plan.name}”, revision ${revision}`,
  ...(holdPoint === undefined ? [] : [holdPoint]),
  `Saved ${sheetMoment(savedAt, timeZone)}, ${job.display.unit === 'in' ? 'inches' : 'millimeters'}`,
];

/** How the hold point before cutting stands, in a line. */
export function holdPointWords(holdPoints: readonly HoldPoint[]): string {
  const holdPoint = holdPoints.find(({ id }) => id === 'before-cutting');
  if (!holdPoint) return '';
  const open = holdPoint.checks.filter(({ passed, signed }) => !passed && signed === null).length;
  return isPassed(holdPoint)
    ? `Hold point “${holdPoint.name}”: passed`
    : `Hold point “${holdPoint.name}”: ${open} of ${holdPoint.checks.length} open`;
}
