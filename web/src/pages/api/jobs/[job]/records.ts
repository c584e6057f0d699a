import * as yup from 'yup';
import { readJson } from '../../../../server/http/body.ts';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { json } from '../../../../server/http/problem.ts';
import { mustWriteJob } from '../../../../server/services/jobs.ts';
import { addRecords, listRecords } from '../../../../server/services/records.ts';

/** The most that is taken at once: 200 records of a few hundred bytes. */
const RECORDS_LIMIT = 256 * 1024;

const sentRecords = yup.array(yup.mixed().required()).strict().required().meta({ most: 200 });

export const GET = endpoint(async ({ member, job }) => json(await listRecords(member, job)));

/**
 * Adds records, each with an id of its device's making: sending again after a lost answer stores nothing twice. Who
 * added them is whoever is signed in. Each stands for itself: the answer names those that were refused, and why.
 */
export const POST = endpoint(async ({ member, job, request }) => {
  await mustWriteJob(member, job);
  return json(await addRecords(member, job, await readJson(request, sentRecords, RECORDS_LIMIT)));
});
