import { endpoint, hashIn } from '../../../server/http/endpoint.ts';
import { notAllowed } from '../../../server/http/problem.ts';
import { readAttachment } from '../../../server/services/attachments.ts';

/** A picture by its hash: what it is never changes, so it is kept by the browser for good. */
export const GET = endpoint(async ({ member, param }) => {
  const { type, bytes } = await readAttachment(member, hashIn(param('hash')));
  return new Response(bytes, {
    headers: {
      'content-type': type,
      'cache-control': 'private, max-age=31536000, immutable',
      'content-security-policy': "default-src 'none'",
    },
  });
});

export const ALL = notAllowed('GET');
