/** A moment as people write it where they are: `27 Nov 2026, 09:35`. */
export const momentWords = (iso: string): string =>
  new Date(iso).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
