import fc from 'fast-check';
import { expect } from 'vitest';
import { freezeDocuments } from '../src/frozen.ts';

freezeDocuments(true);

// The same cases every time, so that a run tells of the change and not of luck; FUZZ_SEED looks elsewhere.
fc.configureGlobal({ seed: Number(process.env.FUZZ_SEED ?? 20_261_124) });

declare module 'vitest' {
  interface Matchers<T> {
    /** Passes when the number is within `tolerance` (absolute) of `expected`; NaN never passes. */
    toBeNear(expected: number, tolerance: number): T;
    /** Passes when the number is within `fraction` (relative) of `expected`; NaN never passes. */
    toBeWithin(expected: number, fraction: number): T;
  }
}

const verdict = (received: unknown, expected: number, limit: number) => ({
  pass: typeof received === 'number' && Math.abs(received - expected) <= limit,
  message: () => `expected ${String(received)} to be ${expected} ± ${limit}`,
});

expect.extend({
  toBeNear: (received: unknown, expected: number, tolerance: number) => verdict(received, expected, tolerance),
  toBeWithin: (received: unknown, expected: number, fraction: number) =>
    verdict(received, expected, Math.abs(expected) * fraction),
});
