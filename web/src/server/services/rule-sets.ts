import { checkRules, type RuleSet, type RuleSetVersion } from '@splay/core';
import { asc, desc, eq } from 'drizzle-orm';
import { ruleSets, ruleSetVersions } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { mustManage, mustWrite, NotFound } from './errors.ts';
import { takeRoom } from './room.ts';

/** Somebody made a newer version meanwhile. */
export class StaleRules extends Error {}

/** The shop has a rule set of this name. */
export class NameTaken extends Error {}

/** As many rule sets as a shop keeps, and versions of each. */
const [MOST_SETS, MOST_VERSIONS] = [50, 500];

export class TooMany extends Error {}

const versionOf = (row: typeof ruleSetVersions.$inferSelect): RuleSetVersion => ({
  version: row.version,
  rules: row.rules as RuleSetVersion['rules'],
  by: row.by,
  at: row.at.toISOString(),
  why: row.why,
});

/** The shop's rule sets by name, each with all its versions, the newest first. */
export const listRuleSets = (member: Member): Promise<readonly RuleSet[]> =>
  withShop(member.shopId, async (tx) => {
    const sets = await tx.select().from(ruleSets).orderBy(asc(ruleSets.name)).limit(MOST_SETS);
    const versions = await tx.select().from(ruleSetVersions).orderBy(desc(ruleSetVersions.version));
    return sets.map(({ id, name }) => ({
      id,
      name,
      versions: versions.filter(({ setId }) => setId === id).map(versionOf),
    }));
  });

/** What is sent of a version: its rules, and why it is made. */
export interface SentRules {
  readonly rules: unknown;
  readonly why: string;
}

/** Keeps rules as a new set of the shop. @throws Forbidden, InputError, NameTaken, TooMany */
export async function keepRuleSet(member: Member, name: string, { rules, why }: SentRules): Promise<RuleSet> {
  mustWrite(member);
  const checked = checkRules(rules);
  return withShop(member.shopId, async (tx) => {
    const all = await tx.select({ name: ruleSets.name }).from(ruleSets);
    if (all.some((set) => set.name.toLowerCase() === name.toLowerCase())) throw new NameTaken();
    if (all.length >= MOST_SETS) throw new TooMany();
    const [set] = await tx
      .insert(ruleSets)
      .values({ shopId: member.shopId, name })
      .onConflictDoNothing()
      .returning({ id: ruleSets.id });
    if (!set) throw new NameTaken();
    const [row] = await tx
      .insert(ruleSetVersions)
      .values({ setId: set.id, shopId: member.shopId, version: 1, rules: checked, by: member.name, why })
      .returning();
    await takeRoom(tx, member.shopId, JSON.stringify(checked).length + why.length);
    return { id: set.id, name, versions: [versionOf(row as typeof ruleSetVersions.$inferSelect)] };
  });
}

/**
 * Adds a version to a rule set, where nobody has since the one that it is made from.
 * @throws Forbidden, InputError, NotFound, StaleRules, TooMany
 */
export async function addRuleVersion(
  member: Member,
  id: string,
  basedOn: number,
  { rules, why }: SentRules,
): Promise<RuleSetVersion> {
  mustWrite(member);
  const checked = checkRules(rules);
  return withShop(member.shopId, async (tx) => {
    const [set] = await tx.select().from(ruleSets).where(eq(ruleSets.id, id)).for('update');
    if (!set) throw new NotFound();
    const [newest] = await tx
      .select({ version: ruleSetVersions.version })
      .from(ruleSetVersions)
      .where(eq(ruleSetVersions.setId, id))
      .orderBy(desc(ruleSetVersions.version))
      .limit(1);
    if (newest?.version !== basedOn) throw new StaleRules();
    if (basedOn >= MOST_VERSIONS) throw new TooMany();
    const [row] = await tx
      .insert(ruleSetVersions)
      .values({ setId: id, shopId: member.shopId, version: basedOn + 1, rules: checked, by: member.name, why })
      .returning();
    await takeRoom(tx, member.shopId, JSON.stringify(checked).length + why.length);
    return versionOf(row as typeof ruleSetVersions.$inferSelect);
  });
}

/** A rule set of an archive, as it is sent: its versions as they were made, the newest first. */
export interface SentRuleSet {
  readonly id: string;
  readonly name: string;
  readonly versions: readonly (Omit<RuleSetVersion, 'rules'> & { readonly rules: unknown })[];
}

/**
 * Takes a rule set back as it was, with who made each version and when; under the id that jobs refer to it by, where no
 * other set has that. One that is here with just these versions is left as it is.
 *
 * @throws Forbidden, InputError, NameTaken, TooMany
 */
export async function importRuleSet(member: Member, { id, name, versions }: SentRuleSet): Promise<RuleSet> {
  mustManage(member);
  const checked = versions.map((one): RuleSetVersion => ({ ...one, rules: checkRules(one.rules) }));
  if (checked.length > MOST_VERSIONS) throw new TooMany();
  const here = (await listRuleSets(member)).find((set) => set.name.toLowerCase() === name.toLowerCase());
  if (here && JSON.stringify(here.versions) === JSON.stringify(checked)) return here;
  if (here) throw new NameTaken();
  return withShop(member.shopId, async (tx) => {
    const all = await tx.select({ id: ruleSets.id }).from(ruleSets);
    if (all.length >= MOST_SETS) throw new TooMany();
    const add = (values: typeof ruleSets.$inferInsert) =>
      tx.insert(ruleSets).values(values).onConflictDoNothing().returning({ id: ruleSets.id });
    // A set of another shop may have the id: this one takes another then.
    const [kept] = await add({ shopId: member.shopId, id, name });
    const set = kept ?? (await add({ shopId: member.shopId, name }))[0];
    if (!set) throw new NameTaken();
    await tx.insert(ruleSetVersions).values(
      checked.map(({ version, rules, by, at, why }) => ({
        setId: set.id,
        shopId: member.shopId,
        version,
        rules,
        by,
        at: new Date(at),
        why,
      })),
    );
    await takeRoom(tx, member.shopId, JSON.stringify(checked).length);
    return { id: set.id, name, versions: checked };
  });
}
