import { readFileSync } from 'node:fs';
import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../input-error.ts';
import { parseJobFile } from '../job/index.ts';
import { inches } from '../units/index.ts';
import {
  drawingOf,
  JOB_TABLES,
  readJobTable,
  readReadings,
  readTable,
  TABLE_COLUMNS,
  writeDxf,
  writeJobTable,
  writeSvg,
  writeTable,
} from './index.ts';
import { readingsIn } from '../records/index.ts';

const { job, records } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
const readings = readingsIn(records);
const problems = (attempt: () => unknown) => {
  try {
    attempt();
    return [];
  } catch (error) {
    if (error instanceof InputError) return error.problems;
    throw error;
  }
};

describe('tables', () => {
  it.each(['mm', 'in'] as const)('come back as they were, in %s', (unit) => {
    for (const table of JOB_TABLES) {
      const csv = writeJobTable(table, job, readings, unit);
      if (table === 'readings') {
        readReadings(csv, job, []).forEach((reading, index) =>
          expect(reading.value).toBeNear(readings[index]!.value, 1e-8),
        );
        continue;
      }
      const back = readJobTable(table, csv, job);
      expect(writeJobTable(table, back, [], unit)).toBe(csv);
    }
  });

  it('of readings add only those that are not there yet, and know their measurements', () => {
    const csv = writeJobTable('readings', job, readings, 'mm');
    expect(readReadings(csv, job, readings)).toEqual([]);
    expect(readReadings(csv, job, readings.slice(2)).map(({ id }) => id)).toEqual(
      readings.slice(0, 2).map(({ id }) => id),
    );
    const strange = csv.replace(`,${readings[0]!.measurement},`, ',p99-width,');
    expect(problems(() => readReadings(strange, job, []))).toContainEqual({
      code: 'reading/unknown-measurement',
      path: 'line 2, measurement',
      message: 'There is no control measurement “p99-width”.',
    });
  });

  it('say their unit in the header', () => {
    expect(writeJobTable('stations', job, [], 'in').split('\n').slice(0, 2)).toEqual([
      'side,x [in],halfWidth [in],top [in],section',
      'both,-32,14.875,0,rail',
    ]);
  });

  it('without a row are their header and nothing after it', () => {
    const bare = { ...job, donor: { ...job.donor, controlPoints: [], controlMeasurements: [] } };
    const text = writeJobTable('control-points', bare, [], 'in');
    expect(text.split('\n')).toEqual([expect.stringMatching(/^id,name,/), '']);
    expect(readJobTable('control-points', text, bare).donor.controlPoints).toEqual([]);
  });

  it('take what can be typed as a length, and either unit', () => {
    const csv = "side,x [in],halfWidth [mm],top [in],section\nboth,-32,380,0,rail\nboth,16' 1,400,1/2,rail\n";
    const { donor } = readJobTable('stations', csv, job);
    expect(donor.rails.kind === 'mirrored' && donor.rails.stations[1]).toMatchObject({
      x: inches(193),
      halfWidth: 400,
      top: 12.7,
    });
  });

  it.each([
    ['', 'table/empty', 'line 1'],
    ['side,x,halfWidth [mm],top [mm],section\n', 'table/no-unit', 'line 1, column 2'],
    ['side,x [mm],halfWidth [mm],top [mm],section,color\n', 'table/unknown-column', 'line 1, column 6'],
    ['side,x [mm],halfWidth [mm],section\n', 'table/missing-column', 'line 1'],
    ['side,x [mm],halfWidth [mm],top [mm],section\nboth,oak,1,0,rail\n', 'length/stray-text', 'line 2, x'],
    ['side,x [mm],halfWidth [mm],top [mm],section\nboth,1,1,0,rail,9\n', 'table/too-many-cells', 'line 2'],
    ['side,x [mm],halfWidth [mm],top [mm],section\nupper,1,1,0,rail\n', 'table/side', 'line 2, side'],
    ['side,x [mm],halfWidth [mm],top [mm],section\nboth,1,1,0,rail\n', 'frame/rail-too-short', 'donor.rails.stations'],
  ])('refuse %j as %s', (csv, code, path) => {
    expect(problems(() => readJobTable('stations', csv, job))).toContainEqual(expect.objectContaining({ code, path }));
  });

  it('hold names with commas, quotes and line breaks', () => {
    const columns = [{ key: 'name', kind: 'text' as const }];
    fc.assert(
      fc.property(
        fc.array(
          fc.string({ minLength: 1 }).map((text) => `a${text}b`.replace(/\r/g, '')),
          { minLength: 1 },
        ),
        (names) => {
          const rows = names.map((name) => ({ name }));
          expect(readTable(columns, writeTable(columns, rows, 'mm'))).toEqual(
            rows.map(({ name }) => ({ name: name.trim() })),
          );
        },
      ),
      { examples: [[['a|| b']], [['a; b', 'c,d']]] },
    );
  });

  it('hold no cell that a spreadsheet would carry out, and read back what was there', () => {
    const columns = [{ key: 'name', kind: 'text' }] as const;
    const trip = (name: string) => {
      const csv = writeTable(columns, [{ name }], 'mm');
      return { cell: (csv.split('\n')[1] ?? '').replace(/^"/, ''), back: readTable(columns, csv)[0]?.name };
    };
    for (const name of [
      '=1+2',
      '＝1',
      '＋1',
      '－1',
      '＠a',
      '+1',
      '-1',
      '@sum',
      "'=x",
      "''@y",
      "'quoted",
      'O’Hara',
      '=a,"b"',
    ])
      expect([trip(name).back, /^[=+\-@\t\r＝＋－＠]/.test(trip(name).cell)]).toEqual([name, false]);
    expect(trip('=1+2').cell).toBe("'=1+2");
    fc.assert(
      fc.property(fc.stringMatching(/^['=+@-]{0,3}[a-z]{1,4}$/), (name) => {
        const { cell, back } = trip(name.trim());
        return back === name.trim() && !/^[=+\-@\t\r]/.test(cell);
      }),
    );
    // Figures stay figures.
    const figures = [{ key: 'x', kind: 'length' }] as const;
    expect(writeTable(figures, [{ x: -25.4 }], 'in')).toBe('x [in]\n-1\n');
  });

  it('come in parted by semicolons or tabs too', () => {
    const columns = [
      { key: 'name', kind: 'text' as const },
      { key: 'x', kind: 'length' as const },
    ];
    for (const mark of [';', '\t'])
      expect(readTable(columns, `name${mark}x [in]\nhole, plain${mark}1 1/2\n`)).toEqual([
        { name: 'hole, plain', x: inches(1.5) },
      ]);
  });

  it('list the same columns that the documents do', () => {
    const docs = readFileSync(new URL('../../../docs/tables.md', import.meta.url), 'utf8');
    for (const table of JOB_TABLES) for (const { key } of TABLE_COLUMNS[table]) expect(docs).toContain(`\`${key}`);
  });
});

describe('drawings', () => {
  const parsed = (view: 'side' | 'plan') => new DxfParser().parseSync(writeDxf(drawingOf(job, view)))!;
  const xsOf = (view: 'side' | 'plan', layer: string) =>
    parsed(view)
      .entities.filter((entity) => entity.layer === layer)
      .flatMap((entity) => ('vertices' in entity ? (entity.vertices as { x: number }[]).map(({ x }) => x) : []));

  it('as DXF are in real size on their layers: donor before, built after', () => {
    const donor = xsOf('side', 'DONOR');
    expect(Math.max(...donor) - Math.min(...donor)).toBeNear(inches(225), 1e-6);
    const built = [...xsOf('side', 'BUILT'), ...xsOf('side', 'NEW')];
    expect(Math.max(...built) - Math.min(...built)).toBeNear(inches(225 + 14.75 - 7.5), 1e-6);
    const added = xsOf('side', 'NEW');
    expect(Math.max(...added) - Math.min(...added)).toBeNear(inches(14.75), 1e-6);
    expect(parsed('side').header.$INSUNITS).toBe(4);
  });

  it('draw both rails in plan, left on top', () => {
    const rails = parsed('plan').entities.filter((entity) => entity.layer === 'NEW') as unknown as {
      vertices: { y: number }[];
    }[];
    expect(rails).toHaveLength(2);
    expect(rails[0]!.vertices[0]!.y).toBeNear(inches(16.75), 1e-6);
    expect(rails[1]!.vertices[0]!.y).toBeNear(-inches(16.75), 1e-6);
  });

  it('as SVG state their size in mm and hold every layer that has something on it', () => {
    const svg = writeSvg(drawingOf(job, 'plan'), 'Van & <frame>');
    expect(svg).toMatch(/width="[\d.]+mm"/);
    expect(svg).toContain('<title>Van &#38; &#60;frame&#62;</title>');
    for (const layer of ['DONOR', 'BUILT', 'NEW', 'CUT_AWAY', 'CROSSMEMBERS', 'FEATURES', 'AXLES', 'CUTS'])
      expect(svg).toContain(`class="${layer}"`);
    expect(svg).not.toContain('NaN');
  });
});
