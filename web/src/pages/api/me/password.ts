import { InputError } from '@splay/core';
import * as yup from 'yup';
import { env } from '../../../server/env.ts';
import { readJson, SMALL_LIMIT } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { newPassword } from '../../../server/http/person-fields.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { changePassword } from '../../../server/services/people.ts';
import { forgetTries, waitToTry } from '../../../server/sign-in-limit.ts';

const changed = yup
  .object({ current: yup.string().strict().required('Give your password now.').max(128), next: newPassword() })
  .noUnknown();

/** One's own password; whoever holds a session open must know the old one, and may not guess at it. */
export const POST = endpoint(async ({ member, request, session, address }) => {
  const sent = await readJson(request, changed, SMALL_LIMIT);
  const wait = env.limitSignIn ? await waitToTry(member.userId, address) : 0;
  if (wait > 0)
    throw new InputError([
      { code: 'sign-in/wait', path: 'current', message: `Too many wrong passwords: try again in ${wait} s.` },
    ]);
  await changePassword(member, sent, session);
  await forgetTries(member.userId, address);
  return json({});
});

export const ALL = notAllowed('POST');
