import { defineMiddleware } from 'astro:middleware';
import { memberOf } from './server/auth.ts';
import { problem, problemOf } from './server/http/problem.ts';

const SAFE = ['GET', 'HEAD', 'OPTIONS'];
/** Pages and endpoints that work without being signed in. */
const OPEN = ['/sign-in', '/api/auth/', '/api/health', '/api/set-up'];

const HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), microphone=(), geolocation=()',
};

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

  locals.member = null;
  const open = OPEN.some((path) => url.pathname.startsWith(path));
  if (!open || url.pathname === '/sign-in') {
    try {
      locals.member = await memberOf(request.headers);
    } catch (error) {
      return problemOf(error, 'session');
    }
    if (!locals.member && !open)
      return api
        ? problem(401, 'signed-out', 'Sign in first.')
        : context.redirect(`/sign-in?to=${encodeURIComponent(url.pathname)}`);
  }
  const response = await next();
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  if (!api && response.headers.get('content-type')?.includes('text/html'))
    response.headers.set('cache-control', 'no-store');
  return response;
});
