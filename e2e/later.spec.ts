import { expect, test } from '@playwright/test';
import { newFlagship, openBench, signIn } from './steps.ts';

test('the connection drops while a bench opens: its board stands, and its panel says how to go on', async ({
  page,
}) => {
  const errors: string[] = [];
  page.on('pageerror', ({ message }) => errors.push(message));
  await signIn(page);
  const id = await newFlagship(page, 'Van on a bad line');
  await openBench(page, id, 'cuts');
  const panels = /\/_astro\/splice-panel\./;
  await page.route(panels, (route) => route.abort('internetdisconnected'));
  await page.getByRole('link', { name: 'Splice' }).click();
  await expect(page.getByRole('heading', { name: 'Splice', level: 2 })).toBeVisible();
  // The joint can be worked on, and so can the order of work.
  await expect(page.locator('[data-handle="plate-end"]').first()).toBeVisible();
  const said = page.getByRole('complementary', { name: 'Splice' }).getByRole('alert');
  await expect(said).toContainText('Nothing is lost');
  await page.unroute(panels);
  // Another bench is not in its way.
  await page.getByRole('link', { name: 'Cuts' }).click();
  await expect(page.getByLabel('New operation')).toBeVisible();
  await page.getByRole('link', { name: 'Splice' }).click();
  await said.getByRole('button', { name: 'Load the page again' }).click();
  await expect(page.getByRole('button', { name: 'left rail' })).toBeVisible();
  expect(errors).toEqual([]);
});
