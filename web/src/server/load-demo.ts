import { readdir, readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { DEMO_PEOPLE, DEMO_SHOP } from '../shared/demo.ts';
import { closeDatabase } from './db/database.ts';
import { importJob } from './services/job-files.ts';
import { createShop, noShopYet } from './services/shops.ts';

/** Fills an empty database with the demo shop, through the import that users have. Gives the number of jobs loaded. */
export async function loadDemo(): Promise<number> {
  if (!(await noShopYet())) return 0;
  const shopId = await createShop(DEMO_SHOP, DEMO_PEOPLE);
  const member = { userId: '', name: 'owner', shopId, shopName: DEMO_SHOP, role: 'owner' } as const;
  const folder = fileURLToPath(new URL('../../../demo/', import.meta.url));
  const files = (await readdir(folder)).filter((name) => name.endsWith('.json')).sort();
  for (const name of files) await importJob(member, await readFile(folder + name, 'utf8'));
  return files.length;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const loaded = await loadDemo();
  if (loaded > 0) console.log(`Loaded the demo shop with ${loaded} jobs.`);
  await closeDatabase();
}
