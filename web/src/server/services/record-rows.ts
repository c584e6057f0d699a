import { type ShopRecord, upgradeRecord } from '@splay/core';
import type { records } from '../db/schema.ts';

/** A record as it is stored, its body brought up. */
export const recordOf = ({
  id,
  kind,
  version,
  body,
  taken,
  takenBy,
  replaces,
}: typeof records.$inferSelect): ShopRecord =>
  upgradeRecord({
    id,
    kind,
    version,
    body,
    taken,
    by: takenBy,
    ...(replaces === null ? {} : { replaces }),
  }) as ShopRecord;

/** A record as a row; `userId` is who was signed in, null for what came with a file. */
export const rowOf = (
  { id, kind, version, body, taken, by, replaces }: ShopRecord,
  shopId: string,
  jobId: string,
  userId: string | null,
): typeof records.$inferInsert => ({
  shopId,
  jobId,
  id,
  kind,
  version,
  body,
  taken,
  userId,
  takenBy: by,
  replaces: replaces ?? null,
});
