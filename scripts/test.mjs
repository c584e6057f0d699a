// `npm test`: types, lint, unit tests, a real database, the built application in a real browser. Ends with one line
// that counts everything.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './lib/app.mjs';
import { chromium, modules, openssl } from './lib/install.mjs';
import { playwrightTests, vitestTests } from './lib/reports.mjs';
import { root, run, say } from './lib/run.mjs';
import { withThrowAwayApp } from './lib/throw-away-app.mjs';

/** Every test that ran, of every suite, with the suite's name. */
const tests = [];

/** A check that only passes or fails. */
async function check(name, args) {
  say(name);
  const started = Date.now();
  const code = await run('npm', ['run', '--silent', ...args]);
  tests.push({ suite: name, name, passed: code === 0, ms: Date.now() - started, why: 'Its messages are above.' });
}

/** A test runner that leaves its tests in a JSON file; one that ends badly without failed tests is a failed test. */
async function suite(name, cwd, args, testsOf, env = {}) {
  say(name);
  const started = Date.now();
  const report = join(root, `.splay-report-${process.pid}-${name.replaceAll(' ', '-')}.tmp`);
  rmSync(report, { force: true });
  const code = await run('npx', args(report), {
    cwd: join(root, cwd),
    env: { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
  });
  const ran = existsSync(report) ? testsOf(JSON.parse(readFileSync(report, 'utf8'))) : [];
  rmSync(report, { force: true });
  if (code !== 0 && ran.every(({ passed }) => passed))
    ran.push({ name, passed: false, ms: 0, why: `It ended with exit code ${code}. Its messages are above.` });
  tests.push(...ran.map((test) => ({ suite: name, ...test })));
  say(`${name}: ${ran.length} tests, ${seconds(Date.now() - started)}`);
}

const seconds = (ms) => `${Math.round(ms / 1000)} s`;
const vitest =
  (...args) =>
  (report) => ['vitest', 'run', '--reporter=dot', '--reporter=json', `--outputFile.json=${report}`, ...args];

await modules();
await chromium();
await openssl();
process.env.ASTRO_TELEMETRY_DISABLED = '1';

// On two cores: what keeps one busy goes beside something else.
await Promise.all([check('types', ['types']), check('lint and format', ['lint']), build()]);
await suite('lint boundaries', 'scripts', vitest(), vitestTests);
const screens = ['--project=screen', '--project=screen with a file replaced'];
await Promise.all([
  suite('server, on a throw-away database', 'web', vitest('--project=server'), vitestTests),
  suite('core', 'core', vitest(), vitestTests).then(() => suite('screens', 'web', vitest(...screens), vitestTests)),
]);

try {
  await withThrowAwayApp((address) =>
    suite('the application in Chromium', 'e2e', () => ['playwright', 'test', '--reporter=list,json'], playwrightTests, {
      BASE_URL: address,
    }),
  );
} catch (error) {
  console.error(error);
  const name = 'the application in Chromium';
  tests.push({ suite: name, name, passed: false, ms: 0, why: String(error) });
}

console.log('\nThe slowest:');
for (const { suite, name, ms } of tests.toSorted((a, b) => b.ms - a.ms).slice(0, 15))
  console.log(`  ${seconds(ms).padStart(6)}  ${suite}: ${name}`);
const failed = tests.filter(({ passed }) => !passed);
for (const { suite, name, why } of failed) console.log(`\nFAILED  ${suite}: ${name}\n${why.replace(/^/gm, '  ')}`);
console.log(`\n${tests.length - failed.length} passed, ${failed.length} failed`);
process.exit(failed.length > 0 || tests.length === 0 ? 1 : 0);
