import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { closeDatabase, database } from '../src/server/db/database.ts';
import { links } from '../src/server/db/schema.ts';
import type { Member } from '../src/server/db/shop.ts';
import { personName } from '../src/server/http/person-fields.ts';
import { looksLike } from '../src/server/look-alike.ts';
import { Forbidden, NotFound } from '../src/server/services/errors.ts';
import {
  endSessions,
  invite,
  linkOf,
  listPeople,
  openLinks,
  ownersLink,
  passwordLink,
  removePerson,
  rename,
  setRole,
  takeLink,
  withdrawLink,
} from '../src/server/services/people.ts';
import { createFirstShop, createShop } from '../src/server/services/shops.ts';
import { served, type Served } from './attack/served.ts';
import { newShop } from './shops.ts';
import { signInAt } from './sign-in.ts';

let server: Served;
let shop: Awaited<ReturnType<typeof newShop>>;
let owner: Member;
let stranger: Member;
const password = 'another long password';

beforeAll(async () => {
  server = await served();
});
beforeEach(async () => {
  shop = await newShop();
  const { email } = shop;
  const [me] = (await listPeople(shop.owner)).filter((person) => person.email === email);
  owner = { ...shop.owner, userId: me!.id };
  stranger = (await newShop()).owner;
});
afterAll(async () => {
  server.stop();
  await closeDatabase();
});

const idOf = async (role: string) => (await listPeople(owner)).find((person) => person.role === role)!.id;
const see = (cookie: string) => server.call('GET', '/api/people', cookie);

describe('an invitation', () => {
  it('lets one person in, as what it says, once', async () => {
    const token = await invite(owner, 'fabricator');
    expect(await linkOf(token)).toMatchObject({ kind: 'invitation', role: 'fabricator', shopName: owner.shopName });
    const email = `new-${owner.shopId}@test.example`;
    await takeLink(token, { name: 'Rowan', email, password });
    expect(await linkOf(token)).toBeNull();
    await expect(takeLink(token, { name: 'Sorrel', email: `x${email}`, password })).rejects.toThrow(NotFound);
    expect((await listPeople(owner)).map(({ name, role }) => [name, role])).toContainEqual(['Rowan', 'fabricator']);
    expect((await see(await signInAt(server.base, email, password))).status).toBe(200);
  });

  it('of two who use it at once lets one in', async () => {
    const token = await invite(owner, 'welder');
    const joined = await Promise.allSettled(
      ['Bryony', 'Clover'].map((name) =>
        takeLink(token, { name, email: `${name}-${owner.shopId}@test.example`, password }),
      ),
    );
    expect(joined.map(({ status }) => status).toSorted()).toEqual(['fulfilled', 'rejected']);
  });

  it('stays good where a name or an address is taken', async () => {
    const token = await invite(owner, 'welder');
    await expect(
      takeLink(token, { name: 'OWNER', email: `n-${owner.shopId}@test.example`, password }),
    ).rejects.toMatchObject({
      problems: [{ path: 'name' }],
    });
    await expect(takeLink(token, { name: 'Teasel', email: shop.email.toUpperCase(), password })).rejects.toMatchObject({
      problems: [{ path: 'email' }],
    });
    expect(await linkOf(token)).not.toBeNull();
  });

  it('is taken back, runs out, and is kept as a hash', async () => {
    const token = await invite(owner, 'welder');
    const [open] = await openLinks(owner);
    expect(open!.id).not.toContain(token);
    await expect(withdrawLink(stranger, open!.id)).rejects.toThrow(NotFound);
    await withdrawLink(owner, open!.id);
    expect(await linkOf(token)).toBeNull();
    const late = await invite(owner, 'welder');
    await database()
      .update(links)
      .set({ expiresAt: new Date(Date.now() - 1000) });
    expect(await linkOf(late)).toBeNull();
    await expect(takeLink(late, { name: 'Yarrow', email: `y-${owner.shopId}@test.example`, password })).rejects.toThrow(
      NotFound,
    );
  });
});

describe('a forgotten password', () => {
  it('is set again by a link of the owner, which ends all sessions; an older link is worth nothing', async () => {
    const email = shop.email.replace('owner', 'reviewer');
    const cookie = await signInAt(server.base, email, shop.password);
    const person = await idOf('reviewer');
    const { token: old } = await passwordLink(owner, person);
    const { token } = await passwordLink(owner, person);
    expect(await linkOf(old)).toBeNull();
    await takeLink(token, { password });
    expect((await see(cookie)).status).toBe(401);
    expect((await see(await signInAt(server.base, email, password))).status).toBe(200);
  });

  it('of an owner by a command on the server; of nobody else', async () => {
    expect(await ownersLink(shop.email.replace('owner', 'welder'))).toBeNull();
    expect(await ownersLink('nobody@test.example')).toBeNull();
    const token = await ownersLink(` ${shop.email.toUpperCase()} `);
    await takeLink(token!, { password });
    expect((await see(await signInAt(server.base, shop.email, password))).status).toBe(200);
  });
});

describe('an owner', () => {
  it('changes what people may do, and a shop keeps an owner, also when two step down at once', async () => {
    const welder = await idOf('welder');
    await setRole(owner, welder, 'owner');
    const both = await Promise.allSettled([
      setRole(owner, owner.userId, 'reviewer'),
      setRole(owner, welder, 'reviewer'),
    ]);
    expect(both.map(({ status }) => status).toSorted()).toEqual(['fulfilled', 'rejected']);
    const owners = (await listPeople(owner)).filter(({ role }) => role === 'owner');
    expect(owners).toHaveLength(1);
    await expect(removePerson(owner, owners[0]!.id)).rejects.toMatchObject({ problems: [{ path: 'role' }] });
  });

  it('ends sessions, and takes people out for good', async () => {
    const email = shop.email.replace('owner', 'reviewer');
    const person = await idOf('reviewer');
    let cookie = await signInAt(server.base, email, shop.password);
    expect((await see(cookie)).status).toBe(200);
    await endSessions(owner, person);
    expect((await see(cookie)).status).toBe(401);
    cookie = await signInAt(server.base, email, shop.password);
    await removePerson(owner, person);
    expect((await see(cookie)).status).toBe(401);
    const again = await server.call(
      'POST',
      '/api/auth/sign-in/email',
      '',
      JSON.stringify({ email, password: shop.password }),
    );
    expect(again.status).toBe(401);
  });

  it('of one shop reaches nobody of another, and nobody else manages', async () => {
    const person = await idOf('reviewer');
    for (const run of [
      () => setRole(stranger, person, 'owner'),
      () => removePerson(stranger, person),
      () => endSessions(stranger, person),
      () => passwordLink(stranger, person),
    ])
      await expect(run()).rejects.toThrow(NotFound);
    expect(() => setRole(shop.reviewer, person, 'owner')).toThrow(Forbidden);
    expect(() => invite(shop.reviewer, 'owner')).toThrow(Forbidden);
    await expect(openLinks(shop.reviewer)).rejects.toThrow(Forbidden);
  });
});

describe('oneself', () => {
  it('takes another name, unless somebody in the shop has it', async () => {
    await expect(rename(owner, 'Welder')).rejects.toMatchObject({ problems: [{ path: 'name' }] });
    await rename(owner, 'Tansy');
    await rename(owner, 'TANSY');
    const cookie = await signInAt(server.base, shop.email, shop.password);
    expect(await (await server.call('GET', '/people', cookie)).text()).toContain('TANSY');
  });

  it('takes another password, knowing the old one; all other places are signed out', async () => {
    const [here, there] = [
      await signInAt(server.base, shop.email, shop.password),
      await signInAt(server.base, shop.email, shop.password),
    ];
    const change = (current: string, next: string) =>
      server.call('POST', '/api/me/password', here, JSON.stringify({ current, next }));
    expect((await change('not the password', password)).status).toBe(422);
    expect((await change(shop.password, 'short')).status).toBe(422);
    expect((await change(shop.password, password)).status).toBe(200);
    expect([(await see(here)).status, (await see(there)).status]).toEqual([200, 401]);
    expect((await see(await signInAt(server.base, shop.email, password))).status).toBe(200);
  });
});

it('two of one name in a shop cannot be, whichever way they come', async () => {
  const people = ['Sedge', 'sedge'].map((name, at) => ({
    name,
    email: `${at}-${owner.shopId}@test.example`,
    password,
    role: 'owner' as const,
  }));
  await expect(createShop('Names', people)).rejects.toThrow();
});

it('nor two whose names look alike, or hold what nobody sees', async () => {
  expect(['Оwner', 'ｏｗｎｅｒ', 'OWNER', '0wner'].map(looksLike)).toEqual(['owner', 'owner', 'owner', 'owner']);
  expect(looksLike('Bjørn')).not.toBe(looksLike('Bjorn'));
  const { owner: first, reviewer } = await newShop();
  for (const name of ['Оwner', '０wner'])
    await expect(rename({ ...reviewer, shopId: first.shopId }, name)).rejects.toThrow(/apart|right/);
  for (const name of ['ow\u200bner', 'own\u202eer', 'ow\u00adner'])
    expect(() => personName().validateSync(name)).toThrow(/invisible/);
  expect(personName().validateSync('Жанна O’Hara-Lindqvist')).toBe('Жанна O’Hara-Lindqvist');
});

it('where there is a shop no first one is made, however many try at once', async () => {
  const made = await Promise.all(
    Array.from({ length: 8 }, (_, at) =>
      createFirstShop({ name: `First ${at}` }, [
        { name: 'me', email: `first-${at}-${owner.shopId}@test.example`, password, role: 'owner' },
      ]),
    ),
  );
  expect(made).toEqual(Array.from({ length: 8 }, () => null));
});
