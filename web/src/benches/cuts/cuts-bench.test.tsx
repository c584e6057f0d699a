import { evaluatePlan, IN_LINE, inches, type Job, kindsFor, nameOfKind, type OperationKind, takeUp } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { act, fireEvent, screen, within } from '../../../test/page.ts';
import { undo } from '../../client/job-store.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');
const { job: pickup } = demoJob('beach-rescue');
const open = (job: Job, canWrite = true) => openBench(parts, job, { canWrite });

const list = () => screen.getByRole('list', { name: 'Operations in order' });
const rows = () => within(list()).getAllByRole('listitem');
const kinds = ({ plan }: Job) => plan.operations.map(({ kind }) => kind);
const panel = () => within(screen.getByRole('complementary'));
const press = (name: string | RegExp) => fireEvent.click(panel().getByRole('button', { name }));
const type = (name: string | RegExp, text: string) => {
  const box = screen.getByRole('textbox', { name });
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};

describe('the operations of a plan', () => {
  it('stand in the order they are done, with the letters of their cuts and the figure they go by', () => {
    open(van);
    expect(rows().map(({ textContent }) => textContent)).toEqual([
      expect.stringMatching(/^A·BLengthen\+14 3\/4/),
      expect.stringMatching(/^2Move crossmemberCrossmember 10/),
      expect.stringMatching(/^3Remove bracketHitch bracket/),
      expect.stringMatching(/^CTrim the rear45°/),
    ]);
  });

  it('are put in another order, switched off and on, and taken out, each as one step of undo', () => {
    const { store, now, done } = open(van);
    press(/^A·B ?Lengthen/);
    press('Do Lengthen later');
    expect(kinds(now())).toEqual(['crossmember', 'lengthen', 'bracket', 'trim']);
    press('Switch Lengthen off');
    expect(now().plan.operations[1]).toMatchObject({ kind: 'lengthen', off: true });
    expect(evaluatePlan(now()).measures.after.wheelbase).toBeCloseTo(inches(141), 6);
    press('Switch Lengthen on');
    press('Remove Lengthen');
    expect(kinds(now())).toEqual(['crossmember', 'bracket', 'trim']);
    expect(done()).toEqual(['Reordered', 'Switched off', 'Switched on', 'Removed lengthen']);
    for (let step = 0; step < 4; step += 1) undo(store);
    expect(now()).toBe(van);
  });

  it('cannot be moved past the ends of the list', () => {
    open(van);
    expect(screen.getByRole('button', { name: 'Do Lengthen earlier' })).toHaveProperty('disabled', true);
    press(/Trim the rear/);
    expect(screen.getByRole('button', { name: 'Do Trim the rear later' })).toHaveProperty('disabled', true);
  });

  it.each(kindsFor(van.donor))('%s is added, picked, and shown with its own fields', (kind: OperationKind) => {
    const { store, now } = open(pickup);
    fireEvent.change(screen.getByRole('combobox', { name: 'New operation' }), { target: { value: kind } });
    expect(kinds(now())).toEqual([kind]);
    expect(store.getState().selected).toBe(now().plan.operations[0]?.id);
    const detail = screen.getByRole('region', { name: nameOfKind(kind) });
    expect(within(detail).getByRole('textbox', { name: 'Note' })).toBeTruthy();
    // The tray draws what it comes to; a rail that is closed already has nothing to draw.
    const figures = screen.queryByRole('group', { name: 'Figures of the operation' });
    expect(figures && within(figures).queryAllByRole('img')).toHaveLength(kind === 'box' ? 0 : 1);
  });

  it('is added behind what is picked on the drawing, and moves a bracket that is picked', () => {
    const mount = pickup.donor.features.find(({ kind }) => kind === 'bed-mount')!;
    const { store, now } = open(pickup);
    act(() => store.setState({ selected: mount.id }));
    const add = (kind: OperationKind) =>
      fireEvent.change(screen.getByRole('combobox', { name: 'New operation' }), { target: { value: kind } });
    add('pie-cut');
    expect(now().plan.operations[0]).toMatchObject({
      at: { x: expect.closeTo(mount.x + mount.behind + inches(2), 6) as number, on: 'donor' },
    });
    act(() => store.setState({ selected: mount.id }));
    add('bracket');
    expect(now().plan.operations[1]).toMatchObject({ change: { what: 'move', feature: mount.id } });
  });

  it('are only looked at by who may not write', () => {
    open(van, false);
    expect(screen.queryByRole('combobox', { name: 'New operation' })).toBeNull();
    expect(within(list()).queryAllByRole('button')).toHaveLength(4);
    expect(screen.getByRole('textbox', { name: 'How much' })).toHaveProperty('disabled', true);
  });
});

describe('the operation at hand', () => {
  it('takes a figure and a note, and says what the body still asks for', () => {
    const { now } = open(van);
    type('How much', '12');
    expect(screen.getByText(/The body asks for/).textContent).toMatch(/14 3⁄4 more wheelbase.*Still.*2 3⁄4 short/);
    type('Note', 'Clear of the tank.');
    expect(now().plan.operations[0]).toMatchObject({ note: 'Clear of the tank.' });
    press('Make it meet');
    expect(now().plan.operations[0]).toMatchObject({
      kind: 'lengthen',
      length: expect.closeTo(inches(14.75), 6) as number,
    });
    expect(screen.getByText(/You are there/)).toBeTruthy();
  });

  it('that leaves ends apart offers a transition piece, which joins them', () => {
    const { now } = open(takeUp(sprayer, 'Behind the cab'));
    press(/Shorten/);
    expect(screen.getByText(/^A needs a transition piece/)).toBeTruthy();
    press(/^Put a transition piece of 12 in/);
    expect(now().plan.operations.find(({ kind }) => kind === 'shorten')).toMatchObject({ transition: inches(12) });
    expect(evaluatePlan(now()).joints.map(({ verdict }) => verdict)).toEqual(['meets', 'meets']);
    expect(screen.queryByRole('button', { name: /^Put a transition piece/ })).toBeNull();
  });

  it('that cannot be done says why and what would help', () => {
    open(van);
    type(/^Where, level from the datum hole/, '40 ft');
    const stop = screen.getByRole('alert', { name: '1 thing stops this plan' });
    expect(stop.textContent).toMatch(/not on the frame.*Pick a place between/);
    press('Take this operation off the list');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('the sketch of a bracket', () => {
  it('tells both edges on a web, and the edge that it sits on', () => {
    open(sprayer);
    press(/Bed mount 2/);
    expect(screen.getByText('from the top edge').nextSibling?.textContent).toMatch(/^1 in/);
    press(/Tank strap 1/);
    expect(screen.queryByText('from the top edge')).toBeNull();
    expect(screen.getByText('on the bottom of the rail')).toBeTruthy();
  });
});

describe('what is wrong with a plan', () => {
  it('is listed with its suggested fixes, and a press goes to its place', () => {
    // As before anybody accepted anything.
    const undecided = { ...van, plan: { ...van.plan, accepted: [] } };
    const { asked, now, store } = open(undecided);
    const near = evaluatePlan(undecided).conflicts.find(({ code }) => code === 'near-joint')!;
    const message = screen.getByText(near.message, { selector: 'li span' });
    fireEvent.click(message);
    expect(asked.onPickConflict).toHaveBeenCalledExactlyOnceWith(near);
    const way = within(message.closest('li')!).getAllByRole('button', { name: /^Move the cut .* (forward|back)$/ })[0]!;
    fireEvent.click(way);
    expect(evaluatePlan(now()).conflicts.map(({ key }) => key)).not.toContain(near.key);
    undo(store);
    expect(now()).toBe(undecided);
  });

  it('a group that is pulled apart stops the plan until somebody says why it may', () => {
    const { now } = open({
      ...sprayer,
      plan: {
        ...sprayer.plan,
        operations: [
          {
            id: 'split',
            kind: 'lengthen',
            note: '',
            off: false,
            at: { x: 3700, on: 'donor' },
            length: 100,
            section: null,
            align: IN_LINE,
          },
        ],
      },
    });
    const split = () => evaluatePlan(now()).conflicts.find(({ code }) => code === 'unit-split');
    expect(split()?.severity).toBe('stop');
    const notice = screen.getByRole('alert', { name: /stops? this plan/ });
    expect(screen.queryByText(/You are there/)).toBeNull();
    const accept = within(notice).getByRole('button', { name: 'Accept' });
    fireEvent.change(within(accept.closest('li')!).getByRole('textbox'), { target: { value: 'new links are made' } });
    fireEvent.click(accept);
    expect(now().plan.accepted).toEqual([{ conflict: split()?.key, reason: 'new links are made', by: 'owner' }]);
    expect(split()?.severity).toBe('note');
    expect(screen.getByText('Accepted by owner because new links are made')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /^Do not accept it any more/ }));
    expect(split()?.severity).toBe('stop');
  });
});
