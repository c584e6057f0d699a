import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

const screens = readdirSync(join(import.meta.dirname, 'src'), { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.test\.tsx?$/.test(file))
  .map((file) => join('src', file));
/** Tests that put something else in place of a file: each begins with files of its own. */
const replacing = screens.filter((file) => readFileSync(join(import.meta.dirname, file), 'utf8').includes('vi.mock('));

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
      {
        extends: true,
        test: {
          name: 'screen',
          include: ['src/**/*.test.{ts,tsx}'],
          exclude: replacing,
          environment: './test/one-page.ts',
          // What was loaded for one file of tests is there for the next, as in core.
          isolate: false,
        },
      },
      {
        extends: true,
        test: { name: 'screen with a file replaced', include: replacing, environment: './test/one-page.ts' },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['test/**/*.test.ts'],
          globalSetup: './test/throw-away-database.ts',
          fileParallelism: false,
          isolate: false,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
