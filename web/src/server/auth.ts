import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { eq } from 'drizzle-orm';
import { database } from './db/database.ts';
import { account, members, session, shops, user, verification } from './db/schema.ts';
import type { Member } from './db/shop.ts';
import { env } from './env.ts';
import { log } from './log.ts';

const make = () =>
  betterAuth({
    database: drizzleAdapter(database(), { provider: 'pg', schema: { user, session, account, verification } }),
    secret: env.secret,
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: 10 },
    // The middleware has already held the origin against the host the request came to, which knows the port.
    trustedOrigins: (request) => [request?.headers.get('origin')].filter((origin) => typeof origin === 'string'),
    session: { expiresIn: 60 * 60 * 24 * 14, updateAge: 60 * 60 * 24 },
    // Counted by our own limiter, before a password is looked at.
    rateLimit: { enabled: false },
    telemetry: { enabled: false },
    // Its messages may hold an e-mail address or a token: that something failed is logged, not what it said.
    logger: { log: (level) => log.warn({ said: level }, 'sign-in library') },
  });

let made: ReturnType<typeof make> | undefined;

/** Sign-in and sessions. Accounts are made by `addMember`, not by whoever finds the page. */
export const auth = (): ReturnType<typeof make> => (made ??= make());

/** Who is signed in, and the shop they work in; null when nobody is. */
export async function memberOf(headers: Headers): Promise<Member | null> {
  const signedIn = await auth().api.getSession({ headers });
  if (!signedIn) return null;
  const [found] = await database()
    .select({ shopId: members.shopId, role: members.role, name: members.name, shopName: shops.name })
    .from(members)
    .innerJoin(shops, eq(shops.id, members.shopId))
    .where(eq(members.userId, signedIn.user.id))
    .limit(1);
  return found ? { userId: signedIn.user.id, ...found } : null;
}
