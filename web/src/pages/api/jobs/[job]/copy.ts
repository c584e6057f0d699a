import { endpoint } from '../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { copyJob } from '../../../../server/services/jobs.ts';

/** A new job with the donor, the body and the plans of this one. */
export const POST = endpoint(async ({ member, job }) => json(await copyJob(member, job), 201));

export const ALL = notAllowed('POST');
