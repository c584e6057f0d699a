import { count, eq, sql } from 'drizzle-orm';
import type { Role } from '../../shared/roles.ts';
import { auth } from '../auth.ts';
import { database, inTransaction, type Transaction } from '../db/database.ts';
import { account, members, shops, user } from '../db/schema.ts';

/** A person's way in. */
export interface NewMember {
  readonly name: string;
  readonly email: string;
  readonly password: string;
  readonly role: Role;
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

async function addShop(tx: Transaction, name: string, people: readonly NewMember[], hashes: readonly string[]) {
  const [shop] = await tx.insert(shops).values({ name }).returning({ id: shops.id });
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
  return inTransaction((tx) => addShop(tx, name, people, hashes));
}

/** Makes the first shop, and gives its id; null where there is one, whoever else is at it at the same time. */
export async function createFirstShop(name: string, people: readonly NewMember[]): Promise<string | null> {
  const hashes = await Promise.all(people.map(({ password }) => hashOfPassword(password)));
  return inTransaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext('splay first shop'))`);
    const [row] = await tx.select({ shops: count() }).from(shops);
    return (row?.shops ?? 0) > 0 ? null : addShop(tx, name, people, hashes);
  });
}

/** True while nobody has set the program up. */
export async function noShopYet(): Promise<boolean> {
  const [row] = await database().select({ shops: count() }).from(shops);
  return (row?.shops ?? 0) === 0;
}

/** True when somebody has this e-mail address. */
export async function isTaken(email: string): Promise<boolean> {
  const found = await database().select({ id: user.id }).from(user).where(eq(user.email, email.toLowerCase())).limit(1);
  return found.length > 0;
}
