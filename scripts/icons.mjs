// `npm run icons`: the icon of the installed program in the sizes that devices ask for, from web/public/icon.svg.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium as installChromium, modules } from './lib/install.mjs';
import { root } from './lib/run.mjs';

await modules();
await installChromium();
const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-dev-shm-usage'],
});
const page = await browser.newPage();
const folder = join(root, 'web/public');
const drawn = readFileSync(join(folder, 'icon.svg'), 'utf8');
/** A device may cut a maskable icon to any shape within a circle of four fifths of its width. */
const SIZES = { 'icon-180': [180, 1], 'icon-192': [192, 1], 'icon-512': [512, 1], 'icon-maskable': [512, 0.7] };
for (const [name, [size, scale]] of Object.entries(SIZES)) {
  await page.setViewportSize({ width: size, height: size });
  await page.setContent(
    `<style>body{margin:0;background:#f3ecdf}svg{display:block;width:100vw;height:100vh;transform:scale(${scale})}</style>${drawn}`,
  );
  await page.screenshot({ path: join(folder, `${name}.png`) });
}
await browser.close();
