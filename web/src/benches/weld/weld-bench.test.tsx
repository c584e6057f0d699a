import { emptyPlan, type Job, newRecord, planOf, type ShopRecord, weldingOf } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: van, records: vanRecords } = demoJob('parcel-van');
const { job: tour } = demoJob('tour-carrier');
const welding = weldingOf(van, planOf(van));

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (name: string | RegExp, text: string) => {
  const box = screen.getByRole<HTMLInputElement>('textbox', { name });
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const laid = (ids: readonly string[]): readonly ShopRecord[] =>
  ids.map((stitch, at) =>
    newRecord(
      'stitch-welded',
      { stitch, laid: true, settings: null, note: '' },
      { id: `w-${at}`, taken: '2026-04-12T08:00:00Z', by: 'welder' },
    ),
  );
const ofStep = (what: string) =>
  welding.steps.filter((step) => step.what === what).flatMap(({ stitches }) => stitches.map(({ id }) => id));

describe('the bench Weld', () => {
  it('waits for a joint to be cut and decided', async () => {
    openBench(parts, { ...van, plan: emptyPlan('Nothing') });
    expect(await screen.findByText(/Nothing is welded yet/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Decide how joints are made' })).toBeTruthy();
    expect(screen.getByText(/The joint stands here unfolded/)).toBeTruthy();
  });

  it('lists the steps with how far each has come, and holds before the butt welds until tacks are measured', async () => {
    openBench(parts, van, { records: vanRecords });
    const list = await screen.findByRole('list', { name: 'Steps of the welding in order' });
    const rows = within(list).getAllByRole('listitem');
    expect(rows).toHaveLength(welding.steps.length);
    expect(rows[0]!.textContent).toMatch(/A: tacks.*10 of 10/);
    expect(rows[2]!.textContent).toMatch(/Readings after tacking.*measure now/);
    expect(rows[3]!.textContent).toMatch(/A: butt weld.*0 of 20/);
  });

  it('draws every stitch of the joint with its number, and another joint when it is picked', async () => {
    openBench(parts, van);
    const drawn = screen.getByRole('img', { name: /Joint A unfolded/ });
    const butts = welding.steps.find(({ what, joint }) => what === 'butt' && joint?.letter === 'A')!;
    const titles = [...drawn.querySelectorAll('title')].map(({ textContent }) => textContent ?? '');
    for (let number = 1; number <= butts.stitches.length; number += 1)
      expect(titles.filter((title) => title.startsWith(`${number}: `))).toHaveLength(1);
    fireEvent.click(await screen.findByRole('button', { name: 'Joint B' }));
    expect(screen.getByRole('img', { name: /Joint B unfolded/ })).toBeTruthy();
  });

  it('takes the machine’s settings, refuses what no machine has, and says when they are assumed', async () => {
    const { welding: _, ...unset } = van.plan;
    const { now, done } = openBench(parts, { ...van, plan: unset });
    expect(await screen.findByText(/Assumed: nobody has typed/)).toBeTruthy();
    type(/^Amperes/, '0');
    expect(screen.getByText(/amps must be from 10 to 600 A/)).toBeTruthy();
    expect(now().plan.welding).toBe(undefined);
    type(/^Amperes/, '140');
    expect(now().plan.welding!.settings).toMatchObject({ amps: 140, volts: 19.5 });
    expect(screen.queryByText(/Assumed: nobody has typed/)).toBe(null);
    expect(done()).toEqual(['Machine settings']);
  });

  it('says which joints nobody has decided', async () => {
    openBench(parts, { ...van, plan: { ...van.plan, splices: [] } });
    expect(await screen.findByText(/A·B: nobody has decided how they are made/)).toBeTruthy();
  });

  it('says nothing of that where all are decided', async () => {
    openBench(parts, van);
    expect(await screen.findByRole('list', { name: 'Steps of the welding in order' })).toBeTruthy();
    expect(screen.queryByText(/nobody has decided/)).toBe(null);
  });

  it('rolls the frame over in one press', async () => {
    const { now } = openBench(parts, van, { drawer: 'seams' });
    const table = await screen.findByRole('table', { name: 'All seams' });
    const positions = () =>
      within(table)
        .getAllByRole('row')
        .slice(1)
        .filter((row) => /top flange/.test(row.textContent ?? ''))
        .map((row) => within(row).getAllByRole('cell')[3]!.textContent);
    expect(positions()).toContain('flat');
    press('rolled over');
    expect(now().plan.welding!.pose).toBe('rolled-over');
    expect(positions()).not.toContain('flat');
    expect(positions()).toContain('overhead');
  });

  it('says what the welds pull, and sets fit-up for it as one step of undo', async () => {
    const { now, done } = openBench(parts, van, { drawer: 'pull' });
    expect(await screen.findByText(/By the textbook/)).toBeTruthy();
    press('Set fit-up for it');
    expect(now().plan.welding!.preset.length).toBeGreaterThan(4);
    expect(screen.getByText(/Fit-up is set for it/)).toBeTruthy();
    expect(done()).toEqual(['Set fit-up for the pull']);
    const rows = within(await screen.findByRole('table', { name: /How the welds change/ })).getAllByRole('row');
    expect(rows.length - 1).toBe(welding.changes.length);
    expect(screen.getAllByText('not read').length).toBe(welding.changes.length);
  });

  it('says what comes too early, and puts all steps back in one press', async () => {
    const [butt, tack] = ['butt', 'tack'].map((what) => welding.steps.find((step) => step.what === what)!.id);
    const early: Job = { ...van, plan: { ...van.plan, welding: { ...van.plan.welding!, order: [butt!, tack!] } } };
    const { now } = openBench(parts, early);
    expect((await screen.findAllByText(/butt weld comes before/)).length).toBeGreaterThan(0);
    fireEvent.click(screen.getAllByRole('button', { name: 'Put all steps in the proposed order' })[0]!);
    expect(now().plan.welding!.order).toEqual([]);
    expect(screen.queryByText(/butt weld comes before/)).toBe(null);
  });

  it('checks a seam only once it is laid', async () => {
    const [seam] = welding.seams;
    const { asked } = openBench(parts, van, { drawer: 'seams', records: laid(ofStep('butt')) });
    await screen.findByRole('table', { name: 'All seams' });
    press(new RegExp(`^Passed ?: ${seam!.joint.letter}, left rail, ${seam!.where}$`));
    expect(asked.onRecord.mock.calls[0]![0]).toMatchObject({
      kind: 'seam-checked',
      body: { seam: seam!.id, result: 'passed', flush: false },
    });
    expect(screen.queryByRole('button', { name: /^Passed ?: A, left rail, plate inside the web/ })).toBe(null);
  });

  it('keeps a log, the latest first', async () => {
    openBench(parts, van, {
      drawer: 'log',
      records: [
        ...laid([ofStep('tack')[0]!]),
        ...laid(['gone#1.1']).map((one) => ({ ...one, id: 'x', taken: '2026-04-12T09:00:00Z' })),
      ],
    });
    const rows = within(await screen.findByRole('list', { name: /What was welded/ })).getAllByRole('listitem');
    expect(rows[0]!.textContent).toMatch(/not in the plan any more \(gone#1.1\)/);
    expect(rows[1]!.textContent).toMatch(/A, left rail, .*tack: welded/);
  });
});

describe('the welding at the frame', () => {
  it('asks for one tack after the other, logs it in one press and lets it be skipped', async () => {
    const { asked } = openBench(parts, tour, {}, 'hand');
    const card = within(await screen.findByRole('region', { name: 'Next stitch of joint A' }));
    const first = card.getByText(/left rail, bottom/).textContent;
    fireEvent.click(card.getByRole('button', { name: 'Skip' }));
    expect(card.queryByText(first!)).toBe(null);
    fireEvent.click(card.getByRole('button', { name: 'Done' }));
    expect(asked.onRecord.mock.calls[0]![0]).toMatchObject({ kind: 'stitch-welded', body: { laid: true } });
  });

  it('asks to measure before anything is welded that is only tacked', async () => {
    openBench(parts, van, { records: laid(ofStep('tack')) }, 'hand');
    expect(await screen.findByRole('region', { name: 'Measure first' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Done' })).toBe(null);
  });

  it('keeps a temperature that steel can have, and refuses another', async () => {
    const { asked } = openBench(parts, tour, {}, 'hand');
    const card = within(await screen.findByRole('region', { name: 'Next stitch of joint A' }));
    const box = card.getByRole('textbox', { name: /Read at its start/ });
    const keep = () => fireEvent.click(card.getByRole('button', { name: 'Keep' }));
    fireEvent.change(box, { target: { value: '3000' } });
    keep();
    expect(card.getByRole('alert').textContent).toMatch(/Steel that can be worked on is between/);
    fireEvent.change(box, { target: { value: '250' } });
    keep();
    const [record] = asked.onRecord.mock.calls[0] as [ShopRecord<'steel-temperature'>];
    expect(record.body.celsius).toBeCloseTo((250 - 32) / 1.8, 6);
  });

  it('says when all is welded', async () => {
    const all = welding.steps.flatMap(({ stitches }) => stitches.map(({ id }) => id));
    openBench(parts, van, { records: laid(all) }, 'hand');
    expect(await screen.findByRole('region', { name: 'All welded' })).toBeTruthy();
  });
});
