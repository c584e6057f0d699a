import { evaluatePlan, inches, type Job, newBody } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { undo } from '../../client/job-store.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const bare: Job = { ...van, bodies: [] };

const type = (name: string | RegExp, text: string) => {
  const box = screen.getByLabelText<HTMLInputElement>(name);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const alerts = () => screen.queryAllByRole('alert').map(({ textContent }) => textContent);

describe('a job without a body', () => {
  it('gets one, or a part of one, from the list, and says what to measure on it', () => {
    const { now, store } = openBench(parts, bare);
    expect(screen.getByText(/Nothing goes on this frame yet/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Add a body'), { target: { value: 'cab' } });
    expect(now().bodies).toMatchObject([{ name: 'Cab', kind: 'cab', openings: [], mounts: [] }]);
    fireEvent.change(screen.getByLabelText('Add a body'), { target: { value: 'bed' } });
    expect(now().bodies.map(({ name }) => name)).toEqual(['Cab', 'Bed 2']);
    expect(store.getState().selected).toBe(now().bodies[1]!.id);
    const guide = screen.getByRole('table', { name: /^What to measure on Bed 2/ });
    expect(within(guide).getAllByText('to do')).toHaveLength(7);
    expect(screen.getByText(/Brace the door and wheel openings before the bolts come out/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /^Mounts: station/ }));
    expect(store.getState().drawer).toBe('mounts');
  });
});

describe('a body', () => {
  it('is named, and taken off with what the plans say of it', () => {
    const [body] = van.bodies;
    const seat = { body: body!.id, x: 3, z: 4, rake: 0 };
    const placed = { ...van, plan: { ...van.plan, seats: [seat] } };
    const { now, store } = openBench(parts, placed);
    type('Name', 'Old carrier');
    expect(now().bodies[0]!.name).toBe('Old carrier');
    fireEvent.click(screen.getByRole('button', { name: 'Take Old carrier off the job' }));
    expect([now().bodies, now().plan.seats]).toEqual([[], []]);
    undo(store);
    expect([now().bodies[0]!.name, now().plan.seats]).toEqual(['Old carrier', [seat]]);
  });

  it('is drawn as it is measured, and what is not measured whole is dashed', () => {
    const rough = { ...van.bodies[0]!, openings: [{ id: 'o', name: 'Front', over: 'front' as const, x: 0 }] };
    openBench(parts, { ...van, bodies: [rough] });
    const picture = screen.getByRole('img', { name: /side over plan/ });
    expect(picture.querySelectorAll('[stroke-dasharray="4 3"] circle')).toHaveLength(1);
    expect(picture.outerHTML).not.toMatch(/NaN/);
  });

  it('of which nothing is known is no drawing of nothing', () => {
    openBench(parts, { ...van, bodies: [newBody('empty', 'Empty shell')] });
    expect(screen.getByText(/Nothing of Empty shell is measured yet/)).toBeTruthy();
  });

  it('is only looked at without the right to change it', () => {
    openBench(parts, van, { canWrite: false });
    expect(screen.queryByLabelText('Add a body')).toBeNull();
    expect(screen.getByLabelText<HTMLInputElement>('Name').disabled).toBe(true);
  });
});

describe('its tables', () => {
  it('openings may leave height and radius open, and say what cannot be', () => {
    const { now } = openBench(parts, van, { drawer: 'openings' });
    type('Radius, row 1', '');
    expect(now().bodies[0]!.openings[0]).not.toHaveProperty('radius');
    type('Radius, row 1', '-3');
    expect(alerts()).toEqual([expect.stringMatching(/must be more than 0, or left empty/)]);
    type('Radius, row 1', '18 1/2');
    expect(now().bodies[0]!.openings[0]!.radius).toBe(inches(18.5));
    type('Middle, from the tape, row 2', '150');
    expect(evaluatePlan(now()).seats[0]!.wheelbase!.asked).toBe(inches(150));
  });

  it('a hole that is none is told apart from one that nobody has measured', () => {
    const { now } = openBench(parts, van, { drawer: 'mounts' });
    type('Hole, row 1', '');
    expect(now().bodies[0]!.mounts[0]).not.toHaveProperty('hole');
    expect(
      screen.getByText('hole or bracket to measure: 1 mount · for how high each mount must be', { exact: false }),
    ).toBeTruthy();
    type('Hole, row 1', '0');
    expect(now().bodies[0]!.mounts[0]!.hole).toBe(0);
    expect(screen.getByText('10 mounts entered')).toBeTruthy();
  });

  it('weights are taken in pounds or kilograms', () => {
    const { now } = openBench(parts, van, { drawer: 'weights' });
    type('Mass, lb, row 1', '3000');
    expect(now().bodies[0]!.masses[0]!.mass).toBeCloseTo(1360.777, 3);
    type('Mass, lb, row 1', '1300 kg');
    expect(now().bodies[0]!.masses[0]!.mass).toBe(1300);
    type('Mass, lb, row 1', '0');
    expect(alerts()).toEqual([expect.stringMatching(/needs a mass above 0/)]);
    expect(now().bodies[0]!.masses[0]!.mass).toBe(1300);
  });

  it.each([
    [
      'mounts',
      'Body mounts',
      'mounts',
      [
        ['Foot a', '10', '-17', '2', '1/2', '1/4', '3/4', '1200', '80 lb'],
        ['Foot b', "1' 6", '17', '2', '1/2', '1/4', '', '', ''],
      ],
    ],
    [
      'boxes',
      'Parts that stay clear',
      'boxes',
      [
        ['Hump', 'hump', '10', '30', '-8', '8', '-2', '6'],
        ['Tunnel', 'tunnel', '40', '90', '-6', '6', '0', '5'],
      ],
    ],
    [
      'boxes',
      'Floor, front to rear',
      'underside',
      [
        ['220', '4'],
        ['240', '5'],
      ],
    ],
    [
      'outline',
      'Outline of its side',
      'outline',
      [
        ['0', '10'],
        ['12', '30'],
      ],
    ],
    [
      'openings',
      'Wheel openings',
      'openings',
      [
        ['Tag', 'rear axle', '190', '-9', '18'],
        ['Tag 2', 'rear', '200', '', ''],
      ],
    ],
  ] as const)('%s take a block pasted from a spreadsheet (%s)', (drawer, caption, list, rows) => {
    const { now } = openBench(parts, van, { drawer });
    const table = screen.getByRole('table', { name: caption });
    const before = now().bodies[0]![list].length;
    fireEvent.click(within(table.parentElement!).getByRole('button', { name: /^Add/ }));
    const cells = within(table).getAllByRole('row').at(-1)!.querySelectorAll('input, select');
    fireEvent.paste(cells[0]!, { clipboardData: { getData: () => rows.map((row) => row.join('\t')).join('\r\n') } });
    expect(alerts()).toEqual([]);
    expect(now().bodies[0]![list]).toHaveLength(before + 2);
  });

  it('a box inside out is refused at its cell, and stays as typed', () => {
    const { now } = openBench(parts, van, { drawer: 'boxes' });
    type('Rear, row 1', '-20');
    expect(alerts()).toEqual([expect.stringMatching(/must end behind where it begins/)]);
    expect(screen.getByLabelText<HTMLInputElement>('Rear, row 1').value).toBe('-20');
    expect(now()).toBe(van);
  });
});

it('on a phone what is asked for folds out its table', () => {
  Element.prototype.scrollIntoView = () => undefined;
  const { store } = openBench(parts, van, {}, 'hand');
  fireEvent.click(screen.getByRole('button', { name: /^Weights, and where/ }));
  expect(store.getState().drawer).toBe('weights');
  const folded = screen.getByText('Weights', { selector: 'summary' }).closest('details')!;
  expect(folded.open).toBe(true);
});

describe('what is done to it', () => {
  it('a change moves everything that the frame is matched with, and says what to cut and what it changes', () => {
    const { now } = openBench(parts, van, { drawer: 'changes' });
    fireEvent.click(screen.getByRole('button', { name: 'Add a change' }));
    expect(now().bodies[0]!.changes).toMatchObject([{ of: 'width', at: 0, by: inches(4), off: false }]);
    const panel = within(screen.getByRole('region', { name: 'Changes to the body' }));
    expect(panel.getByText('front wall').closest('li')!.textContent).toMatch(/4 × 73/);
    // The mounts of the table stay as measured; on the frame they stand 2 farther out.
    expect(now().bodies[0]!.mounts).toEqual(van.bodies[0]!.mounts);
    expect(evaluatePlan(now()).seats[0]!.mounts[0]!.at.y).toBeCloseTo(van.bodies[0]!.mounts[0]!.y - inches(2), 6);
    expect(panel.getByRole('row', { name: /^Mounts beside the rail/ }).textContent).toMatch(/2\s*10$/);
  });

  it('sizes that may be left empty are typed, taken off again, and told where they cannot be', () => {
    const { now } = openBench(parts, van);
    const type = (text: string) => {
      const box = screen.getByRole<HTMLInputElement>('textbox', { name: 'Rear end (back of a cab)' });
      fireEvent.change(box, { target: { value: text } });
      fireEvent.blur(box);
    };
    type('220');
    expect(now().bodies[0]!.rear).toBeCloseTo(inches(220), 6);
    type('-80');
    expect(screen.getByText(/must lie behind its front end/)).toBeTruthy();
    expect(now().bodies[0]!.rear).toBeCloseTo(inches(220), 6);
    type('');
    expect(now().bodies[0]).not.toHaveProperty('rear');
  });
});

describe('at the body with a phone', () => {
  it('it is walked along one thing at a time, each figure typed with a thumb', () => {
    const { now } = openBench(parts, van, {}, 'hand');
    fireEvent.change(screen.getByRole('combobox', { name: 'What is surveyed' }), { target: { value: 'mounts' } });
    const press = (...names: readonly (string | RegExp)[]) =>
      names.forEach((name) => fireEvent.click(screen.getByRole('button', { name })));
    const [first] = van.bodies[0]!.mounts.toSorted((a, b) => a.x - b.x);
    expect(screen.getByRole('heading', { level: 2, name: first!.name })).toBeTruthy();
    press(/^Bushing/, '1', '1/4', 'Save');
    expect(now().bodies[0]!.mounts.find(({ id }) => id === first!.id)!.bushing).toBeCloseTo(inches(1.25), 6);
    press('One more behind');
    expect(now().bodies[0]!.mounts).toHaveLength(11);
    press(/Delete/);
    expect(now().bodies[0]!.mounts).toHaveLength(10);
  });

  it('what cannot be is told over the keys, and nothing changes', () => {
    const { now } = openBench(parts, van, {}, 'hand');
    fireEvent.change(screen.getByRole('combobox', { name: 'What is surveyed' }), { target: { value: 'fenders' } });
    const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
    press(/^Outer edge/);
    press('1');
    press('Save');
    expect(screen.getAllByRole('alert')[0]!.textContent).toMatch(/must be farther out than its inner/);
    expect(now().bodies).toEqual(van.bodies);
  });
});
