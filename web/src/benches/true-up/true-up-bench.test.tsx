import {
  type ControlPrediction,
  evaluateJob,
  inches,
  newRecord,
  type ShopRecord,
  STAGES,
  type Stage,
  targetOf,
} from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { act, fireEvent, screen, within } from '../../../test/page.ts';
import { readingProblemOf } from './taking.ts';
import { parts } from './parts.tsx';

const { job, records } = demoJob('parcel-van');
const { plan: result } = evaluateJob(job, records);
const open = (own: readonly ShopRecord[] = records) => {
  const opened = openBench(parts, job, { records: own, drawer: 'readings' });
  // What is right is folded away.
  const folded = screen.queryByRole('button', { name: /^Show the \d+ that (was|were) right$/ });
  if (folded) fireEvent.click(folded);
  return opened;
};
let made = 0;
const newReading = ({ measurement }: ControlPrediction, stage: Stage, value: number) =>
  newRecord(
    'reading',
    { measurement: measurement.id, stage, value },
    { id: `made-${(made += 1)}`, taken: '2026-04-01T10:00:00Z', by: 'owner' },
  );
const row = (name: RegExp) => screen.getByRole('row', { name });
const table = () => within(screen.getByRole('region', { name: 'Drawer' }));
const status = () => table().getAllByRole('status')[0]?.textContent;
const type = (within_: RegExp, text: string) => {
  const box = within(row(within_)).getByRole('textbox');
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};

/** A full set of readings, each exactly on its target. */
const setOf = (stage: Stage): ShopRecord<'reading'>[] =>
  result.controls.flatMap((control) => {
    const target = targetOf(control, stage);
    return target === null ? [] : [newReading(control, stage, target)];
  });

describe('what the tape says', () => {
  it('opens on the stage at hand, counts what is right, and names the misread diagonal', () => {
    open();
    expect(table().getByRole('button', { name: 'Tacked' }).getAttribute('aria-pressed')).toBe('true');
    expect(status()).toBe('33 right, 2 not');
    expect(row(/Back of cab left to Kick-up right/).textContent).toMatch(
      /\+1an inch long|\+1.*an inch long: read from the 1 in mark/,
    );
  });

  it('takes a reading as it is typed, with its stage, its time and who took it', () => {
    const { asked } = open();
    type(/Back of cab left to Kick-up right/, '69 3/8');
    const [taken] = asked.onRecord.mock.lastCall as [ShopRecord];
    expect(taken).toMatchObject({ kind: 'reading', body: { stage: 'tacked', value: 69.375 * 25.4 }, by: 'owner' });
    expect(taken.taken).toMatch(/^\d{4}-\d{2}-\d{2}T.*Z$/);
    expect(taken.id).not.toBe('');
  });

  it('keeps what cannot be a reading in its cell, with the reason', () => {
    const { asked } = open();
    type(/^Horn, across/, 'about 30');
    expect(within(row(/^Horn, across/)).getByRole('alert').textContent).toMatch(/not part of a length/);
    type(/^Horn, across/, '-3');
    expect(within(row(/^Horn, across/)).getByRole('alert').textContent).toBe('A tape reads more than 0.');
    type(/^Horn, across/, '');
    expect(within(row(/^Horn, across/)).getByRole('alert').textContent).toMatch(/never taken back/);
    expect(asked.onRecord).not.toHaveBeenCalled();
  });

  it('shows each stage’s own readings', () => {
    open();
    fireEvent.click(table().getByRole('button', { name: 'Fully welded' }));
    expect(status()).toMatch(/^0 right, \d+ to take$/);
    expect(within(row(/^Horn, across/)).getByRole<HTMLInputElement>('textbox').value).toBe('');
  });

  it('draws the measurement whose row is entered', () => {
    const { asked } = open();
    fireEvent.focus(within(row(/^Tail, across/)).getByRole('textbox'));
    expect(asked.onShowMeasurement).toHaveBeenLastCalledWith(expect.objectContaining({ name: 'Tail, across' }));
  });

  it('shows the cautions of what comes next, and keeps who read one', () => {
    const { asked } = open();
    fireEvent.click(screen.getByRole('button', { name: 'Mark as read: Fire watch', hidden: true }));
    expect(asked.onRecord.mock.lastCall).toMatchObject([
      { kind: 'caution-read', body: { step: 'welding', caution: 'fire-watch' }, by: 'owner' },
    ]);
    fireEvent.click(table().getByRole('button', { name: 'Before the cut' }));
    expect(screen.getByText('Before the saw')).toBeTruthy();
  });

  it('says where to begin when nothing is to be measured', () => {
    openBench(parts, { ...job, donor: { ...job.donor, controlMeasurements: [] } });
    const panel = within(screen.getByRole('complementary'));
    expect(panel.getByText(/No control measurements yet/)).toBeTruthy();
    fireEvent.click(panel.getByRole('button', { name: 'Choose control points' }));
    expect(location.pathname).toMatch(/\/donor$/);
  });
});

describe('the stage a shop is at', () => {
  const stage = (own: readonly ShopRecord[]) => evaluateJob(job, own).stage;

  it('begins before the cut', () => {
    expect(stage([])).toBe('before-cut');
  });

  it.each(STAGES.slice(0, -1).map((done, index) => [done, STAGES[index + 1]!] as const))(
    'after a full set %s is %s',
    (done, next) => {
      expect(stage(setOf(done))).toBe(next);
    },
  );

  it('stays where readings are missing or not right, and at the last when all is done', () => {
    expect(stage(setOf('tacked').slice(1))).toBe('tacked');
    const [first, ...others] = setOf('tacked');
    expect(stage([{ ...first!, body: { ...first!.body, value: first!.body.value + 20 } }, ...others])).toBe('tacked');
    expect(stage([...setOf('tacked'), ...setOf('welded')])).toBe('welded');
  });
});

it('a tape reads above 0, a height may be below', () => {
  const [tape, height] = [false, true].map((of) => result.controls.find(({ kind }) => (kind === 'height') === of));
  expect(readingProblemOf(tape!, 0)).not.toBe('');
  expect(readingProblemOf(height!, -10)).toBe('');
});

it('a verdict and the figure beside it say the same length', () => {
  const control = result.controls.find(({ kind }) => kind === 'width')!;
  const off = inches(3 / 32) + 0.2;
  open([newReading(control, 'tacked', control.predicted! + off)]);
  const cells = within(row(new RegExp(`^${control.name}`))).getAllByRole('cell');
  // 3/32 and a bit: full in both, to the same division.
  expect(cells[3]!.textContent).toBe('+3⁄32 full');
  expect(cells[4]!.textContent).toBe('Stop: 3/32 in full wide, allowed 1/16 in');
});

it('keeps readings of a measurement that is not on the list any more, and says so', () => {
  const body = { measurement: 'taken-off', stage: 'tacked', value: inches(10) } as const;
  open([...records, newRecord('reading', body, { id: 'gone', taken: '2026-04-01T10:00:00Z', by: 'owner' })]);
  expect(screen.getByText(/1 reading of measurements that are not on the list any more/)).toBeTruthy();
  expect(screen.getByText(/taken-off: 10 in/)).toBeTruthy();
});

it('shows readings that the server refused, with the reason, until they are dropped', () => {
  const { store, asked } = open();
  act(() => store.setState({ refusedRecords: [{ record: records[0]!, message: 'A tape reads more than 0.' }] }));
  expect(screen.getByRole('alert').textContent).toMatch(/1 record was not stored.*A tape reads more than 0/);
  fireEvent.click(screen.getByRole('button', { name: 'Drop it' }));
  expect(asked.onDropRecord).toHaveBeenCalledExactlyOnceWith(records[0]!.id);
});

it('what is not right stands on top, what is right is folded away, and nothing jumps while one types', () => {
  openBench(parts, job, { records, drawer: 'readings' });
  const names = () =>
    table()
      .getAllByRole('row')
      .map((line) => line.textContent)
      .filter((text) =>
        /Back of cab left to Kick-up right|Datum right to Tail left|that were right|not right/.test(text),
      );
  expect(names().map((text) => text.slice(0, 12))).toEqual([
    'not right, 2',
    'Back of cab ',
    'Datum right ',
    'Show the 33 ',
  ]);
  expect(screen.queryByRole('row', { name: /^Horn, across/ })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: /^Show the 33/ }));
  expect(screen.getByRole('row', { name: /^Horn, across/ })).toBeTruthy();
  // Down from the last of a group goes to the first of the next.
  const box = within(row(/Datum right to Tail left/)).getByRole('textbox');
  box.focus();
  fireEvent.keyDown(box, { key: 'ArrowDown' });
  expect(document.activeElement!.getAttribute('aria-label')).toBe('Measured: Horn, across');
});

describe('the shape of the frame', () => {
  const shape = (own: readonly ShopRecord[]) => {
    const opened = openBench(parts, job, { records: own, drawer: 'shape' });
    const panel = () => within(screen.getByRole('region', { name: 'Shape of the frame' }));
    return { ...opened, panel };
  };

  it('says which reading does not go with the others, and leads to it', () => {
    const { store, panel } = shape(records);
    const [misread] = panel().getAllByRole('listitem').slice(-2);
    expect(misread!.textContent).toMatch(
      /Back of cab left to Kick-up right does not go with the others: 1 .* more than the 69 .* that they say; an inch: read from the 1 in mark\? Read it again\./,
    );
    fireEvent.click(within(misread!).getByRole('button'));
    expect(store.getState().selected).toBe('p3-left-p4-right');
  });

  it('has every part in a table, with what the readings can tell', () => {
    const { store } = shape(setOf('tacked'));
    act(() => store.setState({ stage: 'tacked' }));
    const rows = table()
      .getAllByRole('rowheader')
      .map(({ textContent }) => textContent);
    expect(rows.map((text) => /^[^,]+/.exec(text ?? '')?.[0])).toEqual([
      'Length',
      'Width',
      'Diamond',
      'Side-bend',
      'Sag',
      'Twist',
    ]);
    expect(row(/^Diamond/).textContent).toMatch(/right$/);
  });

  it('where the readings do not hold the frame it asks for the one that tells most', () => {
    const widths = setOf('tacked').filter(({ body: { measurement } }) => /-width$/.test(measurement));
    const { store, panel } = shape([...records.filter(({ kind }) => kind !== 'reading'), ...widths]);
    expect(panel().getByText(/do not hold the frame yet: it can still move in \d+ ways/)).toBeTruthy();
    fireEvent.click(panel().getByRole('button'));
    const next = store.getState().selected;
    expect(result.controls.map(({ measurement }) => measurement.id)).toContain(next);
    expect(widths.map(({ body }) => body.measurement)).not.toContain(next);
  });

  it('is not spoken of before anything was read', () => {
    shape(records.filter(({ kind }) => kind !== 'reading'));
    expect(screen.queryByRole('region', { name: 'Shape of the frame' })).toBeNull();
  });
});
