export { type Job, JOB_FORMAT, JOB_VERSION, type JobFile, jobFileOf } from './job.ts';
export { type JobChange, jobChanges } from './job-changes.ts';
export { type MergeConflict, mergeJobs, takingTheirs } from './merge-jobs.ts';
export { evaluateJob, type JobResult, planOf } from './evaluate-job.ts';
export { type JobProgress, progressOf } from './progress.ts';
export { type HoldPoint, type GateCheck, type HoldPointId, isOpen, isPassed, signableNow } from './hold-points.ts';
export { type BenchId } from './benches.ts';
export { withOptionAsPlan, withOptionAsVariant } from './take-option.ts';
export { type Figure, type FigureId, figureOf, nextHoldPoint } from './figures.ts';
export { moveText, MOVE_DIVISION, surveyAndMoves, type TrueUp } from './true-up.ts';
export { shoringOf } from './shoring-of.ts';
export { keptPulls, type MeasuredPull, measuredPulls, shopPullFactor } from './measured-pull.ts';
export { weldingOf } from './welding-of.ts';
export { laidStitches, type SeamState, seamStates, stepsNow, type WeldNow } from './weld-log.ts';
export type { FigureValue } from './figure-value.ts';
export type { Support } from './supports.ts';
export { type Coupon, couponsOf, isHeld } from './coupons.ts';
export { stageCount } from './stage-count.ts';
export { type Caution, cautionsOf, lastRead } from './cautions.ts';
export type { MeasuringTask } from './measuring-tasks.ts';
export { measuringGuide } from './measuring-guide.ts';
export { migrate, upgradeJob } from './migrate.ts';
export { type FirstMeasures, newJob } from './new-job.ts';
export { jobFileJsonSchema } from './json-schema.ts';
export { checkJob, checkRules, parseJobFile } from './parse-job.ts';
export {
  isPlanName,
  MOST_VARIANTS,
  nameForVariant,
  plansOf,
  setAside,
  takeUp,
  withoutVariant,
  withPlanNamed,
} from './variants.ts';
export { writeJobFile } from './write-job.ts';
export { withoutDeadAcceptances } from './ids.ts';
export { bodyGuide, type BodyTask } from './body-tasks.ts';
export { type ItemKind, itemOf, type LibraryItem, parseItem, withCopiedBody, writeItem } from './library-item.ts';
export { type BodyEffects, compareChanged } from './body-comparison.ts';
export { withBody, withoutBody, withoutLostMountings } from './edit-bodies.ts';
