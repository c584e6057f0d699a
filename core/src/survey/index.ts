export {
  type FrameSurvey,
  frameSurvey,
  observationOf,
  readingOrder,
  type ReadingOrder,
  type JudgedPart,
} from './frame-survey.ts';
export { fitUpOf, GAP_PLACES } from './fit-up.ts';
export { type Halves, halvesOf, withRearMoved } from './halves.ts';
export { type Holds, linesOfMove, type MoveLine, type MoveList, movesFor, slidBy, type Target } from './moves.ts';
export { type Points, readOf } from './observation.ts';
export type { ShapePart } from './shape.ts';
export {
  type JudgedReading,
  judgedReadings,
  judgeReading,
  readingProblem,
  toleranceOf,
  strayReadings,
  latestReadings,
  type Reading,
  type ReadingVerdict,
  type Stage,
  STAGE_NAMES,
  STAGES,
  targetOf,
} from './reading.ts';
export {
  movePractice,
  PRACTICE_LEVELS,
  practiceFrame,
  type PracticeFrame,
  type PracticeLevel,
  readPractice,
  scorePractice,
} from './practice.ts';
export { type ProposedPoint, proposedPoints } from './proposed-points.ts';
export { usualMeasurements } from './usual-measurements.ts';
export { rigidHalves, type RigidHalves } from './rigid-halves.ts';
