import { createHash } from 'node:crypto';
import { type Attachment, ATTACHMENT_LIMIT, type AttachmentType, InputError, type ShopRecord } from '@splay/core';
import { eq, inArray } from 'drizzle-orm';
import type { Transaction } from '../db/database.ts';
import { attachments } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { mustWrite, NotFound } from './errors.ts';

const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** How the bytes of each kind of picture begin. */
const MAGIC: Readonly<Record<AttachmentType, (bytes: Uint8Array) => boolean>> = {
  'image/jpeg': ([a, b]) => a === 0xff && b === 0xd8,
  'image/png': ([a, b, c, d]) => a === 0x89 && b === 0x50 && c === 0x4e && d === 0x47,
  'image/webp': (bytes) => Buffer.from(bytes.subarray(8, 12)).toString('latin1') === 'WEBP',
};

/** @throws InputError for bytes that are not a picture of that kind, or too many. */
function checkPicture(bytes: Uint8Array, type: AttachmentType, path: string): void {
  const wrong = (message: string): never => {
    throw new InputError([{ code: 'attachment/picture', path, message }]);
  };
  if (bytes.byteLength > ATTACHMENT_LIMIT)
    wrong(`The picture is larger than ${ATTACHMENT_LIMIT / 1024} KB: take it smaller.`);
  if (!MAGIC[type](bytes)) wrong(`This is not a picture of the kind ${type}: take it again.`);
}

const insert = (tx: Transaction, shopId: string, hash: string, type: AttachmentType, bytes: Uint8Array) =>
  tx
    .insert(attachments)
    .values({ shopId, hash, type, bytes: Buffer.from(bytes) })
    .onConflictDoNothing();

/** Stores a picture once, whoever sends it how often, and gives its hash. @throws InputError, Forbidden */
export function addAttachment(member: Member, type: AttachmentType, bytes: Uint8Array): Promise<string> {
  mustWrite(member);
  checkPicture(bytes, type, 'body');
  const hash = hashOf(bytes);
  return withShop(member.shopId, async (tx) => {
    await insert(tx, member.shopId, hash, type, bytes);
    return hash;
  });
}

/** @throws NotFound */
export const readAttachment = (
  member: Member,
  hash: string,
): Promise<{ readonly type: string; readonly bytes: Uint8Array<ArrayBuffer> }> =>
  withShop(member.shopId, async (tx) => {
    const [row] = await tx.select().from(attachments).where(eq(attachments.hash, hash));
    if (!row) throw new NotFound();
    return { type: row.type, bytes: new Uint8Array(row.bytes) };
  });

/** Stores what came with a job file. @throws InputError where a hash is not that of its data. */
export async function takeAttachments(tx: Transaction, shopId: string, all: readonly Attachment[]): Promise<void> {
  for (const [index, { hash, type, data }] of all.entries()) {
    const bytes = Buffer.from(data, 'base64');
    checkPicture(bytes, type, `attachments[${index}]`);
    if (hashOf(bytes) !== hash)
      throw new InputError([
        {
          code: 'attachment/hash',
          path: `attachments[${index}].hash`,
          message: 'This is not the hash of the picture: the file was changed or cut short.',
        },
      ]);
    await insert(tx, shopId, hash, type, bytes);
  }
}

/** What some records refer to, as it travels in a job file. */
export async function attachmentsOf(tx: Transaction, records: readonly ShopRecord[]): Promise<readonly Attachment[]> {
  const hashes = [...new Set(records.flatMap((one) => (one.kind === 'photo' ? [one.body.attachment] : [])))];
  if (hashes.length === 0) return [];
  const rows = await tx.select().from(attachments).where(inArray(attachments.hash, hashes)).orderBy(attachments.hash);
  return rows.map(({ hash, type, bytes }) => ({
    hash,
    type: type as AttachmentType,
    data: bytes.toString('base64'),
  }));
}
