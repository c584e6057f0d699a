/** Hours that fill a lane. */
const FULL = 8;
/** The least of a lane that a cost takes up, so that it is seen. */
const LEAST = 0.2;

/** How much of its lane a cost takes up: the dearer the more. */
export const shareOf = (hours: number): number => Math.min(1, LEAST + ((1 - LEAST) * hours) / FULL);
