import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../../server/http/body.ts';
import { endpoint, uuidOf } from '../../../../server/http/endpoint.ts';
import { role } from '../../../../server/http/person-fields.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { mustManage } from '../../../../server/services/errors.ts';
import { removePerson, setRole } from '../../../../server/services/people.ts';

const changed = yup.object({ role: role() }).noUnknown();

export const PATCH = endpoint(async ({ member, param, request }) => {
  mustManage(member);
  const sent = await readJson(request, changed, SMALL_LIMIT);
  await setRole(member, uuidOf(param('person')), sent.role);
  return json({ role: sent.role });
});

/** Takes somebody out of the shop; what they did stays. */
export const DELETE = endpoint(async ({ member, param }) => {
  await removePerson(member, uuidOf(param('person')));
  return json({});
});

export const ALL = notAllowed('PATCH, DELETE');
