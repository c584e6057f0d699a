export { compareForms, type ComparedForm, type Comparing } from './compare.ts';
export { type FatigueDetail } from './fatigue.ts';
export { asStrongAsAsked, freshPlateId, type Improvement, improvements, type Improving } from './improve.ts';
export { type SpliceLimit } from './limits.ts';
export {
  ratioText,
  reckonSplice,
  type RailSpliceOutcome,
  type SpliceJoint,
  type SpliceOutcome,
  spliceOutcomes,
  type WeldWork,
} from './splice-outcome.ts';
export { PLAIN_BOLTED, PLAIN_BUTT, type Proposing, usualPlate, usualSleeve, usualStep } from './usual.ts';
export { type CutPart, type FlatShape } from './cut-part.ts';
export { spliceParts } from './parts.ts';
export { foldedFlat, wedgeOf } from './sleeve-part.ts';
export {
  findSleeves,
  type FindingSleeve,
  type FoundSleeve,
  inTheWay,
  rackProblems,
  type RackTube,
  sleeveRulesOf,
} from './find-sleeve.ts';
export { splicePlanWith } from './plan-with.ts';
