import { expect, type Page, test } from '@playwright/test';
import { jobFileOf, writeJobFile } from '../core/src/job/index.ts';
import { jobOf, operationsFor, UNREAL, ZOO } from '../core/test/zoo.ts';
import { openBench, openDrawer, saved, signIn, takeJob } from './steps.ts';

/** A job on a frame that is not the demo's, lengthened by one cut; nobody has decided on its joints. */
async function lengthened(page: Page, name: string): Promise<string> {
  const animal = ZOO.find((one) => one.name === name)!;
  const [, operation] = operationsFor(animal).find(([kind]) => kind === 'lengthen')!;
  return takeJob(page, writeJobFile(jobFileOf(jobOf(animal, operation), [])));
}

const joints = (page: Page) => page.getByRole('list', { name: 'Joints' }).getByRole('button');
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click();
const choose = (page: Page, label: string | RegExp, value: string) => page.getByLabel(label).selectOption(value);
const exported = async (page: Page, id: string) => (await page.request.get(`/api/jobs/${id}/export`)).text();

for (const name of ['left unlike right', 'square tube', 'tiny'])
  test(`each joint of a frame that is ${name} is made as strong as the rail, marked, cut and handed on`, async ({
    page,
  }) => {
    const upset: string[] = [];
    page.on('pageerror', ({ message }) => upset.push(message));
    await signIn(page);
    const id = await lengthened(page, name);
    await openBench(page, id, 'splice');
    const count = await joints(page).count();
    expect(count).toBeGreaterThan(1);
    for (let at = 0; at < count; at += 1) {
      await joints(page).nth(at).click();
      await expect(joints(page).nth(at)).toContainText('not decided');
      await press(page, 'As strong as the rail');
      await expect(joints(page).nth(at)).toContainText('1.00');
    }

    // Plates that two near joints lay over each other are told of, and end half-way in one press.
    const halfway = page.getByRole('button', { name: /End both half-way/ }).first();
    if (await halfway.isVisible()) {
      await halfway.click();
      await expect(page.getByText(/lie over each other/)).toHaveCount(0);
    }

    // Another form, and back: the file says what it said before.
    await saved(page);
    const before = await exported(page, id);
    await choose(page, 'The ends are cut', 'angled');
    await expect(page.getByRole('textbox', { name: 'Top edge behind the bottom edge by' })).toBeVisible();
    await press(page, 'Undo');
    await expect(page.getByLabel('The ends are cut')).toHaveValue('butt');
    await saved(page);
    expect(await exported(page, id)).toBe(before);

    // The cut that makes the joints takes them along when it goes, and brings them back.
    await openBench(page, id, 'cuts');
    await press(page, /^Remove /);
    await saved(page);
    expect(await exported(page, id)).not.toContain('"joint":');
    await press(page, 'Undo');
    await saved(page);
    expect(await exported(page, id)).toBe(before);

    for (const bench of ['splice', 'marks']) {
      await openBench(page, id, bench);
      expect(await page.locator('body').innerText()).not.toMatch(UNREAL);
    }
    for (const as of ['dxf', 'svg', 'pdf']) {
      const file = await page.request.get(`/api/jobs/${id}/parts?as=${as}`);
      // A joint that its weld alone makes as strong has no part to cut.
      if (file.status() === 422) expect(await file.text()).toMatch(/has a part yet/);
      else expect(await file.text()).not.toMatch(/NaN|Infinity/);
    }
    const again = await takeJob(page, before);
    expect(await exported(page, again)).toBe(before);
    expect(upset).toEqual([]);
  });

test('a round tube is told to have no joint that is as strong and can be welded in place', async ({ page }) => {
  await signIn(page);
  await openBench(page, await lengthened(page, 'round tube'), 'splice');
  await expect(joints(page).first()).toContainText('not decided');
  await expect(page.getByText(/Nothing that can be welded in place here makes it as strong/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'As strong as the rail' })).toHaveCount(0);
  await press(page, 'Decide it here');
  await expect(joints(page).first()).not.toContainText('not decided');
});

test('a rack copied out of a spreadsheet is looked through, and a tube of it becomes the sleeve', async ({ page }) => {
  await signIn(page);
  const id = await lengthened(page, 'square tube');
  await openBench(page, id, 'splice');
  await press(page, 'Decide it here');
  await openDrawer(page, 'Sleeves');
  const drawer = page.getByRole('region', { name: 'Sleeves', exact: true });
  await drawer.getByRole('button', { name: 'Add a tube' }).click();
  const first = drawer.getByRole('textbox', { name: 'Name, row 1' });
  await first.evaluate((cell) => {
    const data = new DataTransfer();
    // The frame's tube has 110 by 52 of room inside.
    data.setData('text/plain', 'Bay 3\t108 mm\t50 mm\t5 mm\t6 mm\t2 m\r\nOffcut\t4 1/4\t1 15/16\t3/16\t1/4\t6\r\n');
    cell.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(drawer.getByRole('textbox', { name: 'Name, row 2' })).toHaveValue('Offcut');
  await expect(drawer.getByRole('row', { name: /^Offcut rack .* too short/ })).toBeVisible();
  await drawer.getByRole('button', { name: 'Put Bay 3 in' }).click();
  await expect(page.getByLabel('In or over the rail')).toHaveValue('inner');
  await expect(page.getByLabel('Made from')).toHaveValue('Bay 3');
  await saved(page);

  // Taken off the rack again it stays where it was put, and undo brings the rack back.
  await drawer.getByRole('button', { name: 'Remove row 1' }).click();
  await expect(page.getByLabel('Made from')).toHaveValue('Bay 3');
  await press(page, 'Undo');
  await expect(drawer.getByRole('textbox', { name: 'Name, row 1' })).toHaveValue('Bay 3');
});

test('what is typed wrongly is said at its field, and the joint stays as it was', async ({ page }) => {
  await signIn(page);
  const id = await lengthened(page, 'falling');
  await openBench(page, id, 'splice');
  await press(page, 'Decide it here');
  await choose(page, 'Lay on a plate', 'web-inside');
  const ahead = page.getByRole('textbox', { name: 'Ahead', exact: true });
  const was = await ahead.inputValue();
  for (const [text, reason] of [
    ['0', 'It must be more than 0.'],
    ['a foot', 'not part of a length'],
  ] as const) {
    await ahead.fill(text);
    await ahead.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: reason })).toBeVisible();
    await expect(ahead).toHaveValue(text);
  }
  await ahead.press('Escape');
  await expect(ahead).toHaveValue(was);
  await ahead.fill("1' 2 1/2");
  await ahead.press('Enter');
  await expect(ahead).toHaveValue('14 1/2');
  await saved(page);
});
