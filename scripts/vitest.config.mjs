import { defineConfig } from 'vitest/config';

export default defineConfig({ test: { include: ['*.test.mjs'], testTimeout: 600_000 } });
