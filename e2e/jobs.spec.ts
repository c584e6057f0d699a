import { expect, type Page, test } from '@playwright/test';
import { ledger, newFlagship, openBench, openDemoShop } from './steps.ts';

const job = (page: Page, name: string) => page.getByRole('listitem').filter({ hasText: name });

test('a job is copied, archived and put back, deleted and brought back', async ({ page }) => {
  await openDemoShop(page);
  await newFlagship(page, 'Van to keep');
  await page.reload();

  await page.getByRole('button', { name: 'Copy: Van to keep' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]+/);
  await expect(page.getByRole('banner')).toContainText('Van to keep, copy');
  await expect(ledger(page, 'Wheelbase')).toHaveText('155 3⁄4');

  await page.goto('/');
  await page.getByRole('button', { name: 'Archive: Van to keep, copy' }).click();
  const archived = page.locator('details', { hasText: 'Archived (' });
  await archived.locator('summary').click();
  await expect(archived.getByRole('listitem').filter({ hasText: 'Van to keep, copy' })).toBeVisible();
  await archived.getByRole('button', { name: 'Put back on the list: Van to keep, copy' }).click();
  await expect(page.getByRole('heading', { name: 'Van to keep, copy' })).toBeVisible();

  await page.getByRole('button', { name: 'Delete: Van to keep, copy' }).click();
  await expect(page.getByRole('heading', { name: 'Van to keep, copy' })).toHaveCount(0);
  const deleted = page.locator('details', { hasText: 'Deleted (' });
  await deleted.locator('summary').click();
  await expect(deleted).toContainText('can be brought back for 30 days');
  await deleted.getByRole('button', { name: 'Bring back: Van to keep, copy' }).click();
  await expect(page.getByRole('heading', { name: 'Van to keep, copy' })).toBeVisible();
  await expect(job(page, 'Van to keep, copy').getByRole('link').first()).toBeVisible();
});

test('a stop stands over the fields and on the sheets, and a suggested fix takes it away in one step', async ({
  page,
}) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Stopped van');
  await openBench(page, id, 'cuts');
  const place = page.getByRole('textbox', { name: 'Where, level from the datum hole' });
  await place.fill('112');
  await place.press('Enter');
  const notice = page.getByRole('complementary', { name: 'Cuts' }).getByRole('alert');
  await expect(notice).toContainText('2 things stop this plan');
  await page.getByRole('link', { name: 'Marks' }).click();
  await expect(page.getByText(/not released/i).first()).toBeVisible();

  await page.getByRole('link', { name: 'Cuts' }).click();
  await notice
    .getByRole('button', { name: /^Move the cut/ })
    .first()
    .click();
  // Clear of the bracket, but still inside the suspension: the other stop stays.
  await expect(notice).toContainText('1 thing stops this plan');
  await expect(page.getByRole('button', { name: /^Stop: A cut runs through/ })).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Stop: Rear suspension is split/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(place).toHaveValue('112');
});

test('a job is handed on: who is next is on the list and in the job, until it is taken up', async ({ page }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Van to hand over');
  await openBench(page, id, 'cuts');
  await page.getByRole('button', { name: 'Hand over' }).click();
  const dialog = page.getByRole('dialog', { name: 'Hand over' });
  await dialog.getByRole('button', { name: 'Hand over' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Enter who is next');
  await dialog.getByRole('combobox', { name: 'Next person' }).fill('Second shift');
  await dialog.getByRole('textbox', { name: 'Next task' }).fill('Tack the right rail');
  await dialog.getByRole('textbox', { name: 'Note' }).fill('clamps are on');
  await dialog.getByRole('button', { name: 'Hand over' }).click();
  const badge = page.getByRole('button', { name: 'Next: Second shift' });
  await expect(badge).toBeVisible();
  await page.goto('/?find=Van%20to%20hand%20over');
  await expect(page.getByText('Next: Second shift')).toBeVisible();
  await openBench(page, id, 'cuts');
  await badge.click();
  await expect(dialog.getByRole('region', { name: 'Changed today' })).toContainText('Handoff');
  await dialog.getByRole('button', { name: 'Taken up' }).click();
  await expect(badge).toHaveCount(0);
});
