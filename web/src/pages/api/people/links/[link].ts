import { endpoint, hashIn } from '../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { withdrawLink } from '../../../../server/services/people.ts';

/** Takes a link back. */
export const DELETE = endpoint(async ({ member, param }) => {
  await withdrawLink(member, hashIn(param('link')));
  return json({});
});

export const ALL = notAllowed('DELETE');
