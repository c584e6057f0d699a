// `npm run backup [-- FOLDER]`: one file of everything, made while the program runs, proved, and kept by day, week, month.
import { join, resolve } from 'node:path';
import { makeBackup } from './lib/backup.mjs';
import { dataFolder, place } from './lib/place.mjs';
import { say } from './lib/run.mjs';

const here = await place();
try {
  const folder = resolve(process.argv[2] ?? process.env.SPLAY_BACKUPS ?? join(dataFolder(), 'backups'));
  const { file, bytes, dropped } = await makeBackup(here, folder);
  say(`${file}, ${Math.ceil(bytes / 1024)} kB, brought back into a throw-away database and found whole`);
  if (dropped.length > 0) say(`out of date and taken away: ${dropped.join(', ')}`);
  say('keep a copy of it, and of the file “secret” beside the data, on another machine');
} catch (error) {
  console.error(`No backup was made: ${error.message}`);
  process.exitCode = 1;
} finally {
  here.end();
}
