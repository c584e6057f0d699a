import * as yup from 'yup';
import { readJson } from '../../../../server/http/body.ts';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { mustRecordOn } from '../../../../server/services/jobs.ts';
import { addRecords, listRecords } from '../../../../server/services/records.ts';

/** The most that is taken at once: 200 records of a few hundred bytes. */
const RECORDS_LIMIT = 256 * 1024;

const sentRecords = yup.array(yup.mixed().required()).strict().required().meta({ most: 200 });

export const GET = endpoint(async ({ member, job }) => json(await listRecords(member, job)));

/**
 * Adds records, each with an id of its device's making: sending again after a lost answer stores nothing twice. Who
 * added them is whoever is signed in. Each stands for itself: the answer names those that were refused, and why. Where an
 * id is another record's already it is a 409, which shows both.
 */
export const POST = endpoint(async ({ member, job, request }) => {
  await mustRecordOn(member, job);
  const added = await addRecords(member, job, await readJson(request, sentRecords, RECORDS_LIMIT));
  return json(added, added.refused.some(({ theirs }) => theirs) ? 409 : 200);
});

export const ALL = notAllowed('GET, POST');
