import { evaluatePlan, type FinderGoal, type FinderResult, type Job, whereToCut } from '@splay/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { act, fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const inWorker = vi.hoisted(() => vi.fn());
vi.mock('../../workers/in-worker.ts', async (original) => ({ ...(await original<object>()), inWorker }));

/** A search takes seconds: tests that ask for the same look at the same answers. */
const searched = new Map<string, FinderResult>();
function search(job: Job, goal: FinderGoal): FinderResult {
  const key = JSON.stringify([job, goal]);
  const found = searched.get(key) ?? whereToCut(job, goal);
  searched.set(key, found);
  return found;
}

const { job: sprayer } = demoJob('orchard-sprayer');
const { job: pickup } = demoJob('beach-rescue');
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const look = async () => {
  press('Look for the best places');
  await screen.findByRole('list', { name: 'Best options' });
};
const cards = () => within(screen.getByRole('list', { name: 'Best options' })).getAllByRole('article');

beforeEach(() => {
  inWorker.mockReset().mockImplementation((_: string, [job, goal]: [Job, FinderGoal]) => ({
    done: Promise.resolve(search(job, goal)),
    cancel: () => undefined,
  }));
});

describe('where to cut', () => {
  it('begins with what the body asks for, and gives ranked options and the obvious places that lost', async () => {
    openBench(parts, sprayer);
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'wanted' }).value).toBe('133 7/8');
    await look();
    const found = search(sprayer, inWorker.mock.calls[0]![1][1] as FinderGoal);
    expect(cards()).toHaveLength(5);
    expect(cards()[0]!.textContent).toContain(found.answers[0]!.says);
    expect(screen.getByRole('button', { name: 'Behind the cab' }).closest('li')!.textContent).toMatch(/apart sideways/);
    expect(screen.getByText(/not an approval/)).toBeTruthy();
  });

  it('shows no old answers under another question', async () => {
    openBench(parts, sprayer);
    await look();
    const wanted = screen.getByRole<HTMLInputElement>('textbox', { name: 'wanted' });
    fireEvent.change(wanted, { target: { value: '140' } });
    fireEvent.blur(wanted);
    expect(screen.queryByRole('list', { name: 'Best options' })).toBeNull();
    expect(wanted.value).toBe('140');
    await look();
    expect((inWorker.mock.calls.at(-1)![1] as [Job, FinderGoal])[1].by).not.toBeCloseTo(
      (inWorker.mock.calls[0]![1] as [Job, FinderGoal])[1].by,
    );
  });

  it('says in the first card and in the lanes what nobody has measured', async () => {
    const { crossmembers: _, ...donor } = sprayer.donor;
    openBench(parts, { ...sprayer, donor: { ...donor, crossmembers: [] } });
    await look();
    expect(cards()[0]!.textContent).toMatch(/Unknown is not clear\..*measure every crossmember/);
    expect(cards()[1]!.textContent).not.toMatch(/Unknown is not clear/);
    expect(document.querySelector('[data-name="Crossmembers: not measured"]')).not.toBeNull();
  });

  it('one press makes an option the plan, with its joints made, and it is one step of undo', async () => {
    const { now, done, store } = openBench(parts, sprayer);
    await look();
    press('Make it the plan');
    expect(done()).toHaveLength(1);
    const result = evaluatePlan(now());
    expect(result.measures.after.wheelbase! / 25.4).toBeCloseTo(133.875, 6);
    expect(result.splices.every(({ decided }) => decided !== null)).toBe(true);
    expect(now().variants.map(({ name }) => name)).toContain(sprayer.plan.name);
    expect(store.getState().bench).toBe('cuts');
    expect(now().plan.operations.some(({ id }) => id === store.getState().selected)).toBe(true);
  });

  it('another option is looked at, kept beside the plan, and shown part by part', async () => {
    const { now, store } = openBench(parts, sprayer);
    await look();
    fireEvent.click(within(cards()[1]!).getAllByRole('button')[0]!);
    press('Save as another option');
    expect(now().variants).toHaveLength(sprayer.variants.length + 1);
    expect(now().plan).toEqual(sprayer.plan);
    press('Costs, part by part');
    expect(store.getState().drawer).toBe('costs');
    const work = screen.getByRole('table', { name: 'Work, part by part' });
    const sum = within(work)
      .getAllByRole('row')
      .reduce((all, row) => all + Number(within(row).getAllByRole('cell')[0]!.textContent), 0);
    const { answers } = search(sprayer, inWorker.mock.calls[0]![1][1] as FinderGoal);
    expect(sum).toBeCloseTo(answers[1]!.judged.hours, 1);
  });

  it('the blade says of any place what its plan says: refused with the reason, or what it costs', async () => {
    const { store } = openBench(parts, sprayer);
    await look();
    act(() => store.setState({ blade: sprayer.donor.features.find(({ kind }) => kind === 'identity-stamp')!.x }));
    expect(screen.getByText('not here')).toBeTruthy();
    expect(screen.getByText(/VIN stamp would be cut|VIN stamp would be lost/)).toBeTruthy();
    const blade = screen.getByRole('slider', { name: 'Blade: the place that is judged' });
    const before = store.getState().blade!;
    fireEvent.keyDown(blade, { key: 'ArrowRight' });
    expect((store.getState().blade! - before) / 25.4).toBeCloseTo(1 / 16, 6);
  });

  it('says that places are of another frame once it changed, and offers nothing where nothing is asked', async () => {
    const { store } = openBench(parts, sprayer);
    await look();
    act(() =>
      store.setState(({ job }) => ({
        job: {
          ...job,
          donor: { ...job.donor, features: job.donor.features.filter(({ kind }) => kind !== 'bed-mount') },
        },
      })),
    );
    expect(screen.getByText(/have changed since these places were looked for/)).toBeTruthy();
    const wanted = screen.getByRole<HTMLInputElement>('textbox', { name: 'wanted' });
    fireEvent.change(wanted, { target: { value: '157 1/2' } });
    fireEvent.blur(wanted);
    expect(screen.getByText(/It is that already/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Look for the best places' }).disabled).toBe(true);
  });

  it('a search that breaks off says so and what to do; a readers’ page offers no plan', async () => {
    inWorker.mockImplementationOnce(() => ({ done: Promise.reject(new Error('no room')), cancel: () => undefined }));
    openBench(parts, pickup, { canWrite: false });
    press('Look for the best places');
    expect((await screen.findByRole('alert')).textContent).toMatch(/broke off. no room Look again/);
    press('Look for the best places');
    await screen.findByRole('list', { name: 'Best options' });
    expect(screen.queryByRole('button', { name: 'Make it the plan' })).toBeNull();
  });

  it('stands upright on a phone: lanes, the blade’s keys, and what the place says', async () => {
    const { store } = openBench(parts, sprayer, {}, 'hand');
    await look();
    const region = screen.getByRole('region', { name: 'The lanes, upright' });
    const before = store.getState().blade!;
    fireEvent.click(within(region).getByRole('button', { name: 'Blade forward' }));
    expect((before - store.getState().blade!) / 25.4).toBeCloseTo(1 / 16, 6);
    expect(region.textContent).toMatch(/ends apart: left/);
  });

  it('a phone too shows unknown lanes as unknown, and rooms that are assumed over the whole lane', async () => {
    openBench(parts, { ...sprayer, donor: { ...sprayer.donor, crossmembers: [] } }, {}, 'hand');
    await look();
    const region = screen.getByRole('region', { name: 'The lanes, upright' });
    expect(region.querySelector('[data-name="Crossmembers: not measured"]')).not.toBeNull();
    const dashed = region.querySelector('rect[stroke-dasharray]');
    expect(Number(dashed!.getAttribute('width'))).toBeGreaterThan(20);
  });
});
