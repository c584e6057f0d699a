import { evaluateShoring, type Job, loadText, NO_SHORING, shoringOf, quantityText } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { act, fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');
const { job: pickup } = demoJob('beach-rescue');

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (name: string | RegExp, text: string) => {
  const box = screen.getByRole<HTMLInputElement>('textbox', { name });
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const pull = (name: string | RegExp, value: string) =>
  fireEvent.change(screen.getByRole('combobox', { name }), { target: { value } });
const loads = () =>
  within(screen.getByRole('table', { name: /What each stand carries/ }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[0]!.textContent);

describe('what holds the frame', () => {
  it('is placed in one press, says what each stand carries, and is one step of undo', () => {
    const { now, done } = openBench(parts, sprayer);
    expect(screen.getByText(/nothing holds the frame yet: where to begin is not known/)).toBeTruthy();
    press('Place stands for cut A');
    expect(now().plan.shoring.shores).toHaveLength(4);
    expect(done()).toEqual(['Placed stands for cut A']);
    const { cuts } = evaluateShoring(now()).steps[0]!;
    const carried = cuts[0]!.kerf.before!.rest.reactions.map((load) => loadText(load, sprayer));
    // Rail by rail they share as the frame as one beam does, for a frame that is alike left and right.
    expect(loads()).toHaveLength(4);
    expect(loads().map((text) => Number.parseInt(text!, 10))).toEqual(
      carried.map((text) => expect.closeTo(Number.parseInt(text, 10), -1.5) as number),
    );
  });

  it('a stand taken away lets its part go over, and that is reported with the suggested fix', () => {
    const { now, store } = openBench(parts, van);
    expect(screen.getByText(/Every part stands once cut A·B is through/)).toBeTruthy();
    const rear = now().plan.shoring.shores.find(({ x, step }) => step === 'stretch' && x > 3500)!;
    act(() => store.setState({ selected: rear.id }));
    press('Take this stand away');
    expect(screen.getByText(/Rear part only balances|Rear part goes rear down/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /Cut A and B.*not every part stands/ })).toBeTruthy();
  });

  it('the shore at hand is typed: its place from the datum, its shim, the floor, what it is', () => {
    const { now, store } = openBench(parts, van);
    const shore = now().plan.shoring.shores[1]!;
    act(() => store.setState({ selected: shore.id }));
    const datum = van.donor.features.find(({ id }) => id === van.donor.datum)!.x;
    type('From the datum', '40 1/2');
    expect(now().plan.shoring.shores[1]!.x).toBeCloseTo(datum + 40.5 * 25.4, 6);
    type('Shim on it', '-1');
    expect(screen.getByText(/A shim is 0 or more/)).toBeTruthy();
    type('Shim on it', '1/8');
    expect(now().plan.shoring.shores[1]!.shim).toBeCloseTo(3.175, 6);
    pull('What it is', 'strongback');
    expect(screen.getByText('cut it to')).toBeTruthy();
    expect(now().plan.shoring.shores[1]).toMatchObject({ kind: 'strongback', side: 'both' });
  });

  it('a thing that is off the frame weighs nothing', () => {
    const { now } = openBench(parts, van, { drawer: 'weights' });
    const before = shoringOf(now()).steps[0]!.whole.mass;
    fireEvent.click(screen.getByRole('checkbox', { name: 'Cab is on the frame' }));
    const cab = van.donor.points.find(({ name }) => name === 'Cab')!;
    expect(now().plan.shoring.off).toEqual([...van.plan.shoring.off, { id: cab.carrier!.id, step: null }]);
    expect(before - shoringOf(now()).steps[0]!.whole.mass).toBeCloseTo(cab.mass, 6);
    expect(screen.getByText('2 things are removed')).toBeTruthy();
  });

  it('the height of the datum plane must be above the floor', () => {
    const { now } = openBench(parts, van);
    type('Datum plane over the floor', '-4');
    expect(screen.getByText(/The datum plane is above the floor/)).toBeTruthy();
    expect(now().plan.shoring.level).toBe(van.plan.shoring.level);
  });

  it('through every moment the kerf says what it does', () => {
    openBench(parts, van);
    expect(screen.getByRole('img', { name: /Cut A·B: it closes at the bottom/ })).toBeTruthy();
    press('through');
    expect(screen.getByText(/closes under 1\/64 in at the bottom/)).toBeTruthy();
    // Each part by itself carries what it must: neutral stands are what they are set to.
    const rows = within(screen.getByRole('table', { name: /What each stand carries/ }))
      .getAllByRole('row')
      .slice(1);
    for (const row of rows) {
      const [carries, must] = within(row).getAllByRole('cell');
      expect(
        Math.abs(Number.parseInt(carries!.textContent!, 10) - Number.parseInt(must!.textContent!, 10)),
      ).toBeLessThan(2);
    }
  });

  it('without a cut there is nothing to hold, and the way to plan one', () => {
    openBench(parts, pickup);
    expect(screen.getByText(/Nothing is cut through yet/)).toBeTruthy();
  });
});

describe('all shores in a table', () => {
  it('a block from a spreadsheet is taken whole, or not at all with the reason', () => {
    const bare: Job = { ...van, plan: { ...van.plan, shoring: NO_SHORING } };
    const { now } = openBench(parts, bare, { drawer: 'stands' });
    press('Add a stand');
    const table = screen.getByRole('table', { name: 'Stands' });
    const cell = within(table).getAllByRole('textbox')[0]!;
    fireEvent.paste(cell, { clipboardData: { getData: () => '-12\n40 1/2\n7 ft 1' } });
    const datum = van.donor.features.find(({ id }) => id === van.donor.datum)!.x;
    expect(now().plan.shoring.shores.map(({ x }) => Math.round((x - datum) / 0.254) / 100)).toEqual([-12, 40.5, 85]);
    fireEvent.paste(cell, { clipboardData: { getData: () => '1//2\n3' } });
    expect(now().plan.shoring.shores.map(({ x }) => Math.round((x - datum) / 0.254) / 100)).toEqual([-12, 40.5, 85]);
    expect(within(table).getByDisplayValue('1//2')).toBeTruthy();
  });
});

describe('at the frame', () => {
  it('one stand after the other with its height, and that it is set goes into the log', () => {
    const { asked } = openBench(parts, van, {}, 'hand');
    const card = within(screen.getByRole('region', { name: 'One stand' }));
    expect(card.getByText(/from the floor to the steel, plumb both ways/)).toBeTruthy();
    fireEvent.change(card.getByRole('textbox'), { target: { value: 'plenty' } });
    fireEvent.click(card.getByRole('button', { name: 'Set' }));
    expect(card.getByRole('alert')).toBeTruthy();
    fireEvent.change(card.getByRole('textbox'), { target: { value: '1540' } });
    fireEvent.click(card.getByRole('button', { name: 'Set' }));
    const [[record]] = asked.onRecord.mock.calls as [[{ kind: string; body: { prop: string; load: number } }]];
    expect(record.kind).toBe('prop-set');
    expect(quantityText('mass', record.body.load, 'in')).toMatch(/^1540\slb$/);
  });
});
