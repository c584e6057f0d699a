import { expect, test } from '@playwright/test';
import { type Body, newBody } from '../core/src/body/index.ts';
import { jobFileOf, writeJobFile } from '../core/src/job/index.ts';
import { type Animal, jobOf, operationsFor, UNREAL, ZOO } from '../core/test/zoo.ts';
import { BENCHES, openBench, openDrawer, saved, signIn, takeJob, turnTo } from './steps.ts';

/** A body that fits no frame in particular: some of its mounts miss the rails, and its floor lies low. */
const BODY: Body = {
  ...newBody('shell', 'Shell'),
  outline: [
    { x: -300, z: 20 },
    { x: -300, z: 900 },
    { x: 3500, z: 900 },
    { x: 3500, z: 20 },
  ],
  underside: [
    { x: -300, z: 10 },
    { x: 3500, z: 30 },
  ],
  openings: [
    { id: 'shell-front', name: 'Front opening', over: 'front', x: 0, z: -200, radius: 420 },
    { id: 'shell-rear', name: 'Rear opening', over: 'rear', x: 2700 },
  ],
  mounts: [-390, 390].flatMap((y) =>
    [100, 1800, 9000].map((x) => ({
      id: `foot-${x}${y < 0 ? 'l' : 'r'}`,
      name: `Foot ${x}`,
      x,
      y,
      z: 25,
      hole: 0,
      thickness: 0,
    })),
  ),
  masses: [{ id: 'shell-weight', name: 'Shell', mass: 600, x: 1500, y: 0, z: 500 }],
};

/** The job file of an animal with all its operations in one plan: some are refused, and none may upset a page. */
function fileOf(animal: Animal): string {
  const operations = operationsFor(animal).map(([, operation]) => operation);
  return writeJobFile(jobFileOf({ ...jobOf(animal, ...operations), bodies: [BODY] }, []));
}

// The last to begin: each in a job of its own, so that no machine waits for one after another.
test.describe.configure({ mode: 'parallel' });

/** Those whose pages differ; the calculation of all of them is tried in `core`, without a browser. */
const SHOWN = ['kicked both ways', 'left unlike right', 'round tube', 'x of legs', 'nothing on it'];

for (const animal of ZOO.filter(({ name }) => SHOWN.includes(name)))
  test(`every bench, sheet and file holds on a frame that is ${animal.name}`, async ({ page }) => {
    const upset: string[] = [];
    page.on('pageerror', ({ message }) => upset.push(message));
    await signIn(page);
    const text = fileOf(animal);
    const id = await takeJob(page, text);
    const real = async () => {
      const said = await page.locator('body').innerText();
      expect(said).not.toMatch(UNREAL);
      const drawn = await page.locator('svg').evaluateAll((all) => all.map(({ outerHTML }) => outerHTML).join(''));
      expect(drawn).not.toMatch(/NaN|undefined|Infinity/);
    };

    await openBench(page, id, 'donor');
    for (const bench of BENCHES) {
      await turnTo(page, bench);
      await real();
    }
    await turnTo(page, 'cuts');
    const list = page.getByRole('list', { name: 'Operations in order' }).getByRole('listitem');
    const count = await list.count();
    for (let index = 0; index < count; index += 1) {
      await list.nth(index).getByRole('button').first().click();
      await real();
    }
    await openDrawer(page, 'Table');
    await real();
    await page.goto(`/print/${id}/marks`);
    await real();

    // What is deleted comes back by undo, and what goes out comes in again as it was.
    await openBench(page, id, 'cuts');
    await page
      .getByRole('button', { name: /^Remove / })
      .first()
      .click();
    await expect(list).toHaveCount(count - 1);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(list).toHaveCount(count);
    await saved(page);
    const exported = await (await page.request.get(`/api/jobs/${id}/export`)).text();
    expect(exported).toBe(text);
    const again = await takeJob(page, exported);
    expect(await (await page.request.get(`/api/jobs/${again}/export`)).text()).toBe(text);

    for (const path of ['drawing?what=side&as=dxf', 'drawing?what=plan&as=svg', 'table?what=features&unit=mm']) {
      const file = await page.request.get(`/api/jobs/${id}/${path}`);
      expect([path, file.status()]).toEqual([path, 200]);
      expect(await file.text()).not.toMatch(/NaN|undefined|Infinity/);
    }
    expect(upset).toEqual([]);
  });
