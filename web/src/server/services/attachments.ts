import type { Attachment, AttachmentType, ShopRecord } from '@splay/core';
import { eq, inArray } from 'drizzle-orm';
import type { Transaction } from '../db/database.ts';
import { attachments } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { checkPicture, hashOf } from '../pictures.ts';
import type { Picture } from '../threads/tasks.ts';
import { mustRecord, NotFound } from './errors.ts';
import { takeRoom } from './room.ts';

/** Stores a picture once, and gives how many bytes that takes: none where it is there already. */
async function insert(tx: Transaction, shopId: string, { hash, type, bytes }: Picture): Promise<number> {
  const added = await tx
    .insert(attachments)
    .values({ shopId, hash, type, bytes: Buffer.from(bytes) })
    .onConflictDoNothing()
    .returning({ hash: attachments.hash });
  return added.length > 0 ? bytes.byteLength : 0;
}

/** Stores a picture once, whoever sends it how often, and gives its hash. @throws InputError, Forbidden */
export function addAttachment(member: Member, type: AttachmentType, bytes: Uint8Array): Promise<string> {
  mustRecord(member);
  checkPicture(bytes, type, 'body');
  const hash = hashOf(bytes);
  return withShop(member.shopId, async (tx) => {
    await takeRoom(tx, member.shopId, await insert(tx, member.shopId, { hash, type, bytes }));
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

/** Stores what came with a job file, checked already. */
export async function takePictures(tx: Transaction, shopId: string, all: readonly Picture[]): Promise<void> {
  let room = 0;
  for (const picture of all) room += await insert(tx, shopId, picture);
  if (room > 0) await takeRoom(tx, shopId, room);
}

/** Hashes of the pictures that some records refer to. */
export const picturesIn = (records: readonly ShopRecord[]): readonly string[] => [
  ...new Set(records.flatMap((one) => (one.kind === 'photo' ? [one.body.attachment] : []))),
];

/** What some records refer to, as it travels in a job file. */
export async function attachmentsOf(tx: Transaction, records: readonly ShopRecord[]): Promise<readonly Attachment[]> {
  const hashes = picturesIn(records);
  if (hashes.length === 0) return [];
  const rows = await tx.select().from(attachments).where(inArray(attachments.hash, hashes)).orderBy(attachments.hash);
  return rows.map(({ hash, type, bytes }) => ({
    hash,
    type: type as AttachmentType,
    data: bytes.toString('base64'),
  }));
}
