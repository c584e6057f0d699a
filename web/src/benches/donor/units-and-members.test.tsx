import { evaluatePlan, inches, type Job, newRecord } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: tour } = demoJob('tour-carrier');
const { job: van } = demoJob('parcel-van');

const open = (job: Job, drawer: string, selected = '', records = demoJob('tour-carrier').records) =>
  openBench(parts, job, { drawer, selected, records });
const type = (name: string | RegExp, text: string) => {
  const box = screen.getByLabelText<HTMLInputElement>(name);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const unit = (name: string) => screen.getByRole('heading', { name, level: 4 }).closest('li')!;

describe('units', () => {
  it('stand on their mounts, and say which one they stay with', async () => {
    open(tour, 'features');
    expect(unit('Cab').textContent).toMatch(/Cab mount 1, stays with it/);
    expect(unit('Engine and transmission').textContent).toMatch(/Crossmember 3, transmission/);
  });

  it('lose a mount and get it back, and it is offered again as a usual one', async () => {
    const { now } = open(tour, 'features');
    fireEvent.click(screen.getByRole('button', { name: 'Take Cab mount 2 off Cab' }));
    const mounts = () =>
      now()
        .donor.units.find(({ id }) => id === 'cab')!
        .mounts.map(({ id }) => id);
    expect(mounts()).toEqual(['cab-1']);
    fireEvent.click(within(unit('Cab')).getByRole('button', { name: 'Cab mount 2' }));
    expect(mounts()).toEqual(['cab-1', 'cab-2']);
  });

  it('take any other mount from the list, each under one unit only', async () => {
    const { now } = open(tour, 'features');
    const list = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Another mount of Fuel tank' });
    expect([...list.options].map(({ value }) => value)).not.toContain('cab-1');
    fireEvent.change(list, { target: { value: 'cm-4' } });
    expect(
      now()
        .donor.units.find(({ id }) => id === 'fuel-tank')!
        .mounts.at(-1),
    ).toEqual({
      kind: 'crossmember',
      id: 'cm-4',
    });
  });

  it('say by how much a mount has left them', async () => {
    const between = { x: inches(10), on: 'donor' } as const;
    const operations = tour.plan.operations.map((each) => (each.kind === 'lengthen' ? { ...each, at: between } : each));
    open({ ...tour, plan: { ...tour.plan, operations } }, 'features');
    expect(unit('Cab').textContent).toMatch(/Cab mount 2, left by 9 1⁄2/);
  });

  it('are chosen on a feature’s card as well', async () => {
    const { now } = open(van, '', 'exhaust-1');
    fireEvent.change(screen.getByRole('combobox', { name: 'Carries' }), { target: { value: 'cab' } });
    expect(
      now()
        .donor.units.find(({ id }) => id === 'cab')!
        .mounts.map(({ id }) => id),
    ).toContain('exhaust-1');
  });

  it('can be what an axle or a point rides on', async () => {
    const { now } = open(tour, 'frame');
    fireEvent.change(screen.getByLabelText('Rides on, row 2'), { target: { value: 'crossmember/cm-5' } });
    expect(now().donor.axles[1]!.carrier).toEqual({ kind: 'crossmember', id: 'cm-5' });
    fireEvent.change(screen.getByLabelText('Rides on, row 2'), { target: { value: '' } });
    expect(now().donor.axles[1]!.carrier).toBeUndefined();
  });
});

describe('members and braces', () => {
  it('are typed with their points, their ends and their section', async () => {
    const { now } = open(tour, 'crossmembers', 'x-leg');
    const card = screen.getByRole('region', { name: 'X leg' });
    expect(card.textContent).toMatch(/68 7⁄8 full long, 56\.2.lb/);
    type('Outward, row 1', '12');
    expect(now().donor.members[0]!.path[0]!.outward).toBeCloseTo(inches(12), 9);
    fireEvent.change(screen.getByLabelText('Rear end on, row 1'), { target: { value: 'crossmember/cm-4' } });
    expect(now().donor.members[0]!.rear).toEqual({ on: 'crossmember', to: 'cm-4', fixing: 'welded' });
  });

  it('whose points are out of order are refused at their cell', async () => {
    const { now } = open(tour, 'crossmembers', 'x-leg');
    const table = screen.getByRole('table', { name: 'Points of X leg' });
    const cell = within(table).getByLabelText<HTMLInputElement>('From datum, row 2');
    fireEvent.change(cell, { target: { value: '-30' } });
    fireEvent.blur(cell);
    expect(
      screen
        .getAllByRole('alert')
        .map(({ textContent }) => textContent)
        .join(),
    ).toMatch(/must lie behind/);
    expect(now().donor.members[0]!.path[1]!.x).toBe(inches(92));
  });

  it('are added whole, and a brace follows its end from a rail to a member', async () => {
    const { now } = open(van, 'crossmembers');
    fireEvent.click(screen.getByRole('button', { name: 'Add a member' }));
    const [member] = now().donor.members;
    expect(member).toMatchObject({ copies: 'pair', path: [expect.anything(), expect.anything()] });
    fireEvent.click(screen.getByRole('button', { name: 'Add a brace' }));
    fireEvent.change(screen.getByLabelText('To, row 1'), { target: { value: `${member!.id}/right` } });
    expect(now().donor.braces[0]!.to.rail).toBe(`${member!.id}/right`);
    expect(evaluatePlan(now()).braces[0]!.built).not.toBeNull();
  });
});

it('what is assumed counts as measured once it is typed', async () => {
  const donor = {
    ...van.donor,
    points: van.donor.points.map((point) => ({ ...point, origin: 'assumed' as const })),
    rails: {
      kind: 'mirrored' as const,
      stations: (van.donor.rails.kind === 'mirrored' ? van.donor.rails.stations : []).map((station) => ({
        ...station,
        origin: 'assumed' as const,
      })),
    },
  };
  const { now } = open({ ...van, donor }, 'stations');
  type('Half-width, row 2', '15');
  const { rails } = now().donor;
  const origins = rails.kind === 'mirrored' ? rails.stations.map(({ origin }) => origin) : [];
  expect(origins.slice(0, 3)).toEqual(['assumed', undefined, 'assumed']);
});

it('photos of a feature are shown on its card, and of no other', async () => {
  const photo = (id: string, of: string) =>
    newRecord(
      'photo',
      { of: { kind: 'feature', id: of }, note: '', attachment: 'a'.repeat(64), width: 40, height: 30 },
      { id, taken: '2026-05-01T10:00:00Z', by: 'fabricator' },
    );
  open(van, '', 'cab-1', [photo('p1', 'cab-1'), photo('p2', 'cab-2')]);
  const card = screen.getByRole('region', { name: 'Cab mount 1' });
  expect(within(card).getAllByRole('img')).toHaveLength(1);
  expect(within(card).getByRole<HTMLImageElement>('img').alt).toBe('Cab mount 1, by fabricator, 2026-05-01');
  expect(within(card).getByLabelText('Photo of Cab mount 1')).toBeTruthy();
});
