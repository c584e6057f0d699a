// `npm run screenshots`: one current picture of each main view, from the demo data, in docs/screenshots.
import { randomBytes } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, prepareDatabase, serve } from './lib/app.mjs';
import { chromium as installChromium, modules } from './lib/install.mjs';
import { freePort, ownDatabase, startPostgres } from './lib/postgres.mjs';
import { root, say } from './lib/run.mjs';

await modules();
await installChromium();
await build();
const folder = mkdtempSync(join(root, '.splay-test-'));
const cluster = await startPostgres(folder);
let server;
let browser;
try {
  const env = {
    DATABASE_URL: await ownDatabase(cluster, 'splay'),
    BETTER_AUTH_SECRET: randomBytes(32).toString('hex'),
    SPLAY_DEMO: '1',
  };
  await prepareDatabase(env, true);
  const port = await freePort();
  server = await serve(env, { port, quiet: true });
  const { chromium } = await import('@playwright/test');
  browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--font-render-hinting=none'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  const out = join(root, 'docs/screenshots');
  mkdirSync(out, { recursive: true });
  const base = `http://127.0.0.1:${port}`;
  const shot = async (name) => {
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(300);
    await page.screenshot({ path: join(out, `${name}.png`) });
    say(name);
  };
  await page.goto(`${base}/sign-in`);
  await shot('sign-in');
  await page.getByRole('button', { name: 'Open the demo shop' }).click();
  await page.waitForURL(`${base}/`);
  await shot('jobs');
  const hrefOf = (name) => page.getByRole('link', { name }).getAttribute('href');
  const [van, sprayer, pickup] = [await hrefOf(/^Parcel van/), await hrefOf(/^Orchard/), await hrefOf(/^Beach/)];
  for (const bench of ['donor', 'cuts', 'marks', 'true-up']) {
    await page.goto(`${base}${van}/${bench}`);
    if (bench === 'donor')
      await page
        .locator('svg g', { has: page.locator('title', { hasText: /^Cab mount 2, left/ }) })
        .last()
        .click();
    await shot(bench);
  }
  await page.goto(`${base}${van}/cuts`);
  await page.getByRole('button', { name: 'Table' }).click();
  await shot('board-as-tables');
  await page.goto(`${base}${sprayer}/cuts`);
  await page.getByRole('button', { name: /^A Shorten/ }).click();
  await shot('cuts-shorten');
  await page.getByRole('button', { name: /^Compare with/ }).click();
  await shot('plans-side-by-side');
  // A cut through the rear suspension, and back again.
  await page.goto(`${base}${van}/cuts`);
  const place = page.getByRole('textbox', { name: 'Where, level from the datum hole' });
  await place.fill('112');
  await place.press('Enter');
  await shot('cuts-stopped');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText('saved as revision').waitFor();
  await page.goto(`${base}${pickup}/donor`);
  await shot('donor-what-next');
  await page.goto(`${base}/print/${van.split('/').pop()}/marks`);
  await shot('marks-on-paper');

  // Each kind of operation with its own panel, side by side on two sheets.
  const panelOf = async (kind) => {
    // Boxing wants open rails; everything else is shown on the job that is still to be planned.
    await page.goto(`${base}${kind === 'box' ? van : pickup}/cuts`);
    await page.getByRole('combobox', { name: 'New operation' }).selectOption(kind);
    if (kind === 'trim') {
      await page.getByRole('textbox', { name: 'Angle from square' }).fill('30');
      await page.getByRole('textbox', { name: 'Angle from square' }).press('Enter');
    }
    await page.waitForTimeout(300);
    const picture = await page.locator('aside').screenshot();
    // Back to how it was, so that the next panel stands alone.
    for (const undo = page.getByRole('button', { name: 'Undo' }); await undo.isEnabled();) await undo.click();
    await page.getByText('saved as revision').waitFor();
    return picture;
  };
  const sheet = async (name, kinds) => {
    const pictures = [];
    for (const kind of kinds) pictures.push(await panelOf(kind));
    const table = await browser.newPage({ viewport: { width: 320 * kinds.length + 8, height: 700 } });
    await table.setContent(
      `<body style="margin:0;padding:8px;width:max-content;display:flex;gap:8px;background:#d8cfbb">${pictures
        .map((picture) => `<img src="data:image/png;base64,${picture.toString('base64')}">`)
        .join('')}</body>`,
    );
    await table.locator('body').screenshot({ path: join(out, `${name}.png`) });
    await table.close();
    say(name);
  };
  await sheet('panels-lengths', ['shorten', 'lengthen', 'trim', 'extend', 'step', 'pie-cut']);
  await sheet('panels-shapes', ['widen', 'notch', 'box', 'crossmember', 'bracket']);

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${base}${pickup}/donor`);
  await page.getByRole('button', { name: 'The one behind' }).click();
  await page.getByRole('button', { name: /^Half-width/ }).click();
  for (const key of ['1', '6', '5/16']) await page.getByRole('button', { name: key, exact: true }).click();
  await shot('floor-survey');
  await page.goto(`${base}${van}/true-up`);
  await shot('floor-readings');
  await page.goto(`${base}${van}/marks`);
  await shot('floor-marks');
  await page.goto(`${base}${sprayer}/cuts`);
  await shot('floor-cuts');
} finally {
  await browser?.close();
  server?.kill('SIGTERM');
  cluster.stop();
  rmSync(cluster.data, { recursive: true, force: true });
  rmSync(folder, { recursive: true, force: true });
}
