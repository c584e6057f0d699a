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
