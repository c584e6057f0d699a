import { defineConfig } from 'vitest/config';

/**
 * Tests of the screen need no server, and run beside each other; tests of the server share a database, and run one
 * after another once those are through.
 */
export default defineConfig({
  test: {
    testTimeout: 300_000,
    hookTimeout: 600_000,
    setupFiles: ['./test/setup.ts'],
    // Every core: by default one is left free, which on two of them is half of all.
    maxWorkers: '100%',
    projects: [
      { extends: true, test: { name: 'screen', include: ['src/**/*.test.{ts,tsx}'] } },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['test/**/*.test.ts'],
          globalSetup: './test/throw-away-database.ts',
          fileParallelism: false,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
