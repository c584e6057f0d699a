import { defineMiddleware } from 'astro:middleware';
import { signedIn } from './server/auth.ts';
import { notAllowed, passes, problem, problemOf } from './server/http/problem.ts';
import { logError } from './server/log.ts';
import { PROGRAM, PROGRAM_HEADER } from './shared/program.ts';

const SAFE = ['GET', 'HEAD', 'OPTIONS'];
/** Pages and endpoints that work without being signed in. */
const OPEN = [
  '/sign-in',
  '/join/',
  '/unavailable',
  '/offline',
  '/trust',
  '/authority.crt',
  '/api/auth/',
  '/api/join',
  '/api/health',
  '/api/ready',
  '/api/set-up',
];

/** True when an unsafe request comes from one of our own pages (or from no page at all, like a command line). */
function ownOrigin(request: Request): boolean {
  const site = request.headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return false;
  const origin = request.headers.get('origin');
  if (origin === null) return site !== null || request.headers.get('cookie') === null;
  return URL.canParse(origin) && new URL(origin).host === request.headers.get('host');
}

export const onRequest = defineMiddleware(async (context, next) => {
  const { request, url, locals } = context;
  const api = url.pathname.startsWith('/api/');
  if (!SAFE.includes(request.method) && !ownOrigin(request))
    return problem(403, 'origin', 'This request does not come from a page of this program.');

  if (!api && !['GET', 'HEAD'].includes(request.method)) return await notAllowed('GET, HEAD')(context);

  locals.member = null;
  locals.session = null;
  const open = OPEN.some((path) => url.pathname.startsWith(path));
  let response: Response;
  try {
    if (!open || url.pathname === '/sign-in') {
      const found = await signedIn(request.headers, locals.origin);
      locals.member = found?.member ?? null;
      locals.session = found?.session ?? null;
      if (!locals.member && !open)
        return api
          ? problem(401, 'signed-out', 'Sign in first.')
          : context.redirect(`/sign-in?to=${encodeURIComponent(url.pathname)}`);
    }
    response = await next();
  } catch (error) {
    if (api) return problemOf(error, 'middleware');
    logError(error, 'page');
    // A page of its own says what happened and what to do; nobody is left with an empty one.
    response = await next(passes(error) ? '/unavailable' : '/unavailable?failed');
  }
  response.headers.set(PROGRAM_HEADER, PROGRAM);
  if (!api && response.headers.get('content-type')?.includes('text/html'))
    response.headers.set('cache-control', 'no-store');
  return response;
});
