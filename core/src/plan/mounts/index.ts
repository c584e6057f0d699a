export { freshLayerId, MOUNT_CODES, strongerFixes } from './mount-conflicts.ts';
export { mountParts } from './mount-parts.ts';
export { bracketAlong, holds, type MountingOutcome, worstRatio } from './mounting-outcome.ts';
export { makingOrder, type MakingTurn } from './order.ts';
export { bushingOf, USUAL_FORM, usualBracket, usualMounting, withForm } from './usual.ts';
export { type EdgePoint, isBeside } from './bracket-fit.ts';
export { mountAssumptions } from './assumptions.ts';
