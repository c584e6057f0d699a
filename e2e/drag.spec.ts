import { expect, test } from '@playwright/test';
import { newFlagship, openBench, openDemoShop } from './steps.ts';

/**
 * Frame times while a cut is dragged, printed for docs/benchmarks.md. The limit is wide: Chromium draws in software here,
 * on a machine that others use too.
 */
test('a drag keeps up with the hand', async ({ page }) => {
  await openDemoShop(page);
  await openBench(page, await newFlagship(page, 'Timed van'), 'cuts');
  const tag = page.getByRole('button', { name: /^A: Lengthen/ });
  const box = await tag.locator('text').boundingBox();
  if (!box) throw new Error('the tag is not drawn');
  await page.mouse.move(box.x + 4, box.y + 6);
  await page.mouse.down();
  await page.mouse.move(box.x + 12, box.y + 6);
  const { frames, work, places } = await page.evaluate(
    async ({ x, y }) => {
      const times: number[] = [];
      const spent: number[] = [];
      const seen = new Set<string>();
      const tagged = document.querySelector('[aria-label^="A: Lengthen"] text');
      let last = performance.now();
      for (let step = 0; step < 240; step += 1) {
        window.dispatchEvent(new PointerEvent('pointermove', { clientX: x + 60 * Math.sin(step / 20), clientY: y }));
        await new Promise(requestAnimationFrame);
        // The board draws in this frame's own callback; what follows runs right behind it.
        const begun = performance.now();
        await new Promise((done) => setTimeout(done));
        spent.push(performance.now() - begun);
        times.push(begun - last);
        last = begun;
        seen.add(tagged?.getAttribute('x') ?? '');
      }
      return { frames: times.slice(20), work: spent.slice(20), places: seen.size };
    },
    { x: box.x + 4, y: box.y + 6 },
  );
  await page.mouse.up();
  const at95 = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? 0;
  console.log(
    `drag: frame time at the 95th percentile ${at95(frames).toFixed(1)} ms, drawing ${at95(work).toFixed(1)} ms`,
  );
  expect(places).toBeGreaterThan(100);
  expect(at95(frames)).toBeLessThan(150);
});
