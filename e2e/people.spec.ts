import { expect, test } from '@playwright/test';
import { faults } from './axe.ts';
import { newFlagship, openDemoShop, openDrawer } from './steps.ts';

test('a welder is let in by a link, adds a reading and changes nothing else, and is taken out again', async ({
  page,
  browser,
  baseURL,
}) => {
  await openDemoShop(page);
  const van = await newFlagship(page, 'Van for a welder');
  await page.getByRole('link', { name: 'People' }).click();
  await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await page.getByRole('combobox', { name: 'Invite as' }).selectOption('welder');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByRole('textbox', { name: 'Link' }).inputValue();
  expect(link).toMatch(new RegExp(`^${baseURL}/join/`));
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText('into the shop, as welder')).toBeVisible();

  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const theirs = await phone.newPage();
  await theirs.goto(link);
  await expect(theirs.getByText('You are let in as welder')).toBeVisible();
  expect(await faults(theirs)).toEqual([]);
  const name = `Linden ${Date.now() % 100_000}`;
  await theirs.getByLabel('Your name in the shop').fill('OWNER');
  await theirs.getByLabel('E-mail, to sign in with').fill(`${name.replace(' ', '-')}@windrow-lane.example`);
  await theirs.getByLabel('Password, 10 characters or more').fill('beside the bench');
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await expect(theirs.getByRole('alert')).toContainText('take a name that tells you apart');
  await theirs.getByLabel('Your name in the shop').fill(name);
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await expect(theirs.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await expect(theirs.getByRole('button', { name: 'New job' })).toHaveCount(0);

  // A reading is taken, and stands under the name.
  await theirs.setViewportSize({ width: 1280, height: 800 });
  await theirs.goto(`/jobs/${van}/true-up`);
  await expect(theirs.getByText('readings and photos only')).toBeVisible();
  const readings = () =>
    page.request.get(`/api/jobs/${van}/records`).then((answer) => answer.json() as Promise<{ by: string }[]>);
  await openDrawer(theirs, 'All readings');
  await theirs.getByRole('region', { name: 'All readings' }).getByRole('button', { name: 'Fully welded' }).click();
  const cell = theirs.locator('[data-measurement="p1-width"] input');
  await cell.fill('29 3/4');
  await cell.press('Enter');
  await expect.poll(async () => (await readings()).some(({ by }) => by === name)).toBe(true);
  await theirs.goto(`/jobs/${van}/cuts`);
  await expect(theirs.getByRole('button', { name: 'Undo' }).first()).toBeDisabled();

  // A link is used once.
  await theirs.goto(link);
  await expect(theirs.getByText('This link is not good any more')).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: `Take ${name} out of the shop` }).click();
  await page.getByRole('button', { name: `Take ${name} out`, exact: true }).click();
  await expect(page.getByRole('heading', { name })).toHaveCount(0);
  await theirs.goto('/');
  await expect(theirs.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await phone.close();
});

test('the shop says that no backup was made, and gives all of its work away as open files', async ({ page }) => {
  await openDemoShop(page);
  await page.getByRole('link', { name: 'Shop' }).click();
  await expect(page.getByRole('alert')).toContainText('No backup has been made yet');
  expect(await faults(page)).toEqual([]);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download all of the shop’s work' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^splay-\d{4}-\d{2}-\d{2}\.zip$/);
  // Only an owner is asked, and what is made is proved by bringing it back.
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText('Backup made, and proved by bringing it back.')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/less than a day ago/)).toBeVisible();
});

test('a page that cannot be made says what to do, and has no faults that axe can find', async ({ page }) => {
  await page.goto('/unavailable');
  await expect(page.getByRole('heading', { name: 'The data cannot be reached just now' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
});
