// `npm run restore -- FILE`: puts a backup in the place of the data; what was there is kept under another name.
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { prepareDatabase } from './lib/app.mjs';
import { restoreBackup } from './lib/backup.mjs';
import { place } from './lib/place.mjs';
import { say, stop } from './lib/run.mjs';

const file = resolve(process.argv[2] ?? '');
if (process.argv[2] === undefined || !existsSync(file))
  stop('Say which backup: npm run restore -- FILE\nThey lie in the folder “backups” beside the data.');
const here = await place();
try {
  const old = await restoreBackup(here, file);
  // One that an earlier version made is brought up to this one.
  if (here.addresses) await prepareDatabase(here.addresses, false);
  say(`restored from ${file}; what was there before is the database “${old}” now`);
} catch (error) {
  console.error(`Nothing was restored: ${error.message}`);
  process.exitCode = 1;
} finally {
  here.end();
}
