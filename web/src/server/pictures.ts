import { createHash } from 'node:crypto';
import { ATTACHMENT_LIMIT, type AttachmentType, InputError } from '@splay/core';

/** What a picture is known by: SHA-256 of its bytes, in hexadecimal. */
export const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** How the bytes of each kind of picture begin. */
const MAGIC: Readonly<Record<AttachmentType, (bytes: Uint8Array) => boolean>> = {
  'image/jpeg': ([a, b]) => a === 0xff && b === 0xd8,
  'image/png': ([a, b, c, d]) => a === 0x89 && b === 0x50 && c === 0x4e && d === 0x47,
  'image/webp': (bytes) => Buffer.from(bytes.subarray(8, 12)).toString('latin1') === 'WEBP',
};

/** @throws InputError for bytes that are not a picture of that kind, or too many. */
export function checkPicture(bytes: Uint8Array, type: AttachmentType, path: string): void {
  const wrong = (message: string): never => {
    throw new InputError([{ code: 'attachment/picture', path, message }]);
  };
  if (bytes.byteLength > ATTACHMENT_LIMIT)
    wrong(`The picture is larger than ${ATTACHMENT_LIMIT / 1024} KB: use a smaller one.`);
  if (!MAGIC[type](bytes)) wrong(`This is not a picture of the kind ${type}: choose another.`);
}
