import { ATTACHMENT_LIMIT, ATTACHMENT_TYPES, InputError } from '@splay/core';
import { readBytes } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { addAttachment } from '../../../server/services/attachments.ts';

/** Stores a picture, its kind in the content type, and answers with its hash. */
export const POST = endpoint(async ({ member, request }) => {
  const given = request.headers.get('content-type');
  const type = ATTACHMENT_TYPES.find((known) => known === given);
  if (!type)
    throw new InputError([
      { code: 'attachment/type', path: 'content-type', message: `A picture is one of ${ATTACHMENT_TYPES.join(', ')}.` },
    ]);
  return json({ hash: await addAttachment(member, type, await readBytes(request, ATTACHMENT_LIMIT)) }, 201);
});

export const ALL = notAllowed('POST');
