import { desc, eq } from 'drizzle-orm';
import { database } from '../db/database.ts';
import { backups, shops } from '../db/schema.ts';
import type { Member } from '../db/shop.ts';
import { env } from '../env.ts';

/** A backup older than this is told of, days. */
export const BACKUP_TOO_OLD = 2;

/** When the last backup was made and proved; null where there is none. */
export async function lastBackup(): Promise<Date | null> {
  const [last] = await database().select({ at: backups.at }).from(backups).orderBy(desc(backups.at)).limit(1);
  return last?.at ?? null;
}

/** How much room the shop's work takes, and how much it may, bytes. */
export async function roomOf(member: Member): Promise<{ readonly stored: number; readonly limit: number }> {
  const [shop] = await database().select({ stored: shops.stored }).from(shops).where(eq(shops.id, member.shopId));
  return { stored: shop?.stored ?? 0, limit: env.shopLimit };
}
