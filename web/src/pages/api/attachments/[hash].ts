import { endpoint } from '../../../server/http/endpoint.ts';
import { readAttachment } from '../../../server/services/attachments.ts';

/** A picture by its hash: what it is never changes, so it is kept by the browser for good. */
export const GET = endpoint(async ({ member, param }) => {
  const { type, bytes } = await readAttachment(member, param('hash'));
  return new Response(bytes, {
    headers: {
      'content-type': type,
      'cache-control': 'private, max-age=31536000, immutable',
      'content-security-policy': "default-src 'none'",
    },
  });
});
