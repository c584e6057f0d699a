// What the JSON reports of Vitest and Playwright say: how many tests passed and failed, which failed and why, and how
// long each took.
import { relative } from 'node:path';
import { root } from './run.mjs';

/** Colors of the terminal, which messages are full of. */
// eslint-disable-next-line no-control-regex
const COLORS = /\u001b\[[0-9;]*m/g;

/** The lines of a message that say what went wrong, without its stack. */
const reason = (message = '') =>
  message
    .replace(COLORS, '')
    .split('\n')
    .filter((line) => line.trim() !== '' && !/^\s*at /.test(line))
    .slice(0, 12)
    .join('\n');

/**
 * The tests of a Vitest report. A file that could not be read or set up is a failed test too.
 *
 * @returns {{ name: string, passed: boolean, ms: number, why: string }[]} Skipped tests are left out.
 */
export function vitestTests({ testResults }) {
  return testResults.flatMap((file) => {
    const of = relative(root, file.name);
    const tests = file.assertionResults
      .filter(({ status }) => status === 'passed' || status === 'failed')
      .map((test) => ({
        name: `${of} › ${test.fullName}`,
        passed: test.status === 'passed',
        ms: test.duration ?? 0,
        why: reason(test.failureMessages?.[0]),
      }));
    const broken = file.status === 'failed' && tests.every(({ passed }) => passed);
    return broken ? [...tests, { name: of, passed: false, ms: 0, why: reason(file.message) }] : tests;
  });
}

/** The tests of a Playwright report, in the same form. */
export function playwrightTests({ suites }) {
  const inSuite = (suite, path) => [
    ...(suite.specs ?? []).flatMap((spec) =>
      spec.tests.flatMap((test) => {
        if (test.status === 'skipped') return [];
        const last = test.results.at(-1);
        return [
          {
            name: [...path, spec.title].join(' › '),
            passed: test.status === 'expected',
            ms: last?.duration ?? 0,
            why: reason(last?.error?.message),
          },
        ];
      }),
    ),
    ...(suite.suites ?? []).flatMap((inner) => inSuite(inner, [...path, inner.title])),
  ];
  return suites.flatMap((suite) => inSuite(suite, [suite.title]));
}
