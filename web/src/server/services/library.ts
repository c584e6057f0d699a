import { type ItemKind, type LibraryItem, parseItem } from '@splay/core';
import { asc, eq } from 'drizzle-orm';
import { libraryItems } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import type { ListedItem } from '../../shared/listed-item.ts';
import { inThread } from '../threads/pool.ts';
import { mustWrite, NotFound } from './errors.ts';
import { takeRoom } from './room.ts';

const listed = (row: typeof libraryItems.$inferSelect): ListedItem => ({
  id: row.id,
  kind: row.kind as ItemKind,
  name: row.name,
  from: row.from,
  savedBy: row.savedBy,
  savedAt: row.savedAt.toISOString(),
});

/** Everything that the shop keeps for the next job, by kind and name. */
export const listItems = (member: Member): Promise<readonly ListedItem[]> =>
  withShop(member.shopId, async (tx) => {
    const rows = await tx.select().from(libraryItems).orderBy(asc(libraryItems.kind), asc(libraryItems.name));
    return rows.map(listed);
  });

/** One item, as it is today whatever version it was kept in. @throws NotFound, InputError */
export const readItem = (member: Member, id: string): Promise<LibraryItem> =>
  withShop(member.shopId, async (tx) => {
    const [row] = await tx.select().from(libraryItems).where(eq(libraryItems.id, id));
    if (!row) throw new NotFound();
    return parseItem(JSON.stringify(row.document));
  });

/** Keeps an item that somebody sent: a copy, checked like a job. @throws Forbidden, InputError, ShopFull */
export async function keepItem(member: Member, bytes: Uint8Array): Promise<ListedItem> {
  mustWrite(member);
  const item = await inThread('readItem', bytes);
  return withShop(member.shopId, async (tx) => {
    const [row] = await tx
      .insert(libraryItems)
      .values({
        shopId: member.shopId,
        kind: item.kind,
        name: item.item.name,
        from: item.from,
        document: item,
        savedBy: member.name,
      })
      .returning();
    await takeRoom(tx, member.shopId, JSON.stringify(item).length);
    return listed(row as typeof libraryItems.$inferSelect);
  });
}

/** Takes an item out; what was copied from it stays as it is. @throws Forbidden, NotFound */
export function dropItem(member: Member, id: string): Promise<void> {
  mustWrite(member);
  return withShop(member.shopId, async (tx) => {
    const [item] = await tx
      .delete(libraryItems)
      .where(eq(libraryItems.id, id))
      .returning({ document: libraryItems.document });
    if (!item) throw new NotFound();
    await takeRoom(tx, member.shopId, -JSON.stringify(item.document).length);
  });
}
