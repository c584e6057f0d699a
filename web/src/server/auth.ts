import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { and, eq, sql } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { type Database, database } from './db/database.ts';
import { account, members, session, shops, user, verification } from './db/schema.ts';
import type { Member } from './db/shop.ts';
import { env } from './env.ts';
import { log } from './log.ts';

/**
 * @param secure Whether its cookies go over encrypted connections alone. Over plain ones (a shop's network) browsers would
 *   not take such a cookie.
 */
const make = (secure: boolean) =>
  betterAuth({
    database: drizzleAdapter(database(), { provider: 'pg', schema: { user, session, account, verification } }),
    secret: env.secret,
    advanced: { useSecureCookies: secure },
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: 10 },
    // The middleware has already held the origin against the host the request came to, which knows the port.
    trustedOrigins: (request) => [request?.headers.get('origin')].filter((origin) => typeof origin === 'string'),
    session: { expiresIn: 60 * 60 * 24 * 14, updateAge: 60 * 60 * 24 },
    // Counted by our own limiter, before a password is looked at.
    rateLimit: { enabled: false },
    telemetry: { enabled: false },
    // Its messages may hold an e-mail address or a token: that something failed is logged, not what it said.
    logger: { log: (level) => log.debug({ said: level }, 'sign-in library') },
  });

const made = new Map<boolean, ReturnType<typeof make>>();

/** Sign-in and sessions. Accounts are made by `addMember`, not by whoever finds the page. */
export function auth(secure = true): ReturnType<typeof make> {
  const known = made.get(secure) ?? make(secure);
  made.set(secure, known);
  return known;
}

/** Whether cookies for an origin go over encrypted connections alone. */
export const isEncrypted = (origin: string): boolean => origin.startsWith('https:');

/** Cookies whose signature was looked at a moment ago, and the session that each names. Whether that is still open is asked every time. */
const proven = new LRUCache<string, string>({ max: 5000, ttl: 60_000 });

/** The session that a request names, by its id, whether or not it is still open. */
async function sessionIn(headers: Headers, secure: boolean): Promise<string | null> {
  const cookie = headers.get('cookie');
  if (cookie === null) return null;
  const key = `${secure} ${cookie}`;
  const known = proven.get(key);
  if (known !== undefined) return known;
  const signedIn = await auth(secure).api.getSession({ headers });
  if (!signedIn) return null;
  proven.set(key, signedIn.session.id);
  return signedIn.session.id;
}

const prepared = () =>
  database()
    .select({
      userId: members.userId,
      shopId: members.shopId,
      role: members.role,
      name: members.name,
      shopName: shops.name,
    })
    .from(session)
    .innerJoin(members, eq(members.userId, session.userId))
    .innerJoin(shops, eq(shops.id, members.shopId))
    .where(
      and(
        eq(session.id, sql.placeholder('session')),
        sql`${session.expiresAt} > now()`,
        env.demo ? undefined : eq(shops.demo, false),
      ),
    )
    .limit(1)
    .prepare('member_of_session');
let query: { readonly of: Database; readonly run: ReturnType<typeof prepared> } | undefined;

/** Who is signed in, the shop they work in, and the session; null when nobody is. */
export async function signedIn(
  headers: Headers,
  origin: string,
): Promise<{ readonly member: Member; readonly session: string } | null> {
  const id = await sessionIn(headers, isEncrypted(origin));
  const member = id === null ? null : await memberOf(id);
  return member && id !== null ? { member, session: id } : null;
}

/** Who a session is of, and the shop they work in; null where it has ended, or they are in no shop that is open here. */
export async function memberOf(id: string): Promise<Member | null> {
  if (query?.of !== database()) query = { of: database(), run: prepared() };
  const [found] = await query.run.execute({ session: id });
  return found ?? null;
}
