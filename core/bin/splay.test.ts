import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { commands } from './commands.ts';
import { UsageError } from './result.ts';

const path = (name: string) => fileURLToPath(new URL(`../../demo/${name}.json`, import.meta.url));
const read = (file: string) => readFileSync(file, 'utf8');
const van = path('parcel-van');

describe('splay', () => {
  it('check says what a plan gives, and that it is no approval', () => {
    const { code, output } = commands(['check', van], {}, read);
    expect(code).toBe(0);
    expect(output).toContain('Wheelbase 141 in → 155 3/4 in');
    expect(output).toContain('That is not an approval.');
  });

  it('check exits with 1 when something must stop', () => {
    const cutting = read(van).replace('"at": { "x": 1981.2,', '"at": { "x": -127,');
    const { code, output } = commands(['check', 'x.json'], {}, () => cutting);
    expect(code).toBe(1);
    expect(output).toMatch(/stop +VIN stamp/);
  });

  it('looks at a variant when it is asked for by name, and names the plans when there is none such', () => {
    const sprayer = path('orchard-sprayer');
    expect(commands(['check', sprayer], {}, read).output).toContain(
      'kept beside it: “Behind the cab”, “Close to the links”',
    );
    expect(commands(['check', sprayer], { plan: 'Behind the cab' }, read).output).toMatch(
      /warn +Joint A: ends do not meet/,
    );
    expect(JSON.parse(commands(['evaluate', sprayer], { plan: 'Close to the links' }, read).output)).toMatchObject({
      plan: 'Close to the links',
      laden: { after: { rear: { rating: 2177.243376 } } },
      driveLine: {
        after: { shafts: [{ front: { point: { kind: 'output-flange' } }, rear: { point: { kind: 'pinion' } } }] },
      },
    });
    expect(() => commands(['check', sprayer], { plan: 'Nowhere' }, read)).toThrow(/There are: .*“Behind the cab”/);
  });

  it('a broken file exits with 2 and every problem has its path', () => {
    const { code, problems } = commands(['check', 'x.json'], {}, () =>
      read(van).replace('"tireRadius": 393.7', '"tireRadius": "big"'),
    );
    expect(code).toBe(2);
    expect(problems).toBe('x.json: job.donor.axles[0].tireRadius: must be a number of millimeters\n');
  });

  it('evaluate gives measures, features, joints, conflicts and control measurements', () => {
    const result = JSON.parse(commands(['evaluate', van], {}, read).output) as Record<string, never> & {
      measures: { after: { wheelbase: number } };
    };
    expect(Object.keys(result)).toEqual(
      expect.arrayContaining(['measures', 'features', 'joints', 'conflicts', 'controls']),
    );
    expect(result.measures.after.wheelbase).toBeNear(3956.05, 1e-6);
  });

  it('export gives the file, drawings, tables and marks', () => {
    expect(commands(['export', van], {}, read).output).toBe(read(van));
    expect(commands(['export', van], { as: 'dxf', view: 'plan' }, read).output).toContain('LWPOLYLINE');
    expect(commands(['export', van], { as: 'svg', view: 'parts' }, read).output).toMatch(
      /A1L plate inside the web t=4\.76/,
    );
    expect(commands(['export', van], { as: 'svg' }, read).output).toContain('</svg>');
    expect(commands(['export', van], { table: 'stations', unit: 'mm' }, read).output).toContain('x [mm]');
    expect(commands(['export', van], { as: 'marks' }, read).output).toContain('"letters": "A B"');
  });

  it.each([
    [['weld', van], {}],
    [['check'], {}],
    [['check', van, van], {}],
    [['export', van], { as: 'cheese' }],
    [['export', van], { table: 'cheese' }],
  ])('refuses the call %j %j', (words, options) => {
    expect(() => commands(words, options, read)).toThrow(UsageError);
  });

  it('runs as a program, with its exit codes', () => {
    const run = (...args: string[]) =>
      spawnSync(process.execPath, ['--import', 'tsx', fileURLToPath(new URL('splay.ts', import.meta.url)), ...args], {
        encoding: 'utf8',
      });
    expect(run('check', van)).toMatchObject({ status: 0 });
    expect(run('check', 'no-such-file.json')).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('no such file') as string,
    });
    expect(run('check', '--sideways')).toMatchObject({ status: 64 });
    expect(run('help').stdout).toContain('exit codes');
  });
});

describe('splay find', () => {
  const sprayer = path('orchard-sprayer');
  it('gives ranked ways with their reasons, the obvious places that lost, and that it is no approval', () => {
    const { code, output } = commands(['find', sprayer], { wheelbase: '133 7/8' }, read);
    expect(code).toBe(0);
    expect(output).toContain('wheelbase 157 1/2 in → 133 7/8 in');
    expect(output).toMatch(/^1\. at /m);
    expect(output).toMatch(/^Behind the cab, .*apart sideways/m);
    expect(output).toContain('not an approval');
  });
  it('asks what the plan does where nothing is said, and gives everything as data', () => {
    const { output } = commands(['find', sprayer], { as: 'json' }, read);
    const found = JSON.parse(output) as { goal: { of: string; by: number }; answers: unknown[] };
    expect(found.goal.of).toBe('wheelbase');
    expect(found.goal.by / 25.4).toBeCloseTo(-23.625, 6);
    expect(found.answers.length).toBeGreaterThan(3);
  });
  it.each([
    [{ wheelbase: '140', width: '30' }, /one thing at a time/],
    [{ wheelbase: 'a bit' }, /--wheelbase: /],
    [{ wheelbase: '157 1/2' }, /it is that already/],
  ])('%o is not a call', (options, message) => {
    expect(() => commands(['find', sprayer], options, read)).toThrow(message);
  });
});
