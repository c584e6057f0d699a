import { expect, type Locator, type Page, test } from '@playwright/test';
import { newFlagship, openBench, openDrawer, saved, signIn } from './steps.ts';

const place = (page: Page) => page.getByRole('textbox', { name: 'Where, level from the datum hole' });

/** Types a length into a field and takes it. */
async function type(field: Locator, text: string) {
  await field.fill(text);
  await field.press('Enter');
}

test('a cut in the wrong place is marked on the drawing; pressing the mark goes there; a split can be accepted', async ({
  page,
}) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Wrongly cut van'), 'cuts');
  await expect(page.getByRole('button', { name: /^Stop: / })).toHaveCount(0);

  // Through the rear suspension: the group is pulled apart, by how much is said.
  await type(place(page), '112');
  const split = page.getByRole('button', { name: /^Stop: Rear suspension is split: .* grows by 14 3\/4 in/ });
  await expect(split).toBeVisible();
  await split.click();
  await expect(page.getByRole('button', { name: 'Show the whole frame' })).toBeEnabled();
  // More than one thing stops the plan: each is open with what can be done about it.
  const stops = page.getByRole('alert', { name: /stop/ });
  await stops.getByRole('textbox', { name: 'Why this is accepted' }).fill('new links are being made');
  await stops.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Stop: Rear suspension/ })).toHaveCount(0);
  await expect(page.locator('aside').getByText(/Accepted by owner because new links are being made/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Stop: Rear suspension/ })).toBeVisible();
});

test('operations are added, drawn, put in another order, switched off, noted and removed', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Worked van'), 'cuts');
  const list = page.getByRole('list', { name: 'Operations in order' });
  await expect(list.getByRole('listitem')).toHaveCount(4);
  const add = (kind: string) => page.getByRole('combobox', { name: 'New operation' }).selectOption(kind);
  const sketch = page.getByRole('group', { name: 'Figures of the operation' }).locator('figure');

  await add('pie-cut');
  await type(page.getByRole('textbox', { name: 'Moves by' }), '4');
  await type(page.getByRole('textbox', { name: 'at, from the pivot' }), '38');
  await expect(sketch).toContainText('6.04°');
  // 2 · 7 3/8 · tan(θ/2) = 0.778 in, and 38 · (1 − cos θ) = 0.211 in.
  await expect(sketch).toContainText('wedge at the bottom, both faces sloped');
  await expect(sketch).toContainText('25⁄32 in');
  await expect(sketch).toContainText('7⁄32 in');
  await page.getByRole('button', { name: 'Remove Pie cut' }).click();

  await add('notch');
  await expect(sketch).toContainText('carries, against the whole rail');
  await page.getByRole('button', { name: 'Remove Notch' }).click();

  await add('step');
  await expect(sketch).toContainText('the part between rises at');
  await page
    .getByRole('button', { name: 'is replaced' })
    .or(page.getByRole('combobox', { name: 'The part between' }))
    .first()
    .selectOption('new-middle');
  await expect(sketch).toContainText('the framekeeps its length');
  await page.getByRole('button', { name: /^Remove Step/ }).click();

  await add('widen');
  await expect(sketch).toContainText('transition piece, slope in plan');
  await page.getByRole('button', { name: /^Remove W/ }).click();
  await add('box');
  await expect(sketch).toContainText('torsion stiffness there');
  await page.getByRole('button', { name: /^Remove Box/ }).click();
  await expect(list.getByRole('listitem')).toHaveCount(4);

  await list.getByRole('button', { name: /^A·B ?Lengthen/ }).click();
  await page.getByRole('button', { name: 'Do Lengthen later' }).click();
  await expect(list.getByRole('listitem').nth(1)).toContainText('Lengthen');
  await page.getByRole('button', { name: 'Switch Lengthen off' }).click();
  await expect(page.locator('[data-figure="Wheelbase"]')).toHaveText('141');
  await page.getByRole('button', { name: 'Switch Lengthen on' }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('Check the harness first.');
  await page.getByRole('textbox', { name: 'Note' }).blur();
  for (let press = 0; press < 4; press += 1) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(list.getByRole('listitem').nth(0)).toContainText('Lengthen');
});

test('crossmembers and brackets are added, lowered, drilled, each with what it does to the rail', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Van with new steel'), 'cuts');
  const list = page.getByRole('list', { name: 'Operations in order' });
  const panel = page.getByRole('complementary', { name: 'Cuts' });
  const add = (kind: string) => page.getByRole('combobox', { name: 'New operation' }).selectOption(kind);
  const what = panel.getByRole('combobox', { name: 'What', exact: true });
  const sketch = page.getByRole('group', { name: 'Figures of the operation' }).locator('figure');

  await add('crossmember');
  await panel.getByRole('textbox', { name: 'Name', exact: true }).fill('Crossmember 11, splice');
  await panel.getByRole('textbox', { name: 'Name', exact: true }).press('Tab');
  await type(panel.getByRole('textbox', { name: 'Depth' }), '6');
  await type(panel.getByRole('textbox', { name: 'Below the rail top' }), '2 1/2');
  // 2 1/2 + 6 − 7 3/8 of rail.
  await expect(sketch).toContainText('hangs under the rail by1 1⁄8 in');
  await expect(list).toContainText('Crossmember 11, splice');
  await what.selectOption('lower');
  await panel.getByRole('combobox', { name: 'Which' }).selectOption({ label: 'Crossmember 5, carrier' });
  await expect(list.getByRole('listitem').last()).toContainText('Lower crossmember');

  await add('bracket');
  await what.selectOption('drill');
  await panel.getByRole('combobox', { name: 'How many' }).selectOption('4');
  // Four 1/2 in holes 2 in apart.
  await expect(sketch).toContainText('steel between two holes1 1⁄2 in');
  await expect(sketch).toContainText('first hole to last6 in');
  await what.selectOption('add');
  await panel.getByRole('combobox', { name: 'Kind' }).selectOption('tank-strap');
  await panel.getByRole('button', { name: 'left', exact: true }).click();
  await panel.getByRole('textbox', { name: 'Mass, lb' }).fill('3.5');
  await panel.getByRole('textbox', { name: 'Mass, lb' }).press('Tab');
  await expect(list.getByRole('listitem').last()).toContainText('Add bracket');
  await openDrawer(page, 'Table');
  await expect(page.getByRole('row', { name: /^New bracket/ })).toContainText(/new/i);
  await saved(page);
});

test('the drawing says the same in tables, and a station can be gone to by its length', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Tabled plan'), 'cuts');
  await openDrawer(page, 'Table');
  const row = (name: string) => page.getByRole('row', { name });
  await expect(row('Wheelbase').first()).toContainText('141');
  await expect(row('Wheelbase').first()).toContainText('155 3⁄4');
  await expect(row('Usable cab to axle')).toContainText('96 1⁄4');
  await expect(row('B, lengthen')).toContainText('70 3⁄4');
  await expect(page.getByRole('row', { name: /^Rear axle/ })).toContainText('133 3⁄4');
  await expect(page.getByRole('table', { name: /^Widths and heights/ })).toContainText('new');
  await page.keyboard.press('Escape');

  // M: the tape between any two things, pressed on the drawing or named, on the donor and as built.
  await page.locator('body').press('m');
  const tape = page.getByRole('region', { name: 'Measure between two things' });
  await expect(tape).toContainText('Press the first thing on the drawing');
  await page
    .getByRole('group', { name: /^Drawing of the frame/ })
    .locator('g[data-pick]', { has: page.locator('title', { hasText: /^Datum hole, left/ }) })
    .click();
  await expect(tape).toContainText('From Datum hole');
  await tape.getByRole('combobox').fill('Rear axle');
  await expect(tape).toContainText('to Rear axle');
  await expect(tape).toContainText(/along\s*119\s*→\s*133 3⁄4/);
  await expect(page.getByText(/^straight/).last()).toBeVisible();
  await page.locator('body').press('Escape');
  await expect(tape).toBeHidden();

  await page.locator('body').press('g');
  const dialog = page.getByRole('dialog', { name: 'Go to a station' });
  await dialog.getByRole('textbox').fill('600');
  await dialog.getByRole('button', { name: 'On the built frame' }).click();
  await expect(dialog.getByRole('alert')).toContainText('The frame runs from −54 in to');
  await dialog.getByRole('textbox').fill('100 1/2');
  await dialog.getByRole('button', { name: 'On the donor' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('button', { name: 'Show the whole frame' })).toBeEnabled();
});

test('a layer that is kept stays in sight on benches with the same frame, until it is put away', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Layered plan'), 'cuts');
  const kept = page.locator('[data-pinned="cuts"]');
  await page.getByRole('button', { name: 'Legend' }).click();
  await page.getByRole('checkbox', { name: 'Keep this layer on other benches' }).check();
  await page.keyboard.press('Escape');
  await expect(kept).toHaveCount(0);
  await page.getByRole('link', { name: 'True-up' }).click();
  await expect(kept.locator('[data-handle="cut"]').first()).toBeVisible();
  // The donor alone is no frame that cuts lie on.
  await page.getByRole('link', { name: 'Donor' }).click();
  await expect(page.getByRole('complementary', { name: 'Donor' })).toBeVisible();
  await expect(kept).toHaveCount(0);
  await page.getByRole('link', { name: 'True-up' }).click();
  await page.getByRole('button', { name: 'Legend' }).click();
  await page.getByRole('checkbox', { name: 'Cuts, kept here' }).click();
  await expect(kept).toHaveCount(0);
});
