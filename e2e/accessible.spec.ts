import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { newFlagship, openBench, openDemoShop } from './steps.ts';

async function faults(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'])
    .analyze();
  return violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .map((node) => node.target.join(' '))
        .slice(0, 3)
        .join(', ')}`,
  );
}

test('the pages before a job have no accessibility faults that axe can find', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: 'Open the demo shop' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await openDemoShop(page);
  expect(await faults(page)).toEqual([]);
});

for (const bench of ['donor', 'cuts', 'marks', 'true-up'])
  test(`nor has the ${bench} bench`, async ({ page }) => {
    await openDemoShop(page);
    await openBench(page, await newFlagship(page, `Van for ${bench}`), bench);
    expect(await faults(page)).toEqual([]);
  });
