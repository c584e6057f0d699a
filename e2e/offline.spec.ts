import { type BrowserContext, expect, type Page, test } from '@playwright/test';
import { faults } from './axe.ts';
import { newFlagship, openDemoShop } from './steps.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, serviceWorkers: 'allow' });

/** When the program and the job are on the device. */
async function kept(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready);
  await expect
    .poll(() => page.evaluate(async () => (await indexedDB.databases()).map(({ name }) => name)))
    .toContain('splay');
  // The job is kept a moment after it changed.
  await page.waitForTimeout(1500);
}

const status = (page: Page) => page.getByRole('banner').getByRole('status');

async function take(page: Page, ...keys: readonly string[]): Promise<void> {
  for (const key of keys) await page.getByRole('button', { name: key, exact: true }).tap();
  await page.getByRole('button', { name: 'Save' }).tap();
  await expect(page.getByRole('region', { name: 'Taken' })).toBeVisible();
}

const storedReadings = async (page: Page, id: string) => {
  const answer = await page.request.get(`/api/jobs/${id}/records`);
  return (await answer.json()) as { body: { measurement?: string; value?: number } }[];
};

/** A page that is opened again while the server cannot be reached. */
async function openOffline(context: BrowserContext, path: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(path);
  return page;
}

test('the last job opens without a connection, takes readings, and sends them when it is back', async ({
  page,
  context,
}) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Offline van');
  await page.goto(`/jobs/${id}/true-up`);
  await expect(page.getByRole('region', { name: 'Back of cab left to Kick-up right' })).toBeVisible();
  await kept(page);
  const before = (await storedReadings(page, id)).length;
  await page.close();
  await context.setOffline(true);

  // From the device's own screen: the job that was open last, where it was left.
  const started = await openOffline(context, '/?last');
  await expect(started.getByRole('heading', { name: 'Offline van' })).toBeVisible();
  await expect(started).toHaveURL(`/jobs/${id}/true-up`);
  await expect(status(started)).toContainText('no connection: as of');
  await take(started, '6', '9', '1/8', '3/8');
  await expect(status(started)).toContainText('1 record waiting to be sent');
  await started.close();

  // The page is gone, the reading is not.
  const again = await openOffline(context, `/jobs/${id}/true-up`);
  await expect(status(again)).toContainText('1 record waiting to be sent');
  expect(await storedReadings(again, id)).toHaveLength(before);

  await context.setOffline(false);
  await expect(status(again)).toContainText('saved');
  await expect.poll(async () => (await storedReadings(again, id)).length).toBe(before + 1);
});

test('a page that is not on the device says so, and what is', async ({ page, context }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Kept van');
  await page.goto(`/jobs/${id}/marks`);
  await expect(page.getByRole('heading', { name: 'Kept van' })).toBeVisible();
  await kept(page);
  await page.close();
  await context.setOffline(true);

  const other = await openOffline(context, '/jobs/00000000-0000-4000-8000-000000000000/cuts');
  await expect(other.getByRole('heading', { name: 'This job is not on this device' })).toBeVisible();
  expect(await faults(other)).toEqual([]);
  await other.getByRole('link', { name: /Kept van/ }).tap();
  await expect(other.getByRole('heading', { name: 'Kept van' })).toBeVisible();
  await other.goto('/people');
  await expect(other.getByRole('heading', { name: 'No connection' })).toBeVisible();
  await context.setOffline(false);
  await other.getByRole('button', { name: 'Try again' }).tap();
  await expect(other.getByRole('heading', { name: 'People' })).toBeVisible();
});

test('who signs out leaves no job of the shop on the device, and is told what is not sent', async ({
  page,
  context,
}) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Left van');
  await page.goto(`/jobs/${id}/true-up`);
  await expect(page.getByRole('region', { name: 'Back of cab left to Kick-up right' })).toBeVisible();
  await kept(page);
  // The server takes no records for a while.
  await page.route('**/records', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()));
  await take(page, '6', '9');
  await page.goto('/');
  await page.getByRole('button', { name: 'Sign out' }).tap();
  await expect(page.getByRole('alert')).toContainText('1 record waiting to be sent');
  await page.getByRole('button', { name: 'Sign out all the same' }).tap();
  await expect(page).toHaveURL('/sign-in');
  await context.setOffline(true);
  const after = await openOffline(context, `/jobs/${id}/true-up`);
  await expect(after.getByRole('heading', { name: 'This job is not on this device' })).toBeVisible();
});

test('on a shared device a reading waits for who took it, and is sent as nobody else', async ({ page }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Shared van');
  const leave = async () => {
    await page.goto('/');
    await page.getByRole('button', { name: 'Sign out' }).tap();
    await page.getByRole('button', { name: 'Sign out all the same' }).tap();
    await expect(page.getByText('1 record waiting to be sent, taken by owner')).toBeVisible();
  };
  const open = async () => {
    await page.goto(`/jobs/${id}/true-up`);
    await expect(page.getByRole('region', { name: 'Back of cab left to Kick-up right' })).toBeVisible();
  };
  await open();
  const before = (await storedReadings(page, id)).length;
  await page.route('**/records', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()));
  await take(page, '6', '9');
  await leave();
  await page.unroute('**/records');
  await page.getByRole('button', { name: 'fabricator', exact: true }).tap();
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await open();
  await expect(status(page)).toContainText('1 record waiting to be sent');
  expect(await storedReadings(page, id)).toHaveLength(before);
  await leave();
  await page.getByRole('button', { name: 'Open the demo shop' }).tap();
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await open();
  await expect.poll(async () => (await storedReadings(page, id)).length).toBe(before + 1);
});

test('a page of an older program than the server’s offers the new one', async ({ page }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Renewed van');
  await page.route('**/open', async (route) => {
    const answer = await route.fetch();
    await route.fulfill({ response: answer, headers: { ...answer.headers(), 'splay-program': 'a newer one' } });
  });
  await page.goto(`/jobs/${id}/marks`);
  const renew = page.getByRole('button', { name: 'Load the new version' });
  await expect(renew).toBeVisible();
  await page.unroute('**/open');
  await renew.tap();
  await expect(page.getByRole('heading', { name: 'Renewed van' })).toBeVisible();
  await expect(renew).toBeHidden();
});

test('a turn at the frame without a connection: measured, scribed, shored and read, and all of it is sent when it is back', async ({
  page,
  context,
}) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Van far from the router');
  await page.goto(`/jobs/${id}/donor`);
  await expect(page.getByRole('button', { name: /^Half-width/ })).toBeVisible();
  await kept(page);
  const before = (await storedReadings(page, id)).length;
  await page.close();
  await context.setOffline(true);

  const phone = await openOffline(context, '/?last');
  const tap = (name: string | RegExp) => phone.getByRole('button', { name, exact: true }).first().tap();
  const goTo = async (bench: string) => {
    await phone.getByRole('navigation', { name: 'Order of work' }).getByRole('button').nth(1).tap();
    const sheet = phone.getByRole('dialog', { name: 'Order of work' });
    await sheet.getByRole('link', { name: new RegExp(`^${bench}`) }).tap();
    await expect(phone).toHaveURL(new RegExp(`/jobs/${id}/`));
  };
  // The plan: a width of the donor that was misread.
  const width = phone.getByRole('button', { name: /^Half-width/ });
  await width.tap();
  for (const key of ['1', '5', '1/8', 'Save']) await tap(key);
  await expect(width).toContainText('15 1⁄8');
  // The log: a line scribed, two stands set, a reading taken.
  await goTo('Marks');
  await tap('Scribed');
  await expect(phone.getByText(/^Scribed by owner/)).toBeVisible();
  await goTo('Stands');
  const stand = phone.getByRole('region', { name: 'One stand' });
  await stand.getByRole('textbox').fill('1540');
  await stand.getByRole('button', { name: 'Set' }).tap();
  await goTo('True-up');
  await take(phone, '6', '9', '1/8', '3/8');
  await expect(status(phone)).toContainText('3 records waiting to be sent');
  await phone.close();

  // The telephone was put away: all of it is there on the next day, and goes out.
  const again = await openOffline(context, `/jobs/${id}/donor`);
  await expect(status(again)).toContainText('3 records waiting to be sent');
  await expect(again.getByRole('button', { name: /^Half-width/ })).toContainText('15 1⁄8');
  await context.setOffline(false);
  await expect(status(again)).toContainText('saved');
  await expect.poll(async () => (await storedReadings(again, id)).length).toBe(before + 3);
  await expect
    .poll(async () => JSON.stringify(await (await again.request.get(`/api/jobs/${id}`)).json()))
    .toContain(`"halfWidth":${15.125 * 25.4}`);
});
