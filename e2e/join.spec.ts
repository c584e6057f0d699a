import { expect, test } from '@playwright/test';
import { ledger, newFlagship, newJob, openBench, openDrawer, saved, signIn } from './steps.ts';

test('stands in one press, one dragged until its part goes over, and back', async ({ page }) => {
  await signIn(page);
  const id = await newJob(page, 'orchard-sprayer', 'Sprayer on stands');
  await openBench(page, id, 'stands');
  await expect(ledger(page, 'Closest to tipping')).toHaveText('does not stand');
  await page.getByRole('button', { name: 'Place stands for cut A' }).click();
  await expect(page.getByText('Every part stands once cut A is through.')).toBeVisible();
  await saved(page);

  // The hindmost stand is dragged ahead of where the rear part balances.
  const stands = page.locator('[data-pick^="shore"]');
  await expect(stands).toHaveCount(4);
  const hindmost = stands.last().locator('path').first();
  const box = (await hindmost.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 160, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByText(/Rear part goes rear down once it is cut free/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Cut A, Shorten: not every part stands/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Every part stands once cut A is through.')).toBeVisible();

  // Through every moment, and the sheet.
  for (const moment of ['half cut', 'through', 'apart', 'standing'])
    await page.getByRole('group', { name: 'Moment of the cut' }).getByRole('button', { name: moment }).click();
  await saved(page);
  const sheet = await page.request.get(`/api/jobs/${id}/stands.pdf?paper=letter`);
  expect(sheet.headers()['content-type']).toBe('application/pdf');
});

test('the loose half is pushed by hand, every reading answers, and the moves say how', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Crooked van');
  await openBench(page, id, 'true-up');
  await page.getByRole('group', { name: 'Stage of the job' }).getByRole('button', { name: 'Fit-up' }).click();
  const next = page.getByRole('region', { name: 'Next move' });
  await expect(next).toContainText('Pull the loose half 1/8 in forward');
  const half = page.getByRole('button', { name: /The loose half: drag it/ });
  const box = (await half.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.8);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.5 - 13, box.y + box.height * 0.8, { steps: 6 });
  await page.mouse.up();
  const pushed = page.getByRole('region', { name: 'Pushed' });
  await expect(pushed).toContainText(/Pull the loose half \d+\/\d+ in forward/);
  await expect(pushed.getByRole('status')).toContainText(/\d readings? not right/);
  await pushed.getByRole('button', { name: 'Let it go back' }).click();
  await expect(next).toContainText('Pull the loose half 1/8 in forward');
  await openDrawer(page, 'Moves');
  await expect(page.getByRole('region', { name: 'Moves' }).getByRole('listitem').last()).toContainText(
    'then all readings right',
  );
});

test('a practice frame is measured, moved and scored', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Practice van');
  await openBench(page, id, 'true-up');
  await openDrawer(page, 'Practice');
  await page.getByRole('button', { name: 'Give me a crooked frame' }).click();
  for (let round = 0; round < 4; round += 1) {
    await page.getByRole('button', { name: 'Measure everything' }).click();
    await page.getByRole('button', { name: 'Show what Splay would do' }).click();
    await expect(page.getByRole('region', { name: 'What Splay would do' })).toBeVisible();
    const all = page.getByRole('button', { name: 'Do all of it' });
    if ((await all.count()) === 0) break;
    await all.click();
  }
  await page.getByRole('button', { name: /score it/ }).click();
  await expect(page.getByRole('region', { name: 'Score' })).toContainText(/True:|still out/);
});

test.describe('at the frame', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('stands are set while the connection is gone, and the other device sees it when it is back', async ({
    page,
    context,
    browser,
  }) => {
    await signIn(page);
    const id = await newFlagship(page, 'Van on the floor');
    await page.goto(`/jobs/${id}/stands`);
    const stand = page.getByRole('region', { name: 'One stand' });
    await expect(stand).toContainText('must carry');
    await context.setOffline(true);
    await stand.getByRole('textbox').fill('1540');
    await stand.getByRole('button', { name: 'Set' }).tap();
    await stand.getByRole('button', { name: 'The stand behind' }).tap();
    await stand.getByRole('button', { name: 'Set' }).tap();
    await expect(page.getByRole('banner').getByRole('status')).toContainText('2 records waiting to be sent');

    const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await signIn(desk);
    await openBench(desk, id, 'stands');
    await desk.locator('[data-pick^="van-stand"] path').first().click();
    await expect(desk.getByText(/^Set by/)).toHaveCount(0);

    await context.setOffline(false);
    await expect(page.getByText('waiting to be sent')).toBeHidden();
    await expect(desk.getByText(/^Set by .*carrying/)).toContainText('1540');
    await desk.context().close();
  });
});
