import { and, count, eq, sql } from 'drizzle-orm';
import type { Role } from '../../shared/roles.ts';
import { auth } from '../auth.ts';
import { database, inTransaction, type Transaction } from '../db/database.ts';
import { account, members, shops, user } from '../db/schema.ts';
import { env } from '../env.ts';

/** A person's way in. */
export interface NewMember {
  readonly name: string;
  readonly email: string;
  readonly password: string;
  readonly role: Role;
}

/** What a shop begins with, beside its people. */
interface NewShop {
  readonly name: string;
  /** The demo shop: see `schema.ts`. */
  readonly demo?: boolean;
}

export const hashOfPassword = async (password: string): Promise<string> =>
  (await auth().$context).password.hash(password);

/** Makes an account, and gives its id. */
export async function addAccount(
  tx: Transaction,
  { name, email }: Pick<NewMember, 'name' | 'email'>,
  password: string,
): Promise<string> {
  const id = crypto.randomUUID();
  await tx.insert(user).values({ id, name, email: email.toLowerCase(), emailVerified: true });
  await tx
    .insert(account)
    .values({ id: crypto.randomUUID(), accountId: id, providerId: 'credential', userId: id, password });
  return id;
}

async function addShop(
  tx: Transaction,
  { name, demo = false }: NewShop,
  people: readonly NewMember[],
  hashes: readonly string[],
) {
  const [shop] = await tx.insert(shops).values({ name, demo }).returning({ id: shops.id });
  if (!shop) throw new Error('the shop was not stored');
  for (const [index, person] of people.entries()) {
    const userId = await addAccount(tx, person, hashes[index] ?? '');
    await tx.insert(members).values({ userId, shopId: shop.id, role: person.role, name: person.name });
  }
  return shop.id;
}

/** Makes a shop with its people, and gives its id. */
export async function createShop(name: string, people: readonly NewMember[]): Promise<string> {
  const hashes = await Promise.all(people.map(({ password }) => hashOfPassword(password)));
  return inTransaction((tx) => addShop(tx, { name }, people, hashes));
}

/** Shops that are open here: all, or without the demo shop where the program runs without it. */
const openShops = () => (env.demo ? undefined : eq(shops.demo, false));

/** Makes the first shop, and gives its id; null where there is one, whoever else is at it at the same time. */
export async function createFirstShop(shop: NewShop, people: readonly NewMember[]): Promise<string | null> {
  const hashes = await Promise.all(people.map(({ password }) => hashOfPassword(password)));
  return inTransaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext('splay first shop'))`);
    // Whoever loads the demo shop finds one that is there, open or closed.
    const counted = shop.demo ? undefined : openShops();
    const [row] = await tx.select({ shops: count() }).from(shops).where(counted);
    return (row?.shops ?? 0) > 0 ? null : addShop(tx, shop, people, hashes);
  });
}

/** True while nobody has set the program up; a demo shop that is closed does not count. */
export async function noShopYet(): Promise<boolean> {
  const [row] = await database().select({ shops: count() }).from(shops).where(openShops());
  return (row?.shops ?? 0) === 0;
}

/** True when somebody has this e-mail address. */
export async function isTaken(email: string): Promise<boolean> {
  const found = await database().select({ id: user.id }).from(user).where(eq(user.email, email.toLowerCase())).limit(1);
  return found.length > 0;
}

/** True where an e-mail address is one of the demo shop's, and that is closed here: its passwords are in the open. */
export async function isClosed(email: string): Promise<boolean> {
  if (env.demo) return false;
  const found = await database()
    .select({ id: user.id })
    .from(user)
    .innerJoin(members, eq(members.userId, user.id))
    .innerJoin(shops, eq(shops.id, members.shopId))
    .where(and(eq(user.email, email.trim().toLowerCase()), eq(shops.demo, true)))
    .limit(1);
  return found.length > 0;
}
