import { builtinEnvironments, type Environment } from 'vitest/runtime';

let page: Promise<unknown> | undefined;

/**
 * One page for all files of tests that a worker runs, so that the code of the screen is loaded once and finds the document that
 * it began with. What a test draws is taken off after it (`test/setup.ts`).
 */
export default {
  name: 'one page',
  viteEnvironment: 'ssr',
  async setup(global) {
    await (page ??= Promise.resolve(builtinEnvironments.jsdom.setup(global, {})));
    return { teardown: () => undefined };
  },
} satisfies Environment;
