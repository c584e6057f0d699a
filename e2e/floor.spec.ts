import { expect, test } from '@playwright/test';
import { base, newFlagship, signIn } from './steps.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('readings at the frame: one at a time, by keypad, through a dropped connection', async ({ page, context }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Floor van');
  await page.goto(`/jobs/${id}/true-up`);

  // It begins with the reading that is not right: the diagonal that was misread by an inch.
  const card = page.getByRole('region', { name: 'Back of cab left to Kick-up right' });
  await expect(card).toContainText('should read');
  await expect(card).toContainText('69 3⁄8');
  await expect(card).toContainText('an inch long');
  for (const key of await page.getByRole('main').getByRole('button').all()) {
    const box = await key.boundingBox();
    expect(box?.height).toBeGreaterThanOrEqual(48);
    expect(box?.width).toBeGreaterThanOrEqual(44);
  }

  await context.setOffline(true);
  for (const key of ['6', '9', '1/8', '3/8']) await page.getByRole('button', { name: key, exact: true }).tap();
  await expect(page.getByLabel('Typed so far')).toHaveText('69 3/8');
  await page.getByRole('button', { name: 'Save' }).tap();
  const taken = page.getByRole('region', { name: 'Taken' });
  // A good one is gone on from by itself, and says so.
  await expect(page.getByRole('status').filter({ hasText: '69 3⁄8 right' })).toBeVisible();
  await expect(page.getByRole('banner')).toContainText('1 record waiting to be sent');
  await context.setOffline(false);
  await expect(page.getByRole('banner')).toContainText('saved');

  const stored = await (await page.request.get(`/api/jobs/${id}/records`)).json();
  const mine = (stored as { body: { measurement?: string; value?: number } }[]).filter(
    ({ body }) => body.measurement === 'p3-left-p4-right',
  );
  expect(mine.at(-1)?.body.value).toBeCloseTo(69.375 * 25.4, 6);

  // It can be typed again.
  await page.getByRole('button', { name: 'Type it again' }).tap();
  await expect(page.getByRole('region', { name: 'Back of cab left to Kick-up right' })).toBeVisible();

  // A bad one stops: its verdict stands where the keypad was.
  for (const key of ['7', '1']) await page.getByRole('button', { name: key, exact: true }).tap();
  await page.getByRole('button', { name: 'Save' }).tap();
  await expect(taken).toContainText('71');
  await expect(page.getByRole('button', { name: '0', exact: true })).toBeHidden();
  await page.waitForTimeout(2500);
  await taken.getByRole('button', { name: 'Next' }).tap();

  // What cannot be a tape reading is refused with the reason.
  await page.getByRole('button', { name: '0', exact: true }).tap();
  await page.getByRole('button', { name: 'Save' }).tap();
  await expect(page.getByRole('alert')).toHaveText('A tape reads more than 0.');
});

test('the donor is surveyed at the frame: one figure at a time, through a dropped connection', async ({
  page,
  context,
}) => {
  await signIn(page);
  const id = await newFlagship(page, 'Floor survey');
  await page.goto(`/jobs/${id}/donor`);
  const card = page.getByRole('region', { name: 'Station 1', exact: true });
  await expect(card).toContainText('1 of 9');
  for (const key of await page.getByRole('main').getByRole('button').all()) {
    const box = await key.boundingBox();
    expect(box?.height).toBeGreaterThanOrEqual(48);
    expect(box?.width).toBeGreaterThanOrEqual(44);
  }

  await context.setOffline(true);
  await card.getByRole('button', { name: /^Half-width/ }).tap();
  for (const key of ['1', '5', '1/8']) await page.getByRole('button', { name: key, exact: true }).tap();
  await page.getByRole('button', { name: 'Save', exact: true }).tap();
  await expect(card.getByRole('button', { name: /^Top height/ })).toHaveAttribute('aria-pressed', 'true');
  await expect(card.getByRole('button', { name: /^Half-width/ })).toContainText('15 1⁄8');
  await page.getByRole('button', { name: 'One more behind' }).tap();
  await expect(page.getByRole('region', { name: 'Station 2', exact: true })).toContainText('2 of 10');
  await context.setOffline(false);
  await expect(page.getByRole('banner')).toContainText('saved');

  // It is on the server, as every other change is.
  await page.reload();
  await expect(card.getByRole('button', { name: /^Half-width/ })).toContainText('15 1⁄8');
  await expect(card).toContainText('1 of 10');
});

test('the marks at the frame are one card a line, and nothing runs off the side', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Floor marks');
  for (const bench of [
    'marks',
    'stands',
    'true-up',
    'weld',
    'donor',
    'body',
    'match',
    'where',
    'splice',
    'cuts',
    'mounts',
  ]) {
    await page.goto(`/jobs/${id}/${bench}`);
    await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
  await page.goto(`/jobs/${id}/donor`);
  for (const next of ['Body', 'Match', 'Where', 'Cuts', 'Splice', 'Marks'])
    await page.getByRole('button', { name: `Next: ${next}` }).tap();
  await expect(page.getByRole('listitem').filter({ hasText: 'A·B' }).first()).toContainText('54 1⁄2');
  await expect(page.getByRole('listitem').filter({ hasText: 'trim the rear' }).first()).toContainText('164 3⁄4');
});

test('stitches are welded one press each, without a connection too, and the next one waits until the steel is cool', async ({
  page,
  context,
}) => {
  await signIn(page);
  const id = await newFlagship(page, 'Floor welding');
  await page.goto(`/jobs/${id}/weld`);
  await expect(page.getByRole('region', { name: 'Measure first' })).toBeVisible();

  // Somebody signs for the reading that is off; then both joints are welded in turn.
  const signed = {
    id: 'signed-for-welding',
    kind: 'gate-signed',
    version: 1,
    body: { gate: 'before-welding-out', checks: ['readings-tacked', 'coupons', 'ends'], reason: 'Read again by hand' },
    taken: new Date().toISOString(),
    by: 'owner',
  };
  const answer = await page.request.post(`/api/jobs/${id}/records`, { data: [signed], headers: { origin: base } });
  expect(answer.ok()).toBe(true);
  await page.reload();
  const a = page.getByRole('region', { name: 'Next stitch of joint A' });
  await expect(a).toContainText('1 of 20');
  await expect(page.getByRole('region', { name: 'Next stitch of joint B' })).toContainText('1 of 20');
  await expect(a.getByRole('timer')).toContainText('Cool enough to start');
  const first = await a
    .getByText(/rail, /)
    .first()
    .textContent();

  await context.setOffline(true);
  await a.getByRole('button', { name: 'Done' }).tap();
  await expect(a).toContainText('2 of 20');
  await expect(a).not.toContainText(first ?? '?');
  await expect(a).toContainText('not sent yet');
  await expect(a.getByRole('timer')).toBeVisible();
  await a.getByRole('textbox', { name: /Read at its start/ }).fill('3000');
  await a.getByRole('button', { name: 'Keep' }).tap();
  await expect(a.getByRole('alert')).toContainText('read it again');
  await a.getByRole('textbox', { name: /Read at its start/ }).fill('180');
  await a.getByRole('button', { name: 'Keep' }).tap();
  await expect(a).toContainText('Kept: 180 °F');
  await context.setOffline(false);
  await expect(page.getByRole('banner')).toContainText('saved');

  const stored = (await (await page.request.get(`/api/jobs/${id}/records`)).json()) as { kind: string }[];
  expect(stored.filter(({ kind }) => kind === 'stitch-welded')).toHaveLength(21);
  expect(stored.filter(({ kind }) => kind === 'steel-temperature')).toHaveLength(1);

  // A slip is taken back.
  await a.getByRole('button', { name: 'Take it back' }).tap();
  await expect(a).toContainText('1 of 20');
});
