import { expect, test } from '@playwright/test';
import { faults } from './axe.ts';
import { ledger, newJob, openBench, openDrawer, saved, signIn } from './steps.ts';

test('from a wheelbase to a chosen, spliced plan, without a station typed', async ({ page }) => {
  await signIn(page);
  const id = await newJob(page, 'orchard-sprayer', 'Sprayer, where to cut');
  await openBench(page, id, 'where');
  const wanted = page.getByRole('textbox', { name: 'wanted' });
  await expect(wanted).toHaveValue('133 7/8');
  // It begins by itself with what the body asks for.
  const ways = page.getByRole('list', { name: 'Best options' });
  await expect(ways.getByRole('article')).toHaveCount(5);
  const cab = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Behind the cab', exact: true }) });
  await expect(cab).toContainText('apart sideways');
  expect(await faults(page)).toEqual([]);

  // The lanes, the blade, and another option.
  await page
    .getByRole('button', { name: /^CutOption 2:/ })
    .first()
    .press('Enter');
  await expect(ways.getByRole('article').nth(1).getByRole('button', { name: 'Save as another option' })).toBeVisible();
  await ways.getByRole('article').nth(1).getByRole('button', { name: 'Save as another option' }).click();
  await openDrawer(page, 'Costs');
  await expect(page.getByRole('table', { name: 'Work, part by part' })).toContainText('joint on each rail');
  await openDrawer(page, 'All options');
  await page.getByRole('button', { name: 'Show option 1', exact: true }).click();
  await page.getByRole('button', { name: 'Make it the plan' }).click();

  await expect(page.getByRole('heading', { name: 'Cuts', exact: true })).toBeVisible();
  await expect(ledger(page, 'Wheelbase')).toHaveText('133 7⁄8');
  await expect(ledger(page, 'Worst joint')).toHaveText('meets');
  await saved(page);
  await openBench(page, id, 'splice');
  await expect(ledger(page, 'Joints decided')).toHaveText('1 of 1');

  // Held against the others, with hours, strength and a chart.
  await openBench(page, id, 'cuts');
  await page.getByRole('button', { name: /^Compare with \d others/ }).click();
  const compare = page.getByRole('dialog', { name: 'Compare plans' });
  await expect(compare.getByRole('row', { name: /^Hours of work/ })).toContainText('12 h');
  await expect(compare.getByRole('row', { name: /^Weakest joint/ })).toContainText('A 1.00');
  await expect(compare.getByRole('img', { name: /: 12 h(;|$)/ })).toBeVisible();
});

test('a search is stopped at once, and what was found before stays', async ({ page }) => {
  await signIn(page);
  const id = await newJob(page, 'beach-rescue', 'Pickup, stopped');
  await openBench(page, id, 'where');
  await page.getByRole('button', { name: 'Look for the best places' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Look for the best places' })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Best options' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Look for the best places' }).click();
  await expect(page.getByRole('list', { name: 'Best options' })).toBeVisible();
});

test('rules are kept for other jobs with a reason, and an older job says that there are newer ones', async ({
  page,
}) => {
  await signIn(page);
  const tag = `House rules ${Date.now()}`;
  const [first, second] = [
    await newJob(page, 'beach-rescue', 'Planned by older rules'),
    await newJob(page, 'beach-rescue', 'Planned by newer rules'),
  ];
  const rulebook = async (id: string) => {
    await openBench(page, id, 'cuts');
    await page.getByRole('button', { name: 'Rulebook of this job' }).click();
    await page.getByText('Keep these rules for other jobs').click();
  };
  await rulebook(first);
  await page.getByLabel('Why').fill('as we do it since spring');
  await page.getByLabel('Name of a new rule set').fill(tag);
  await page.getByRole('button', { name: 'Keep as a new set' }).click();
  await expect(page.getByText(`“${tag}”, version 1`)).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await saved(page);

  await rulebook(second);
  await page.getByLabel('Go by a rule set of the shop').selectOption({ label: `${tag}, version 1` });
  const hours = page.getByRole('textbox', { name: /A cab loosened and lifted/ });
  await hours.fill('6');
  await hours.blur();
  await page.getByLabel('Why').fill('three jobs took six hours');
  await page.getByRole('button', { name: /^Make them version 2/ }).click();
  await expect(page.getByText(`“${tag}”, version 2`).first()).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await saved(page);

  await openBench(page, first, 'where');
  await expect(page.getByText(/this job was planned under version 1/)).toBeVisible();
  await page.getByRole('button', { name: 'See what changed' }).click();
  await expect(page.getByText('three jobs took six hours').first()).toBeVisible();
  await page.getByRole('button', { name: 'Go by version 2' }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByText(/this job was planned under version 1/)).toHaveCount(0);
});
