import type { APIRoute } from 'astro';
import { auth } from '../../../server/auth.ts';
import { readText, SMALL_LIMIT } from '../../../server/http/body.ts';
import { problemOf } from '../../../server/http/problem.ts';

/** Sign-in, sign-out and sessions, kept by better-auth; its own body reading has no limit, so ours goes first. */
export const ALL: APIRoute = async ({ request }) => {
  try {
    const body = request.body ? await readText(request, SMALL_LIMIT) : null;
    return await auth().handler(new Request(request.url, { method: request.method, headers: request.headers, body }));
  } catch (error) {
    return problemOf(error, 'auth');
  }
};
