import { readFileSync } from 'node:fs';
import { expect, type Locator, type Page } from '@playwright/test';
import { DEMO_PEOPLE } from '../web/src/shared/demo.ts';

export const flagshipFile = new URL('../demo/parcel-van.json', import.meta.url);
export const flagshipText = () => readFileSync(flagshipFile, 'utf8');

/** Where the application is. */
export const base = process.env.BASE_URL ?? 'http://127.0.0.1:4321';

/** Signs a page in as the owner of the demo shop, without a look at its sign-in page or its list of jobs. */
export async function signIn(page: Page): Promise<void> {
  const [{ email, password }] = DEMO_PEOPLE;
  const answer = await page.request.post('/api/auth/sign-in/email', {
    data: { email, password },
    headers: { origin: base },
  });
  expect(answer.status()).toBe(200);
}

/** Opens the demo shop as a visitor does. */
export async function openDemoShop(page: Page): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Open the demo shop' }).click();
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
}

/** Imports a job file; gives the job's id. */
export async function takeJob(page: Page, text: string): Promise<string> {
  const answer = await page.request.post('/api/jobs', {
    data: text,
    headers: { 'content-type': 'application/json', origin: base },
  });
  expect(await answer.text()).toContain('"id"');
  return ((await answer.json()) as { id: string }).id;
}

/** A copy of a demo job of its own, so that tests do not meet in one job. Gives its id. */
export function newJob(page: Page, demo: string, name: string): Promise<string> {
  const text = readFileSync(new URL(`../demo/${demo}.json`, import.meta.url), 'utf8');
  return takeJob(page, text.replace(/^ {4}"name": ".*"/m, `    "name": ${JSON.stringify(name)}`));
}

export const newFlagship = (page: Page, name: string) => newJob(page, 'parcel-van', name);

/** The benches in the order of work. */
export const BENCHES = [
  'donor',
  'body',
  'match',
  'where',
  'cuts',
  'splice',
  'marks',
  'stands',
  'true-up',
  'weld',
  'mounts',
];

const orderOfWork = (page: Page) => page.getByRole('navigation', { name: 'Order of work' });

/** Loads the page of a bench. */
export async function openBench(page: Page, id: string, bench: string): Promise<void> {
  await page.goto(`/jobs/${id}/${bench}`);
  await expect(orderOfWork(page)).toBeVisible();
  await benchHere(page);
}

/** Goes to another bench of the open job as its users do, without loading a page. */
export async function turnTo(page: Page, bench: string): Promise<void> {
  const link = (within: Locator) => within.locator(`a[href$="/${bench}"]`);
  if (await link(orderOfWork(page)).count()) await link(orderOfWork(page)).click();
  else {
    await orderOfWork(page).locator('[aria-haspopup="dialog"]').click();
    await link(page.getByRole('dialog', { name: 'Order of work' })).click();
  }
  await expect(page).toHaveURL(new RegExp(`/${bench}$`));
  await benchHere(page);
}

/** The board stands first, what is beside it follows. */
async function benchHere(page: Page): Promise<void> {
  await expect(page.locator('#panel[aria-busy="true"]')).toHaveCount(0);
  await allHere(page);
}

/** Waits for parts of the screen whose code is still under way. */
export const allHere = (page: Page) => expect(page.locator('[data-waits]')).toHaveCount(0);

/** Opens what slides over the tray, by its name. */
export async function openDrawer(page: Page, name: string): Promise<void> {
  const button = page.getByRole('group', { name: 'Slides over the tray' }).getByRole('button', { name, exact: true });
  if ((await button.getAttribute('aria-pressed')) !== 'true') await button.click();
  await expect(page.getByRole('region', { name, exact: true })).toBeVisible();
  await allHere(page);
}

/** Unfolds the readings that are right. */
export const unfoldRight = (page: Page) =>
  page.getByRole('button', { name: /^Show the \d+ that (was|were) right$/ }).click();

/** A figure of the ledger at the bottom, by its name, as text such as `155 3/4`. */
export const ledger = (page: Page, name: string) => page.locator(`[data-figure="${name}"]`);

export const saved = (page: Page) =>
  expect(page.getByRole('banner').getByRole('status')).toContainText('saved as revision');
