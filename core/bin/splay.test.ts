import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { commands, UsageError } from './commands.ts';

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
    expect(output).toMatch(/stop +Identity stamp/);
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
      read(van).replace('"tyreRadius": 393.7', '"tyreRadius": "big"'),
    );
    expect(code).toBe(2);
    expect(problems).toBe('x.json: job.donor.axles[0].tyreRadius: must be a number of millimetres\n');
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
  const beach = path('beach-rescue');
  it('gives places for one cut, the best first, what each costs, and that it is no approval', () => {
    const { code, output } = commands(['find', beach], { lengthen: '6' }, read);
    expect(code).toBe(0);
    expect(output).toMatch(/let in 6 in at one place/);
    expect(output).toMatch(/^1\. /m);
    expect(output).toMatch(/of \d+ places are refused: /);
    expect(output).toContain('not an approval');
  }, 60_000);
  it.each([
    [{}, /--lengthen LENGTH or --shorten LENGTH/],
    [{ lengthen: '6', shorten: '6' }, /--lengthen LENGTH or --shorten LENGTH/],
    [{ shorten: 'a bit' }, /--shorten: /],
    [{ shorten: '-3' }, /above 0/],
  ])('%o is not a call', (options, message) => {
    expect(() => commands(['find', beach], options, read)).toThrow(message);
  });
});
