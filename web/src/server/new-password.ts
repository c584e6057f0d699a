import { closeDatabase } from './db/database.ts';
import { env } from './env.ts';
import { ownersLink } from './services/people.ts';

// Run on the server itself, by `npm run new-password -- E-MAIL`.
const token = await ownersLink(process.argv[2] ?? '');
await closeDatabase();
const base = env.publicUrl ?? `http://localhost:${env.listen.port}`;
if (token === null) {
  console.error('No owner signs in with that address. Others get a link from an owner, on the page People.');
  process.exitCode = 1;
} else console.log(`Good for one day and one use:\n${base}/join/${token}`);
