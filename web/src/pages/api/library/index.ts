import { JOB_LIMIT, readBytes } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { mustWrite } from '../../../server/services/errors.ts';
import { keepItem, listItems } from '../../../server/services/library.ts';

export const GET = endpoint(async ({ member }) => json(await listItems(member)));

/** Keeps an item file as it is sent. */
export const POST = endpoint(async ({ member, request }) => {
  mustWrite(member);
  return json(await keepItem(member, await readBytes(request, JOB_LIMIT)), 201);
});

export const ALL = notAllowed('GET, POST');
