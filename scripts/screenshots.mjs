// `npm run screenshots`: one current picture of each main view, from the demo data, in docs/screenshots.
import { randomBytes } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, prepareDatabase, serve } from './lib/app.mjs';
import { certificates } from './lib/certificates.mjs';
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
    ...(await ownDatabase(cluster, 'splay')),
    BETTER_AUTH_SECRET: randomBytes(32).toString('hex'),
    SPLAY_DEMO: '1',
  };
  await prepareDatabase(env, true);
  const port = await freePort();
  const { authority, cert, key } = await certificates(folder, ['localhost', '127.0.0.1']);
  const reached = {
    SPLAY_URL: 'https://splay.windrow-lane.example',
    SPLAY_TLS_CERT: cert,
    SPLAY_TLS_KEY: key,
    SPLAY_TLS_AUTHORITY: authority,
    SPLAY_TLS_PORT: String(await freePort()),
  };
  server = await serve({ ...env, ...reached }, { port, quiet: true, data: folder });
  const { chromium } = await import('@playwright/test');
  browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--font-render-hinting=none', '--enable-unsafe-swiftshader'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  const out = join(root, 'docs/screenshots');
  const base = `http://127.0.0.1:${port}`;
  const shot = async (name) => {
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(300);
    await page.screenshot({ path: join(out, `${name}.png`) });
    say(name);
  };
  const still = async () => {
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(300);
    return page.screenshot();
  };
  rmSync(out, { recursive: true, force: true });
  mkdirSync(out, { recursive: true });
  await page.goto(`${base}/sign-in`);
  await page.getByRole('button', { name: 'Open the demo shop' }).click();
  await page.waitForURL(`${base}/`);
  const pages = [];
  for (const path of ['/', '/people', '/shop']) {
    await page.goto(`${base}${path}`);
    await page.waitForLoadState('networkidle');
    // The list of jobs as it stands once all its cards are there.
    await page.locator('[data-outdated]').first().waitFor({ state: 'detached' });
    pages.push(await page.screenshot());
  }
  await page.goto(`${base}/`);
  const hrefOf = (name) => page.getByRole('link', { name }).getAttribute('href');
  const [van, sprayer, pickup, tour] = [
    await hrefOf(/^Parcel van/),
    await hrefOf(/^Orchard/),
    await hrefOf(/^Beach/),
    await hrefOf(/^Hilltop/),
  ];
  const open = (job, bench) => page.goto(`${base}${job}/${bench}`);
  const drawer = (name) =>
    page.getByRole('group', { name: 'Slides over the tray' }).getByRole('button', { name, exact: true }).click();

  /** Pictures next to each other in one. */
  const side = async (name, pictures, width) => {
    const table = await browser.newPage({ viewport: { width: width + 8 * (pictures.length + 1), height: 700 } });
    await table.setContent(
      `<!doctype html><body style="margin:0;padding:8px;width:max-content;display:flex;align-items:flex-start;gap:8px;background:#d8cfbb">${pictures
        .map((picture) => `<img src="data:image/png;base64,${picture.toString('base64')}">`)
        .join('')}</body>`,
    );
    await table.locator('body').screenshot({ path: join(out, `${name}.png`) });
    await table.close();
    say(name);
  };

  // The quick start, answered.
  await page.goto(`${base}/quick`);
  for (const [name, text] of [
    ['Wheelbase wanted', '158'],
    ['Wheelbase now', '137 1/2'],
    ['Frame width', '33 3/4'],
    ['Front overhang', '29'],
    ['Rear overhang (AF)', '51 1/2'],
    ['Front spring, rear hanger', '25'],
    ['Back of cab', '57'],
    ['Tank, front', '61'],
    ['Tank, rear', '82'],
    ['Rear spring, front hanger', '27'],
    ['Rear spring, rear hanger', '29'],
  ]) {
    await page.getByRole('textbox', { name, exact: true }).fill(text);
    await page.keyboard.press('Tab');
  }
  await page.getByText('Do not cut by it.').waitFor();
  pages.push(await page.screenshot());
  await side('shop', pages, 1280 * pages.length);

  // Measure.
  await open(van, 'donor');
  const donor = await still();
  await open(tour, 'donor');
  const top = (heading) =>
    page.getByRole('heading', { name: heading }).evaluate((element) => element.scrollIntoView({ block: 'start' }));
  const beside = async (first, second) => {
    const pictures = [];
    for (const [name, heading] of [first, second]) {
      await drawer(name);
      if (heading) await top(heading);
      await page.waitForTimeout(300);
      pictures.push(await page.screenshot());
    }
    return pictures;
  };
  await side(
    'donor-units-and-members',
    await beside(['Features', 'Units'], ['Crossmembers', 'Members beside the rails']),
    2560,
  );
  await open(pickup, 'donor');
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(300);
  await side('donor', [donor, await page.screenshot()], 2560);

  await open(van, 'body');
  const body = await still();

  // Plan.
  await open(van, 'match');
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(300);
  await side('body-and-match', [body, await page.screenshot()], 2560);
  const found = [];
  for (const job of [sprayer, van]) {
    await open(job, 'where');
    await page.getByRole('list', { name: 'Best options' }).waitFor();
    found.push(await still());
  }
  await side('where', found, 2560);
  await open(van, 'cuts');
  const cuts = await still();
  await page.getByRole('button', { name: /^Cab to axle/ }).click();
  await side('cuts', [cuts, await still()], 2560);
  await open(tour, 'cuts');
  await shot('cuts-of-members');
  await open(sprayer, 'cuts');
  await page.getByRole('button', { name: /^Compare with/ }).click();
  await page.getByRole('img', { name: / h;/ }).waitFor();
  const plans = await still();
  // A cut through the rear suspension, and back again.
  await open(van, 'cuts');
  const place = page.getByRole('textbox', { name: 'Where, level from the datum hole' });
  await place.fill('112');
  await place.press('Enter');
  await side('cuts-stopped-and-plans-side-by-side', [await still(), plans], 2560);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText('saved as revision').waitFor();

  // Cases that want the whole of the steel: each a copy of the van with one operation of its own, close up.
  const flagship = JSON.parse(readFileSync(join(root, 'demo/parcel-van.json'), 'utf8'));
  const at = (x) => ({ on: 'donor', x });
  const common = { id: 'case', note: '', off: false };
  const trim = { ...common, kind: 'trim', end: 'rear', angle: Math.PI / 4, lean: 'bottom-longer' };
  const notch = {
    ...common,
    kind: 'notch',
    at: at(3040),
    width: 100,
    depth: 50,
    from: 'below',
    form: 'arch',
    floor: 'level',
    plate: 6,
  };
  const freed = { ...common, id: 'freed', kind: 'crossmember', change: { what: 'remove', crossmember: 'cm-10' } };
  const cases = [
    ['An angled cut that runs out of the end', 'Trim the rear', [freed, { ...trim, at: at(4850) }]],
    ['A notch where the rail rises', 'Notch', [notch]],
    ['A bracket low on an angled end', 'Trim the rear', [freed, { ...trim, at: at(4700) }]],
    [
      'A widened rear, and a crossmember on another',
      'Widen',
      [
        { ...common, kind: 'widen', amount: 110, from: at(2200), to: null, transition: 300 },
        { ...common, id: 'moved', kind: 'crossmember', change: { what: 'move', crossmember: 'cm-9', to: at(4260) } },
      ],
    ],
  ];
  const pictures = [];
  await page.setViewportSize({ width: 1024, height: 768 });
  for (const [name, operation, operations] of cases) {
    const { job } = flagship;
    const plan = { ...job.plan, operations, splices: [], accepted: [], shoring: { ...job.plan.shoring, shores: [] } };
    const answer = await page.request.post(`${base}/api/jobs`, {
      data: { ...flagship, job: { ...job, name, plan, done: [] }, records: [] },
      headers: { origin: base },
    });
    await page.goto(`${base}/jobs/${(await answer.json()).id}/cuts`);
    await page.locator('#panel').getByRole('button', { name: operation }).first().click();
    pictures.push(await still());
  }
  await open(tour, 'cuts');
  pictures.push(await still());
  await page.setViewportSize({ width: 1280, height: 800 });
  await side('cuts-in-hard-places', pictures, 1024 * pictures.length);

  await open(van, 'splice');
  await shot('splice');
  await side('splice-compare-and-parts', await beside(['Compare'], ['Parts']), 2560);

  // Mark and join.
  await open(tour, 'marks');
  const marked = await still();
  await page.goto(`${base}/print/${van.split('/').pop()}/marks`);
  await side('marks', [marked, await still()], 2560);
  await open(van, 'stands');
  const standing = await still();
  await page.getByRole('button', { name: 'through', exact: true }).click();
  await side('stands', [standing, await still()], 2560);
  await open(van, 'true-up');
  await page.getByRole('group', { name: 'Stage of the job' }).getByRole('button', { name: 'Fit-up' }).click();
  const crooked = await still();
  await drawer('Moves');
  await side('true-up', [crooked, await still()], 2560);

  await open(van, 'weld');
  await page.getByText(/^All passes:/).waitFor();
  const planned = await still();
  await page.getByRole('slider', { name: /^Planned/ }).fill('30');
  await side('weld', [planned, await still()], 2560);

  // Seat.
  await open(van, 'mounts');
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(300);
  const mounts = await page.screenshot();
  await page.getByRole('button', { name: 'Look around, in space' }).click();
  await page.waitForTimeout(3000);
  await side('mounts-and-in-space', [mounts, await page.screenshot()], 2560);

  // Each kind of operation with its own panel, side by side.
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
    await side(name, pictures, 320 * kinds.length);
  };
  const lengths = ['shorten', 'lengthen', 'trim', 'extend', 'step', 'pie-cut'];
  await sheet('panels', [...lengths, 'widen', 'notch', 'box', 'crossmember', 'bracket']);

  // On a tablet in the night shop, and on a phone.
  await page.setViewportSize({ width: 820, height: 1180 });
  await open(van, 'true-up');
  await page.getByRole('button', { name: 'Night shop: dark' }).click();
  await shot('tablet-by-night');
  await page.getByRole('button', { name: 'Layout paper: light' }).click();
  await page.setViewportSize({ width: 390, height: 844 });
  const phone = [];
  const held = async () => {
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(300);
    phone.push(await page.screenshot());
  };
  const press = async (...keys) => {
    for (const key of keys) await page.getByRole('button', { name: key, exact: true }).click();
  };
  await open(pickup, 'donor');
  await page.getByRole('button', { name: 'The one behind' }).click();
  await page.getByRole('button', { name: /^Half-width/ }).click();
  await press('1', '6', '5/16');
  await held();
  await open(van, 'splice');
  await held();
  for (const name of ['Compare', 'Parts']) {
    const slide = page.locator('summary', { hasText: name });
    await slide.click();
    await slide.evaluate((element) => element.scrollIntoView({ block: 'start' }));
    await held();
  }
  await open(van, 'marks');
  await held();
  await open(van, 'stands');
  await held();
  await open(van, 'true-up');
  await held();
  await press('6', '9', '3/8', 'Save');
  await held();
  await open(tour, 'weld');
  await page.getByRole('region', { name: /^Next stitch/ }).waitFor();
  await held();
  // How a phone comes to trust the shop's server, and the same job without a connection.
  await page.goto(`${base}/trust`);
  await page.getByText(/does not trust the server yet/).waitFor();
  await held();
  await page.evaluate('navigator.serviceWorker.ready');
  await page.context().setOffline(true);
  await page.goto(`${base}/?last`);
  await page.getByText(/no connection: as of/).waitFor();
  phone.push(await page.screenshot());
  await side('phone', phone, 390 * phone.length);
} finally {
  await browser?.close();
  server?.kill('SIGTERM');
  cluster.stop();
  cluster.remove();
  rmSync(folder, { recursive: true, force: true });
}
