import * as yup from 'yup';
import { checkJob } from '@splay/core';
import { JOB_LIMIT, readJson, SMALL_LIMIT } from '../../../../server/http/body.ts';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { json } from '../../../../server/http/problem.ts';
import { JOB_PLACES, mustWriteJob, placeJob, readJob, saveJob } from '../../../../server/services/jobs.ts';

const save = yup
  .object({
    basedOn: yup.number().strict().integer().min(1).required(),
    label: yup.string().strict().max(200).required(),
    /** The version of the job format that the job is in. */
    version: yup.number().strict().integer().min(1).required('is missing: load the page again'),
    job: yup.mixed().required(),
  })
  .noUnknown();

export const GET = endpoint(async ({ member, job }) => json(await readJob(member, job)));

/** Saves a new revision that says which one it was based on; refuses with both versions when that is not the newest. */
export const PUT = endpoint(async ({ member, job, request }) => {
  await mustWriteJob(member, job);
  const sent = await readJson(request, save, JOB_LIMIT);
  return json(
    await saveJob(member, job, { basedOn: sent.basedOn, label: sent.label, job: checkJob(sent.job, sent.version) }),
  );
});

const place = yup.object({ place: yup.string().strict().oneOf(JOB_PLACES).required() });

/** Puts a job on the list, away, or among the deleted, from where it can be brought back for a while. */
export const PATCH = endpoint(async ({ member, job, request }) => {
  await mustWriteJob(member, job);
  const sent = await readJson(request, place, SMALL_LIMIT);
  await placeJob(member, job, sent.place);
  return json({ id: job, place: sent.place });
});
