import { inches, type LengthFormat } from '@splay/core';
import { useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { fireEvent, render, screen, userEvent } from '../../test/page.ts';
import { type CellProblem, EditTable } from './edit-table.tsx';
import { choiceColumn, lengthColumn, massColumn, textColumn, words } from './table-columns.ts';

interface Row {
  readonly name: string;
  readonly x: number;
  readonly kind: string;
  readonly mass: number;
}

const format: LengthFormat = { unit: 'in', division: 16 };
const columns = [
  textColumn<Row>('name', 'Name', '1'),
  lengthColumn<Row>('x', 'From datum', '1', inches(10)),
  choiceColumn<Row>('kind', 'Kind', '1', words(['hole', 'hanger'])),
  massColumn<Row>('mass', 'Mass', '1', format),
];
const START: readonly Row[] = [
  { name: 'First', x: inches(22), kind: 'hole', mass: 0 },
  { name: 'Second', x: inches(34), kind: 'hanger', mass: 0.45359237 * 12 },
];
const newRow = (after: Row | undefined): Row => ({ name: 'New', x: after?.x ?? 0, kind: 'hole', mass: 0 });

/** A table whose rows must stand in order. */
const onChange = vi.fn<(rows: readonly Row[]) => void>();
function Table({ disabled = false }: { readonly disabled?: boolean }) {
  const [rows, setRows] = useState(START);
  const take = (next: readonly Row[]): readonly CellProblem[] => {
    const wrong = next.findIndex((row, index) => index > 0 && row.x <= next[index - 1]!.x);
    if (wrong > 0) return [{ row: wrong, column: 'x', message: 'It must lie behind the one before.' }];
    onChange(next);
    setRows(next);
    return [];
  };
  return (
    <EditTable<Row>
      caption="Things"
      addLabel="Add one"
      {...{ columns, rows, format, newRow, disabled }}
      onChange={take}
    />
  );
}

const cell = (name: string) => screen.getByLabelText<HTMLInputElement>(name);
const type = (name: string, text: string) => {
  fireEvent.change(cell(name), { target: { value: text } });
  fireEvent.blur(cell(name));
};
const alerts = () => screen.queryAllByRole('alert').map(({ textContent }) => textContent);

describe('a table to type in', () => {
  beforeEach(() => onChange.mockClear());

  it('shows lengths from the datum hole and masses in pounds', () => {
    render(<Table />);
    expect(cell('From datum, row 1').value).toBe('12');
    expect(cell('Mass, lb, row 2').value).toBe('12');
  });

  it('takes a figure at once when it is right', () => {
    render(<Table />);
    type('From datum, row 1', '13 1/2');
    type('Mass, lb, row 1', '8 kg');
    expect(onChange).toHaveBeenLastCalledWith([{ ...START[0], x: inches(23.5), mass: 8 }, START[1]]);
    expect(alerts()).toEqual([]);
  });

  it('keeps what cannot be read in its cell with the reason, and changes nothing', () => {
    render(<Table />);
    type('From datum, row 2', '12 3/0');
    expect(cell('From datum, row 2').value).toBe('12 3/0');
    expect(cell('From datum, row 2').getAttribute('aria-invalid')).toBe('true');
    expect(alerts()).toEqual([expect.stringContaining('divided by zero')]);
    expect(onChange).not.toHaveBeenCalled();
    fireEvent.keyDown(cell('From datum, row 2'), { key: 'Escape' });
    expect(cell('From datum, row 2').value).toBe('24');
    expect(alerts()).toEqual([]);
  });

  it('says at the cell what is wrong with the rows together, until it is put right', () => {
    render(<Table />);
    type('From datum, row 2', '6');
    expect(alerts()).toEqual(['It must lie behind the one before.']);
    expect(onChange).not.toHaveBeenCalled();
    type('From datum, row 1', '2');
    expect(onChange.mock.lastCall?.[0].map(({ x }) => x / inches(1))).toEqual([expect.closeTo(12), expect.closeTo(16)]);
  });

  it('takes a block pasted from a spreadsheet, with rows added where it runs past the end', () => {
    render(<Table />);
    fireEvent.paste(cell('From datum, row 2'), {
      clipboardData: { getData: () => '30\tHole\t1\r\n40 1/4\thanger\t2.5 kg\r\n' },
    });
    expect(onChange).toHaveBeenLastCalledWith([
      START[0],
      { name: 'Second', x: inches(40), kind: 'hole', mass: 0.45359237 },
      { name: 'New', x: inches(50.25), kind: 'hanger', mass: 2.5 },
    ]);
  });

  it('keeps every cell of a pasted block when one of them is wrong', () => {
    render(<Table />);
    fireEvent.paste(cell('From datum, row 1'), { clipboardData: { getData: () => '1\twheel\n2\thole' } });
    expect(onChange).not.toHaveBeenCalled();
    expect(cell('From datum, row 1').value).toBe('1');
    expect(alerts()).toEqual(['“wheel” is none of: hole, hanger.']);
  });

  it('takes a block with the headings that the spreadsheet has over it, and without its empty lines', () => {
    render(<Table />);
    const block = 'FROM DATUM\tKind\tMass\r\n13\thole\t1\r\n\t\t\r\n25 1/4\thanger\t2\r\n';
    fireEvent.paste(cell('From datum, row 1'), { clipboardData: { getData: () => block } });
    expect(alerts()).toEqual([]);
    const near = (value: number) => expect.closeTo(value, 9) as number;
    expect(onChange).toHaveBeenLastCalledWith([
      { ...START[0], x: near(inches(23)), kind: 'hole', mass: near(0.45359237) },
      { ...START[1], x: near(inches(35.25)), kind: 'hanger', mass: near(2 * 0.45359237) },
    ]);
  });

  it('takes a name that is also a heading where others stand beside it', () => {
    render(<Table />);
    fireEvent.paste(cell('Name, row 1'), { clipboardData: { getData: () => 'Name\t13\nKind\t25\n' } });
    expect(alerts()).toEqual([]);
    expect(onChange.mock.lastCall?.[0].map(({ name }) => name)).toEqual(['Name', 'Kind']);
  });

  it('takes a block that begins at a choice', () => {
    render(<Table />);
    fireEvent.paste(cell('Kind, row 1'), { clipboardData: { getData: () => 'hanger\t3\nhole\t4' } });
    expect(alerts()).toEqual([]);
    expect(onChange.mock.lastCall?.[0].map(({ kind }) => kind)).toEqual(['hanger', 'hole']);
  });

  it('keeps the rest of a block when one row of it is taken off', () => {
    render(<Table />);
    const block = 'Third\t13\nFourth\tcheese\nFifth\t99\nSixth\tmouse';
    fireEvent.paste(cell('Name, row 1'), { clipboardData: { getData: () => block } });
    expect(alerts()).toHaveLength(2);
    expect(onChange).not.toHaveBeenCalled();
    // The one that stood there before the block goes, and what was pasted over it.
    fireEvent.click(screen.getByRole('button', { name: 'Remove row 2' }));
    expect([1, 2, 3].map((row) => cell(`Name, row ${row}`).value)).toEqual(['Third', 'Fifth', 'Sixth']);
    expect(cell('From datum, row 3').value).toBe('mouse');
    expect(alerts()).toEqual([expect.stringContaining('mouse')]);
    type('From datum, row 3', '120');
    expect(alerts()).toEqual([]);
    expect(onChange.mock.lastCall?.[0].map(({ name }) => name)).toEqual(['Third', 'Fifth', 'Sixth']);
  });

  it('takes choices, new rows and rows off', () => {
    render(<Table />);
    fireEvent.change(cell('Kind, row 1'), { target: { value: 'hanger' } });
    expect(onChange.mock.lastCall?.[0][0]?.kind).toBe('hanger');
    fireEvent.click(screen.getByRole('button', { name: 'Remove row 2' }));
    expect(onChange.mock.lastCall?.[0].map(({ name }) => name)).toEqual(['First']);
  });

  it('does not lose a row that the rows cannot do with', () => {
    render(<Table />);
    // The new row starts where the last one is, which is not behind it.
    fireEvent.click(screen.getByRole('button', { name: 'Add one' }));
    expect(onChange).not.toHaveBeenCalled();
    // It stands there with the reason, to be typed over or dropped.
    expect(screen.getAllByRole('row')).toHaveLength(4);
    expect(screen.getAllByRole('alert')).toHaveLength(1);
    fireEvent.click(screen.getByRole('button', { name: 'Remove row 3' }));
    expect(screen.getAllByRole('row')).toHaveLength(3);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('is left and walked through by the keys', async () => {
    const user = userEvent.setup();
    render(<Table />);
    await user.click(cell('Name, row 1'));
    await user.keyboard('{ArrowDown}');
    expect(document.activeElement).toBe(cell('Name, row 2'));
    await user.keyboard('{ArrowUp}');
    expect(document.activeElement).toBe(cell('Name, row 1'));
  });

  it('gives who may only look nothing to change', () => {
    render(<Table disabled />);
    expect(screen.queryAllByRole('button')).toEqual([]);
    expect(cell('Name, row 1').disabled).toBe(true);
  });
});
