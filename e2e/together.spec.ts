import { expect, test } from '@playwright/test';
import { ledger, newFlagship, openBench, openDemoShop, openDrawer, saved } from './steps.ts';

test('two windows on one job: the later save is refused and both versions are shown', async ({ page, context }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Shared van');
  const other = await context.newPage();
  await openBench(page, id, 'cuts');
  await openBench(other, id, 'cuts');

  const type = async (on: typeof page, text: string) => {
    const length = on.getByRole('textbox', { name: 'How much' });
    await length.fill(text);
    await length.press('Enter');
  };
  await type(page, '12');
  await expect(page.getByRole('banner').getByRole('status')).toContainText('saved as revision 2');
  await type(other, '9');
  const dialog = other.getByRole('dialog', { name: 'Somebody else changed this job' });
  await expect(dialog).toContainText('Yours, on this page');
  await expect(dialog.getByRole('region').or(dialog.locator('section')).first()).toContainText('Wheelbase 150');
  await expect(dialog.locator('section').nth(1)).toContainText('Wheelbase 153');
  await dialog.getByRole('button', { name: /Take theirs/ }).click();
  await expect(ledger(other, 'Wheelbase')).toHaveText('153');
  await other.getByRole('button', { name: 'Undo' }).click();
  await expect(ledger(other, 'Wheelbase')).toHaveText('150');
  await expect(other.getByRole('banner').getByRole('status')).toContainText('saved as revision 3');

  // The history has all three, and any of them comes back.
  await other.getByRole('button', { name: 'History of this job' }).click();
  const history = other.getByRole('dialog', { name: 'History' });
  await expect(history.getByRole('listitem')).toHaveCount(3);
  await history.getByRole('listitem').last().getByRole('button', { name: 'Restore' }).click();
  await expect(ledger(other, 'Wheelbase')).toHaveText('155 3⁄4');
});

test('the connection drops while readings are typed: queued, sent later, nothing lost', async ({ page, context }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Offline van');
  await openBench(page, id, 'true-up');
  await openDrawer(page, 'All readings');
  await page.getByRole('region', { name: 'All readings' }).getByRole('button', { name: 'Welded out' }).click();
  const cell = (measurement: string) => page.locator(`[data-measurement="${measurement}"] input`);
  await context.setOffline(true);
  for (const [measurement, text] of [
    ['p1-width', '29 3/4'],
    ['p2-width', '33 1/2'],
    ['p3-width', '33 9/16'],
  ] as const) {
    await cell(measurement).fill(text);
    await cell(measurement).press('Enter');
  }
  await expect(page.getByText('3 records waiting to be sent')).toBeVisible();
  await expect(page.locator('[data-measurement="p1-width"]')).toContainText('right');
  await context.setOffline(false);
  await expect(page.getByText('waiting to be sent')).toBeHidden({ timeout: 15_000 });
  const stored = (await (await page.request.get(`/api/jobs/${id}/records`)).json()) as {
    body: { measurement: string; stage: string };
  }[];
  expect(
    stored
      .filter(({ body }) => body.stage === 'welded')
      .map(({ body }) => body.measurement)
      .sort(),
  ).toEqual(['p1-width', 'p2-width', 'p3-width']);
});

test('readings and changes made offline outlive a closed window', async ({ page, context }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Closed van');
  await openBench(page, id, 'true-up');
  await openDrawer(page, 'All readings');
  await page.getByRole('region', { name: 'All readings' }).getByRole('button', { name: 'Welded out' }).click();
  await page.route('**/api/jobs/**', (route) => route.abort());
  const cell = page.locator('[data-measurement="p1-width"] input');
  await cell.fill('29 3/4');
  await cell.press('Enter');
  await page.getByRole('link', { name: 'Cuts' }).click();
  await page.getByRole('textbox', { name: 'How much' }).fill('13');
  await page.getByRole('textbox', { name: 'How much' }).press('Enter');
  await expect(page.getByRole('banner').getByRole('status')).toContainText('kept on this device');
  await page.close({ runBeforeUnload: false });

  const again = await context.newPage();
  await again.goto(`/jobs/${id}/cuts`);
  const dialog = again.getByRole('dialog', { name: 'Changes that were not saved' });
  await dialog.getByRole('button', { name: 'Bring them back' }).click();
  await expect(ledger(again, 'Wheelbase')).toHaveText('154');
  await saved(again);
  await expect
    .poll(
      async () =>
        ((await (await again.request.get(`/api/jobs/${id}/records`)).json()) as { body: { stage?: string } }[]).filter(
          ({ body }) => body.stage === 'welded',
        ).length,
    )
    .toBe(1);
});

test('a reviewer sees everything and can change nothing', async ({ page }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Reviewed van');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: 'reviewer' }).click();
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await openBench(page, id, 'cuts');
  await expect(page.getByText('view only')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'How much' })).toBeDisabled();
});

test('the history says what each save did, and any revision can be brought back', async ({ page }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Remembered van');
  await openBench(page, id, 'cuts');
  const length = page.getByRole('textbox', { name: 'How much' });
  for (const inches of ['12', '10']) {
    await length.fill(inches);
    await length.press('Enter');
    await saved(page);
    await expect(page.getByRole('banner').getByRole('status')).toContainText(`revision ${inches === '12' ? 2 : 3}`);
  }
  await page.getByRole('button', { name: 'History of this job' }).click();
  const history = page.getByRole('dialog', { name: 'History' });
  await expect(history.getByRole('listitem')).toHaveCount(3);
  await expect(history.getByRole('listitem').first()).toContainText('Changed lengthen');
  await history.getByRole('listitem').nth(1).getByRole('button', { name: 'Restore' }).click();
  await expect(ledger(page, 'Wheelbase')).toHaveText('153');
  await page.reload();
  await expect(ledger(page, 'Wheelbase')).toHaveText('153');
  await page.getByRole('button', { name: 'History of this job' }).click();
  await expect(history.getByRole('listitem')).toHaveCount(4);
});
