import { expect, test } from '@playwright/test';
import { flagshipText, ledger, newFlagship, openBench, openDemoShop, openDrawer, saved, unfoldRight } from './steps.ts';

test('from tape to marks: the whole story on the flagship', async ({ page }) => {
  await openDemoShop(page);
  await expect(page.getByText('Windrow Lane Frameworks')).toBeVisible();

  // The shop's jobs say what each is and what comes next.
  await page.goto('/?find=parcel+van+on');
  const row = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: 'Parcel van on an Ostler 35' }) });
  await expect(row).toContainText('Readings after tacking: 2 not right');
  await expect(row).toContainText('Marlowe Parcel Carrier');

  const id = await newFlagship(page, 'Story van');
  await openBench(page, id, 'cuts');
  await expect(ledger(page, 'Wheelbase')).toHaveText('155 3⁄4');

  // A shorter stretch: wheelbase and every control measurement follow, and the body still asks for the rest.
  const length = page.getByRole('textbox', { name: 'How much' });
  await length.fill('10');
  await length.press('Enter');
  await expect(ledger(page, 'Wheelbase')).toHaveText('151');
  await expect(page.getByText('Still 4 3⁄4 short.')).toBeVisible();
  await page.getByRole('link', { name: 'True-up' }).click();
  await openDrawer(page, 'All readings');
  const diagonal = page.locator('[data-measurement="p3-left-p4-right"] td');
  await expect(diagonal.nth(1)).toHaveText('65 1⁄4');
  await page.getByRole('link', { name: 'Cuts' }).click();

  // One press gives the body what it asks for.
  await page.getByRole('button', { name: 'Make it meet' }).click();
  await expect(ledger(page, 'Wheelbase')).toHaveText('155 3⁄4');
  await expect(page.getByText('You are there.')).toBeVisible();

  // A length that cannot be read stays, with the reason.
  await length.fill('14 3/0');
  await length.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('The fraction is divided by zero: write it like 3/8.');
  await expect(ledger(page, 'Wheelbase')).toHaveText('155 3⁄4');
  await length.press('Escape');

  // Undo and redo.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(ledger(page, 'Wheelbase')).toHaveText('151');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(ledger(page, 'Wheelbase')).toHaveText('155 3⁄4');

  // A diagonal's prediction is not simply +14 3/4: 56 7/8 full + 14 3/4 would be 71 5/8.
  await page.getByRole('link', { name: 'True-up' }).click();
  await openDrawer(page, 'All readings');
  await expect(diagonal.nth(0)).toHaveText('56 7⁄8 full');
  await expect(diagonal.nth(1)).toHaveText('69 3⁄8');
  await unfoldRight(page);
  await expect(page.locator('[data-measurement="p3-p4-left"] td').nth(1)).toHaveText('60 3⁄4');

  // The marks for both rails, and the new rail with its kerf.
  await page.getByRole('link', { name: 'Marks' }).click();
  await openDrawer(page, 'All marks');
  for (const side of ['left', 'right']) {
    const cut = page.locator(`[data-mark="lines-${side} A B"] td`);
    // Its first line is the upper vertical of the step, half the step ahead of the middle at 56.
    await expect(cut.nth(2)).toHaveText('54 1⁄2');
    await expect(page.locator(`[data-mark="lines-${side} C"] td`).nth(2)).toHaveText('164 3⁄4');
  }
  await expect(page.getByRole('row', { name: /^A·B left/ })).toContainText('14 11⁄16 scant');
  await saved(page);

  // On paper: the page and the PDF, both sizes.
  const [print] = await Promise.all([
    page.waitForEvent('popup'),
    page.getByRole('button', { name: 'Print page' }).click(),
  ]);
  await expect(print.getByRole('heading', { name: 'Marks for cutting' })).toBeVisible();
  await expect(print.locator('[data-mark="lines-left A B"]').first()).toContainText('54 1⁄2');
  await expect(print.getByText('not an approval')).toBeVisible();
  for (const paper of ['a4', 'letter']) {
    const pdf = await page.request.get(`/api/jobs/${id}/marks.pdf?paper=${paper}`);
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
  await print.close();

  const drawer = page.getByRole('region', { name: 'All readings' });
  // The tape after tacking: type it in, learn whether it is right.
  await page.getByRole('link', { name: 'True-up' }).click();
  await openDrawer(page, 'All readings');
  await drawer.getByRole('button', { name: 'Fully welded' }).click();
  const read = async (measurement: string, text: string) => {
    const cell = page.locator(`[data-measurement="${measurement}"] input`);
    await cell.fill(text);
    await cell.press('Enter');
  };
  await read('p3-left-p4-right', '69 7/16');
  await expect(page.locator('[data-measurement="p3-left-p4-right"]')).toContainText('right');
  await read('p3-right-p4-left', '70 3/8');
  await expect(page.locator('[data-measurement="p3-right-p4-left"]')).toContainText(
    'an inch long: read from the 1 in mark?',
  );
  await read('p3-p4-left', '61');
  await expect(page.locator('[data-measurement="p3-p4-left"]')).toContainText('1/4 in long, allowed 1/16 in');
  await expect(drawer.getByRole('status').filter({ hasText: 'to take' })).toContainText('1 right, 2 not, 32 to take');

  // A height over the datum plane may be 0, or below it.
  const height = page.locator('[data-measurement="p4-height-left"]');
  await expect(height).toContainText('height left');
  await read('p4-height-left', '-1/32');
  await expect(height).toContainText('right');
  await page.reload();
  await drawer.getByRole('button', { name: 'Fully welded' }).click();
  await unfoldRight(page);
  await expect(page.locator('[data-measurement="p3-p4-left"] input')).toHaveValue('61');
  await expect(height.locator('input')).toHaveValue('−1/32');
});

test('a cut is moved by dragging its tag, by arrow keys, and put back by undo', async ({ page }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Dragged van');
  await openBench(page, id, 'cuts');
  const where = page.getByRole('textbox', { name: 'Where, level from the datum hole' });
  await expect(where).toHaveValue('56');
  const tag = page.getByRole('slider', { name: /^A: Lengthen/ });
  await tag.focus();
  await page.keyboard.press('ArrowRight');
  await expect(where).toHaveValue('56 1/16');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(where).toHaveValue('56 9/16');
  const box = await tag.locator('text').boundingBox();
  if (!box) throw new Error('the tag is not drawn');
  await page.mouse.move(box.x + 4, box.y + 6);
  await page.mouse.down();
  await page.mouse.move(box.x - 60, box.y + 6, { steps: 12 });
  await page.mouse.up();
  const moved = await where.inputValue();
  expect(Number.parseInt(moved, 10)).toBeLessThan(45);
  expect(Number.parseInt(moved, 10)).toBeGreaterThan(20);
  for (let press = 0; press < 3; press += 1) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(where).toHaveValue('56');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('hold B for before, step along the cuts, and list the keys', async ({ page }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Keyed van');
  await openBench(page, id, 'cuts');
  await expect(page.getByRole('slider', { name: /^A: Lengthen/ })).toBeVisible();
  await page.keyboard.down('b');
  await expect(page.getByRole('slider', { name: /^A: Lengthen/ })).toBeHidden();
  await page.keyboard.up('b');
  await expect(page.getByRole('slider', { name: /^A: Lengthen/ })).toBeVisible();
  await page.keyboard.press(']');
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Trim an end' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('the donor as it was');
});

test('the donor table takes typed lengths and a pasted column, and says at the cell what is wrong', async ({
  page,
}) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Measured van');
  await openBench(page, id, 'donor');
  await openDrawer(page, 'Stations');
  const cell = (name: string) => page.getByRole('textbox', { name });
  await cell('Top height, row 6').fill('4 3/8');
  await cell('Top height, row 6').press('Tab');
  await saved(page);

  // Out of order: refused at the cell, nothing else changed.
  await cell('From datum, row 4').fill('120');
  await cell('From datum, row 4').press('Tab');
  await expect(page.getByRole('alert')).toContainText('must lie behind the one above it');
  await cell('From datum, row 4').press('Escape');

  const paste = (target: string, text: string) =>
    cell(target).evaluate((input, value) => {
      const data = new DataTransfer();
      data.setData('text/plain', value);
      input.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    }, text);
  await paste('Half-width, row 4', '16 5/8\n16 11/16\n16 cheese\n');
  await expect(page.getByRole('alert')).toContainText('“cheese” is not part of a length');
  await expect(cell('Half-width, row 6')).toHaveValue('16 cheese');
  await cell('Half-width, row 6').fill('16 3/4');
  await cell('Half-width, row 6').press('Tab');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(cell('Half-width, row 4')).toHaveValue('16 5/8');
  await expect(cell('Half-width, row 5')).toHaveValue('16 11/16');
  await saved(page);
  await page.reload();
  await expect(cell('Half-width, row 5')).toHaveValue('16 11/16');
  await expect(cell('Top height, row 6')).toHaveValue('4 3/8');
});

test('a job file that is not right is refused with every problem, and a right one opens', async ({ page }) => {
  await openDemoShop(page);
  await expect(page.getByRole('button', { name: 'Import a job file' })).toBeEnabled();
  const file = (text: string) => ({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await page
    .getByLabel('Job file')
    .setInputFiles(file(flagshipText().replace('"tireRadius": 393.7', '"tireRadius": "big"')));
  await expect(page.getByRole('dialog')).toContainText('job.donor.axles[0].tireRadius');
  await expect(page.getByRole('dialog')).toContainText('must be a number of millimeters');
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByLabel('Job file').setInputFiles(file(flagshipText().replace('Parcel van on', 'Imported van on')));
  await expect(page.getByRole('heading', { level: 1, name: 'Imported van on an Ostler 35' })).toBeVisible();
  await page.waitForURL(/\/jobs\//);
  const id = /jobs\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
  const exported = await page.request.get(`/api/jobs/${id}/export`);
  expect(await exported.text()).toBe(flagshipText().replace('Parcel van on', 'Imported van on'));
});
