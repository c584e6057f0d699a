import { endpoint } from '../../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../../server/http/problem.ts';
import { listRevisions } from '../../../../../server/services/revisions.ts';

export const GET = endpoint(async ({ member, job }) => json(await listRevisions(member, job)));

export const ALL = notAllowed('GET');
