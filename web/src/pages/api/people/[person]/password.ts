import { endpoint, uuidOf } from '../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { passwordLink } from '../../../../server/services/people.ts';

/** A one-time link by which somebody chooses a new password: its path is shown once. */
export const POST = endpoint(async ({ member, param }) =>
  json({ path: `/join/${await passwordLink(member, uuidOf(param('person')))}` }, 201),
);

export const ALL = notAllowed('POST');
