import { defineConfig } from '@playwright/test';
import { base } from './steps.ts';

export default defineConfig({
  testDir: '.',
  // A busy machine is not a fault: what is waited for may take its time, but it must come.
  timeout: 300_000,
  expect: { timeout: 90_000 },
  // Files of tests beside each other, each in jobs of its own; but whoever measures time is alone.
  workers: 2,
  projects: [
    { name: 'weight', testMatch: /weight\.spec/ },
    { name: 'drag', testMatch: /drag\.spec/, dependencies: ['weight'] },
    { name: 'beside others', testIgnore: /(drag|weight)\.spec/, dependencies: ['drag'] },
  ],
  forbidOnly: true,
  use: {
    baseURL: base,
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    // What a device keeps has tests of its own (offline.spec.ts).
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        // The view in space is drawn without a graphics card.
        '--enable-unsafe-swiftshader',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
