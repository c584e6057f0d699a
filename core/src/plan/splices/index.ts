export { compareForms, type ComparedForm, type Comparing } from './compare.ts';
export { shopSplices } from './shop-splice.ts';
export { type FatigueDetail } from './fatigue.ts';
export { fatigueName } from './fatigue-name.ts';
export { freshPlateId, type Improving } from './changes.ts';
export { asStrongAsAsked, type Improvement, improvements } from './improve.ts';
export { type SpliceLimit } from './limits.ts';
export {
  ratioText,
  calculateSplice,
  type RailSpliceOutcome,
  type SpliceOutcome,
  spliceOutcomes,
} from './splice-outcome.ts';
export { type SpliceJoint } from './joints-to-make.ts';
export type { WeldWork } from './weld-work.ts';
export { PLAIN_BOLTED, PLAIN_BUTT, type Proposing, usualPlate, usualSleeve, usualStep } from './usual.ts';
export { type CutPart } from './cut-part.ts';
export { spliceParts } from './parts.ts';
export { foldedFlat, wedgeOf } from './sleeve-part.ts';
export {
  findSleeves,
  type FindingSleeve,
  type FoundSleeve,
  inTheWay,
  rackProblems,
  type RackTube,
} from './find-sleeve.ts';
export { splicePlanWith } from './plan-with.ts';
export { sleeveRulesOf } from './sleeve-rules.ts';
