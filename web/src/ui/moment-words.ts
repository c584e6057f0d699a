/** A moment as people write it where they are, of today by its time alone: `09:35`, `26 Nov 2026, 09:35`. */
export function momentWords(iso: string, now = new Date()): string {
  const moment = new Date(iso);
  const today = moment.toDateString() === now.toDateString();
  return moment.toLocaleString(undefined, { timeStyle: 'short', ...(today ? {} : { dateStyle: 'medium' }) });
}
