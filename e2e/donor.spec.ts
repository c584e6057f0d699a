import { expect, test } from '@playwright/test';
import { newFlagship, openBench, openDrawer, saved, signIn, unfoldRight } from './steps.ts';

test('the guide says what to measure next, where, and for which answer', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Guided van'), 'donor');
  const next = page.getByRole('button', { name: /^Measure next/ });
  await expect(next).toContainText('Left and right apart');
  await expect(next).toContainText('whether the donor is square and flat');
  await next.click();
  await expect(page.getByRole('region', { name: 'Stations' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Left and right were measured separately' }).check();
  await expect(page.getByText('Everything a plan asks for is measured.')).toBeVisible();

  // One rail a little higher: the drawing says where and by how much.
  await openDrawer(page, 'Stations');
  const right = page.getByRole('table', { name: 'Stations of the right rail' });
  await right.getByRole('textbox', { name: 'Top height, row 6' }).fill('4 1/2');
  await right.getByRole('textbox', { name: 'Top height, row 6' }).press('Tab');
  await expect(page.getByText(/right rail\s*1⁄4\s*higher at/)).toBeVisible();
});

test('a feature is picked on the drawing, edited beside it, and its unit is kept', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Picked van'), 'donor');
  await page
    .locator('svg g', { has: page.locator('title', { hasText: /^Cab mount 2, left/ }) })
    .last()
    .click();
  const card = page.getByRole('region', { name: 'Cab mount 2' });
  await expect(card).toContainText('in the plan: not moved');
  await card.getByRole('textbox', { name: 'Hole (0: none)' }).fill('9/16');
  await card.getByRole('textbox', { name: 'Hole (0: none)' }).press('Enter');
  await card.getByRole('combobox', { name: 'Carries' }).selectOption('Front suspension');
  await saved(page);
  await card.getByRole('textbox', { name: 'Hole (0: none)' }).press('Escape');
  await page.locator('body').press(']');
  await expect(card).toBeHidden();
  await page.locator('body').press('[');
  await expect(card.getByRole('textbox', { name: 'Hole (0: none)' })).toHaveValue('9/16');
  await expect(card.getByRole('combobox', { name: 'Carries' })).toHaveValue('front-suspension');
});

test('a crossmember is picked on the drawing and edited beside it', async ({ page }) => {
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Van with crossmembers'), 'donor');
  await page
    .locator('svg g', { has: page.locator('title', { hasText: /^Crossmember 5, carrier/ }) })
    .last()
    .click();
  const card = page.getByRole('region', { name: 'Crossmember 5, carrier' });
  // 14 3/4 in farther back than it was, 70 in from the datum hole.
  await expect(card).toContainText('ends up 84 3⁄4 from the datum hole');
  await card.getByRole('combobox', { name: 'Removable' }).selectOption('no');
  await card.getByRole('textbox', { name: 'Mass, as weighed, lb' }).fill('heavy');
  await card.getByRole('textbox', { name: 'Mass, as weighed, lb' }).press('Tab');
  await expect(card.getByRole('alert')).toContainText('“heavy” cannot be read here');
  await card.getByRole('textbox', { name: 'Mass, as weighed, lb' }).fill('11.5');
  await card.getByRole('textbox', { name: 'Mass, as weighed, lb' }).press('Tab');
  await expect(card.getByRole('alert')).toHaveCount(0);
  await saved(page);
  await page.reload();
  await openDrawer(page, 'Crossmembers');
  await page.getByRole('textbox', { name: 'Name, row 5' }).click();
  await expect(card.getByRole('combobox', { name: 'Removable' })).toHaveValue('no');
  await expect(card.getByRole('textbox', { name: 'Mass, as weighed, lb' })).toHaveValue('11.5');
});

test('tables go out as CSV and come in again; a bad one changes nothing', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Tabled van');
  await openBench(page, id, 'donor');
  const csv = await (await page.request.get(`/api/jobs/${id}/table?what=stations&unit=in`)).text();
  expect(csv.split('\n')[0]).toBe('side,x [in],halfWidth [in],top [in],section');
  const file = (text: string) => ({ name: 'stations.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await openDrawer(page, 'Stations');
  const load = page.getByLabel('Load stations from a CSV file');

  await load.setInputFiles(file(csv.replace('both,-32,14.875', 'both,-32,cheese')));
  await expect(page.getByRole('alert')).toContainText('Nothing was changed');
  await expect(page.getByRole('alert')).toContainText('line 2, halfWidth: “cheese” is not part of a length');

  await load.setInputFiles(file(csv.replace('both,-32,14.875', 'both,-32,15 1/8')));
  await expect(page.getByText('stations.csv has replaced the stations.')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Half-width, row 1' })).toHaveValue('15 1/8');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('textbox', { name: 'Half-width, row 1' })).toHaveValue('14 7/8');

  for (const [what, as, start] of [
    ['side', 'dxf', '  0\nSECTION'],
    ['plan', 'svg', '<svg'],
  ] as const) {
    const drawing = await page.request.get(`/api/jobs/${id}/drawing?what=${what}&as=${as}`);
    expect((await drawing.text()).trimStart()).toContain(start.trim());
  }
});

test('a block from a spreadsheet is pasted with its headings, drawn at once, and one step of undo', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await signIn(page);
  await openBench(page, await newFlagship(page, 'Van from a spreadsheet'), 'donor');
  await openDrawer(page, 'Features');
  const table = page.getByRole('table', { name: 'Features' });
  const names = table.getByRole('textbox', { name: /^Name, row / });
  await expect(names.first()).toHaveValue('Datum hole');
  const before = await names.count();
  await page.getByRole('button', { name: 'Add a feature' }).click();
  await expect(names).toHaveCount(before + 1);
  const rows = [
    ['Name', 'Kind', 'Side', 'Middle, from datum', 'Down'],
    ['Hose clip', 'line clip', 'left', '100 1/2', '2'],
    ['Tow eye', 'hole', 'both', `8' 6"`, '3 1/2'],
    ['Pad', 'bed mount', 'right', '2641.6 mm', '1-1/4'],
  ];
  await page.evaluate(
    (text) => navigator.clipboard.writeText(text),
    `${rows.map((row) => row.join('\t')).join('\r\n')}\r\n`,
  );
  await names.last().click();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(names).toHaveCount(before + 3);
  await expect(table.getByRole('alert')).toHaveCount(0);
  const where = (row: number) =>
    table.getByRole('textbox', { name: `Middle, from datum, row ${before + row}`, exact: true });
  await expect(where(1)).toHaveValue('100 1/2');
  await expect(where(2)).toHaveValue('102');
  await expect(where(3)).toHaveValue('104');
  await expect(page.locator('svg title', { hasText: /^Pad, right/ }).first()).toBeAttached();
  await expect(page.locator('svg title', { hasText: /^Pad, left/ })).toHaveCount(0);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(names).toHaveCount(before + 1);
  await page.getByRole('button', { name: 'Redo' }).click();
  await saved(page);
  await page.reload();
  await expect(where(3)).toHaveValue('104');
});

test('readings taken elsewhere come in as CSV, each once', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Read elsewhere');
  await openBench(page, id, 'true-up');
  const header = 'id,measurement,stage,value [in],taken,by';
  const file = (...lines: string[]) => ({
    name: 'readings.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([header, ...lines, ''].join('\n')),
  });
  await openDrawer(page, 'All readings');
  const load = page.getByLabel('Load readings from a CSV file');
  const good = 'tablet-1,p1-width,welded,29 3/4,2026-06-01T10:00:00Z,fabricator';
  await load.setInputFiles(file(good, 'tablet-2,p99-width,welded,30,2026-06-01T10:01:00Z,fabricator'));
  await expect(page.getByRole('alert')).toContainText(
    'line 3, measurement: There is no control measurement “p99-width”.',
  );
  await load.setInputFiles(file(good));
  await expect(page.getByText('1 readings were added.')).toBeVisible();
  await page.getByRole('region', { name: 'All readings' }).getByRole('button', { name: 'Fully welded' }).click();
  await unfoldRight(page);
  await expect(page.locator('[data-measurement="p1-width"] input')).toHaveValue('29 3/4');
  await load.setInputFiles(file(good));
  await expect(page.getByText('All of them are here already.')).toBeVisible();
});
