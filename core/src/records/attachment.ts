import { type Field, hash, oneOf, record, text } from '../fields/index.ts';

/** The kinds of pictures that are kept. */
export const ATTACHMENT_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type AttachmentType = (typeof ATTACHMENT_TYPES)[number];

/** The largest picture that is kept, bytes: devices shrink theirs before they send them. */
export const ATTACHMENT_LIMIT = 512 * 1024;

/** Something that a record refers to by its hash: a photo. As it travels in a job file. */
export interface Attachment {
  /** SHA-256 of the bytes, in hexadecimal. */
  readonly hash: string;
  readonly type: AttachmentType;
  /** The bytes in base64. */
  readonly data: string;
}

/** The shape of an attachment; whether the hash is that of the data is for whoever stores it to check. */
export const attachmentSchema = (): Field<Attachment> =>
  record<Attachment>({
    hash: hash(),
    type: oneOf(ATTACHMENT_TYPES),
    data: text(Math.ceil((ATTACHMENT_LIMIT * 4) / 3) + 4),
  });
