import { endpoint, uuidOf } from '../../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../../server/http/problem.ts';
import { mailLink } from '../../../../server/mail.ts';
import { passwordLink } from '../../../../server/services/people.ts';
import type { GivenLink } from '../../../../shared/people.ts';

/** A one-time link by which somebody chooses a new password: its path is shown once, and mailed where mail can go out. */
export const POST = endpoint(async ({ member, param, origin }) => {
  const { token, email } = await passwordLink(member, uuidOf(param('person')));
  const path = `/join/${token}`;
  const mailed = await mailLink(email, `A new password for ${member.shopName}`, origin + path);
  return json({ path, mailed } satisfies GivenLink, 201);
});

export const ALL = notAllowed('POST');
