export { freshLayerId, MOUNT_CODES } from './mount-conflicts.ts';
export { mountParts } from './mount-parts.ts';
export { bracketAlong, holds, type MountingOutcome, worstRatio } from './mounting-outcome.ts';
export { usualBracket, withForm } from './usual.ts';
export { isBeside } from './bracket-fit.ts';
export { mountAssumptions } from './assumptions.ts';
