import { expect, type Page, test } from '@playwright/test';
import { ledger, newJob, openBench, saved, signIn } from './steps.ts';

const planInHand = (page: Page) => page.locator('aside').getByRole('textbox', { name: /^Name of the plan/ });

test('variants are compared, taken up, undone, copied, renamed and dropped', async ({ page }) => {
  const errors: string[] = [];
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  await signIn(page);
  await openBench(page, await newJob(page, 'orchard-sprayer', 'Sprayer three ways'), 'cuts');
  await expect(planInHand(page)).toHaveValue('Out of the straight, ahead of the links');
  await page.getByRole('button', { name: 'Compare with 2 others' }).click();
  const dialog = page.getByRole('dialog', { name: 'Compare plans' });
  const row = (name: string) =>
    dialog.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) });

  // What tells them apart, and what does not.
  await expect(row('Joints').getByRole('cell')).toHaveText([/A meets/, /A needs a transition piece/, /A meets/]);
  await expect(row('To decide').getByRole('cell').nth(1)).toContainText('1 7/16 in full apart sideways');
  await expect(row('Removed or lost').getByRole('cell')).toHaveText([
    'Bed mount 2, Tank strap 1, Tank strap 2',
    'Bed mount 1, Hole 4',
    'Tank strap 1, Tank strap 2',
  ]);
  await expect(row('Wheelbase')).toHaveCount(0);
  await expect(dialog.getByText('The same in all')).toBeVisible();

  // Taken up: board, ledger and list follow; undo gives the other back.
  await dialog
    .getByRole('columnheader', { name: /Behind the cab/ })
    .getByRole('button', { name: 'Use this plan' })
    .click();
  await page.keyboard.press('Escape');
  await expect(planInHand(page)).toHaveValue('Behind the cab');
  await expect(ledger(page, 'Worst joint')).toHaveText('apart');
  await expect(page.getByRole('list', { name: 'Operations in order' }).getByRole('listitem')).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(planInHand(page)).toHaveValue('Out of the straight, ahead of the links');
  await expect(ledger(page, 'Worst joint')).toHaveText('meets');

  // Another way: the plan in hand is kept, and a name that is taken is refused.
  await page.getByRole('button', { name: 'Compare with 2 others' }).click();
  const fresh = dialog.getByRole('textbox', { name: 'Name of the new plan' });
  await fresh.fill('Close to the links');
  await expect(dialog.getByRole('alert')).toHaveText('Another plan of this job has that name.');
  await expect(dialog.getByRole('button', { name: 'Begin with nothing' })).toBeDisabled();
  await fresh.fill('Straight, tank turned round');
  await dialog.getByRole('button', { name: 'Begin with a copy' }).click();
  await expect(dialog.getByRole('columnheader')).toHaveCount(4);
  await dialog
    .getByRole('textbox', { name: 'Pros and cons Straight, tank turned round' })
    .fill('If the tank goes to the right.');
  await dialog
    .getByRole('columnheader', { name: /Close to the links/ })
    .getByRole('button', { name: 'Drop' })
    .click();
  await expect(dialog.getByRole('columnheader')).toHaveCount(3);
  await page.keyboard.press('Escape');
  await planInHand(page).fill('Behind the cab');
  await expect(page.locator('aside').getByRole('alert')).toHaveText('Another plan of this job has that name.');
  await planInHand(page).press('Escape');
  await expect(planInHand(page)).toHaveValue('Straight, tank turned round');

  // All of it is kept.
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Compare with 2 others' }).click();
  await expect(dialog.getByRole('textbox', { name: 'Pros and cons Straight, tank turned round' })).toHaveValue(
    'If the tank goes to the right.',
  );
  expect(errors).toEqual([]);
});
