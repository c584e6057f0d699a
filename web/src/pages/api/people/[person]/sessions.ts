import { endpoint, uuidOf } from '../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { endSessions } from '../../../../server/services/people.ts';

/** Signs somebody out everywhere. */
export const DELETE = endpoint(async ({ member, param }) => {
  await endSessions(member, uuidOf(param('person')));
  return json({});
});

export const ALL = notAllowed('DELETE');
