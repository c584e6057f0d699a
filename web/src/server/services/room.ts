import { eq, sql } from 'drizzle-orm';
import type { Transaction } from '../db/database.ts';
import { prepared } from '../db/prepared.ts';
import { shops } from '../db/schema.ts';
import { env } from '../env.ts';
import { ShopFull } from './errors.ts';

const addStored = prepared((tx) =>
  tx
    .update(shops)
    .set({ stored: sql`${shops.stored} + ${sql.placeholder('bytes')}::bigint` })
    .where(eq(shops.id, sql.placeholder('shop')))
    .returning({ stored: shops.stored })
    .prepare('take_room'),
);

/**
 * Counts what a shop stores, within the transaction that stores it: none of it is kept where the shop would have more than
 * is set aside for it (`SPLAY_SHOP_LIMIT_MB`). Called last: until the transaction ends all others of the shop that store
 * something wait at its row.
 *
 * @param tx The transaction.
 * @param shopId The shop.
 * @param bytes About how many bytes are stored.
 * @throws ShopFull
 */
export async function takeRoom(tx: Transaction, shopId: string, bytes: number): Promise<void> {
  const [shop] = await addStored(tx).execute({ bytes: Math.ceil(bytes), shop: shopId });
  if (shop && shop.stored > env.shopLimit) throw new ShopFull(env.shopLimit);
}
