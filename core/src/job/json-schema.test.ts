import { readdirSync, readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { jobFileJsonSchema } from './index.ts';

const root = new URL('../../../', import.meta.url);
const read = (path: string) => readFileSync(new URL(path, root), 'utf8');
const validate = new Ajv2020({ strict: true, allErrors: true, allowUnionTypes: true }).compile(jobFileJsonSchema());

/** The flagship with one value changed, by path; undefined takes the key out. */
function changed(path: string, value: unknown): unknown {
  const file = JSON.parse(read('demo/parcel-van.json')) as Record<string, unknown>;
  const keys = path.split('.');
  const last = keys.pop()!;
  const holder = keys.reduce((at, key) => at[key] as Record<string, unknown>, file);
  if (value === undefined) Reflect.deleteProperty(holder, last);
  else holder[last] = value;
  return file;
}

describe('the JSON Schema of a job file', () => {
  it('is the one in the docs (write it again with: npm run splay -- schema --out docs/job-file.schema.json)', () => {
    expect(JSON.parse(read('docs/job-file.schema.json'))).toEqual(jobFileJsonSchema());
  });

  it.each(readdirSync(new URL('demo/', root)))('takes %s', (name) => {
    expect(validate(JSON.parse(read(`demo/${name}`)))).toBe(true);
  });

  it.each([
    ['version', 1],
    ['job.name', ''],
    ['job.donor.axles.0.x', '12'],
    ['job.donor.axles.0.x', 80_000],
    ['job.donor.axles.0.x', undefined],
    ['job.donor.axles.0.color', 'red'],
    ['job.donor.sections.0.section.kind', 'beam'],
    ['job.donor.sections.0.section.flange', undefined],
    ['job.donor.controlMeasurements.0.to', undefined],
    ['job.plan.operations.0.length', null],
    ['job.plan.operations.0.id', 'no spaces'],
    ['job.variants', [{ name: 'No operations', note: '', accepted: [] }]],
    ['job.bodies.0.masses.0.mass', '900'],
    ['job.rules.changes', { 'made/up': 1 }],
    ['records.0.taken', 'yesterday'],
  ])('refuses %s = %o, as the program does', (path, value) => {
    expect(validate(changed(path, value))).toBe(false);
  });

  it.each([
    ['job.bodies', []],
    ['job.plan.operations.0.section', null],
    [
      'job.variants',
      [
        {
          name: 'Nothing yet',
          note: '',
          accepted: [],
          stays: [],
          operations: [],
          seats: [],
          splices: [],
          fittings: [],
          mountings: [],
          shoring: { shores: [], level: null, off: [], holding: [] },
        },
      ],
    ],
    ['job.rules.changes', { 'joint/meets': 2 }],
    ['job.donor.axles.0.rating', undefined],
  ])('takes %s = %o', (path, value) => {
    expect(validate(changed(path, value))).toBe(true);
  });

  it('says the unit of lengths, angles and masses', () => {
    const text = JSON.stringify(jobFileJsonSchema());
    for (const unit of ['mm', 'radians', 'kg']) expect(text).toContain(`"description":"${unit}"`);
  });
});
