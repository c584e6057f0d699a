import { expect, type Page, test } from '@playwright/test';
import { newFlagship, openBench, signIn } from './steps.ts';

/** Windows that the board must be upright, to scale and whole in: desks, tablets both ways, low windows, and a page at 125 %. */
const SIZES = [
  [820, 1180],
  [1080, 810],
  [1024, 768],
  [1024, 640],
  [960, 600],
  [1280, 540],
  [1180, 820],
  [1280, 720],
  [1366, 625],
  [1440, 900],
  [1920, 1080],
] as const;

/** Where the rails and wheels of the drawing are, px, and what runs out of the window. */
const measured = (page: Page) =>
  page.evaluate(() => {
    const box = (element: Element) => {
      const { left, right, top, bottom } = element.getBoundingClientRect();
      return { left, right, top, bottom };
    };
    const points = (what: string) =>
      Array.from(document.querySelectorAll<SVGPathElement>(`[data-rails="${what}"] path`)).flatMap((path) => {
        const to = path.getScreenCTM() as DOMMatrix;
        return [...(path.getAttribute('d') ?? '').matchAll(/(-?[\d.]+)[ ,](-?[\d.]+)/g)].map((pair) => {
          const at = new DOMPoint(Number(pair[1]), Number(pair[2])).matrixTransform(to);
          return [at.x, at.y] as const;
        });
      });
    const wheels = Array.from(document.querySelectorAll('[aria-label^="Drawing of the frame"] ellipse')).map(box);
    const strips = document.querySelector('[aria-label^="Drawing of the frame"]')!;
    const aside = document.querySelector('#panel') ?? strips;
    const labels = Array.from(document.querySelectorAll('[aria-label^="Drawing of the frame"] text, [data-tray] text'))
      .filter((text) => text.textContent!.trim() !== '' && text.checkVisibility({ opacityProperty: true }))
      .map((text) => ({ words: text.textContent!.trim(), at: box(text) }));
    // Boxes of texts are a little larger than their letters.
    const overlaps = labels.flatMap(({ words, at }, index) =>
      labels.slice(index + 1).flatMap((other) => {
        const across = Math.min(at.right, other.at.right) - Math.max(at.left, other.at.left);
        const down = Math.min(at.bottom, other.at.bottom) - Math.max(at.top, other.at.top);
        return across > 3 && down > 4 ? [`${words} over ${other.words}`] : [];
      }),
    );
    const wide = Array.from(document.querySelectorAll('#panel, header, footer')).filter(
      (element) => element.scrollWidth > element.clientWidth + 1 && element.id === 'panel',
    );
    return {
      side: points('side'),
      plan: points('plan'),
      wheels,
      strips: box(strips),
      tray: box(document.querySelector('[data-tray]')!),
      panel: box(aside),
      overlaps,
      labels: labels.length,
      wide: wide.map(({ id }) => id),
      page: document.documentElement.scrollWidth,
    };
  });

test('the drawing is right side up and whole in every window', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'In every window');
  for (const bench of ['cuts', 'match', 'stands', 'marks']) {
    await openBench(page, id, bench);
    for (const [width, height] of SIZES) {
      await page.setViewportSize({ width, height });
      // What is drawn follows the window.
      await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn, 100))));
      await expect(page.locator('[data-rails="side"] path').first()).toBeAttached();
      const at = `${bench} at ${width} × ${height}`;
      const { side, plan, wheels, strips, tray, panel, wide, overlaps, labels, page: broad } = await measured(page);
      const [xs, ys] = [side.map(([x]) => x), side.map(([, y]) => y)];
      const [left, right] = [Math.min(...xs), Math.max(...xs)];
      const highest = side.find(([, y]) => y === Math.min(...ys))!;
      // The frame rises over its rear axle: that is up, and toward the right end.
      expect((highest[0] - left) / (right - left), `${at}: the kick-up is up and behind`).toBeGreaterThan(0.55);
      expect(right - left, `${at}: front to rear`).toBeGreaterThan(strips.right / 4);
      expect(Math.max(...ys), `${at}: inside the side view`).toBeLessThan(strips.bottom);
      expect(Math.min(...ys), `${at}: inside the side view`).toBeGreaterThan(strips.top);
      for (const wheel of wheels)
        expect(wheel.bottom, `${at}: wheels reach below the rails`).toBeGreaterThan(Math.max(...ys) - 1);
      // Left on top, both rails in the plan view, clear of each other.
      const rails = plan.map(([, y]) => y).sort((a, b) => a - b);
      expect(rails[0], `${at}: plan view`).toBeGreaterThan(Math.max(...ys));
      expect(rails.at(-1), `${at}: plan view`).toBeLessThanOrEqual(strips.bottom + 1);
      expect(rails.at(-1)! - rails[0]!, `${at}: both rails`).toBeGreaterThan(30);
      expect(tray.bottom - tray.top, `${at}: the tray`).toBeGreaterThan(90);
      expect(panel.right, `${at}: the panel`).toBeLessThanOrEqual(width + 1);
      expect(labels, `${at}: labels`).toBeGreaterThan(5);
      expect(overlaps, `${at}: labels over each other`).toEqual([]);
      expect([wide, broad], `${at}: nothing runs out sideways`).toEqual([[], width]);
    }
  }
});

test('the bar between drawing and tray is dragged or moved with keys, and stays where it was put', async ({ page }) => {
  await signIn(page);
  const id = await newFlagship(page, 'A taller drawing');
  await page.setViewportSize({ width: 1280, height: 800 });
  await openBench(page, id, 'cuts');
  const bar = page.getByRole('slider', { name: 'Height of the drawing over the tray' });
  const strips = page.getByRole('group', { name: /^Drawing of the frame/ });
  const tall = async () => (await strips.boundingBox())!.height;
  const usual = await tall();
  const grip = (await bar.boundingBox())!;
  await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2);
  await page.mouse.down();
  await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2 + 120, { steps: 6 });
  await page.mouse.up();
  await expect.poll(tall).toBeGreaterThan(usual + 100);
  const dragged = await tall();
  await openBench(page, id, 'match');
  await expect.poll(tall).toBe(dragged);
  await bar.focus();
  await page.keyboard.press('ArrowUp');
  await expect.poll(tall).toBeLessThan(dragged);
  await page.keyboard.press('Home');
  await expect.poll(tall).toBe(usual);
});

test('at 200 % the drawing is laid over the bench at its own size, scrolled, changed and left again', async ({
  page,
}) => {
  await signIn(page);
  const id = await newFlagship(page, 'Read from afar');
  // A page of 1280 × 800 at 200 %.
  await page.setViewportSize({ width: 640, height: 400 });
  await openBench(page, id, 'cuts');
  await page.getByRole('button', { name: 'The whole drawing' }).click();
  const over = page.getByRole('main', { name: 'The whole drawing' });
  const tag = over.getByRole('slider', { name: /^A: Lengthen/ });
  await tag.scrollIntoViewIfNeeded();
  await tag.focus();
  const before = await tag.getAttribute('aria-valuetext');
  await page.keyboard.press('ArrowRight');
  await expect(tag).not.toHaveAttribute('aria-valuetext', before!);
  const { side, strips } = await measured(page);
  expect(Math.max(...side.map(([x]) => x)) - Math.min(...side.map(([x]) => x))).toBeGreaterThan(500);
  expect(Math.max(...side.map(([, y]) => y))).toBeLessThan(strips.bottom);
  await over.evaluate((element) => element.scrollTo(1000, 1000));
  expect(await over.evaluate((element) => element.scrollLeft)).toBeGreaterThan(200);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'The whole drawing' })).toBeVisible();
});
