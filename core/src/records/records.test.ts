import { describe, expect, it, vi } from 'vitest';
import { donor as at, inputOf, plainFrame } from '../../test/frames.ts';
import { InputError } from '../input-error.ts';
import { type Job, jobFileOf, newJob, parseJobFile, writeJobFile } from '../job/index.ts';
import { checkRecord, columnsOf, inOrderOfTime, newRecord, recordName, standing } from './index.ts';
import { readingsIn, type ShopRecord } from './index.ts';

/** A kind that the program does not have: its schema and its columns, and nothing else. */
vi.mock('./kinds.ts', async (original) => {
  const { RECORD_DEFINITIONS } = await original<typeof import('./kinds.ts')>();
  const { text, whole } = await import('../fields/index.ts');
  return {
    RECORD_DEFINITIONS: {
      ...RECORD_DEFINITIONS,
      tea: {
        name: 'Cup of tea',
        version: 2,
        upgrade: { 1: ({ cups }: { cups: number }) => ({ cups, for: 'everybody' }) },
        fields: { cups: whole(1, 9), for: text(50) },
        columns: [
          { key: 'cups', kind: 'text' },
          { key: 'for', kind: 'text' },
        ],
        problem: ({ cups }: { cups: number }) => (cups > 5 ? 'Nobody drinks that much.' : null),
      },
    },
    CAUTION_STEPS: ['cutting', 'welding'],
  };
});

const made = (id: string, changes: object = {}) => ({ id, taken: '2026-04-01T10:00:00Z', by: 'owner', ...changes });
const reading = (id: string, value: number, changes: object = {}) =>
  newRecord('reading', { measurement: 'width', stage: 'fit-up', value }, made(id, changes));
const job = (): Job => ({
  ...newJob({
    name: 'Job',
    donor: 'Donor',
    display: { unit: 'in', division: 16 },
    wheelbase: 3000,
    ahead: 500,
    behind: 500,
    outsideWidth: 800,
    tireRadius: 300,
    cab: null,
    section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 },
  }),
  ...inputOf(plainFrame(), { kind: 'lengthen', at: at(2000), length: 100 }),
});

describe('a kind of record that is only named in the registry', () => {
  const tea = { ...made('t1'), kind: 'tea', version: 2, body: { cups: 2, for: 'the welder' } };

  it('is checked by its schema, and named', () => {
    expect(checkRecord(tea)).toEqual(tea);
    expect(() => checkRecord({ ...tea, body: { cups: 0, for: 'x' } })).toThrow(/is below 1/);
    expect(() => checkRecord({ ...tea, body: { cups: 2 } })).toThrow(/for: is missing/);
    expect(recordName('tea' as never)).toBe('Cup of tea');
    expect(columnsOf('tea' as never).map(({ key }) => key)).toEqual(['cups', 'for']);
  });

  it('is brought up from an older version of its body', () => {
    expect(checkRecord({ ...tea, version: 1, body: { cups: 3 } })).toEqual({
      ...tea,
      body: { cups: 3, for: 'everybody' },
    });
    expect(() => checkRecord({ ...tea, version: 3 })).toThrow(InputError);
  });

  it('travels in the job file, with the others in order of time', () => {
    const later = reading('r1', 700, { taken: '2026-04-02T10:00:00Z' });
    const text = writeJobFile(jobFileOf(job(), [later, tea as unknown as ShopRecord]));
    const { records } = parseJobFile(text);
    expect(records.map(({ id }) => id)).toEqual(['t1', 'r1']);
    expect(writeJobFile(parseJobFile(text))).toBe(text);
    const old = text.replace('"version": 2', '"version": 1').replace('"cups": 2, "for": "the welder"', '"cups": 2');
    expect(parseJobFile(old).records[0]!.body).toEqual({ cups: 2, for: 'everybody' });
  });
});

describe('records', () => {
  it('are corrected by a later one that names the one it replaces', () => {
    const [wrong, right] = [reading('r1', 700), reading('r2', 710, { replaces: 'r1' })];
    expect(standing([wrong, right], 'reading')).toEqual([right]);
    expect(readingsIn([wrong, right])).toEqual([{ ...made('r2'), measurement: 'width', stage: 'fit-up', value: 710 }]);
  });

  it('are refused with what is wrong, and where', () => {
    const problems = (value: unknown) => {
      try {
        checkRecord(value);
        return [];
      } catch (error) {
        return error instanceof InputError ? error.problems.map(({ path, message }) => `${path} ${message}`) : [];
      }
    };
    expect(problems({ ...reading('r1', 7), taken: 'yesterday' })[0]).toMatch(/^taken must be a moment in UTC/);
    for (const taken of ['2026-02-30T10:00:00Z', '2026-13-01T10:00:00Z', '2026-05-01T25:00:00Z'])
      expect(problems({ ...reading('r1', 7), taken })[0]).toMatch(/^taken is no day of the calendar/);
    expect(problems({ ...reading('r1', 7), taken: '2028-02-29T23:59:59.5Z' })).toEqual([]);
    expect(problems(reading('r1', 7, { replaces: 'r1' }))[0]).toBe('replaces names this record itself');
    expect(problems({ ...reading('r1', Number.NaN) })[0]).toMatch(/^body.value/);
    expect(problems({ ...reading('r1', 7), kind: 'dance' })[0]).toMatch(/^kind must be one of reading/);
    expect(problems({ ...reading('r1', 7), secret: true })[0]).toMatch(/unknown key “secret”/);
    expect(problems(null)).not.toEqual([]);
  });

  it('of the same moment are in the order of their ids', () => {
    expect(inOrderOfTime([reading('b', 1), reading('a', 2)]).map(({ id }) => id)).toEqual(['a', 'b']);
  });
});
