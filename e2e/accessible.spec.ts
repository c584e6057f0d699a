import { expect, test } from '@playwright/test';
import { faults, faultsOfContrast, namedAlike } from './axe.ts';
import { BENCHES, newFlagship, newJob, openBench, openDemoShop, openDrawer, signIn, turnTo } from './steps.ts';

test('the pages before a job have no accessibility faults that axe can find', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: 'Open the demo shop' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await openDemoShop(page);
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: 'New job' }).click();
  await expect(page.getByRole('dialog', { name: 'A new job' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
});

test('the shop, people and quick start pages have no such faults either, in both themes', async ({ page }) => {
  const looked = async (path: string) => {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    const found = await faults(page);
    await page.evaluate(() => localStorage.setItem('splay/theme', 'night'));
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
    const byNight = await faultsOfContrast(page);
    await page.evaluate(() => localStorage.setItem('splay/theme', 'day'));
    expect([path, ...found, ...byNight]).toEqual([path]);
  };
  for (const path of ['/sign-in', '/unavailable', '/join/none']) await looked(path);
  await signIn(page);
  const id = await newFlagship(page, 'Van on every page');
  for (const path of ['/', '/quick', '/people', '/shop', '/jobs/00000000-0000-4000-8000-000000000000/cuts', '/offline'])
    await looked(path);
  // Paper is not dark.
  await page.goto(`/print/${id}/marks`);
  expect(await faults(page)).toEqual([]);
});

test('no bench has an accessibility fault that axe can find, by day or by night', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Van for every bench'), 'donor');
  for (const bench of BENCHES) {
    await turnTo(page, bench);
    expect([bench, await faults(page), await namedAlike(page)]).toEqual([bench, [], []]);
  }
  await page.getByRole('button', { name: 'Night shop: dark' }).click();
  for (const bench of BENCHES) {
    await turnTo(page, bench);
    expect([bench, await faultsOfContrast(page)]).toEqual([bench, []]);
  }
});

test('nor have the cautions, opened', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newJob(page, 'orchard-sprayer', 'Sprayer with cautions'), 'marks');
  await page.getByText('Before the saw', { exact: true }).click();
  await expect(page.getByRole('button', { name: 'Mark as read: Fire watch' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
});

test('nor have plans side by side', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newJob(page, 'orchard-sprayer', 'Sprayer for comparing'), 'cuts');
  await page.getByRole('button', { name: /^Compare with/ }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await faults(page)).toEqual([]);
});

test('nor have the drawing as tables and the fields of every operation in the night shop', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Van by night'), 'cuts');
  await openDrawer(page, 'Table');
  expect(await faults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Night shop: dark' }).click();
  expect(await faults(page)).toEqual([]);
  for (const kind of ['pie-cut', 'step', 'widen', 'notch', 'box', 'crossmember', 'bracket']) {
    await page.getByRole('combobox', { name: 'New operation' }).selectOption(kind);
    expect([kind, await faults(page, 'aside')]).toEqual([kind, []]);
  }
});

test('nor have the parts of the donor in the night shop', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Donor by night'), 'donor');
  await page.getByRole('button', { name: 'Night shop: dark' }).click();
  expect(await faults(page)).toEqual([]);
  for (const part of ['Stations', 'Features', 'Crossmembers', 'Lines, weights', 'Control', 'Frame']) {
    await openDrawer(page, part);
    expect([part, await faults(page, '[data-tray]')]).toEqual([part, []]);
  }
  await page.getByRole('button', { name: 'Layout paper: light' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'day');
});
