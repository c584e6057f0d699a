import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../../../server/http/body.ts';
import { endpoint, wholeNumber } from '../../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../../server/http/problem.ts';
import { mustWriteJob, readJob, restoreRevision } from '../../../../../server/services/jobs.ts';

const restore = yup.object({ basedOn: yup.number().strict().integer().min(1).required() }).noUnknown();

export const GET = endpoint(async ({ member, job, param }) =>
  json(await readJob(member, job, wholeNumber(param('number')))),
);

/** Brings this revision back as the newest; the ones in between stay in the history. */
export const POST = endpoint(async ({ member, job, param, request }) => {
  await mustWriteJob(member, job);
  const { basedOn } = await readJson(request, restore, SMALL_LIMIT);
  return json(await restoreRevision(member, job, wholeNumber(param('number')), basedOn));
});

export const ALL = notAllowed('GET, POST');
