import type { APIRoute } from 'astro';
import * as yup from 'yup';
import { auth, isEncrypted } from '../../../server/auth.ts';
import { env } from '../../../server/env.ts';
import { jsonOf } from '../../../server/http/json-of.ts';
import { readText, SMALL_LIMIT } from '../../../server/http/body.ts';
import { json, notAllowed, problem, problemOf } from '../../../server/http/problem.ts';
import { isClosed } from '../../../server/services/shops.ts';
import { forgetTries, waitToTry } from '../../../server/sign-in-limit.ts';

/** What of better-auth is served; people are managed by endpoints of our own. */
const SERVED = ['sign-in/email', 'sign-out'];

const credentials = yup
  .object({
    email: yup.string().strict().required('Give an e-mail address.').max(254),
    password: yup.string().strict().required('Give a password.').max(128),
  })
  .noUnknown();

/** That somebody is signed in: the session is in the cookie, and nowhere that a script could read it. */
function signedInAnswer(answer: Response): Response {
  const mine = json({ ok: true });
  for (const cookie of answer.headers.getSetCookie()) mine.headers.append('set-cookie', cookie);
  return mine;
}

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
    if (await isClosed(email))
      return problem(403, 'sign-in/demo', 'The demo shop is closed here: sign in with an account of your own.');
    const answer = await handle();
    if (!answer.ok) return answer;
    if (env.limitSignIn) await forgetTries(email, locals.address);
    return signedInAnswer(answer);
  } catch (error) {
    return problemOf(error, 'auth');
  }
};

export const ALL = notAllowed('POST');
