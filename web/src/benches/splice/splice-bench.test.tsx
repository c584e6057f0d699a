import { couponsOf, evaluatePlan, inches, type Job, newRecord, PLAIN_BUTT, STOCK_MATERIALS } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');
const { job: tour } = demoJob('tour-carrier');
const undecided: Job = { ...van, plan: { ...van.plan, splices: [] } };

const type = (name: string | RegExp, text: string) => {
  const box = screen.getByLabelText<HTMLInputElement>(name);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const choose = (name: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(name), { target: { value } });
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const first = (job: Job) => job.plan.splices.find(({ joint }) => joint === 'stretch/1')!.rails;
const joints = () => within(screen.getByRole('list', { name: 'Joints' })).getAllByRole('button');

describe('a joint that nobody has decided on', () => {
  it('says what it is taken for, and is made as strong as the rail in one press', () => {
    const { now, done } = openBench(parts, undecided);
    expect(joints().map(({ textContent }) => textContent)).toEqual(['A0.60not decided', 'B0.60not decided']);
    expect(screen.getByText(/plain butt weld from one side, only looked at: 0\.60/)).toBeTruthy();
    press('As strong as the rail');
    expect(done()).toEqual(['Made a joint as strong as the rail']);
    expect(evaluatePlan(now()).splices[0]!.worst.strength!.ratio).toBe(1);
    expect(joints()[0]!.textContent).toBe('A1.00of the rail');
  });

  it('is decided as it is, and then lifted by the change that is pressed', () => {
    const { now } = openBench(parts, undecided);
    press('Decide it here');
    expect(first(now())).toEqual(PLAIN_BUTT);
    fireEvent.click(screen.getByText('Smallest changes that lift it'));
    press('A plate inside the web');
    expect(first(now()).plates).toHaveLength(1);
    expect(screen.getAllByText(/0\.74/).length).toBeGreaterThan(0);
    press('Leave it undecided');
    expect(now().plan.splices).toEqual([]);
  });

  it('is bolted where the rails must not be welded', () => {
    const hard = { ...undecided, donor: { ...van.donor, material: STOCK_MATERIALS['heat-treated-110'] } };
    const { now } = openBench(parts, hard);
    press('Bolt joint A: plates on web and flanges');
    expect(first(now()).form).toEqual({ form: 'bolted' });
    expect(first(now()).plates.every(({ fastening }) => fastening.by === 'bolts')).toBe(true);
  });
});

describe('how a joint is made', () => {
  it('form, weld, plates and sleeve are changed on both rails at once', () => {
    const { now } = openBench(parts, van);
    type('Between verticals', '4');
    expect(first(now()).form).toMatchObject({ form: 'step', length: inches(4) });
    choose('The ends are cut', 'angled');
    type('Top edge behind the bottom edge by', '5');
    expect(first(now()).form).toEqual({ form: 'angled', run: inches(5) });
    choose('Welded', 'both-sides');
    expect(first(now()).weld.way).toBe('both-sides');
    type('Ahead', '9');
    expect(first(now()).plates[0]!.ahead).toBe(inches(9));
    choose('Outline', 'taper');
    expect(first(now()).plates[0]!.outline.shape).toBe('taper');
    press(/Take the plate inside the web off/);
    expect(first(now()).plates).toEqual([]);
    choose('Lay on a plate', 'web-outside');
    expect(first(now()).plates[0]).toMatchObject({ face: 'web-outside' });
    choose('In or over the rail', 'folded');
    expect(first(now()).sleeve).toMatchObject({ kind: 'folded' });
  });

  it('what cannot be is said where it is typed, and nothing is lost', () => {
    const { now } = openBench(parts, van);
    type('Horizontal, up', '9');
    expect(screen.getByRole('alert').textContent).toMatch(/between the flanges/);
    expect(now()).toBe(van);
    type('Deep', '12');
    expect(screen.getAllByText(/runs past the flat of the rail/).length).toBeGreaterThan(0);
    expect(first(now()).plates[0]!.depth).toBe(inches(12));
  });

  it('one rail is made otherwise only with a reason', () => {
    const { now } = openBench(parts, van);
    press('right rail');
    const part = screen.getByRole<HTMLButtonElement>('button', { name: 'Part' });
    expect(part.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText(/say why/), { target: { value: 'the tank bracket stays' } });
    press('Part');
    type('Between verticals', '2');
    const [plan] = now().plan.splices.filter(({ joint }) => joint === 'stretch/1');
    expect(plan!.others[0]).toMatchObject({ rail: 'right', reason: 'the tank bracket stays' });
    expect(plan!.others[0]!.splice.form).toMatchObject({ length: inches(2) });
    expect(plan!.rails.form).toMatchObject({ length: inches(3) });
  });

  it('other joints are made like it, a sleeve runs on to the next, and a member has its own', () => {
    const { now, store } = openBench(parts, van);
    choose('The ends are cut', 'butt');
    press('Make B like this');
    expect(now().plan.splices.find(({ joint }) => joint === 'stretch/2')!.rails.form).toEqual({ form: 'butt' });
    choose('In or over the rail', 'inner');
    press('runs through');
    press('caps alone');
    expect(first(now()).sleeve).toMatchObject({ through: true, caps: true });
    fireEvent.click(joints()[1]!);
    expect(store.getState().splice.joint).toBe('stretch/2');
    expect(screen.getByText(/The sleeve of A runs through to B/)).toBeTruthy();
  });

  it('is only looked at without the right to change it', () => {
    openBench(parts, van, { canWrite: false });
    expect(screen.getByLabelText<HTMLSelectElement>('Welded').disabled).toBe(true);
    expect(screen.queryByRole('button', { name: /Make B like/ })).toBeNull();
  });
});

describe('the picture', () => {
  it('has grips that arrow keys move: plate ends, verticals, the blade', () => {
    const { now, store } = openBench(parts, van);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'plate inside the web, front end' }), {
      key: 'ArrowLeft',
      shiftKey: true,
    });
    expect(first(now()).plates[0]!.ahead).toBeCloseTo(inches(8.5), 6);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'upper vertical of the step' }), { key: 'ArrowLeft' });
    expect(first(now()).form).toMatchObject({ length: expect.closeTo(inches(3 + 1 / 8), 6) as number });
    fireEvent.keyDown(screen.getByRole('slider', { name: /^Blade/ }), { key: 'ArrowRight' });
    expect(store.getState().blade).not.toBeNull();
  });

  it('shows the joint opened, the section at the blade, and the curve as a table', () => {
    openBench(parts, van);
    expect(screen.getByRole('img', { name: 'The section at the cursor' }).textContent).toMatch(
      /1\.14 of the bare rail/,
    );
    expect(screen.getByRole('table', { name: /What joint A carries/ }).textContent).toContain('1.06');
    press('opened');
    expect(screen.getByRole('img', { name: 'Joint A opened' }).textContent).toContain('1 plate over the joint');
  });

  it('on a phone stands upright, and a press on a plate opens its fields', () => {
    const two = {
      ...van,
      plan: {
        ...van.plan,
        splices: van.plan.splices.map((splice) => ({
          ...splice,
          rails: {
            ...splice.rails,
            plates: [
              ...splice.rails.plates,
              { ...splice.rails.plates[0]!, id: 'plate-2', face: 'web-outside' as const },
            ],
          },
        })),
      },
    };
    openBench(parts, two, {}, 'hand');
    Element.prototype.scrollIntoView = () => undefined;
    const drawing = screen.getByRole('img', { name: /^Joint A unfolded, front up/ });
    fireEvent.click(within(drawing).getByText('plate outside the web').parentElement!);
    const details = document.querySelector<HTMLDetailsElement>('[data-plate="plate-2"]')!;
    expect(details.open).toBe(true);
    // What slides over the tray on a larger screen folds out here.
    const compare = screen.getByText('Compare').closest('details')!;
    compare.open = true;
    fireEvent(compare, new Event('toggle'));
    expect(within(compare).getAllByRole('row').length).toBeGreaterThan(12);
  });
});

describe('one wall', () => {
  it('is welded otherwise, lowers what the joint carries, and is as the rest again', () => {
    const { now } = openBench(parts, undecided);
    press('Decide it here');
    choose('Top', 'not-welded');
    expect(first(now()).weld.walls).toEqual([{ wall: 'top', way: 'not-welded' }]);
    expect(evaluatePlan(now()).splices[0]!.worst.strength!.ratio).toBeLessThan(0.5);
    choose('Top', 'as-the-rest');
    expect(first(now())).toEqual(PLAIN_BUTT);
  });
});

describe('what slides over it', () => {
  it('all forms in a table, and a press makes one of them', () => {
    const { now } = openBench(parts, van, { drawer: 'compare' });
    const rows = within(screen.getByRole('region', { name: 'Drawer' })).getAllByRole('row');
    expect(rows.length).toBeGreaterThan(12);
    press('Butt, inner sleeve');
    expect(first(now()).sleeve).toMatchObject({ kind: 'inner' });
  });

  it('tubes that fit, the rack that is typed into, and one that is taken', () => {
    const { now } = openBench(parts, sprayer, { drawer: 'sleeves' });
    expect(screen.getAllByText(/as a wedge, with a filler strip/).length).toBeGreaterThan(0);
    type('Wall, row 1', '9');
    expect(screen.getAllByRole('alert')[0]!.textContent).toMatch(/less than half/);
    expect(now().rack[0]!.wall).toBe(inches(3 / 16));
    type('Wall, row 1', '3/16');
    type('Long, row 2', '40');
    expect(now().rack[1]!.length).toBe(inches(40));
    fireEvent.click(screen.getAllByRole('button', { name: /^Put tube 4 1\/2/ })[0]!);
    expect(now().plan.splices[0]!.rails.sleeve).toMatchObject({
      kind: 'inner',
      stock: 'tube 4 1/2 × 2 1/2 × 1/8, offcut',
    });
  });

  it('every part with its size and its files', () => {
    openBench(parts, tour, { drawer: 'parts' });
    expect(screen.getAllByText(/^X leg 1[LR]$/)).toHaveLength(2);
    expect(screen.getByRole<HTMLAnchorElement>('link', { name: 'DXF of A1L' }).href).toMatch(
      /parts\?of=joints&as=dxf&part=A1L$/,
    );
  });

  it('every factor with its value and source', () => {
    openBench(parts, van, { drawer: 'assumptions' });
    const row = screen.getByRole('row', { name: /Tensile strength of the weld metal/ });
    expect(row.textContent).toMatch(/69\.9\s?ksi.*AWS/);
  });
});

it('coupons are asked for each different weld, and what came of them is logged', () => {
  const asked = couponsOf(evaluatePlan(van), []);
  const made = { id: 'c1', taken: '2026-04-01T10:00:00Z', by: 'owner' };
  const failed = newRecord('coupon', { coupon: asked[1]!.id, result: 'failed', note: '' }, made);
  const { asked: told } = openBench(parts, van, { records: [failed] });
  const list = screen.getByRole('region', { name: 'Practice coupons' });
  expect(within(list).getAllByRole('listitem')).toHaveLength(3);
  expect(list.textContent).toMatch(/Failed, owner/);
  fireEvent.click(within(list).getAllByRole('button', { name: /^Held/ })[0]!);
  expect(told.onRecord).toHaveBeenCalledWith(
    expect.objectContaining({ kind: 'coupon', body: { coupon: asked[0]!.id, result: 'held', note: '' } }),
  );
});

it('end plates and gussets are added to ends and joints, and taken off', () => {
  const { now } = openBench(parts, van);
  choose('Add an end plate or gussets', 'tail');
  choose('Add an end plate or gussets', 'stretch/1');
  expect(now().plan.fittings.map(({ kind, on }) => [kind, on])).toEqual([
    ['end-plate', 'tail'],
    ['gusset', 'stretch/1'],
  ]);
  type('on each rail', '4');
  expect(now().plan.fittings[1]).toMatchObject({ count: 4 });
  press('Take end plates on c off');
  expect(now().plan.fittings.map(({ kind }) => kind)).toEqual(['gusset']);
});

it('without a joint says where to make one', () => {
  openBench(parts, { ...van, plan: { ...van.plan, operations: [], splices: [], accepted: [] } });
  expect(screen.getByText(/put a cut in the plan, and what it joins is made here/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Plan the cuts' })).toBeTruthy();
});
