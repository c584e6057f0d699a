import { vi } from 'vitest';

/** Waits until a check holds, for as long as a busy machine may take; fails with what it said last. */
export const until = <T>(check: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(check, { timeout: 240_000, interval: 50 });
