import { OperationRefused } from '../state.ts';

/** Smaller lengths than this cannot be cut and are slips of the keys, mm. */
export const SMALLEST = 0.01;

/**
 * Makes sure that a length can be cut.
 *
 * @param mm A length, mm, from `SMALLEST` up.
 * @param what What it is, to begin the sentence with.
 * @throws OperationRefused for a length that cannot be cut.
 */
export const needsPositive = (mm: number, what: string): void => {
  if (!(mm >= SMALLEST))
    throw new OperationRefused('operation/not-positive', `${what} must be more than 0.`, ['Type a length above 0.']);
};
