import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.ts', 'bin/**/*.test.ts'],
    setupFiles: ['./test/closeness.ts'],
    benchmark: { include: ['src/**/*.bench.ts'] },
  },
});
