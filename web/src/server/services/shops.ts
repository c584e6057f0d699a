import { count, eq } from 'drizzle-orm';
import { auth } from '../auth.ts';
import { database, inTransaction } from '../db/database.ts';
import { account, members, type Role, shops, user } from '../db/schema.ts';

/** A person's way in. */
export interface NewMember {
  readonly name: string;
  readonly email: string;
  readonly password: string;
  readonly role: Role;
}

/** Makes a shop with its people, and gives its id. */
export async function createShop(name: string, people: readonly NewMember[]): Promise<string> {
  const hashes = await Promise.all(people.map(async ({ password }) => (await auth().$context).password.hash(password)));
  return inTransaction(async (tx) => {
    const [shop] = await tx.insert(shops).values({ name }).returning({ id: shops.id });
    if (!shop) throw new Error('the shop was not stored');
    for (const [index, person] of people.entries()) {
      const id = crypto.randomUUID();
      await tx.insert(user).values({ id, name: person.name, email: person.email.toLowerCase(), emailVerified: true });
      await tx.insert(account).values({
        id: crypto.randomUUID(),
        accountId: id,
        providerId: 'credential',
        userId: id,
        password: hashes[index] ?? null,
      });
      await tx.insert(members).values({ userId: id, shopId: shop.id, role: person.role });
    }
    return shop.id;
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
