export {
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
