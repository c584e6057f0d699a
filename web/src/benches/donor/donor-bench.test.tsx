import { datumStation, evaluatePlan, inches, type Job, railOf, STOCK_MATERIALS } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { act, fireEvent, screen, userEvent, within } from '../../../test/page.ts';
import { undo } from '../../client/job-store.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const { job: pickup } = demoJob('beach-rescue');

const open = (job: Job, drawer: string, selected = '') => openBench(parts, job, { drawer, selected });
const type = (name: string | RegExp, text: string) => {
  const box = screen.getByLabelText<HTMLInputElement>(name);
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const alerts = () => screen.queryAllByRole('alert').map(({ textContent }) => textContent);

describe('the stations', () => {
  it('are typed from the datum hole, and what cannot be is said at its cell', async () => {
    const { now } = open(van, 'stations');
    type('Half-width, row 1', '15');
    const first = () => railOf(now().donor.rails, 'left')[0]!;
    expect(first().halfWidth).toBe(inches(15));
    type('From datum, row 1', '0');
    expect(alerts().length).toBeGreaterThan(0);
    expect(first().x).toBe(inches(-32));
  });

  it('are parted into left and right, and joined again only as the left', async () => {
    const { now } = open(van, 'stations');
    fireEvent.click(screen.getByRole('checkbox', { name: /measured separately/ }));
    expect(now().donor.rails).toMatchObject({ kind: 'measured' });
    expect(evaluatePlan(now()).measures.after.wheelbase).toBeCloseTo(inches(155.75), 6);
  });
});

describe('a station on the drawing', () => {
  const { rails } = van.donor;
  const stations = railOf(rails, 'left');
  /** The flagship with its fifth station a sixteenth behind the fourth. */
  const tight: Job = {
    ...van,
    donor: {
      ...van.donor,
      rails: {
        kind: 'mirrored',
        stations: stations.map((station, at) =>
          at === 4 ? { ...station, x: stations[3]!.x + inches(1 / 16) } : station,
        ),
      },
    },
  };

  it('is nudged, picked with it, and where it cannot go the drawing says why, until it goes another way', () => {
    const { now, store } = open(tight, '');
    const peg = screen.getByRole('slider', { name: /^Station 4/ });
    const at = () => railOf(now().donor.rails, 'left')[3]!.x;
    const before = at();
    fireEvent.keyDown(peg, { key: 'ArrowRight' });
    expect(store.getState().selected).toBe('station:both:3');
    expect(alerts()).toEqual([
      expect.stringMatching(/^Station 5 .* must lie behind the one above it .*Nothing was changed\.$/),
    ]);
    expect(at()).toBe(before);
    fireEvent.keyDown(screen.getByRole('slider', { name: /^Station 4/ }), { key: 'ArrowLeft' });
    expect(alerts()).toEqual([]);
    expect(at()).toBeCloseTo(before - inches(1 / 16), 6);
  });
});

describe('the blade', () => {
  it('is where the section is shown, moved by arrow keys; beyond the frame there is none', async () => {
    const { store } = open(van, '');
    const blade = screen.getByRole('slider', { name: /^Blade/ });
    // Its value is the station from the datum hole, as everything else is written.
    const before = Number(blade.getAttribute('aria-valuenow')) + datumStation(van.donor);
    fireEvent.keyDown(blade, { key: 'ArrowRight', shiftKey: true });
    expect(store.getState().blade).toBeCloseTo(before + inches(1 / 2), 0);
    expect(blade.getAttribute('aria-valuetext')).toMatch(/ in$/);
    const section = await screen.findByRole('img', { name: /^The section at the cursor/ });
    // As wide outside there as the donor is: 33 1/2 along its straight part.
    expect(section.textContent).toContain('33 1⁄2');
    act(() => store.setState({ blade: inches(500) }));
    expect(screen.queryByRole('img', { name: /^The section at the cursor/ })).toBeNull();
    expect(screen.getByText(/does not reach the cursor/)).toBeTruthy();
  });
});

describe('control points', () => {
  it('are proposed from the plan, all in one press, and not twice', () => {
    const bare: Job = { ...van, donor: { ...van.donor, controlPoints: [], controlMeasurements: [] } };
    const { now } = open(bare, 'controls');
    fireEvent.click(screen.getByRole('button', { name: /^Add the \d+ that the plan asks for$/ }));
    const points = now().donor.controlPoints;
    expect(points.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Front end', 'Ahead of A', 'Behind B', 'Kick-up']),
    );
    expect(points.map(({ x }) => x)).toEqual(points.map(({ x }) => x).toSorted((a, b) => a - b));
    expect(screen.queryByRole('button', { name: /that the plan asks for$/ })).toBeNull();
  });
});

describe('a point list that was measured elsewhere', () => {
  const load = (text: string, name = 'points.csv') =>
    fireEvent.change(screen.getByLabelText('Load a point list, CSV or DXF'), {
      // The page of the tests has files without their text.
      target: { files: [Object.assign(new File([text], name), { text: () => Promise.resolve(text) })] },
    });

  it('comes in as one step of undo, and says what came', async () => {
    const { now, store } = openBench(parts, van);
    load('name,what,x [in],y [in],diameter [in]\nHole x,hole,20 1/2,-16,9/16\nTarget x,point,30,15,\n');
    expect(await screen.findByText(/points\.csv: 0 stations, 1 hole and 1 control point\./)).toBeTruthy();
    expect(now().donor.features.at(-1)).toMatchObject({ name: 'Hole x', side: 'left' });
    undo(store);
    expect(now()).toBe(van);
  });

  it('says with its line what lies on no rail, and changes nothing', async () => {
    const { now } = openBench(parts, van);
    load('name,x [in],y [in]\nTarget x,900,15\n');
    expect((await screen.findByRole('alert')).textContent).toMatch(/line 2: Target x lies on no rail/);
    load('nothing', 'frame.dxf');
    expect(await screen.findByText(/not a DXF file|does not say/)).toBeTruthy();
    expect(now()).toBe(van);
  });
});

describe('the material', () => {
  it('is picked from the usual grades, and one that must not be welded says so', async () => {
    const { now } = open(van, 'frame');
    fireEvent.change(screen.getByRole('combobox', { name: 'Material' }), {
      target: { value: STOCK_MATERIALS['heat-treated-110'].name },
    });
    expect(now().donor.material).toEqual(STOCK_MATERIALS['heat-treated-110']);
    expect(screen.getByText(/must not be welded or heated/)).toBeTruthy();
    expect(evaluatePlan(now()).conflicts.map(({ code }) => code)).toContain('not-weldable');
  });

  it('takes a figure off a certificate, with its source, and can be set back', async () => {
    const { now } = open(van, 'frame');
    type('Tensile, ksi', '70');
    type('Yield, ksi', '55');
    type('Where the figures are from', 'mill certificate of the donor');
    const { yieldStress, source } = now().donor.material;
    expect([yieldStress, source]).toEqual([expect.closeTo(379.2, 1), 'mill certificate of the donor']);
    fireEvent.click(screen.getByRole('button', { name: 'Set back' }));
    expect(now().donor.material).toEqual(van.donor.material);
  });

  it('does not take a yield above the tensile strength, nor a heat-treated steel that may be welded', async () => {
    const { now } = open(van, 'frame');
    type('Yield, ksi', '90');
    expect(alerts()).toEqual([expect.stringMatching(/tensile strength cannot be less/)]);
    const choose = (name: string, answer: string) =>
      fireEvent.click(within(screen.getByRole('group', { name })).getByRole('button', { name: answer }));
    choose('Heat-treated', 'yes');
    expect(now().donor.material).toMatchObject({ heatTreated: true, weldable: false });
    choose('May be welded', 'yes');
    expect(now().donor.material).toMatchObject({ heatTreated: true, weldable: false });
    expect(alerts()).toContainEqual(expect.stringMatching(/must not be called weldable.*Nothing was changed/));
  });
});

describe('the sections', () => {
  it('show what they carry in the shop’s units, and follow their sizes', async () => {
    const { now } = open(van, 'frame');
    const plain = () => screen.getByText('RBM a rail').parentElement?.textContent?.replaceAll(/[\u00a0\u202f]/g, ' ');
    expect(plain()).toMatch(/^RBM a rail245 27[78] in·lb$/);
    type('Wall', '1/4');
    expect(now().donor.sections[0]?.section).toMatchObject({ thickness: inches(1 / 4) });
    expect(plain()).not.toMatch(/245 27/);
    type('Wall', '4');
    expect(alerts()[0]).toMatch(/Nothing was changed/);
    expect(now().donor.sections[0]?.section).toMatchObject({ thickness: inches(1 / 4) });
  });

  it('are added from the yard and taken out again where nothing is made of them', async () => {
    const { now } = open(van, 'frame');
    const [before] = [van.donor.sections.length];
    fireEvent.change(screen.getByRole('combobox', { name: /^Add a section/ }), { target: { value: '0' } });
    expect(now().donor.sections).toHaveLength(before + 1);
    fireEvent.click(screen.getByRole('button', { name: 'take out' }));
    expect(now().donor.sections).toEqual(van.donor.sections);
  });
});

describe('the job', () => {
  it('is renamed, and shows its lengths and weights as the shop works', async () => {
    const { now } = open(van, 'frame');
    type('Job', 'Bakery van');
    fireEvent.change(screen.getByRole('combobox', { name: 'Round to' }), { target: { value: '32' } });
    expect(now()).toMatchObject({ name: 'Bakery van', display: { unit: 'in', division: 32 } });
    fireEvent.change(screen.getByRole('combobox', { name: 'Lengths in' }), { target: { value: 'mm' } });
    expect(now().display.unit).toBe('mm');
    expect(screen.getByLabelText<HTMLInputElement>('Depth').value).toBe('187.3');
    expect(screen.getByLabelText<HTMLInputElement>('Yield, MPa').value).toBe('345');
    expect(screen.getByRole('combobox', { name: 'Round to' })).toHaveProperty('disabled', true);
  });
});

describe('what is picked on the drawing', () => {
  it('opens its table and its card: a feature', async () => {
    const { now, store } = open(van, 'features', 'stamp');
    const feature = now().donor.features.find(({ kind }) => kind === 'identity-stamp')!;
    store.setState({ selected: feature.id });
    const card = await screen.findByRole('region', { name: feature.name });
    expect(screen.getByRole('table', { name: 'Features' })).toBeTruthy();
    type('Mass, lb', '2');
    expect(now().donor.features.find(({ id }) => id === feature.id)?.mass).toBeCloseTo(0.907, 3);
    expect(within(card).getByText(/in the plan/)).toBeTruthy();
    undo(store);
    expect(now()).toBe(van);
  });

  it('says over the bench why a card’s figure cannot be, and changes nothing', async () => {
    const feature = van.donor.features.find(({ kind }) => kind === 'hitch')!;
    const { now } = open(van, 'features', feature.id);
    type('Reach ahead', '40 ft');
    expect(alerts()).toEqual([expect.stringMatching(/Nothing was changed/)]);
    expect(now()).toBe(van);
  });

  it('opens its table and its card: a crossmember', async () => {
    const [member] = pickup.donor.crossmembers;
    const { now } = open(pickup, 'crossmembers', member!.id);
    expect(screen.getByRole('region', { name: member!.name })).toBeTruthy();
    type('Mass, as weighed, lb', '12 kg');
    expect(now().donor.crossmembers[0]?.mass).toBe(12);
  });
});

describe('the guide', () => {
  it('says what to measure next, and leads to where it is typed', async () => {
    const bare = { ...pickup, bodies: [] };
    const { store } = open(bare, '');
    const next = screen.getByRole('button', { name: /^Measure next/ });
    expect(next.textContent).toMatch(/Needed for: /);
    await userEvent.setup().click(screen.getByRole('button', { name: 'The body: its wheel openings' }));
    expect(store.getState().bench).toBe('body');
  });

  it('asks for nothing where everything is measured', async () => {
    const left = railOf(van.donor.rails, 'left');
    open({ ...van, donor: { ...van.donor, rails: { kind: 'measured', left, right: left } } }, '');
    expect(screen.getByText('Everything a plan asks for is measured.')).toBeTruthy();
  });
});

describe('lines', () => {
  it('say which lines there are, and take their slack', async () => {
    const { now } = open(van, 'lines');
    type('Slack, row 1', '20');
    expect(now().donor.lines[0]?.slack).toBe(inches(20));
    const said = evaluatePlan(now()).conflicts.find(({ about }) => about === van.donor.lines[0]?.id);
    expect(said).toMatchObject({
      message: expect.stringContaining('its slack is 20 in') as string,
      fixes: [{ say: 'Use the slack.', edit: null }],
    });
  });
});
