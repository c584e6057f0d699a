import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.ts', 'bin/**/*.test.ts'],
    setupFiles: ['./test/setup.ts'],
    testTimeout: 60_000,
  },
});
