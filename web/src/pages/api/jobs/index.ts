import { endpoint } from '../../../server/http/endpoint.ts';
import { JOB_FILE_LIMIT, readText } from '../../../server/http/body.ts';
import { json } from '../../../server/http/problem.ts';
import { mustWrite } from '../../../server/services/errors.ts';
import { importJob } from '../../../server/services/job-files.ts';
import { listJobs } from '../../../server/services/jobs.ts';

export const GET = endpoint(async ({ member }) => json(await listJobs(member)));

/** Takes a job file as it is and makes a new job of it. */
export const POST = endpoint(async ({ member, request }) => {
  mustWrite(member);
  return json(await importJob(member, await readText(request, JOB_FILE_LIMIT)), 201);
});
