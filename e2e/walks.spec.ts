import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { newFlagship, openBench, openDemoShop, saved } from './steps.ts';

test.describe('by keys alone', () => {
  test('a plan is opened, looked along, changed, marked and read', async ({ page }) => {
    const key = (name: string) => page.keyboard.press(name);
    const type = (text: string) => page.keyboard.type(text);
    /** Tab until what has the focus is called so; gives up after a page of it. */
    const tabTo = async (name: RegExp) => {
      const focused = () =>
        page.evaluate(() => {
          const at = document.activeElement as HTMLElement;
          const labels = (at as HTMLInputElement).labels;
          return at.getAttribute('aria-label') ?? labels?.[0]?.textContent ?? at.textContent ?? '';
        });
      for (let press = 0; press < 140; press += 1) {
        if (name.test((await focused()).trim())) return;
        await key('Tab');
      }
      throw new Error(`Tab does not come to ${name}`);
    };
    /** Whatever can be done, by a part of its name. */
    const find = async (text: string) => {
      await key('Control+k');
      await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeVisible();
      await type(text);
      await key('Enter');
      await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeHidden();
    };

    await page.goto('/sign-in');
    await tabTo(/^Open the demo shop/);
    await key('Enter');
    await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    const name = `Van by keys ${Date.now()}`;
    await newFlagship(page, name);
    await page.reload();
    await tabTo(new RegExp(`^${name}`));
    await key('Enter');
    await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeVisible();
    await find('Go to Cuts');
    await expect(page.getByRole('complementary', { name: 'Cuts' })).toBeVisible();

    // The skip link, then the drawing as one stop; arrows go along what is on it, and say what it is.
    const drawing = page.getByRole('group', { name: /^Drawing of the frame/ });
    await drawing.focus();
    await key('ArrowRight');
    const said = drawing.locator('[aria-live]');
    const first = await said.textContent();
    expect(first).not.toBe('');
    await key('ArrowRight');
    await expect(said).not.toHaveText(first ?? '');
    await key('+');
    await expect(page.getByRole('button', { name: 'Show the whole frame' })).toBeEnabled();
    await key('0');
    await expect(page.getByRole('button', { name: 'Show the whole frame' })).toBeDisabled();

    // A cut is nudged on the drawing, and its length typed and nudged in the panel.
    await find('A B Lengthen');
    await tabTo(/^A: Lengthen/);
    const where = page.getByRole('textbox', { name: 'Where, level from the datum hole' });
    await expect(where).toHaveValue('56');
    await key('Shift+ArrowRight');
    await expect(where).toHaveValue('56 1/2');
    await tabTo(/^How much$/);
    await key('ArrowUp');
    await expect(page.getByRole('textbox', { name: 'How much' })).toHaveValue('14 13/16');
    await key('Alt+ArrowUp');
    await expect(page.getByRole('textbox', { name: 'How much' })).toHaveValue('14 53/64');
    await key('Enter');
    await saved(page);

    // A figure's thread, and away again.
    await tabTo(/^Cab to axle/);
    await key('Enter');
    await expect(page.getByRole('region', { name: 'What Cab to axle rests on' })).toBeVisible();
    await key('Escape');
    await expect(page.getByRole('region', { name: 'What Cab to axle rests on' })).toBeHidden();

    await find('Go to Marks');
    await expect(page.getByRole('complementary', { name: 'Marks' })).toBeVisible();
    await find('All marks');
    await expect(page.locator('[data-mark="lines-left A B"]').first()).toContainText('55');
    await find('Go to True-up');
    await find('All readings');
    await tabTo(/^Measured: Back of cab left to Kick-up right$/);
    await type('69 7/16');
    await key('Enter');
    await expect(page.locator('[data-measurement="p3-left-p4-right"]')).toContainText('right');
  });
});

test.describe('on a phone alone', () => {
  test.use({ viewport: { width: 360, height: 640 }, hasTouch: true, isMobile: true });

  test('the donor is measured, the plan looked over, the marks found, a reading taken and taken back', async ({
    page,
  }) => {
    const tap = (name: string | RegExp) =>
      page
        .getByRole('button', { name, exact: typeof name === 'string' })
        .first()
        .tap();
    const goTo = async (bench: string, from: string) => {
      await page.getByRole('navigation', { name: 'Order of work' }).getByRole('button', { name: from }).last().tap();
      await page
        .getByRole('dialog', { name: 'Order of work' })
        .getByRole('link', { name: new RegExp(`^${bench}`) })
        .tap();
    };
    const keys = async (...all: string[]) => {
      for (const each of all) await tap(each);
    };
    await page.goto('/sign-in');
    await tap('Open the demo shop');
    await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    const name = `Van in the hand ${Date.now()}`;
    await newFlagship(page, name);
    await page.reload();
    await page.getByRole('link', { name }).first().tap();
    const order = page.getByRole('navigation', { name: 'Order of work' });
    await expect(order).toBeVisible();

    await goTo('Donor', (await order.getByRole('button').nth(1).textContent()) ?? '');
    await page.getByRole('button', { name: /^Half-width/ }).tap();
    await keys('1', '5', '1/8', 'Save');
    await expect(page.getByRole('button', { name: /^Half-width/ })).toContainText('15 1⁄8');
    await tap('Undo');
    await expect(page.getByRole('button', { name: /^Half-width/ })).not.toContainText('15 1⁄8');

    await goTo('Cuts', 'Donor');
    await expect(page.getByRole('main')).toContainText('Lengthen');
    await goTo('Marks', 'Cuts');
    await expect(page.getByRole('listitem').filter({ hasText: 'A·B' }).first()).toContainText('54 1⁄2');

    await goTo('True-up', 'Marks');
    const card = page.getByRole('region', { name: 'Back of cab left to Kick-up right' });
    await expect(card).toContainText('69 3⁄8');
    // Every key stands over the bar at the foot, down to the last.
    const bar = (await order.boundingBox())?.y ?? 0;
    for (const each of ['0', 'take back', 'Save']) {
      const box = await page.getByRole('button', { name: each, exact: true }).boundingBox();
      expect((box?.y ?? 999) + (box?.height ?? 999)).toBeLessThanOrEqual(bar + 0.5);
    }
    // One that is not right stops, and stands where the keypad was.
    await keys('7', '1', 'Save');
    const taken = page.getByRole('region', { name: 'Taken' });
    await expect(taken).toContainText('71');
    const box = await taken.boundingBox();
    expect((box?.y ?? 999) + (box?.height ?? 999)).toBeLessThanOrEqual(bar + 0.5);
    await taken.getByRole('button', { name: 'Type it again' }).tap();
    await keys('6', '9', '1/8', '3/8', 'one thirty-second more', 'Save');
    // A good one is gone on from by itself.
    await expect(page.getByRole('status').filter({ hasText: '69 13⁄32 right' })).toBeVisible();
    await expect(page.getByRole('button', { name: '0', exact: true })).toBeVisible();
  });
});

test('the frame in space is looked at, before beside planned, and handed to a customer as a picture', async ({
  page,
}) => {
  await openDemoShop(page);
  await openBench(page, await newFlagship(page, 'Van for a customer'), 'cuts');
  await page.getByRole('button', { name: 'Look around, in space' }).click();
  await expect(page.getByRole('img', { name: /^The frame in space/ }).locator('canvas')).toBeVisible();
  await page.getByRole('slider', { name: 'Before, from the left' }).fill('0.5');
  await expect(page.getByText('planned', { exact: true })).toBeVisible();
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Picture' }).click();
  const file = await coming;
  expect(file.suggestedFilename()).toBe('Van for a customer Stretch ahead of the tank.png');
  const bytes = readFileSync(await file.path());
  // A PNG, as wide as the view, and taller by the strip with the names.
  expect(bytes.subarray(1, 4).toString()).toBe('PNG');
  const { width, height } = (await page.locator('canvas').boundingBox())!;
  expect(bytes.readUInt32BE(16)).toBe(Math.round(width));
  expect(bytes.readUInt32BE(20)).toBeGreaterThan(height);
  // What was drawn is on it: more than a few plain colors.
  const colors = await page.evaluate(async (data) => {
    const picture = await createImageBitmap(new Blob([Uint8Array.from(atob(data), (sign) => sign.charCodeAt(0))]));
    const canvas = new OffscreenCanvas(picture.width, picture.height);
    const pen = canvas.getContext('2d')!;
    pen.drawImage(picture, 0, 0);
    const { data: pixels } = pen.getImageData(0, 0, picture.width, picture.height);
    const seen = new Set<string>();
    for (let at = 0; at < pixels.length; at += 404) seen.add(pixels.slice(at, at + 3).join());
    return seen.size;
  }, bytes.toString('base64'));
  expect(colors).toBeGreaterThan(40);
});
