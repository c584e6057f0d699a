import type { PlanResult } from '../plan/index.ts';
import { CAUTION_SOURCES } from './caution-sources.ts';
import type { Job } from './job.ts';

/** The step of the work that a caution concerns. */
export const CAUTION_STEPS = ['cutting', 'welding'] as const;
export type CautionStep = (typeof CAUTION_STEPS)[number];

/** What may hurt somebody at a step, said short. It defers to codes, engineers and welders; it cannot be switched off. */
export interface Caution {
  readonly id: string;
  /** What to do, in a few words. */
  readonly title: string;
  readonly detail: string;
  /** What in this job it is about, with the number; empty where it holds for every job. */
  readonly here: string;
}

/** Somebody read a caution; only ever added. */
export interface CautionRead {
  readonly step: CautionStep;
  readonly caution: string;
  readonly by: string;
  /** Moment, UTC. */
  readonly at: string;
}

/** The cautions that apply to a job at a step, the most grave first, each with what it is about here. */
export const cautionsOf = (job: Job, result: PlanResult, step: CautionStep): Caution[] =>
  CAUTION_SOURCES[step].flatMap(({ told, ...caution }) => {
    const here = told(job, result);
    return here === null ? [] : [{ ...caution, here }];
  });

/** Who read a caution last; undefined while nobody has. */
export const lastRead = ({ cautionsRead }: Job, step: CautionStep, caution: string): CautionRead | undefined =>
  cautionsRead.findLast((read) => read.step === step && read.caution === caution);
