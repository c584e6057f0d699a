import type { PlanResult } from '../plan/index.ts';
import { type CautionStep, type ShopRecord, standing } from '../records/index.ts';
import { CAUTION_SOURCES } from './caution-sources.ts';
import type { Job } from './job.ts';

/** What may hurt somebody at a step, said short. It defers to codes, engineers and welders; it cannot be switched off. */
export interface Caution {
  readonly id: string;
  /** What to do, in a few words. */
  readonly title: string;
  readonly detail: string;
  /** What in this job it is about, with the number; empty where it holds for every job. */
  readonly here: string;
}

/**
 * The cautions that apply to a job at a step, the most grave first, each with what it is about here.
 *
 * @param job The job; validated.
 * @param result What the plan gives.
 * @param step The step of the work.
 */
export const cautionsOf = (job: Job, result: PlanResult, step: CautionStep): Caution[] =>
  CAUTION_SOURCES[step].flatMap(({ told, ...caution }) => {
    const here = told(job, result);
    return here === null ? [] : [{ ...caution, here }];
  });

/**
 * Who read a caution last, and when; undefined while nobody has.
 *
 * @param records Records of the job, in any order.
 * @param step The step of the work.
 * @param caution Id of the caution.
 */
export const lastRead = (
  records: readonly ShopRecord[],
  step: CautionStep,
  caution: string,
): ShopRecord<'caution-read'> | undefined =>
  standing(records, 'caution-read').findLast(({ body }) => body.step === step && body.caution === caution);
