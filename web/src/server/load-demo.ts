import { readdir, readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { eq } from 'drizzle-orm';
import { DEMO_PEOPLE, DEMO_SHOP } from '../shared/demo.ts';
import { closeDatabase, database } from './db/database.ts';
import { jobs, members, shops, user } from './db/schema.ts';
import { withShop } from './db/shop.ts';
import { importJob } from './services/job-files.ts';
import { createFirstShop } from './services/shops.ts';
import { closeThreads } from './threads/pool.ts';

/** The demo shop, made now or made before; null where the program was set up for a shop of one's own. */
async function demoShop(): Promise<string | null> {
  const made = await createFirstShop({ name: DEMO_SHOP, demo: true }, DEMO_PEOPLE);
  if (made !== null) return made;
  const [found] = await database()
    .select({ id: shops.id })
    .from(shops)
    .innerJoin(members, eq(members.shopId, shops.id))
    .innerJoin(user, eq(user.id, members.userId))
    .where(eq(user.email, DEMO_PEOPLE[0].email));
  return found?.id ?? null;
}

/**
 * Fills an empty database with the demo shop, through the import that users have. Gives the number of jobs loaded. Each job
 * is loaded under a key of its own: however many load at once, or one after another that was killed over it, there is one
 * shop with each job once. What people have done in it since is left alone.
 */
export async function loadDemo(): Promise<number> {
  const shopId = await demoShop();
  if (shopId === null) return 0;
  const there = await withShop(shopId, (tx) => tx.select({ key: jobs.importKey }).from(jobs));
  if (there.some(({ key }) => !key?.startsWith('demo-'))) return 0;
  const member = { userId: '', name: 'owner', shopId, shopName: DEMO_SHOP, role: 'owner' } as const;
  const folder = fileURLToPath(new URL('../../../demo/', import.meta.url));
  const files = (await readdir(folder)).filter((name) => name.endsWith('.json')).sort();
  const missing = files.filter((name) => !there.some(({ key }) => key === `demo-${name}`));
  for (const name of missing) await importJob(member, await readFile(folder + name), `demo-${name}`);
  return missing.length;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const loaded = await loadDemo();
  if (loaded > 0) console.log(`Loaded the demo shop with ${loaded} jobs.`);
  await closeThreads();
  await closeDatabase();
}
