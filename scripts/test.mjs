// `npm test`: types, lint, unit tests, a real database, the built application in a real browser. Ends with one line
// that counts everything.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './lib/app.mjs';
import { chromium, modules, openssl } from './lib/install.mjs';
import { root, run, say } from './lib/run.mjs';
import { withThrowAwayApp } from './lib/throw-away-app.mjs';

const count = { passed: 0, failed: 0 };
const failures = [];
const add = (name, passed, failed) => {
  count.passed += passed;
  count.failed += failed;
  if (failed > 0) failures.push(name);
};

/** A check that only passes or fails. */
async function check(name, args) {
  say(name);
  const code = await run('npm', ['run', '--silent', ...args]);
  add(name, code === 0 ? 1 : 0, code === 0 ? 0 : 1);
}

/** A test runner that leaves its counts in a JSON file; one that ends badly without failed tests counts as one. */
async function suite(name, cwd, args, counts, env = {}) {
  say(name);
  const report = join(root, `.splay-report-${process.pid}.tmp`);
  rmSync(report, { force: true });
  const code = await run('npx', args(report), {
    cwd: join(root, cwd),
    env: { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
  });
  const [passed, failed] = existsSync(report) ? counts(JSON.parse(readFileSync(report, 'utf8'))) : [0, 0];
  rmSync(report, { force: true });
  add(name, passed, failed === 0 && code !== 0 ? 1 : failed);
}

const vitest = (report) => ['vitest', 'run', '--reporter=dot', '--reporter=json', `--outputFile.json=${report}`];
const vitestCounts = (report) => [report.numPassedTests, report.numFailedTests];
const playwrightCounts = ({ stats }) => [stats.expected, stats.unexpected + stats.flaky];

await modules();
await chromium();
await openssl();
process.env.ASTRO_TELEMETRY_DISABLED = '1';

// Each keeps one core busy.
await Promise.all([check('types', ['types']), check('lint and format', ['lint'])]);
await suite('lint boundaries', 'scripts', vitest, vitestCounts);
await suite('core', 'core', vitest, vitestCounts);
await build();
await suite('server, on a throw-away database', 'web', vitest, vitestCounts);

try {
  await withThrowAwayApp((address) =>
    suite(
      'the application in Chromium',
      'e2e',
      () => ['playwright', 'test', '--reporter=list,json'],
      playwrightCounts,
      { BASE_URL: address },
    ),
  );
} catch (error) {
  console.error(error);
  add('the application in Chromium', 0, 1);
}

if (failures.length > 0) console.log(`\nnot right: ${failures.join(', ')}`);
console.log(`\n${count.passed} passed, ${count.failed} failed`);
process.exit(count.failed > 0 || count.passed === 0 ? 1 : 0);
