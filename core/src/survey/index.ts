export { type FrameSurvey, frameSurvey, type JudgedPart, type MisreadControl } from './frame-survey.ts';
export type { Cause } from './misreads.ts';
export type { ShapePart } from './shape.ts';
export {
  type JudgedReading,
  judgedReadings,
  judgeReading,
  readingProblem,
  strayReadings,
  latestReadings,
  type Reading,
  type ReadingVerdict,
  type Stage,
  STAGE_NAMES,
  STAGES,
  targetOf,
} from './reading.ts';
export { usualMeasurements } from './usual-measurements.ts';
