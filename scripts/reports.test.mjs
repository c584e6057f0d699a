import { join } from 'node:path';
import { expect, it } from 'vitest';
import { playwrightTests, vitestTests } from './lib/reports.mjs';
import { root } from './lib/run.mjs';

it('tells the tests of a Vitest report, each with its file, its time and why it failed', () => {
  const file = (name, status, assertionResults, message = '') => ({
    name: join(root, name),
    status,
    message,
    assertionResults,
  });
  const tests = vitestTests({
    testResults: [
      file('core/a.test.ts', 'failed', [
        { fullName: 'a holds', status: 'passed', duration: 12, failureMessages: [] },
        { fullName: 'b holds', status: 'failed', failureMessages: ['Error: \u001b[31mno\u001b[0m\n\n    at line 3'] },
        { fullName: 'c holds', status: 'skipped' },
      ]),
      file('web/b.test.ts', 'failed', [], 'Error: it could not be read'),
    ],
  });
  expect(tests).toEqual([
    { name: 'core/a.test.ts › a holds', passed: true, ms: 12, why: '' },
    { name: 'core/a.test.ts › b holds', passed: false, ms: 0, why: 'Error: no' },
    { name: 'web/b.test.ts', passed: false, ms: 0, why: 'Error: it could not be read' },
  ]);
});

it('tells the tests of a Playwright report, also of suites in suites; one that was skipped is none', () => {
  const spec = (title, status, result) => ({ title, tests: [{ status, results: [result] }] });
  const tests = playwrightTests({
    suites: [
      {
        title: 'sizes.spec.ts',
        specs: [spec('is whole', 'expected', { duration: 800 }), spec('later', 'skipped', {})],
        suites: [
          { title: 'a phone', specs: [spec('fits', 'unexpected', { duration: 5, error: { message: 'Error: wide' } })] },
        ],
      },
    ],
  });
  expect(tests).toEqual([
    { name: 'sizes.spec.ts › is whole', passed: true, ms: 800, why: '' },
    { name: 'sizes.spec.ts › a phone › fits', passed: false, ms: 5, why: 'Error: wide' },
  ]);
});
