import { expect, type Page, test } from '@playwright/test';
import { ledger, newFlagship, openBench, openDemoShop, openDrawer, saved, signIn } from './steps.ts';

const type = async (on: Page, text: string) => {
  const length = on.getByRole('textbox', { name: 'How much' });
  await length.fill(text);
  await length.press('Enter');
};
const savedAs = (on: Page, revision: number) =>
  expect(on.getByRole('banner').getByRole('status')).toContainText(`saved as revision ${revision}`);

test('a plan saved in one window stands in the other at once, and says what changed', async ({ page, context }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Live van');
  const other = await context.newPage();
  await openBench(page, id, 'cuts');
  await openBench(other, id, 'marks');
  const sheet = await context.newPage();
  await sheet.goto(`/print/${id}/marks`);
  await expect(sheet.getByText('revision 1')).toBeVisible();
  await type(page, '12');
  await savedAs(page, 2);
  await expect(sheet.getByRole('status')).toContainText('Out of date: owner saved revision 2, and this sheet is of 1.');
  // Figures, letters and sheet on the other page are the new ones, and the page says so.
  await expect(ledger(other, 'Wheelbase').or(other.getByText('A·B 14 3/4 → 12')).first()).toBeVisible();
  const news = other.getByRole('status').filter({ hasText: 'A·B 14 3/4 → 12' });
  await expect(news).toContainText(/by .*, just now/);
  await savedAs(other, 2);
  await news.getByRole('button', { name: 'Show' }).click();
  await expect(other.getByRole('textbox', { name: 'How much' })).toHaveValue('12');
  await expect(news).toBeHidden();
  // Different fields, changed in both windows at the same moment, are both kept.
  await Promise.all([
    type(page, '13'),
    (async () => {
      await other.getByRole('textbox', { name: 'Note' }).fill('clear of the tank');
      await other.getByRole('textbox', { name: 'Note' }).blur();
    })(),
  ]);
  for (const on of [page, other]) {
    await expect(on.getByRole('textbox', { name: 'How much' })).toHaveValue('13');
    await expect(on.getByRole('textbox', { name: 'Note' })).toHaveValue('clear of the tank');
    await savedAs(on, 4);
  }
});

test('the same field changed in two windows: both values are shown, and what is not chosen stays in the history', async ({
  page,
  context,
}) => {
  await signIn(page);
  const id = await newFlagship(page, 'Shared van');
  const other = await context.newPage();
  await openBench(page, id, 'cuts');
  // The second window hears nothing: what it changes is based on what it has.
  await other.route('**/live', (route) => route.abort());
  await openBench(other, id, 'cuts');
  await type(page, '12');
  await savedAs(page, 2);
  await type(other, '9');
  const dialog = other.getByRole('dialog', { name: 'Both of you changed this' });
  const row = dialog.getByRole('row', { name: /A·B Lengthen, length/ });
  await expect(row).toContainText('9 in');
  await row.getByRole('radio').nth(1).check();
  await dialog.getByRole('button', { name: 'Save this' }).click();
  await expect(ledger(other, 'Wheelbase')).toHaveText('153');
  await savedAs(other, 4);

  // The history has all four, and any of them comes back: 9 in is the third.
  await other.getByRole('button', { name: 'History of this job' }).click();
  const history = other.getByRole('dialog', { name: 'History' });
  await expect(history.getByRole('listitem')).toHaveCount(4);
  await history.getByRole('listitem').nth(1).getByRole('button', { name: 'Restore' }).click();
  await expect(ledger(other, 'Wheelbase')).toHaveText('150');
});

test('a reload right after an entry asks nothing and loses nothing', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Reloaded van');
  await openBench(page, id, 'cuts');
  const asked: string[] = [];
  page.on('dialog', (dialog) => {
    asked.push(dialog.type());
    void dialog.accept();
  });
  // Typed and not yet left: what stands in the field is an entry.
  await page.getByRole('textbox', { name: 'How much' }).fill('13');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'How much' })).toHaveValue('13');
  await savedAs(page, 2);
  expect(asked).toEqual([]);
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the connection drops while readings are typed: queued, sent later, nothing lost', async ({ page, context }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Offline van');
  await openBench(page, id, 'true-up');
  await openDrawer(page, 'All readings');
  await page.getByRole('region', { name: 'All readings' }).getByRole('button', { name: 'Fully welded' }).click();
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
  await expect(page.getByText('waiting to be sent')).toBeHidden();
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
  await signIn(page);
  const id = await newFlagship(page, 'Closed van');
  await openBench(page, id, 'true-up');
  await openDrawer(page, 'All readings');
  await page.getByRole('region', { name: 'All readings' }).getByRole('button', { name: 'Fully welded' }).click();
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
  await signIn(page);
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
