import { evaluatePlan, inches, type Job } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const { job: pickup } = demoJob('beach-rescue');
const untouched: Job = { ...van, plan: { ...van.plan, operations: [], splices: [], fittings: [], accepted: [] } };

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (name: string | RegExp, text: string) => {
  const box = screen.getByRole<HTMLInputElement>('textbox', { name });
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const seat = (job: Job) => evaluatePlan(job).seats[0]!;

describe('what the body asks for', () => {
  it('is said in a sentence, and one press makes the operation that gives it', () => {
    const { now, done } = openBench(parts, untouched);
    expect(screen.getByText(/Marlowe Parcel Carrier asks/).textContent).toMatch(
      /asks 155 3⁄4, the donor is 141: 14 3⁄4 more\. The plan is 14 3⁄4 short\./,
    );
    press(/^Lengthen by 14 3\/4/);
    expect(done()).toEqual([expect.stringMatching(/^Lengthen by 14 3\/4/)]);
    expect(now().plan.operations).toMatchObject([
      { kind: 'lengthen', length: expect.closeTo(inches(14.75), 6) as number },
    ]);
    expect(screen.getByText(/The plan gives it/)).toBeTruthy();
    expect(seat(now()).openings.map(({ behind }) => behind)).toEqual([0, expect.closeTo(0, 6)]);
  });

  it('changes the cut that is there already', () => {
    const less: Job = {
      ...van,
      bodies: van.bodies.map((body) => ({
        ...body,
        openings: body.openings.map((one) => (one.over === 'rear' ? { ...one, x: one.x - inches(2) } : one)),
      })),
    };
    const { now } = openBench(parts, less);
    press('Lengthen: 2 in less');
    expect(now().plan.operations.find(({ kind }) => kind === 'lengthen')).toMatchObject({
      length: expect.closeTo(inches(12.75), 6) as number,
    });
  });
});

describe('where it sits', () => {
  it('is placed by chosen mounts, with how far each is off before it is pressed', () => {
    const { now, done } = openBench(parts, van);
    const { mounts } = seat(now());
    const [first, second] = mounts;
    for (const { mount } of [first!, second!])
      fireEvent.change(screen.getByRole('combobox', { name: 'Add a mount to place it by' }), {
        target: { value: mount.id },
      });
    const over = screen.getAllByRole<HTMLInputElement>('textbox', { name: 'Over the datum plane' });
    for (const box of over.slice(0, 2)) {
      fireEvent.change(box, { target: { value: '9' } });
      fireEvent.blur(box);
    }
    press('Place it so');
    expect(done()).toContain('Placed by its mounts');
    const heights = seat(now()).mounts.slice(0, 2);
    expect(heights.map(({ at }) => at.z)).toEqual([expect.closeTo(inches(9), 3), expect.closeTo(inches(9), 3)]);
  });

  it('is placed by rule, by hand, and left to the rule again', () => {
    const { now } = openBench(parts, van);
    type('Front opening behind its axle', '2');
    expect(seat(now()).openings[0]!.behind).toBeCloseTo(inches(2), 6);
    type('Level line over the datum plane', '3');
    type('Rake, rear up above 0', '1');
    expect(now().plan.seats).toMatchObject([{ z: inches(3), rake: Math.PI / 180 }]);
    expect(screen.getAllByText(/stands .* behind its axle/).length).toBeGreaterThan(0);
    press('Rear opening over its axle');
    expect(seat(now()).openings[1]!.behind).toBeCloseTo(0, 6);
    expect(now().plan.seats).toMatchObject([{ z: expect.closeTo(inches(3), 9) as number }]);
    press('Leave it to the rule');
    expect(now().plan.seats).toEqual([]);
  });

  it('goes down until something touches, and no farther', () => {
    const { now } = openBench(parts, van);
    press('Lowest that clears');
    const low = seat(now());
    expect([low.clashes, low.mounts.filter(({ way }) => way === 'clash' && low.pose.z < 0)]).toEqual([[], []]);
    // The floor is 1/4 over the kick-up as it stands.
    expect(low.pose.z).toBeCloseTo(-inches(1 / 4), 1);
    type('Level line over the datum plane', '-1/2');
    expect(screen.getByText(/The floor of .* comes down on the left rail/)).toBeTruthy();
    press(/^Raise the body by/);
    expect(seat(now()).clashes).toEqual([]);
  });

  it('is nudged by keys on the drawing', () => {
    const { now } = openBench(parts, van);
    const grip = screen.getByRole('slider', { name: /along the frame and in height/ });
    fireEvent.keyDown(grip, { key: 'ArrowUp' });
    fireEvent.keyDown(grip, { key: 'ArrowRight', shiftKey: true });
    expect(now().plan.seats).toMatchObject([
      { x: expect.closeTo(inches(1 / 2), 6) as number, z: expect.closeTo(inches(1 / 16), 6) as number },
    ]);
  });

  it('is only looked at without the right to change it', () => {
    openBench(parts, untouched, { canWrite: false });
    expect(screen.queryByRole('slider', { name: /along the frame/ })).toBeNull();
    expect(screen.queryByRole('button', { name: /^Lengthen by/ })).toBeNull();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Rear opening over its axle' }).disabled).toBe(true);
  });
});

describe('its mounts', () => {
  it('stand as columns with their gaps, and in a table with all there is to know', () => {
    openBench(parts, van, { drawer: 'mounts' });
    const columns = screen.getByRole('img', { name: /^Gap at each mount of Marlowe/ });
    expect(columns.textContent).toMatch(/Mount 1outrigger.*Mount 2perch/);
    const row = within(screen.getByRole('region', { name: 'Drawer' })).getByRole('row', { name: /^Mount 1, left/ });
    expect(row.textContent).toMatch(/left.*\+1 1⁄2.*\+15⁄16.*outrigger.*lb/);
  });

  it('a mount below the top of the rail is reported with a suggested fix', () => {
    const { now } = openBench(parts, van);
    type('Level line over the datum plane', '-2');
    expect(screen.getAllByText(/wants to sit .* below the top of the rail/).length).toBeGreaterThan(0);
    expect(seat(now()).mounts.some(({ way }) => way === 'clash')).toBe(true);
  });
});

it('where nothing was measured that must stay clear, it does not say that all is clear', () => {
  const [body] = van.bodies;
  openBench(parts, { ...van, bodies: [{ ...body!, boxes: [], underside: [] }] });
  expect(screen.getByText(/whether anything stands in it cannot be told/)).toBeTruthy();
  expect(screen.queryByText(/^Nothing of rails/)).toBeNull();
});

it('at the frame it is one mount at a time, and four keys nudge the body', () => {
  const { now, done } = openBench(parts, van, {}, 'hand');
  const card = () => screen.getByRole('region', { name: 'One mount' });
  expect(card().textContent).toMatch(/Mount 1, left1 of 10.*\+1 1⁄2.*outrigger, 15⁄16 scant outboard.*carries 401/);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'The mount ahead' }).disabled).toBe(true);
  for (let mount = 1; mount < 10; mount += 1) press('The mount behind');
  expect(card().textContent).toMatch(/Mount 5, right10 of 10.*perch/);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'The mount behind' }).disabled).toBe(true);
  press(/^Up by 1\/16/);
  press(/^Rearward by 1\/16/);
  expect(now().plan.seats).toMatchObject([
    { x: expect.closeTo(inches(1 / 16), 6) as number, z: expect.closeTo(inches(1 / 16), 6) as number },
  ]);
  expect(done()).toEqual(['Nudged the body']);
});

it('without a body it leads to where one is measured', () => {
  const { store } = openBench(parts, pickup);
  press('Measure a body');
  expect(store.getState().bench).toBe('body');
});

describe('a deck', () => {
  it('is begun, changed, told what it asks for and where its hoist may stand, and taken off again', () => {
    const { now } = openBench(parts, van, { drawer: 'deck' });
    press(/has a deck$/);
    const deck = () => within(screen.getByRole('region', { name: 'Deck' }));
    type('Deck long', '120');
    type('Of it behind the axle, %', '40');
    // The gap of 2 and three fifths of 120.
    expect(deck().getByText(/from cab to axle/).textContent).toMatch(
      /It asks 74 from cab to axle, the plan has 98 1⁄4\./,
    );
    press('It turns about a hinge');
    type('It stands from the hinge', '30');
    expect(seat(now()).work!.mechanism).toMatchObject({ mechanism: { stands: inches(30) }, works: true });
    expect(deck().getByText(/By levers/)).toBeTruthy();
    type('It stands from the hinge', '5');
    expect(deck().getByText(/outside of what it works with/)).toBeTruthy();
    expect(screen.getAllByText(/it works from/).length).toBeGreaterThan(0);
    press('It has no deck');
    expect(now().bodies[0]).not.toHaveProperty('work');
  });
});
