import type { APIRoute } from 'astro';
import { notAllowed, problem } from '../server/http/problem.ts';
import { authority } from '../server/net/authority.ts';

/** The certificate of this installation's authority, as devices load it to trust the server. */
export const GET: APIRoute = () => {
  const here = authority();
  if (!here) return problem(404, 'not-found', 'This server has no authority of its own.');
  return new Response(here.pem, {
    headers: {
      'content-type': 'application/x-x509-ca-cert',
      'content-disposition': 'attachment; filename="splay-authority.crt"',
      'cache-control': 'no-store',
    },
  });
};

export const ALL = notAllowed('GET');
