import { expect, test } from '@playwright/test';
import { newJob, openBench, openDemoShop, saved } from './steps.ts';

test('the shop changes a rule, the verdict follows, and the rule can be set back', async ({ page }) => {
  await openDemoShop(page);
  const id = await newJob(page, 'orchard-sprayer', 'Sprayer of a patient shop');
  await openBench(page, id, 'cuts');
  await page.getByRole('button', { name: /^Compare with/ }).click();
  await page
    .getByRole('columnheader', { name: /Behind the cab/ })
    .getByRole('button', { name: 'Take it up' })
    .click();
  await page.keyboard.press('Escape');
  const worst = page.locator('[data-figure="Worst joint"]');
  await expect(worst).toHaveText('apart');

  // The ends lie 1 3/8 in apart: a shop that dresses as much as that calls it so.
  await page.getByRole('button', { name: 'What this job is judged by' }).click();
  const rules = page.getByRole('dialog', { name: 'What this job is judged by' });
  const dress = rules.getByRole('textbox', { name: 'Ends meet after dressing' });
  await dress.fill('-1/8');
  await dress.press('Enter');
  await expect(rules.getByRole('alert')).toContainText('must be 0 or more');
  await dress.fill('1 1/2');
  await dress.press('Enter');
  await expect(rules).toContainText('Changed here; the school says 1/8 in.');
  await page.keyboard.press('Escape');
  await expect(worst).toHaveText('dress');
  await saved(page);
  await page.reload();
  await expect(worst).toHaveText('dress');

  await page.getByRole('button', { name: 'What this job is judged by' }).click();
  await rules.getByRole('button', { name: 'Set back' }).click();
  await expect(rules.getByText('Changed here')).toHaveCount(0);
  await rules.getByRole('combobox', { name: 'The school it starts from' }).selectOption('bolt-ahead-weld-behind');
  await expect(rules.getByRole('button', { name: 'not', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Escape');
  await expect(worst).toHaveText('apart');
  await expect(page.locator('aside')).toContainText(/ahead of/);
});
