import { evaluateJob, newRecord, readingsIn, type ShopRecord, surveyAndMoves, targetOf } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { act, fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job, records } = demoJob('parcel-van');
const { plan: result } = evaluateJob(job, records);
const drawer = () => within(screen.getByRole('region', { name: 'Drawer' }));
const next = () => within(screen.getByRole('region', { name: 'Next move' }));
const opened = (stage: 'fit-up' | 'tacked', slides?: string, own: readonly ShopRecord[] = records) => {
  const found = openBench(parts, job, { records: own, ...(slides && { drawer: slides }) });
  act(() => found.store.setState({ stage }));
  return found;
};

describe('the loose half', () => {
  it('says the next thing to do, and what it leaves', () => {
    opened('fit-up');
    expect(next().getByRole('listitem').textContent).toMatch(/^Pull the loose half 1\/8 in forward/);
    expect(next().getByText(/8 readings not right now, 3 readings not right after it; 2 more to do/)).toBeTruthy();
  });

  it('all its moves stand in a table, and after the last of them everything is right', () => {
    opened('fit-up', 'moves');
    const [list] = drawer().getAllByRole('list');
    expect(within(list!).getAllByRole('listitem').at(-1)!.textContent).toMatch(/then all readings right$/);
    const lines = drawer().getAllByRole('row').slice(1);
    expect(lines.length).toBeGreaterThan(5);
    for (const line of lines) {
      const cells = within(line).getAllByRole('cell');
      expect(cells.some(({ className }) => className.includes('oxide'))).toBe(true);
      expect(cells.at(-1)!.className).not.toContain('oxide');
    }
  });

  it('pushed by the keys every reading answers, the moves that get it there are named, and it goes back', () => {
    const { store } = opened('fit-up');
    const half = screen.getByRole('button', { name: /The loose half: drag it/ });
    for (let press = 0; press < 4; press += 1) fireEvent.keyDown(half, { key: 'ArrowLeft' });
    const pushed = within(screen.getByRole('region', { name: 'Pushed' }));
    expect(pushed.getByText('Pull the loose half 1/8 in forward, alike on both straps')).toBeTruthy();
    expect(pushed.getByRole('status').textContent).toMatch(/3 readings not right/);
    fireEvent.keyDown(half, { key: 'ArrowDown', altKey: true });
    expect(pushed.getByText(/^Slide its rear end, at .* in, 1\/32 in right$/)).toBeTruthy();
    fireEvent.click(pushed.getByRole('button', { name: 'Let it go back' }));
    expect(store.getState().pushed).toBeNull();
    expect(next().getByText(/8 readings not right now/)).toBeTruthy();
  });

  it('few readings give moves too, with what they rest on and that nothing checks them', () => {
    const fitUp = records.filter(
      (record) => record.kind === 'reading' && (record as ShopRecord<'reading'>).body.stage === 'fit-up',
    );
    // As many as are read until the moves come, and not one more.
    let shown = null;
    for (let count = 1; count <= fitUp.length && !shown; count += 1) {
      const found = surveyAndMoves(job, result, readingsIn(fitUp.slice(0, count)), 'fit-up');
      if (found.trueUp) shown = { count, found };
    }
    expect(shown!.found.survey.state).toBe('floats');
    opened('fit-up', 'moves', fitUp.slice(0, shown!.count));
    expect(next().getByText(/each half is taken as rigid, with the shape of its control points/)).toBeTruthy();
    expect(drawer().getAllByRole('listitem').length).toBeGreaterThan(0);
  });

  it('inside every tolerance it is left alone', () => {
    opened('tacked');
    expect(next().getByText(/All readings together put the loose half inside every tolerance/)).toBeTruthy();
  });

  it('before the cut there is none', () => {
    opened(
      'fit-up',
      'moves',
      records.filter(({ kind }) => kind !== 'reading'),
    );
    expect(screen.queryByRole('region', { name: 'Next move' })).toBeNull();
    expect(drawer().getByText(/do not hold the frame yet/)).toBeTruthy();
  });
});

describe('the ends at a joint', () => {
  it('are dressed where they are tight, a little at a time', () => {
    opened(
      'tacked',
      'ends',
      records.filter(({ id }) => id !== 'van-ends-dressed'),
    );
    const todo = within(screen.getByRole('list', { name: 'What to do at joint A' }));
    expect(todo.getByText(/1\/16 in off the right top/)).toBeTruthy();
  });

  it('are read into the log; what cannot be is said and nothing is lost', () => {
    const { asked } = opened('tacked', 'ends');
    const box = (what: string) => screen.getByRole<HTMLInputElement>('textbox', { name: `Joint B, right: ${what}` });
    fireEvent.change(box('gap, top'), { target: { value: '-1/8' } });
    fireEvent.keyDown(box('gap, top'), { key: 'Enter' });
    expect(screen.getByRole('alert').textContent).toMatch(/a gap is 0 or more/);
    expect(box('gap, top').value).toBe('-1/8');
    fireEvent.change(box('gap, top'), { target: { value: '1/8' } });
    fireEvent.keyDown(box('gap, top'), { key: 'Enter' });
    const [[record]] = asked.onRecord.mock.calls as [[ShopRecord<'fit-up'>]];
    expect(record.body).toMatchObject({ side: 'right', top: 3.175 });
  });
});

describe('the history', () => {
  it('shows every stage, and what welding pulled once it is read', () => {
    const welded = result.controls.flatMap((control, at) => {
      const value = targetOf(control, 'welded');
      return value === null
        ? []
        : [
            newRecord(
              'reading',
              { measurement: control.measurement.id, stage: 'welded', value },
              { id: `made-${at}`, taken: '2026-05-01T10:00:00Z', by: 'owner' },
            ),
          ];
    });
    opened('tacked', 'history', [...records, ...welded]);
    const heads = drawer().getAllByRole('columnheader');
    expect(heads.map(({ textContent }) => textContent)).toEqual([
      'Shape',
      'before the cut',
      'fit-up',
      'tacked',
      'fully welded',
      'pulled by welding',
    ]);
  });

  it('a correction is written down with what it read before and after', () => {
    const { asked } = opened('tacked', 'history');
    const type = (name: string, value: string) =>
      fireEvent.change(screen.getByRole('textbox', { name }), { target: { value } });
    type('It read before', '69 1/2');
    type('It reads after', 'straight');
    fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(screen.getByRole('alert').textContent).toMatch(/^After: /);
    type('It reads after', '69 3/8');
    fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    const [[record]] = asked.onRecord.mock.calls as [[ShopRecord<'correction'>]];
    expect(record.body).toMatchObject({ how: 'heat', before: 69.5 * 25.4, after: 69.375 * 25.4 });
  });
});
