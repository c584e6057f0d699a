import { createHash, randomBytes } from 'node:crypto';
import { InputError } from '@splay/core';
import { and, asc, count, eq, gt, ne, sql } from 'drizzle-orm';
import type { Role } from '../../shared/roles.ts';
import type { ListedPerson, OpenLink } from '../../shared/people.ts';
import { looksLike } from '../look-alike.ts';
import { auth } from '../auth.ts';
import { database, inTransaction, type Transaction } from '../db/database.ts';
import { account, links, members, session, shops, user } from '../db/schema.ts';
import type { Member } from '../db/shop.ts';
import { mustManage, NotFound } from './errors.ts';
import { addAccount, hashOfPassword } from './shops.ts';

/**
 * Who works in a shop. Nobody is ever mailed a password: a one-time link lets people choose their own. Every query here
 * names the shop of whoever asks.
 */

/** How long an invitation, and a link to a new password, can be used, ms. */
const GOOD_FOR = { invitation: 7 * 86_400_000, password: 86_400_000 } as const;

const wrong = (path: string, message: string): never => {
  throw new InputError([{ code: `people/${path}`, path, message }]);
};

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Everybody of the shop, owners first. E-mail addresses and sessions are an owner's to see. */
export async function listPeople(member: Member): Promise<readonly ListedPerson[]> {
  const rows = await database()
    .select({
      id: members.userId,
      name: members.name,
      role: members.role,
      email: user.email,
      sessions: count(session.id),
    })
    .from(members)
    .innerJoin(user, eq(user.id, members.userId))
    .leftJoin(session, and(eq(session.userId, members.userId), gt(session.expiresAt, new Date())))
    .where(eq(members.shopId, member.shopId))
    .groupBy(members.userId, members.name, members.role, user.email)
    .orderBy(sql`array_position(array['owner','fabricator','welder','reviewer'], ${members.role})`, asc(members.name));
  return rows.map(({ email, sessions, ...person }) => ({
    ...person,
    ...(member.role === 'owner' || person.id === member.userId ? { email, sessions } : {}),
  }));
}

/** Links that were given out and not used yet. @throws Forbidden */
export async function openLinks(member: Member): Promise<readonly OpenLink[]> {
  mustManage(member);
  const rows = await database()
    .select({ id: links.token, kind: links.kind, role: links.role, name: members.name, expiresAt: links.expiresAt })
    .from(links)
    .leftJoin(members, and(eq(members.userId, links.userId), eq(members.shopId, links.shopId)))
    .where(and(eq(links.shopId, member.shopId), gt(links.expiresAt, new Date())))
    .orderBy(asc(links.expiresAt));
  return rows.map(({ expiresAt, ...link }) => ({ ...link, expiresAt: expiresAt.toISOString() }));
}

/** A new link; the token in it is told once, here. */
async function makeLink(
  tx: Pick<Transaction, 'insert' | 'delete'>,
  link: { readonly shopId: string; readonly madeBy: string } & (
    | { readonly kind: 'invitation'; readonly role: Role }
    | { readonly kind: 'password'; readonly userId: string }
  ),
): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  // An older way to a new password of the same person is worth nothing any more.
  if (link.kind === 'password') await tx.delete(links).where(eq(links.userId, link.userId));
  await tx
    .insert(links)
    .values({ ...link, token: hashOf(token), expiresAt: new Date(Date.now() + GOOD_FOR[link.kind]) });
  return token;
}

/** A link that lets one person into the shop. @throws Forbidden */
export function invite(member: Member, role: Role): Promise<string> {
  mustManage(member);
  return makeLink(database(), { shopId: member.shopId, madeBy: member.name, kind: 'invitation', role });
}

/** Takes a link back. @throws Forbidden, NotFound */
export async function withdrawLink(member: Member, id: string): Promise<void> {
  mustManage(member);
  const gone = await database()
    .delete(links)
    .where(and(eq(links.token, id), eq(links.shopId, member.shopId)))
    .returning({ token: links.token });
  if (gone.length === 0) throw new NotFound();
}

/** Changes somebody of the shop with nobody else at it: an owner must be left at the end. @throws Forbidden, NotFound */
function change<T>(member: Member, userId: string, run: (tx: Transaction) => Promise<T>): Promise<T> {
  mustManage(member);
  return inTransaction(async (tx) => {
    await tx.select({ id: shops.id }).from(shops).where(eq(shops.id, member.shopId)).for('update');
    const [person] = await tx.select({ id: members.userId }).from(members).where(ofShop(member, userId));
    if (!person) throw new NotFound();
    const done = await run(tx);
    const [owners] = await tx
      .select({ count: count() })
      .from(members)
      .where(and(eq(members.shopId, member.shopId), eq(members.role, 'owner')));
    if ((owners?.count ?? 0) === 0) wrong('role', 'A shop needs an owner: make somebody else one first.');
    return done;
  });
}

const ofShop = (member: Member, userId: string) => and(eq(members.shopId, member.shopId), eq(members.userId, userId));

/** @throws Forbidden, NotFound, InputError for the last owner */
export const setRole = (member: Member, userId: string, role: Role): Promise<void> =>
  change(member, userId, async (tx) => {
    await tx.update(members).set({ role }).where(ofShop(member, userId));
  });

/** Takes somebody out of the shop, and their account with them; what they did stays. @throws Forbidden, NotFound, InputError */
export const removePerson = (member: Member, userId: string): Promise<void> =>
  change(member, userId, async (tx) => {
    await tx.delete(members).where(ofShop(member, userId));
    const [elsewhere] = await tx
      .select({ id: members.userId })
      .from(members)
      .where(eq(members.userId, userId))
      .limit(1);
    await tx.delete(session).where(eq(session.userId, userId));
    if (!elsewhere) await tx.delete(user).where(eq(user.id, userId));
  });

/** Signs somebody out everywhere. @throws Forbidden, NotFound */
export const endSessions = (member: Member, userId: string): Promise<void> =>
  change(member, userId, async (tx) => {
    await tx.delete(session).where(eq(session.userId, userId));
  });

/** A link by which somebody of the shop chooses a new password, and that person's address. @throws Forbidden, NotFound */
export const passwordLink = (
  member: Member,
  userId: string,
): Promise<{ readonly token: string; readonly email: string }> =>
  change(member, userId, async (tx) => {
    const [person] = await tx.select({ email: user.email }).from(user).where(eq(user.id, userId));
    if (!person) throw new NotFound();
    const token = await makeLink(tx, { shopId: member.shopId, madeBy: member.name, kind: 'password', userId });
    return { token, email: person.email };
  });

/** The same for an owner who is locked out, asked for on the server itself; null where no owner has that address. */
export function ownersLink(email: string): Promise<string | null> {
  return inTransaction(async (tx) => {
    const [owner] = await tx
      .select({ userId: members.userId, shopId: members.shopId })
      .from(members)
      .innerJoin(user, eq(user.id, members.userId))
      .where(and(eq(user.email, email.trim().toLowerCase()), eq(members.role, 'owner')));
    return owner ? makeLink(tx, { ...owner, madeBy: 'the server', kind: 'password' }) : null;
  });
}

/** What a link opens; null where it was used, taken back, or is too old. */
export async function linkOf(token: string): Promise<{
  readonly kind: 'invitation' | 'password';
  readonly role: Role | null;
  readonly shopName: string;
  readonly name: string | null;
} | null> {
  const [link] = await database()
    .select({ kind: links.kind, role: links.role, shopName: shops.name, name: members.name })
    .from(links)
    .innerJoin(shops, eq(shops.id, links.shopId))
    .leftJoin(members, and(eq(members.userId, links.userId), eq(members.shopId, links.shopId)))
    .where(and(eq(links.token, hashOf(token)), gt(links.expiresAt, new Date())));
  return link ?? null;
}

/** What somebody gives who comes by a link; of a new password only that. */
export interface Joining {
  readonly name?: string | undefined;
  readonly email?: string | undefined;
  readonly password: string;
}

/** Uses a link up: makes the account that it invites, or sets the password. @throws NotFound, InputError */
export async function takeLink(token: string, { name, email, password }: Joining): Promise<void> {
  const hash = await hashOfPassword(password);
  await inTransaction(async (tx) => {
    const [link] = await tx
      .delete(links)
      .where(and(eq(links.token, hashOf(token)), gt(links.expiresAt, new Date())))
      .returning();
    if (!link) throw new NotFound();
    if (link.kind === 'password') return setPassword(tx, link.userId ?? '', hash);
    if (!name) return wrong('name', 'Say what you are called.');
    if (!email) return wrong('email', 'Give an e-mail address.');
    const [taken] = await tx.select({ id: user.id }).from(user).where(eq(user.email, email.toLowerCase()));
    if (taken)
      wrong('email', 'Somebody has this e-mail address already: take another, or have the owner set a new password.');
    await mustBeFree(tx, link.shopId, name);
    const userId = await addAccount(tx, { name, email }, hash);
    await tx.insert(members).values({ userId, shopId: link.shopId, role: link.role ?? 'reviewer', name });
  });
}

/** A new password ends all sessions. */
async function setPassword(tx: Transaction, userId: string, hash: string): Promise<void> {
  await tx
    .update(account)
    .set({ password: hash, updatedAt: new Date() })
    .where(and(eq(account.userId, userId), eq(account.providerId, 'credential')));
  await tx.delete(session).where(eq(session.userId, userId));
}

/** Names are unique in a shop, by how they look: they stand on revisions and readings. */
async function mustBeFree(tx: Transaction, shopId: string, name: string, but = ''): Promise<void> {
  const others = await tx
    .select({ name: members.name })
    .from(members)
    .where(and(eq(members.shopId, shopId), ne(members.userId, but)));
  if (others.some((other) => looksLike(other.name) === looksLike(name)))
    wrong('name', `Somebody is called “${name}” in this shop already: take a name that tells you apart.`);
}

/** Changes what one is called. What was done under the old name keeps it. @throws InputError */
export function rename(member: Member, name: string): Promise<void> {
  return inTransaction(async (tx) => {
    await mustBeFree(tx, member.shopId, name, member.userId);
    await tx.update(members).set({ name }).where(ofShop(member, member.userId));
  });
}

/** Changes one's own password, and ends all sessions of one's own but the one at hand. @throws InputError where the old one is wrong */
export async function changePassword(
  member: Member,
  { current, next }: { readonly current: string; readonly next: string },
  here: string,
): Promise<void> {
  const [own] = await database()
    .select({ password: account.password })
    .from(account)
    .where(and(eq(account.userId, member.userId), eq(account.providerId, 'credential')));
  const { password: passwords } = await auth().$context;
  if (!own?.password || !(await passwords.verify({ hash: own.password, password: current })))
    wrong('current', 'That is not your password now.');
  const hash = await hashOfPassword(next);
  await inTransaction(async (tx) => {
    await tx
      .update(account)
      .set({ password: hash, updatedAt: new Date() })
      .where(and(eq(account.userId, member.userId), eq(account.providerId, 'credential')));
    await tx.delete(session).where(and(eq(session.userId, member.userId), ne(session.id, here)));
  });
}
