import type { APIRoute } from 'astro';
import * as yup from 'yup';
import { auth, isEncrypted } from '../../../server/auth.ts';
import { env } from '../../../server/env.ts';
import { jsonOf } from '../../../server/http/json-of.ts';
import { readText, SMALL_LIMIT } from '../../../server/http/body.ts';
import { notAllowed, problem, problemOf } from '../../../server/http/problem.ts';
import { forgetTries, waitToTry } from '../../../server/sign-in-limit.ts';

/** What of better-auth is served; people are managed by endpoints of our own. */
const SERVED = ['sign-in/email', 'sign-out'];

const credentials = yup
  .object({
    email: yup.string().strict().required('Give an e-mail address.').max(254),
    password: yup.string().strict().required('Give a password.').max(128),
  })
  .noUnknown();

/** Sign-in and sign-out, kept by better-auth; its own body reading has no limit, so ours goes first. */
export const POST: APIRoute = async ({ request, params, locals }) => {
  try {
    const path = params.all ?? '';
    if (!SERVED.includes(path)) return problem(404, 'not-found', 'There is no such thing here.');
    const body = await readText(request, SMALL_LIMIT);
    const handle = () =>
      auth(isEncrypted(locals.origin)).handler(
        new Request(request.url, { method: 'POST', headers: request.headers, body }),
      );
    if (path !== 'sign-in/email') return await handle();
    const { email } = jsonOf(body, credentials);
    const wait = env.limitSignIn ? await waitToTry(email, locals.address) : 0;
    if (wait > 0) {
      const answer = problem(429, 'sign-in/wait', `Too many wrong passwords: try again in ${wait} s.`);
      answer.headers.set('retry-after', String(wait));
      return answer;
    }
    const answer = await handle();
    if (answer.ok && env.limitSignIn) await forgetTries(email, locals.address);
    return answer;
  } catch (error) {
    return problemOf(error, 'auth');
  }
};

export const ALL = notAllowed('POST');
