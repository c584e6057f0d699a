import * as yup from 'yup';
import { JOB_LIMIT, readBytes, readJson, SMALL_LIMIT } from '../../../../server/http/body.ts';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { inThread } from '../../../../server/threads/pool.ts';
import { JOB_PLACES, mustWriteJob, placeJob, readJob, storeSave } from '../../../../server/services/jobs.ts';

export const GET = endpoint(async ({ member, job }) => json(await readJob(member, job)));

/** Saves a new revision that says which one it was based on; refuses with both versions when that is not the newest. */
export const PUT = endpoint(async ({ member, job, request }) => {
  await mustWriteJob(member, job);
  return json(await storeSave(member, job, await inThread('readSave', await readBytes(request, JOB_LIMIT))));
});

const place = yup.object({ place: yup.string().strict().oneOf(JOB_PLACES).required() });

/** Puts a job on the list, away, or among the deleted, from where it can be brought back for a while. */
export const PATCH = endpoint(async ({ member, job, request }) => {
  await mustWriteJob(member, job);
  const sent = await readJson(request, place, SMALL_LIMIT);
  await placeJob(member, job, sent.place);
  return json({ id: job, place: sent.place });
});

export const ALL = notAllowed('GET, PUT, PATCH');
