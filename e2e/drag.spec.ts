import { expect, type Page, test } from '@playwright/test';
import { newFlagship, openBench, openDemoShop } from './steps.ts';

/** Starts counting the script that a page runs; gives how much it was since then, ms. */
async function scriptClock(page: Page): Promise<() => Promise<number>> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const read = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return 1000 * (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? NaN);
  };
  const begun = await read();
  return async () => (await read()) - begun;
}

/**
 * Every move of the hand is on the drawing in the very next frame, however long the machine takes for one. Frame times
 * are printed for docs/benchmarks.md.
 */
test('a drag redraws within a frame', async ({ page }) => {
  await openDemoShop(page);
  await openBench(page, await newFlagship(page, 'Timed van'), 'cuts');
  const tag = page.getByRole('button', { name: /^A: Lengthen/ });
  const box = await tag.locator('text').boundingBox();
  if (!box) throw new Error('the tag is not drawn');
  const [x, y] = [box.x + 4, box.y + 6];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 12, y);
  const scripted = await scriptClock(page);
  const { idle, frames, farthest } = await page.evaluate(
    async ({ startX, startY }) => {
      const drawnAt = () =>
        Number(
          /translate\((\S+?)\)/.exec(
            document.querySelector('[aria-label^="A: Lengthen"]')?.getAttribute('transform') ?? '',
          )?.[1],
        );
      const begun = drawnAt() - 12;
      const idle: number[] = [];
      const times: number[] = [];
      let farthest = 0;
      let last = performance.now();
      for (let step = 0; step < 120; step += 1) {
        const now = await new Promise<number>(requestAnimationFrame);
        idle.push(now - last);
        last = now;
      }
      for (let step = 0; step < 240; step += 1) {
        const moved = 60 * Math.sin(step / 20);
        window.dispatchEvent(new PointerEvent('pointermove', { clientX: startX + moved, clientY: startY }));
        const now = await new Promise<number>(requestAnimationFrame);
        farthest = Math.max(farthest, Math.abs(drawnAt() - begun - moved));
        times.push(now - last);
        last = now;
      }
      return { idle, frames: times.slice(20), farthest };
    },
    { startX: x, startY: y },
  );
  const script = (await scripted()) / 240;
  await page.mouse.up();
  const at = (times: readonly number[], share: number) =>
    ([...times].sort((a, b) => a - b)[Math.floor(times.length * share)] ?? 0).toFixed(1);
  console.log(
    `drag: frame time ${at(frames, 0.5)} ms at the median, ${at(frames, 0.95)} ms at the 95th percentile;`,
    `${at(idle, 0.95)} ms at the 95th with nothing moving;`,
    `${script.toFixed(1)} ms of script a frame`,
  );
  // A sixteenth of an inch is 0.2 px here: nearer than a pixel means drawn, and drawn in this frame.
  expect(farthest).toBeLessThan(1);
});
