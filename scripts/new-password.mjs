// `npm run new-password -- owner@shop.example`: a one-time link for an owner who is locked out.
import { must, stop } from './lib/run.mjs';
import { place } from './lib/place.mjs';

const [email] = process.argv.slice(2);
if (!email) stop('Say whose: npm run new-password -- owner@shop.example');
const here = await place();
try {
  const env = { BETTER_AUTH_SECRET: 'not used here', ...here.addresses };
  await must(process.execPath, ['--import', 'tsx', 'web/src/server/new-password.ts', email], { env });
} finally {
  here.end();
}
