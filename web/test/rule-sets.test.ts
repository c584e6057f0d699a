import { afterAll, beforeAll, expect, it } from 'vitest';
import { closeDatabase } from '../src/server/db/database.ts';
import type { Member } from '../src/server/db/shop.ts';
import { Forbidden, NotFound } from '../src/server/services/errors.ts';
import { addRuleVersion, keepRuleSet, listRuleSets, NameTaken, StaleRules } from '../src/server/services/rule-sets.ts';
import { newShop } from './shops.ts';

let owner: Member;
let reviewer: Member;
let stranger: Member;
const rules = (hours: number) => ({ profile: 'weld-and-reinforce', changes: { 'finder/cab': hours } });

beforeAll(async () => {
  ({ owner, reviewer } = await newShop());
  stranger = (await newShop()).owner;
});
afterAll(closeDatabase);

it('keeps rules as sets, and every version of them with who made it and why', async () => {
  const set = await keepRuleSet(owner, 'House rules', { rules: rules(5), why: 'three jobs took five hours' });
  await addRuleVersion(owner, set.id, 1, { rules: rules(6), why: 'a fourth took seven' });
  const [kept] = await listRuleSets(reviewer);
  expect(kept).toMatchObject({
    name: 'House rules',
    versions: [
      { version: 2, rules: rules(6), by: owner.name, why: 'a fourth took seven' },
      { version: 1, rules: rules(5), by: owner.name, why: 'three jobs took five hours' },
    ],
  });
});

it('loses no update: of two that are made from the same version one is refused', async () => {
  const [kept] = await listRuleSets(owner);
  const made = await Promise.allSettled([
    addRuleVersion(owner, kept!.id, 2, { rules: rules(7), why: 'one' }),
    addRuleVersion(owner, kept!.id, 2, { rules: rules(8), why: 'the other' }),
  ]);
  expect(made.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
  const refused = made.find(({ status }) => status === 'rejected') as PromiseRejectedResult;
  expect(refused.reason).toBeInstanceOf(StaleRules);
  expect((await listRuleSets(owner))[0]!.versions.map(({ version }) => version)).toEqual([3, 2, 1]);
});

it('is walled, by role too; a name is taken once, and what is no rule is refused', async () => {
  const [kept] = await listRuleSets(owner);
  expect(await listRuleSets(stranger)).toEqual([]);
  await expect(addRuleVersion(stranger, kept!.id, 3, { rules: rules(1), why: 'x' })).rejects.toThrow(NotFound);
  await expect(keepRuleSet(reviewer, 'Mine', { rules: rules(1), why: 'x' })).rejects.toThrow(Forbidden);
  await expect(keepRuleSet(owner, 'house RULES', { rules: rules(1), why: 'x' })).rejects.toThrow(NameTaken);
  await expect(keepRuleSet(owner, 'Other', { rules: rules(-1), why: 'x' })).rejects.toThrow(/0 or more/);
  await expect(keepRuleSet(owner, 'Other', { rules: { profile: 'none' }, why: 'x' })).rejects.toThrow();
  // The same name in another shop is another shop's.
  await keepRuleSet(stranger, 'House rules', { rules: rules(2), why: 'ours' });
  expect(await listRuleSets(owner)).toHaveLength(1);
});
