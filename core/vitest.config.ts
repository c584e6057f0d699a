import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.ts', 'bin/**/*.test.ts'],
    setupFiles: ['./test/closeness.ts'],
    testTimeout: 60_000,
    benchmark: { include: ['src/**/*.bench.ts'] },
  },
});
