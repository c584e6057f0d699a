import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.ts', 'bin/**/*.test.ts'],
    setupFiles: ['./test/setup.ts'],
    testTimeout: 60_000,
    // Every core: by default one is left free, which on two of them is half of all.
    maxWorkers: '100%',
  },
});
