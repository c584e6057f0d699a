import { InputError, type InputProblem } from '../input-error.ts';
import type { Body } from '../body/index.ts';
import { checkJob, type Job, withoutLostMountings } from '../job/index.ts';
import { checkRecord, newRecord, readingOf, type ShopRecord } from '../records/index.ts';
import { type Frame, type Rail, type Rails, type Side, SIDES, unitOf } from '../frame/index.ts';
import { type Reading, readingProblem } from '../survey/index.ts';
import type { LengthUnit } from '../units/index.ts';
import { BODY_COLUMNS, BODY_TABLES, bodyRows, withBodyRows } from './body-tables.ts';
import { readTable, type TableColumn, type TableRow, writeTable } from './table.ts';

export const JOB_TABLES = ['stations', 'features', 'control-points', 'readings', ...BODY_TABLES] as const;
export type JobTable = (typeof JOB_TABLES)[number];

const text = (key: string, optional = false): TableColumn => ({ key, kind: 'text', optional });
const length = (key: string): TableColumn => ({ key, kind: 'length' });

/** The columns of each table, in order. Stations (`x`) count from the front axle, rearward. */
export const TABLE_COLUMNS: Readonly<Record<JobTable, readonly TableColumn[]>> = {
  stations: [text('side'), length('x'), length('halfWidth'), length('top'), text('section')],
  features: [
    text('id'),
    text('name'),
    text('kind'),
    text('side'),
    length('x'),
    length('ahead'),
    length('behind'),
    text('face'),
    length('down'),
    { key: 'inboard', kind: 'length', optional: true },
    length('diameter'),
    text('attachment'),
    text('movable'),
    { key: 'mass', kind: 'mass' },
    text('unit', true),
    text('origin', true),
  ],
  'control-points': [text('id'), text('name'), length('x'), length('inboard'), length('down'), text('origin', true)],
  readings: [text('id'), text('measurement'), text('stage'), length('value'), text('taken'), text('by')],
  ...BODY_COLUMNS,
};

function stationRows(rails: Rails): TableRow[] {
  const rows = (rail: Rail, side: string) => rail.map((station) => ({ side, ...station }));
  return rails.kind === 'mirrored' ? rows(rails.stations, 'both') : SIDES.flatMap((side) => rows(rails[side], side));
}

/**
 * One table of a job as CSV.
 *
 * @param table Which table.
 * @param job The job; validated.
 * @param readings Readings, in any order.
 * @param unit Inches or millimeters.
 */
export function writeJobTable(table: JobTable, job: Job, readings: readonly Reading[], unit: LengthUnit): string {
  const rows: Readonly<Record<JobTable, () => readonly object[]>> = {
    stations: () => stationRows(job.donor.rails),
    features: () => job.donor.features.map((feature) => ({ ...feature, unit: unitOf(job.donor, feature.id)?.id })),
    'control-points': () => job.donor.controlPoints,
    readings: () => readings,
    openings: () => bodyRows('openings', job.bodies),
    mounts: () => bodyRows('mounts', job.bodies),
    boxes: () => bodyRows('boxes', job.bodies),
    weights: () => bodyRows('weights', job.bodies),
  };
  return writeTable(TABLE_COLUMNS[table], rows[table]() as readonly TableRow[], unit);
}

function railsOf(rows: readonly TableRow[]): Rails {
  const of = (side: string): Rail =>
    rows.flatMap(({ side: own, ...station }) => (own === side ? [station as unknown as Rail[number]] : []));
  const known: readonly string[] = ['both', ...SIDES];
  const wrong = rows.findIndex((row) => !known.includes(String(row.side)));
  if (wrong >= 0)
    throw new InputError([
      {
        code: 'table/side',
        path: `line ${wrong + 2}, side`,
        message: 'The side is left, right, or both where the rails mirror each other.',
      },
    ]);
  const sides = new Set(rows.map((row) => row.side));
  if (sides.has('both') && sides.size > 1)
    throw new InputError([
      {
        code: 'table/side',
        path: 'side',
        message: 'Give either both for all stations, or left and right for each rail.',
      },
    ]);
  return sides.has('both')
    ? { kind: 'mirrored', stations: of('both') }
    : { kind: 'measured', left: of('left' satisfies Side), right: of('right') };
}

/** The donor with features from a table, each under the unit that its row names. */
function withFeatures(donor: Frame, rows: readonly TableRow[]): object {
  const unknown = rows.findIndex(({ unit }) => unit !== undefined && donor.units.every(({ id }) => id !== unit));
  if (unknown >= 0)
    throw new InputError([
      {
        code: 'table/unit',
        path: `line ${unknown + 2}, unit`,
        message: `There is no unit “${String(rows[unknown]?.unit)}”: add it on the Donor bench first, or leave this empty.`,
      },
    ]);
  return {
    ...donor,
    features: rows.map(({ unit: _, ...feature }) => feature),
    units: donor.units.map((unit) => ({
      ...unit,
      mounts: [
        ...unit.mounts.filter(({ kind }) => kind !== 'feature'),
        ...rows.filter((row) => row.unit === unit.id).map(({ id }) => ({ kind: 'feature', id })),
      ],
    })),
  };
}

/**
 * The job with a table of its donor or its bodies replaced by one from CSV.
 *
 * @param table Which table.
 * @param csv The table as CSV text.
 * @param job The job; validated.
 * @throws InputError with every problem, of the table or of the job it would make.
 */
export function readJobTable(table: Exclude<JobTable, 'readings'>, csv: string, job: Job): Job {
  const rows = readTable(TABLE_COLUMNS[table], csv);
  const ofBody = BODY_TABLES.find((name) => name === table);
  if (ofBody)
    return checkJob(
      withoutLostMountings({ ...job, bodies: withBodyRows(ofBody, rows, job.bodies) as readonly Body[] }),
    );
  const donor =
    table === 'stations'
      ? { ...job.donor, rails: railsOf(rows) }
      : table === 'features'
        ? withFeatures(job.donor, rows)
        : { ...job.donor, controlPoints: rows };
  return checkJob({ ...job, donor });
}

/**
 * Readings from CSV that a job does not have yet: readings are only ever added.
 *
 * @param csv The table as CSV text.
 * @param job The job; validated.
 * @param known Readings, in any order.
 * @throws InputError with every problem, also for a measurement that the job does not have.
 */
export function readReadings(csv: string, job: Job, known: readonly Reading[]): Reading[] {
  const rows = readTable(TABLE_COLUMNS.readings, csv).map(({ id, taken, by, ...body }) =>
    readingOf(checkRecord(newRecord('reading', body as never, { id, taken, by } as never)) as ShopRecord<'reading'>),
  );
  const measurements = new Map(job.donor.controlMeasurements.map(({ id, kind }) => [id, kind]));
  const problems = rows.flatMap(({ measurement, value }, index): InputProblem[] => {
    const kind = measurements.get(measurement);
    if (!kind)
      return [
        {
          code: 'reading/unknown-measurement',
          path: `line ${index + 2}, measurement`,
          message: `There is no control measurement “${measurement}”.`,
        },
      ];
    const message = readingProblem(kind, value);
    return message === null ? [] : [{ code: 'reading/value', path: `line ${index + 2}, value`, message }];
  });
  if (problems.length > 0) throw new InputError(problems);
  const ids = new Set(known.map(({ id }) => id));
  return rows.filter(({ id }) => !ids.has(id));
}
