import { expect, test } from '@playwright/test';
import { newJob, openBench, saved, signIn } from './steps.ts';

test('the shop changes a rule, the verdict follows, and the rule can be set back', async ({ page }) => {
  await signIn(page);
  const id = await newJob(page, 'orchard-sprayer', 'Sprayer of a patient shop');
  await openBench(page, id, 'cuts');
  await page.getByRole('button', { name: /^Compare with/ }).click();
  await page
    .getByRole('columnheader', { name: /Behind the cab/ })
    .getByRole('button', { name: 'Use this plan' })
    .click();
  await page.keyboard.press('Escape');
  const worst = page.locator('[data-figure="Worst joint"]');
  await expect(worst).toHaveText('apart');

  // The ends lie 1 3/8 in apart: a shop that dresses as much as that calls it so.
  await page.getByRole('button', { name: 'Rulebook of this job' }).click();
  const rules = page.getByRole('dialog', { name: 'Rulebook of this job' });
  const dress = rules.getByRole('textbox', { name: 'Ends meet after dressing' });
  await dress.fill('-1/8');
  await dress.press('Enter');
  await expect(rules.getByRole('alert')).toContainText('must be 0 or more');
  await dress.fill('1 1/2');
  await dress.press('Enter');
  await expect(rules).toContainText('Changed here; the rule set says 1/8 in.');
  await page.keyboard.press('Escape');
  await expect(worst).toHaveText('dress');
  await saved(page);
  await page.reload();
  await expect(worst).toHaveText('dress');

  await page.getByRole('button', { name: 'Rulebook of this job' }).click();
  await rules.getByRole('button', { name: 'Set back' }).click();
  await expect(rules.getByText('Changed here')).toHaveCount(0);
  await rules.getByRole('combobox', { name: 'Starting rule set' }).selectOption('bolt-ahead-weld-behind');
  await expect(
    rules
      .getByRole('group', { name: 'Welding ahead of the last suspension hanger' })
      .getByRole('button', { name: 'not', exact: true }),
  ).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Escape');
  await expect(worst).toHaveText('apart');
  await expect(page.locator('aside')).toContainText(/ahead of/);
});
