import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { role } from '../../../server/http/person-fields.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { mustManage } from '../../../server/services/errors.ts';
import { invite, listPeople } from '../../../server/services/people.ts';

const invitation = yup.object({ role: role() }).noUnknown();

export const GET = endpoint(async ({ member }) => json(await listPeople(member)));

/** Invites one person: answers with the path of a link that is shown once. */
export const POST = endpoint(async ({ member, request }) => {
  mustManage(member);
  const sent = await readJson(request, invitation, SMALL_LIMIT);
  return json({ path: `/join/${await invite(member, sent.role)}` }, 201);
});

export const ALL = notAllowed('GET, POST');
