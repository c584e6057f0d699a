import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { personName } from '../../../server/http/person-fields.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { rename } from '../../../server/services/people.ts';

const changed = yup.object({ name: personName() }).noUnknown();

/** What one is called. */
export const PATCH = endpoint(async ({ member, request }) => {
  const { name } = await readJson(request, changed, SMALL_LIMIT);
  await rename(member, name);
  return json({ name });
});

export const ALL = notAllowed('PATCH');
