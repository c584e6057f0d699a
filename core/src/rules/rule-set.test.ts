import { describe, expect, it } from 'vitest';
import { changedRules, newerThan, type RuleSet, rulesOfSet, type RuleSetVersion, withRule } from './index.ts';

const plain = { profile: 'weld-and-reinforce', changes: {} } as const;
const version = (count: number, hours?: number): RuleSetVersion => ({
  version: count,
  rules: hours === undefined ? plain : { ...plain, changes: { 'finder/cab': hours } },
  by: 'Wren',
  at: `2026-0${count}-01T08:00:00.000Z`,
  why: 'measured on three jobs.',
});
const set: RuleSet = { id: 'set', name: 'House rules', versions: [version(3, 6), version(2, 5), version(1)] };

describe('a rule set', () => {
  it('is told apart from another rule by rule, also where only the profile differs', () => {
    expect(changedRules(plain, version(3, 6).rules)).toEqual([{ id: 'finder/cab', was: 4, now: 6 }]);
    expect(changedRules(plain, { profile: 'bolt-ahead-weld-behind', changes: {} })).toEqual([
      { id: 'weld/ahead-of-hanger', was: 1, now: 0 },
    ]);
    // A change to what the profile says anyway is none.
    expect(changedRules(plain, { ...plain, changes: { 'finder/cab': 4 } })).toEqual([]);
  });

  it('gives a job its rules and says where they are from, through later changes of the job', () => {
    const rules = rulesOfSet(set, set.versions[1]!);
    expect(rules).toEqual({
      profile: 'weld-and-reinforce',
      changes: { 'finder/cab': 5 },
      from: { set: 'set', name: 'House rules', version: 2 },
    });
    expect(withRule(rules, 'finder/bed', 9).from).toEqual(rules.from);
  });

  it('has something newer only for a job that goes by an older version of it', () => {
    const at = (count: number) =>
      rulesOfSet(
        set,
        set.versions.find((one) => one.version === count)!,
      );
    expect(newerThan(at(2), [set])).toMatchObject({ newest: { version: 3 }, since: { version: 2 } });
    expect(newerThan(at(3), [set])).toBeNull();
    expect(newerThan(plain, [set])).toBeNull();
    expect(newerThan(at(2), [])).toBeNull();
  });
});
