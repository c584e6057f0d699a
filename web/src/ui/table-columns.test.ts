import { inches } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { cellText, choiceColumn, type Column, lengthColumn, numberColumn, readCell, words } from './table-columns.ts';

interface Row {
  readonly x: number;
  readonly kind: string;
  readonly pitch?: number;
  readonly group?: string;
}

const format = { unit: 'in', division: 16 } as const;
const row: Row = { x: inches(22), kind: 'spring-hanger', pitch: Math.PI / 60 };
const x = lengthColumn<Row>('x', 'From datum', '1', inches(10));
const pitch = numberColumn<Row>('pitch', 'Rises', '1', { factor: 180 / Math.PI, optional: true });
const kind = choiceColumn<Row>('kind', 'Kind', '1', words(['spring-hanger', 'hole']));
const group = choiceColumn<Row>('group', 'Group', '1', [
  ['', '–'],
  ['rear', 'Rear suspension'],
]);
const read = (column: Column<Row>, text: string) => readCell(column, row, text, format);

describe('cells', () => {
  it('show what is stored, in the unit it is typed in', () => {
    expect(cellText(x, row, format)).toBe('12');
    expect(cellText(pitch, row, format)).toBe('3');
    expect(cellText(pitch, { x: 0, kind: 'hole' }, format)).toBe('');
    expect(cellText(kind, row, format)).toBe('spring-hanger');
  });

  it.each([
    [x, '13 1/2', { x: inches(23.5) }],
    [pitch, '-6°', { pitch: -Math.PI / 30 }],
    [kind, 'Hole', { kind: 'hole' }],
    [kind, 'spring hanger', { kind: 'spring-hanger' }],
    [group, 'rear suspension', { group: 'rear' }],
  ] as const)('take what is typed or pasted (%#)', (column, text, changes) => {
    const cell = read(column as Column<Row>, text);
    expect(cell.ok && cell.row).toEqual({ ...row, ...changes });
  });

  it('an empty cell takes an optional key out', () => {
    const cell = read(pitch, ' ');
    expect(cell.ok && cell.row).toEqual({ x: row.x, kind: row.kind });
    const loose = readCell(group, { ...row, group: 'rear' }, '–', format);
    expect(loose.ok && loose.row).toEqual(row);
  });

  it.each([
    [x, '12 oak', '“oak” is not part of a length'],
    [pitch, 'steep', '“steep” is not a number.'],
    [kind, 'beam', '“beam” is none of: spring hanger, hole.'],
  ] as const)('say what is wrong (%#)', (column, text, message) => {
    const cell = read(column as Column<Row>, text);
    expect(cell.ok ? '' : cell.message).toContain(message);
  });
});
