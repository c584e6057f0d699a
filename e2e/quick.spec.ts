import { expect, type Page, test } from '@playwright/test';
import { faults } from './axe.ts';
import { ledger, openDemoShop } from './steps.ts';

/** A straight frame that is not of the demo shop. With the rail size, which stands as it is, these are twelve entries. */
const ENTRIES = [
  ['Wheelbase wanted', "12' 10"],
  ['Wheelbase now', '137 1/2'],
  ['Frame width', '33 3/4'],
  ['Front overhang', '29'],
  ['Rear overhang (AF)', '51 1/2'],
  ['Front spring, rear hanger', '25'],
  ['Back of cab', '57'],
  ['Tank, front', '61'],
  ['Tank, rear', '82'],
  ['Rear spring, front hanger', '27'],
  ['Rear spring, rear hanger', '29'],
] as const;

async function fillIn(page: Page) {
  const form = page.getByRole('form', { name: 'I have, I want' });
  for (const [name, text] of ENTRIES) {
    await form.getByRole('textbox', { name, exact: true }).fill(text);
    await page.keyboard.press('Tab');
  }
  await expect(page.getByText('Add 16 1⁄2 in to each rail')).toBeVisible();
}

test('twelve entries answer how much and where, and become a job whose marks print', async ({ page }) => {
  await openDemoShop(page);
  await page.getByRole('link', { name: /^I have … I want …/ }).click();
  const answer = page.getByRole('region', { name: 'Answer' });
  await expect(answer).toContainText('How much, where, and what else changes');
  await fillIn(page);
  expect(await faults(page)).toEqual([]);
  await expect(answer.getByRole('row', { name: /^Wheelbase/ })).toContainText('154');
  await expect(answer.getByText('Do not cut by it.')).toBeVisible();
  await expect(answer.getByRole('listitem')).toHaveCount(5);

  // On one page of either paper, without the form.
  for (const format of ['A4', 'Letter']) {
    const pdf = (await page.pdf({ format, printBackground: true })).toString('latin1');
    expect([format, pdf.match(/\/Type\s*\/Page\b/g)?.length]).toEqual([format, 1]);
  }

  // Nothing of it is lost on a reload.
  await page.reload();
  await expect(page.getByText('Add 16 1⁄2 in to each rail')).toBeVisible();

  await answer.getByRole('button', { name: 'Make this a job' }).click();
  await expect(answer.getByRole('alert')).toContainText('Name the job');
  await answer.getByRole('textbox', { name: 'Name of the job' }).fill('Stake bed from a quick start');
  await answer.getByRole('button', { name: 'Make this a job' }).click();
  await page.waitForURL(/\/cuts$/);
  await expect(ledger(page, 'Wheelbase')).toHaveText('154');

  // Everything in it is assumed, and its marks say so.
  await page.getByRole('link', { name: 'Marks', exact: true }).click();
  const sheet = page.waitForEvent('popup');
  await page.getByRole('button', { name: 'Print page' }).first().click();
  await expect((await sheet).getByText(/assumed/i).first()).toBeVisible();
});

test('a wrong entry says what to enter, and a unit can be changed', async ({ page }) => {
  await openDemoShop(page);
  await page.goto('/quick');
  await fillIn(page);
  const rear = page.getByRole('textbox', { name: 'Tank, rear' });
  await rear.fill('20');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('must lie behind its front');
  await rear.fill('twenty');
  await page.keyboard.press('Enter');
  await expect(rear).toHaveValue('twenty');
  await rear.fill('82');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'mm', exact: true }).click();
  await expect(page.getByText('Add 419.1 mm to each rail')).toBeVisible();
  await page.getByRole('combobox', { name: 'Rail size' }).selectOption('other');
  await page.getByRole('textbox', { name: 'Wall' }).fill('200');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
});

test('it works on a phone, with nothing beside the page', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemoShop(page);
  await page.goto('/quick');
  await fillIn(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
});
