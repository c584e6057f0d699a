import { itemOf, parseJobFile, writeItem } from '@splay/core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { closeDatabase } from '../src/server/db/database.ts';
import type { Member } from '../src/server/db/shop.ts';
import { Forbidden, NotFound } from '../src/server/services/errors.ts';
import { dropItem, keepItem, listItems, readItem } from '../src/server/services/library.ts';
import { flagshipText, newShop } from './shops.ts';

let owner: Member;
let reviewer: Member;
let stranger: Member;
const { job } = parseJobFile(flagshipText);
const bodyText = writeItem(itemOf(job, job.bodies[0]));
const bytes = (text: string) => new TextEncoder().encode(text);

beforeAll(async () => {
  ({ owner, reviewer } = await newShop());
  stranger = (await newShop()).owner;
});
afterAll(closeDatabase);

it('keeps donors and bodies as copies, by kind and name, with the job they are from', async () => {
  await keepItem(owner, bytes(writeItem(itemOf(job))));
  const kept = await keepItem(owner, bytes(bodyText));
  expect((await listItems(owner)).map(({ kind, name, from, savedBy }) => [kind, name, from, savedBy])).toEqual([
    ['body', job.bodies[0]!.name, job.name, owner.name],
    ['donor', job.donor.name, job.name, owner.name],
  ]);
  expect(writeItem(await readItem(reviewer, kept.id))).toBe(bodyText);
});

it('is walled: another shop sees none, reads none, drops none', async () => {
  const [kept] = await listItems(owner);
  expect(await listItems(stranger)).toEqual([]);
  await expect(readItem(stranger, kept!.id)).rejects.toThrow(NotFound);
  await expect(dropItem(stranger, kept!.id)).rejects.toThrow(NotFound);
  expect(await listItems(owner)).toHaveLength(2);
});

it('reviewers keep and drop nothing; what is dropped is gone; what is no item is refused', async () => {
  const [kept] = await listItems(owner);
  await expect(keepItem(reviewer, bytes(bodyText))).rejects.toThrow(Forbidden);
  expect(() => dropItem(reviewer, kept!.id)).toThrow(Forbidden);
  await expect(keepItem(owner, bytes(flagshipText))).rejects.toThrow(/no item of a library/);
  await dropItem(owner, kept!.id);
  await expect(readItem(owner, kept!.id)).rejects.toThrow(NotFound);
  await expect(dropItem(owner, kept!.id)).rejects.toThrow(NotFound);
});
