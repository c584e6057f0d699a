import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readingsIn } from '../records/index.ts';
import { InputError } from '../input-error.ts';
import { evaluatePlan } from '../plan/index.ts';
import { inches } from '../units/index.ts';
import { type JobFile, migrate, parseJobFile, writeJobFile } from './index.ts';

const folder = new URL('../../../demo/', import.meta.url);
const demoFiles = readdirSync(folder).filter((name) => name.endsWith('.json'));
const textOf = (name: string) => readFileSync(new URL(name, folder), 'utf8');
const flagship = () => JSON.parse(textOf('parcel-van.json')) as JobFile;

const problemsOf = (file: unknown) => {
  try {
    parseJobFile(typeof file === 'string' ? file : JSON.stringify(file));
    return [];
  } catch (error) {
    if (error instanceof InputError) return error.problems;
    throw error;
  }
};

/** The flagship with one thing in it changed, by path. */
function broken(path: string, value: unknown): unknown {
  const file = flagship() as unknown as Record<string, never>;
  const keys = path.split('.');
  const last = keys.pop()!;
  const holder = keys.reduce<Record<string, never>>((at, key) => at[key]!, file) as Record<string, unknown>;
  if (value === undefined) Reflect.deleteProperty(holder, last);
  else holder[last] = value;
  return file;
}

describe('demo jobs', () => {
  it('are all there', () => {
    expect(demoFiles).toEqual(['beach-rescue.json', 'orchard-sprayer.json', 'parcel-van.json', 'tour-carrier.json']);
  });

  it.each(demoFiles)('%s comes back to the same bytes', (name) => {
    expect(writeJobFile(parseJobFile(textOf(name)))).toBe(textOf(name));
  });

  it('the same job gives the same bytes however its keys were stored', () => {
    const shuffle = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(shuffle)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([key, item]) => [key, shuffle(item)]),
            )
          : value;
    expect(writeJobFile(shuffle(flagship()) as JobFile)).toBe(textOf('parcel-van.json'));
  });

  it('keep their anchors: the flagship gains 14 3/4 in and no diagonal gains the same', () => {
    const { measures, controls, conflicts } = evaluatePlan(flagship().job);
    expect(measures.before.wheelbase).toBeNear(inches(141), 1e-6);
    expect(measures.after.wheelbase).toBeNear(inches(155.75), 1e-6);
    expect(measures.after.cabToAxle).toBeNear(inches(98.25), 1e-6);
    expect(measures.after.axleToEnd).toBeNear(inches(44.5), 1e-6);
    const diagonals = controls.filter((control) => control.kind === 'diagonal' && control.before !== control.predicted);
    expect(diagonals.length).toBeGreaterThan(3);
    for (const { before, predicted } of diagonals) expect(predicted! - before).toBeLessThan(inches(14.7));
    expect(conflicts.filter((conflict) => conflict.severity === 'stop')).toEqual([]);
  });

  it('the sprayer comes to 133 7/8 in where its rails are straight, and not behind the cab', () => {
    const { job } = parseJobFile(textOf('orchard-sprayer.json'));
    const good = evaluatePlan(job);
    expect(good.measures.after.wheelbase).toBeNear(inches(133.875), 1e-6);
    expect(good.joints.map((joint) => joint.verdict)).toEqual(['meets']);
    const operations = job.plan.operations.map((operation) =>
      operation.kind === 'shorten'
        ? {
            ...operation,
            from: { x: inches(70), on: 'donor' as const },
            to: { x: inches(93.625), on: 'donor' as const },
          }
        : operation,
    );
    const obvious = evaluatePlan({ ...job, plan: { ...job.plan, operations } });
    expect(obvious.joints.map((joint) => joint.verdict)).toEqual(['needs-a-transition-piece']);
  });
});

const operationBase = { id: 'stretch', note: '', off: false };

describe('parseJobFile', () => {
  it.each([
    ['not JSON', '{', 'file/not-json', ''],
    ['another file', '{"format":"other"}', 'file/not-a-job', 'format'],
    ['a newer version', { ...flagship(), version: 99 }, 'file/newer', 'version'],
    ['no version', { ...flagship(), version: undefined }, 'file/version', 'version'],
  ])('refuses %s', (_, file, code, path) => {
    expect(problemsOf(file)).toMatchObject([{ code, path }]);
  });

  it.each([
    ['job.name', '', 'job.name', 'must not be empty'],
    ['job.donor.axles.0.x', '12', 'job.donor.axles[0].x', 'must be a number of millimeters'],
    ['job.donor.axles.0.x', 80_000, 'job.donor.axles[0].x', 'is above 50 000 mm'],
    ['job.donor.axles.0.x', undefined, 'job.donor.axles[0].x', 'is missing'],
    ['job.donor.sections.0.section.kind', 'beam', 'job.donor.sections[0].section.kind', 'must be one of channel'],
    ['job.plan.operations.0.length', null, 'job.plan.operations[0].length', 'is missing'],
    ['job.plan.operations.0.sideways', 1, 'job.plan.operations[0]', 'unknown key “sideways”'],
    ['job.donor.features', {}, 'job.donor.features', 'must be a list'],
    ['job.rules.changes', { 'made/up': 1 }, 'job.rules.changes', 'unknown key “made/up”'],
    ['records.0.taken', 'yesterday', 'records[0].taken', 'must be a moment in UTC'],
    ['records.0.id', 'before-cut-p2-width', 'records[1].id', 'is used twice'],
    ['job.donor.features.1.id', 'datum', 'job.donor.features[1].id', 'is used twice'],
    ['job.donor.points.0.id', 'datum', 'job.donor.points[0].id', 'is used twice'],
    ['job.plan.operations.1.id', 'datum', 'job.plan.operations[1].id', 'is used twice'],
    ['job.done', ['true up!'], 'job.done[0]', 'must be letters, digits'],
    ['job.donor.points.0.mass', 1e306, 'job.donor.points[0].mass', 'is above 100000 kg'],
    [
      'job.donor.points.0.carrier',
      { kind: 'unit', id: 'nobody' },
      'job.donor.points[0].carrier',
      'pick what carries it',
    ],
    ['job.donor.name', 'a\u0000b', 'job.donor.name', 'holds a control character'],
    [
      'job.plan.accepted',
      [{ conflict: 'unit-split/gone', reason: 'x', by: 'y' }],
      'job.plan.accepted[0].conflict',
      'there is no “gone”',
    ],
    ['job.plan.operations.1.id', 'stretch', 'job.plan.operations[1].id', 'is used twice'],
    ['job.donor.datum', 'nothing', 'job.donor.datum', 'not in the list of features'],
    ['job.rules.changes', { 'joint/meets': -1 }, 'job.rules.changes.joint/meets', 'must be 0 or more'],
    ['job.variants', [{ name: 'x', note: '', accepted: [] }], 'job.variants[0].operations', 'is missing'],
  ])('names what is wrong at %s = %o', (path, value, where, message) => {
    expect(problemsOf(broken(path, value))).toContainEqual(
      expect.objectContaining({ path: where, message: expect.stringContaining(message) }),
    );
  });

  it('keeps readings of a measurement that was taken off the list', () => {
    const file = broken('records.0.body.measurement', 'taken-off');
    const readings = readingsIn(parseJobFile(JSON.stringify(file)).records);
    expect(readings.map(({ measurement }) => measurement)).toContain('taken-off');
  });

  it('refuses operations on what is not on the frame, and says which to take off', () => {
    const file = broken('job.plan.operations.0', {
      ...operationBase,
      kind: 'bracket',
      change: { what: 'remove', feature: 'nothing' },
    });
    expect(problemsOf(file)).toMatchObject([
      {
        code: 'plan/unknown-thing',
        path: 'job.plan.operations[0].change.feature',
        message: expect.stringContaining('“Remove bracket” of the plan'),
      },
    ]);
  });

  it('looks at how long a list is before what is in it, and lists a hundred problems at most', () => {
    // Each entry is wrong too: one problem shows that none was looked at.
    const many = broken(
      'job.donor.features',
      Array.from({ length: 50_000 }, () => ({})),
    );
    expect(problemsOf(many)).toMatchObject([
      { path: 'job.donor.features', message: 'must hold at most 2000 entries, not 50000' },
    ]);
    expect(
      problemsOf(
        broken(
          'job.donor.features',
          Array.from({ length: 2000 }, () => ({})),
        ),
      ),
    ).toHaveLength(100);
  });

  it('lists every problem, not only the first', () => {
    const file = broken('job.name', '') as JobFile;
    expect(problemsOf({ ...file, records: [{ ...file.records[0], taken: null }] }).length).toBe(2);
  });
});

describe('migrate', () => {
  const steps = { 1: (file: object) => ({ ...file, second: true }), 2: (file: object) => ({ ...file, third: true }) };

  it('goes up one version at a time', () => {
    expect(migrate({ version: 1, first: true }, steps, 3)).toEqual({
      version: 3,
      first: true,
      second: true,
      third: true,
    });
    expect(migrate({ version: 3 }, steps, 3)).toEqual({ version: 3 });
  });

  it('says when there is no way up', () => {
    expect(() => migrate({ version: 1 }, {}, 2)).toThrow(/no way up from version 1/);
  });
});

it('a file that claims an older version than it is of is refused, or read as if it had told', () => {
  const text = (version: number) =>
    readFileSync(new URL(`../../test/job-files/version-${version}.json`, import.meta.url), 'utf8');
  const files = [...Array.from({ length: 11 }, (_, at) => text(at + 1)), textOf('parcel-van.json')];
  const outcomes = files.flatMap((file, at) =>
    Array.from({ length: at }, (_, earlier) => {
      const honest = writeJobFile(parseJobFile(file));
      try {
        const claimed = { ...(JSON.parse(file) as object), version: earlier + 1 };
        return writeJobFile(parseJobFile(JSON.stringify(claimed))) === honest ? 'same' : `${at + 1} as ${earlier + 1}`;
      } catch (error) {
        return (error as InputError).problems[0]!.code;
      }
    }),
  );
  expect(outcomes.filter((outcome) => / as /.test(outcome))).toEqual([]);
  expect(outcomes.filter((outcome) => outcome === 'file/claims-older').length).toBeGreaterThan(30);
});

it('a document that was taken in cannot be changed in place, here and in development', () => {
  const { job } = parseJobFile(textOf('parcel-van.json'));
  expect(() => Object.assign(job.donor.axles[0]!, { x: 1 })).toThrow(TypeError);
  expect(() => (job.plan.operations as unknown[]).push({})).toThrow(TypeError);
});
