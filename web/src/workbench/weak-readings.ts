import { type Job, type JobResult, surveyAndMoves } from '@splay/core';

/**
 * Ids of the measurements whose readings no others check, at the stage that is at hand: what a misreading of them would do
 * nobody would see. Loaded when a thread is pulled: the survey is no part of the first load.
 */
export function weakReadings(job: Job, { plan, readings, stage }: JobResult): ReadonlySet<string> {
  const { survey } = surveyAndMoves(job, plan, readings, stage);
  return new Set(survey.state === 'held' ? survey.weak.map(({ measurement }) => measurement.id) : []);
}
