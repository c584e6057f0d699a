import { expect, type Locator, type Page, test } from '@playwright/test';
import { jobFileOf, writeJobFile } from '../core/src/job/index.ts';
import { jobOf, UNREAL, ZOO } from '../core/test/zoo.ts';
import { ledger, newFlagship, openBench, openDrawer, saved, signIn, takeJob } from './steps.ts';

const type = async (field: Locator, text: string) => {
  await field.fill(text);
  await field.press('Enter');
};
const paste = (cell: Locator, text: string) =>
  cell.evaluate((element, said) => {
    const data = new DataTransfer();
    data.setData('text/plain', said);
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click();

test('a body is typed in, laid over a frame, and gives the plan a wheelbase that nobody typed', async ({ page }) => {
  const upset: string[] = [];
  page.on('pageerror', ({ message }) => upset.push(message));
  await signIn(page);
  const frame = ZOO.find(({ name }) => name === 'millimeters')!;
  const id = await takeJob(page, writeJobFile(jobFileOf(jobOf(frame), [])));
  await openBench(page, id, 'match');
  await press(page, 'Measure a body');

  // The body: two openings, four mounts, what must stay clear; the last as a block out of a spreadsheet.
  await page.getByLabel('Add a body').selectOption('box');
  await openDrawer(page, 'Openings');
  const cell = (name: string) => page.getByRole('textbox', { name, exact: true });
  await press(page, 'Add an opening');
  await type(cell('Middle, from the tape, row 1'), '400');
  await press(page, 'Add an opening');
  await type(cell('Middle, from the tape, row 2'), '3120');
  await openDrawer(page, 'Mounts');
  await press(page, 'Add a mount');
  await paste(
    cell('Mount, row 1'),
    [
      'Foot 1\t600\t-400\t35\t14\t5\t20\t200',
      'Foot 2\t600\t400\t35\t14\t5\t20\t200',
      'Foot 3\t2900\t-460\t35\t14\t5\t20\t200',
      'Foot 4\t2900\t460\t35\t14\t5\t20\t200',
    ].join('\r\n'),
  );
  await expect(cell('Mount, row 4')).toHaveValue('Foot 4');
  await openDrawer(page, 'Keep clear');
  await press(page, 'Add a part');
  for (const [name, value] of Object.entries({
    Front: '1000',
    Rear: '1300',
    Left: '300',
    Right: '500',
    Low: '-15',
    High: '200',
  }))
    await type(page.getByRole('textbox', { name: new RegExp(`^${name}.*, row 1$`) }), value);

  await saved(page);

  // Over the frame: what it asks for, given in one press; what it comes down on, cleared in another.
  await openBench(page, id, 'match');
  await expect(page.getByText(/asks 2720, the donor is 2480: 240 more/)).toBeVisible();
  await press(page, /^Lengthen by 240/);
  await expect(page.getByText('The plan gives it.')).toBeVisible();
  await expect(ledger(page, 'Wheelbase')).toContainText('2720');
  await expect(page.getByText(/Part 1 of Box comes down on the right rail: 15 mm too deep/)).toBeVisible();
  await press(page, /^Raise the body by 15/);
  await expect(
    page.getByText(/Nothing of rails, crossmembers, members, shaft, tank and tires stands in it/),
  ).toBeVisible();
  await openDrawer(page, 'Mounts');
  await expect(page.getByRole('row', { name: /^Foot 3 .*outrigger/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Foot 1 .*\+ ?50 .*perch/ })).toBeVisible();
  await press(page, 'Gap at each mount');

  // Dragged along it misses both axles, and one press on a rule brings it back.
  const grip = page.locator('[data-handle="body"] .focus-ring');
  const box = (await grip.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText(/stands .* behind its axle/).first()).toBeVisible();
  await press(page, 'Both, as near as can be');
  await expect(page.getByText(/stands .* behind its axle/)).toHaveCount(0);
  await saved(page);

  // What it weighs, and then how each mount is made: as proposed, one of them by hand, with its parts and a sheet.
  await openBench(page, id, 'body');
  await openDrawer(page, 'Weights');
  await press(page, 'Add a weight');
  await saved(page);
  await openBench(page, id, 'mounts');
  await press(page, 'Take all 4 open ones as proposed');
  await expect(ledger(page, 'Mounts decided')).toContainText('4 of 4');
  await press(page, /^M2L,/);
  await page.getByRole('combobox', { name: 'Bracket', exact: true }).selectOption('angle');
  await press(page, 'Make M2R like this');
  await expect(page.getByRole('img', { name: 'M2R from the rear, to scale' })).toHaveCount(0);
  await saved(page);
  await openDrawer(page, 'Parts');
  const link = page.getByRole('link', { name: 'DXF of M2R' });
  const dxf = await (await page.request.get((await link.getAttribute('href'))!)).text();
  expect(dxf).toContain('M2R angle, flat');
  await page.goto(`/print/${id}/mounts`);
  await expect(page.getByRole('row', { name: /M2R Foot 4/ })).toContainText('angle');
  await expect(page.getByText('not an approval').first()).toBeVisible();
  await page.goto(`/print/${id}/marks`);
  await expect(page.getByText('angle M2R').first()).toBeVisible();

  // All of it in space, and as a file for others.
  await openBench(page, id, 'mounts');
  await press(page, 'Look around, in space');
  await expect(page.getByRole('region', { name: 'Look around' })).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'brackets' })).toBeChecked();
  const glb = await page.request.get(`/api/jobs/${id}/frame.glb`);
  expect((await glb.body()).subarray(0, 4).toString()).toBe('glTF');
  await press(page, 'Back to the board');

  // The same on Cuts, on a sheet, and in a file that comes in as it went out.
  await openBench(page, id, 'cuts');
  await expect(page.getByRole('list', { name: 'Operations in order' }).getByRole('listitem')).toHaveCount(1);
  for (const path of [
    `/jobs/${id}/body`,
    `/jobs/${id}/match`,
    `/jobs/${id}/mounts`,
    `/print/${id}/marks`,
    `/print/${id}/mounts`,
  ]) {
    await page.goto(path);
    await page.waitForLoadState('networkidle');
    expect(await page.locator('body').innerText()).not.toMatch(UNREAL);
  }
  const text = await (await page.request.get(`/api/jobs/${id}/export`)).text();
  const again = await takeJob(page, text);
  expect(await (await page.request.get(`/api/jobs/${again}/export`)).text()).toBe(text);
  expect(upset).toEqual([]);
});

test('a body that is taken off takes its place along, and undo brings both back', async ({ page }) => {
  await signIn(page);
  const frame = ZOO.find(({ name }) => name === 'kicked both ways')!;
  const id = await takeJob(page, writeJobFile(jobFileOf(jobOf(frame), [])));
  await openBench(page, id, 'body');
  await page.getByLabel('Add a body').selectOption('cab');
  await saved(page);
  await openBench(page, id, 'match');
  await type(page.getByRole('textbox', { name: /^Level line over/ }), '3 1/2');
  await saved(page);
  await openBench(page, id, 'body');
  await press(page, 'Take Cab off the job');
  await expect(page.getByText(/Nothing goes on this frame yet/)).toBeVisible();
  await press(page, 'Undo');
  await saved(page);
  await openBench(page, id, 'match');
  await expect(page.getByRole('textbox', { name: /^Level line over/ })).toHaveValue('3 1/2');
});

test('a body is kept in the library and copied into another job, with ids and a plan of its own', async ({ page }) => {
  await signIn(page);
  const van = await newFlagship(page, 'Van with a body to keep');
  await openBench(page, van, 'body');
  await press(page, /^Keep Marlowe Parcel Carrier in the library/);
  await expect(page.getByText(/Kept as .*a copy, for the next job/)).toBeVisible();
  await page.goto('/');
  const kept = page.getByRole('region', { name: 'Library' });
  await expect(kept.getByText('Marlowe Parcel Carrier')).toBeVisible();

  const id = await takeJob(page, writeJobFile(jobFileOf(jobOf(ZOO[0]!), [])));
  await openBench(page, id, 'body');
  const copies = page.getByRole('combobox', { name: 'Copy a body from the library' });
  await copies.selectOption({ index: 1 });
  await expect(page.getByText(/Copied from Van with a body to keep, out of the library/)).toBeVisible();
  await saved(page);

  await page.goto('/');
  await kept.getByRole('button', { name: 'Take Marlowe Parcel Carrier out of the library' }).click();
  await expect(kept.getByText('Marlowe Parcel Carrier')).toHaveCount(0);
  await openBench(page, id, 'body');
  await expect(page.getByText(/Copied from Van with a body to keep/)).toBeVisible();
});
