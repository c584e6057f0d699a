import { readFileSync } from 'node:fs';
import { type Job, parseJobFile } from '../src/job/index.ts';
import { contextOf, type Improving, calculateSplice, usualPlate } from '../src/plan/index.ts';
import type { Section } from '../src/sections/index.ts';
import type { RailSplice } from '../src/splice/index.ts';

const read = (name: string): Job =>
  parseJobFile(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8')).job;
export const van = read('parcel-van');
export const sprayer = read('orchard-sprayer');
export const tour = read('tour-carrier');
export const beach = read('beach-rescue');

/** The flagship's channel. */
export const channel = van.donor.sections[0]!.section;

/** What is proposed on a job's rail goes by. */
export const on = (job: Job, section: Section = job.donor.sections[0]!.section): Improving => ({
  steel: { section, material: job.donor.material },
  rules: job.rules,
  display: job.display,
});
export const proposing = on(van);

/** What a splice is worth on a job's rail. */
export const calculate = (splice: RailSplice, job = van) =>
  calculateSplice(splice, job.donor.sections[0]!.section, job.donor.material, contextOf(job));
export const ratioOf = (splice: RailSplice, job = van) => calculate(splice, job).strength!.ratio;

/** The plate that a joint of the flagship begins with inside its web, with changes. */
export const inside = (changes: object = {}) => ({
  ...usualPlate('p', 'web-inside', { form: 'butt' }, proposing)!,
  ...changes,
});
