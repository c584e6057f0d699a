import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

const tests = readdirSync(join(import.meta.dirname, 'src'), { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.test.ts'))
  .map((file) => join('src', file));
/** Tests that put something else in place of a file: each begins with files of its own. */
const replacing = tests.filter((file) => readFileSync(join(import.meta.dirname, file), 'utf8').includes('vi.mock('));

export default defineConfig({
  test: {
    setupFiles: ['./test/setup.ts'],
    testTimeout: 600_000,
    // Every core: by default one is left free, which on two of them is half of all.
    maxWorkers: '100%',
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['src/**/*.test.ts', 'bin/**/*.test.ts'],
          exclude: replacing,
          // Nothing here keeps anything to itself: what was read for one test is there for the next.
          isolate: false,
        },
      },
      { extends: true, test: { name: 'with a file replaced', include: replacing } },
    ],
  },
});
