import { expect, test } from '@playwright/test';
import { faults } from './axe.ts';
import { base, newFlagship, openBench, signIn } from './steps.ts';

test('a printed sheet has a number and a code that says whether it still holds; its letters stay', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'Van with sheets');
  await openBench(page, id, 'marks');
  const opened = page.waitForEvent('popup');
  await page.getByRole('button', { name: 'Print page' }).click();
  const sheet = await opened;
  await sheet.waitForURL(/\/print\//);
  await expect(sheet.getByText('Sheet 1', { exact: true })).toBeVisible();
  await expect(
    sheet.getByRole('img', { name: /^The left rail laid flat, front to the left, with \d+ lines/ }),
  ).toBeVisible();
  expect(await faults(sheet)).toEqual([]);
  const number = new URL(sheet.url()).searchParams.get('sheet') ?? '';
  await sheet.close();
  await expect(page.getByText('no line has moved since')).toBeVisible();

  // What its code opens.
  await page.goto(`/sheets/${id}/${number}`);
  await expect(page.getByText('Current', { exact: true })).toBeVisible();

  // A colleague moves the stretch by 7 in: its letters stay, and the sheet says what moved.
  const { job, revision } = (await (await page.request.get(`/api/jobs/${id}`)).json()) as {
    readonly revision: number;
    readonly job: { readonly plan: { readonly operations: { kind: string; at: { x: number } }[] } };
  };
  for (const operation of job.plan.operations) if (operation.kind === 'lengthen') operation.at.x += 7 * 25.4;
  const answer = await page.request.put(`/api/jobs/${id}`, {
    data: { basedOn: revision, label: 'Moved', version: 12, job },
    headers: { origin: base },
  });
  expect(answer.status()).toBe(200);
  await page.goto(`/sheets/${id}/${number}`);
  await expect(page.getByText('OUT OF DATE: do not cut by it')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What changed' })).toContainText(
    'A·B upper line, left: moved 7 in rearward, 54 1/2 in → 61 1/2 in',
  );
  expect(await faults(page)).toEqual([]);
});

test('a line scribed at the frame is recorded, by whom and when', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  const id = await newFlagship(page, 'Van being scribed');
  await page.goto(`/jobs/${id}/marks`);
  const scribe = page.getByRole('button', { name: 'Scribed', exact: true });
  await expect(scribe.first()).toBeVisible();
  const before = await scribe.count();
  await scribe.first().click();
  await expect(page.getByText(/^Scribed by owner/)).toBeVisible();
  await expect(scribe).toHaveCount(before - 1);
  // Kept through a reload: it is in the log.
  await page.waitForTimeout(1000);
  await page.reload();
  await expect(page.getByText(/^Scribed by owner/)).toBeVisible();
});
