import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../../server/http/body.ts';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { json } from '../../../../server/http/problem.ts';
import { mustWriteJob } from '../../../../server/services/jobs.ts';
import { addReadings, listReadings } from '../../../../server/services/readings.ts';

const sentReadings = yup.array(yup.mixed().required()).strict().required().meta({ most: 200 });

export const GET = endpoint(async ({ member, job }) => json(await listReadings(member, job)));

/**
 * Adds readings, each with an id of its device's making: sending again after a lost answer stores nothing twice. Who
 * took them is whoever is signed in. Each stands for itself: the answer names those that were refused, and why.
 */
export const POST = endpoint(async ({ member, job, request }) => {
  await mustWriteJob(member, job);
  return json(await addReadings(member, job, await readJson(request, sentReadings, SMALL_LIMIT)));
});
