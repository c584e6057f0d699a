import { expect, test } from '@playwright/test';
import { newFlagship, openDemoShop } from './steps.ts';

/** A slow tablet in the shop: a quarter of this machine's speed, 10 Mbit/s, 40 ms away. */
const TABLET = { cpu: 4, latency: 40, bytesPerSecond: 10e6 / 8 };
/** What a job weighs when its board stands, kB, and how long that takes, ms: more than this is a step back. */
const MOST = { kilobytes: 365, ms: 3500 };

test.use({ viewport: { width: 1180, height: 820 }, hasTouch: true });

/** When the board stood, by the page's own clock. */
const whenItStands = () => {
  const look = new MutationObserver(() => {
    if (!document.querySelector('[aria-label^="Drawing of the frame"] svg')) return;
    look.disconnect();
    requestAnimationFrame(() =>
      setTimeout(() => document.documentElement.setAttribute('data-stood', String(performance.now()))),
    );
  });
  look.observe(document, { childList: true, subtree: true });
};

test('a job stands soon on a slow tablet, and loads no code of other benches', async ({ page, browser }) => {
  await openDemoShop(page);
  const id = await newFlagship(page, 'Weighed van');
  const stood: number[] = [];
  let bytes = 0;
  let names: string[] = [];
  for (let turn = 0; turn < 3; turn += 1) {
    // As somebody who was never here.
    const context = await browser.newContext({ viewport: { width: 1180, height: 820 }, serviceWorkers: 'block' });
    await context.addCookies(await page.context().cookies());
    const tablet = await context.newPage();
    const tools = await context.newCDPSession(tablet);
    await tools.send('Network.enable');
    await tools.send('Network.emulateNetworkConditions', {
      offline: false,
      latency: TABLET.latency,
      downloadThroughput: TABLET.bytesPerSecond,
      uploadThroughput: TABLET.bytesPerSecond,
    });
    await tools.send('Emulation.setCPUThrottlingRate', { rate: TABLET.cpu });
    const sizes: number[] = [];
    tools.on('Network.loadingFinished', ({ encodedDataLength }) => sizes.push(encodedDataLength));
    names = [];
    tools.on('Network.responseReceived', ({ response }) => names.push(new URL(response.url).pathname));
    await tablet.addInitScript(whenItStands);
    await tablet.goto(new URL(`/jobs/${id}/cuts`, page.url()).href, { waitUntil: 'commit' });
    const mark = tablet.locator('html[data-stood]');
    await mark.waitFor({ state: 'attached' });
    stood.push(Number(await mark.getAttribute('data-stood')));
    await tablet.waitForLoadState('load');
    bytes = sizes.reduce((sum, size) => sum + size, 0);
    await context.close();
  }
  const soonest = Math.round(Math.min(...stood));
  const kilobytes = Math.round(bytes / 1000);
  console.log(`a job on a slow tablet: ${kilobytes} kB (goal 250), its board stands after ${soonest} ms (goal 1500)`);
  expect(kilobytes).toBeLessThan(MOST.kilobytes);
  expect(soonest).toBeLessThan(MOST.ms);
  // The view in space, the charts and the whole faces come when they are asked for.
  expect(names.filter((name) => /space-view|chart|latin|core\.worker/.test(name))).toEqual([]);
});
