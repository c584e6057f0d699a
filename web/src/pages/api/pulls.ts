import { endpoint } from '../../server/http/endpoint.ts';
import { json, notAllowed } from '../../server/http/problem.ts';
import { listPulls } from '../../server/services/pulls.ts';

/** How far the joints of all frames in the shop pulled. */
export const GET = endpoint(async ({ member }) => json(await listPulls(member)));

export const ALL = notAllowed('GET');
