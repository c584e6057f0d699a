export { compareForms, type ComparedForm } from './compare.ts';
export { shopSplices } from './shop-splice.ts';
export { fatigueName } from './fatigue-name.ts';
export { freshPlateId, type Improving } from './changes.ts';
export { asStrongAsAsked, improvements } from './improve.ts';
export {
  ratioText,
  calculateSplice,
  type RailSpliceOutcome,
  type SpliceOutcome,
  spliceOutcomes,
} from './splice-outcome.ts';
export { PLAIN_BOLTED, PLAIN_BUTT, usualPlate, usualSleeve, usualStep } from './usual.ts';
export { type CutPart } from './cut-part.ts';
export { spliceParts } from './parts.ts';
export { foldedFlat, wedgeOf } from './sleeve-part.ts';
export { findSleeves, type FoundSleeve, inTheWay, rackProblems, type RackTube } from './find-sleeve.ts';
export { splicePlanWith } from './plan-with.ts';
