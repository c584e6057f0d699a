export { freshLayerId, MOUNT_CODES, strongerWays } from './mount-conflicts.ts';
export { mountParts } from './mount-parts.ts';
export { bracketAlong, type EdgePoint, holds, type MountingOutcome, worstRatio } from './mounting-outcome.ts';
export { makingOrder, type MakingTurn } from './order.ts';
export { bushingOf, USUAL_FORM, usualBracket, usualMounting } from './usual.ts';
