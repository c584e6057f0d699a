import { expect, type Page, test } from '@playwright/test';
import { faults } from './axe.ts';
import { allHere, BENCHES, newJob, openBench, openDemoShop, turnTo } from './steps.ts';

/** The least size of what a finger presses, px. */
const LEAST = 48;

/** Everything on the page that can be pressed and is smaller than a finger: what it is, and its size, px. */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate((least) => {
    const pressed =
      'a[href], button, input, select, textarea, summary, [role="button"], [role="slider"], [data-pick], [data-handle]';
    // A box that is ticked is pressed by its label too.
    const area = (element: Element) =>
      (element.matches('[type="checkbox"], [type="radio"]') && element.closest('label')) || element;
    return Array.from(document.querySelectorAll(pressed)).flatMap((element) => {
      const hit = area(element);
      const { width, height, bottom, right } = hit.getBoundingClientRect();
      const hidden = width <= 1 || height <= 1 || bottom <= 0 || right <= 0 || element.closest('[inert]');
      if (hidden || !element.checkVisibility({ visibilityProperty: true })) return [];
      if (width >= least - 0.5 && height >= least - 0.5) return [];
      const name = element.getAttribute('aria-label') ?? element.getAttribute('data-name') ?? element.textContent;
      return [
        `${element.tagName.toLowerCase()} “${name?.trim().slice(0, 40)}” ${Math.round(width)}×${Math.round(height)}`,
      ];
    });
  }, LEAST);

const SCREENS = [
  { name: 'a tablet held upright', viewport: { width: 820, height: 1180 } },
  { name: 'a tablet on its side', viewport: { width: 1180, height: 820 }, turned: true },
  { name: 'a phone', viewport: { width: 390, height: 844 } },
  { name: 'a phone on its side', viewport: { width: 844, height: 390 }, turned: true },
];

for (const { name, viewport, turned } of SCREENS)
  test.describe(name, () => {
    test.use({ viewport, hasTouch: true, isMobile: true });

    test('has no bench with a fault that axe can find, or a target too small for a finger', async ({ page }) => {
      await openDemoShop(page);
      expect(['jobs', await tooSmall(page)]).toEqual(['jobs', []]);
      const id = await newJob(page, 'orchard-sprayer', `Sprayer on ${name}`);
      await openBench(page, id, 'donor');
      for (const bench of BENCHES) {
        await turnTo(page, bench);
        expect([bench, await tooSmall(page)]).toEqual([bench, []]);
        // Turning a device changes where things are, not what they are.
        if (!turned) expect([bench, await faults(page)]).toEqual([bench, []]);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(viewport.width);
        const drawers = page.getByRole('group', { name: 'Slides over the tray' }).getByRole('button');
        for (const drawer of await drawers.all()) {
          await drawer.tap();
          await expect(drawer).toHaveAttribute('aria-pressed', 'true');
          await allHere(page);
          const opened = `${bench}: ${await drawer.textContent()}`;
          expect([opened, await tooSmall(page)]).toEqual([opened, []]);
        }
      }
    });
  });
