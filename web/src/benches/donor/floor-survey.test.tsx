import { type Feature, inches, newRecord, planOf, railOf, readingOrder } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { asKind } from './floor-feature.tsx';
import { undo } from '../../client/job-store.ts';
import { parts } from './parts.tsx';
import { surveyLists, surveyStops, withOneMore } from './survey-stops.ts';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');
const press = (...names: readonly (string | RegExp)[]) =>
  names.forEach((name) => fireEvent.click(screen.getByRole('button', { name })));
const heading = () => screen.getByRole('heading', { level: 2 }).textContent;
const pressed = () =>
  within(screen.getByRole('group', { name: /^Figures of/ })).getByRole('button', { pressed: true }).textContent;

describe('what the phone is sent here for', () => {
  it('is at hand: control points, those that the plan asks for, and what is measured between them', () => {
    const bare = { ...van, donor: { ...van.donor, controlPoints: [], controlMeasurements: [] } };
    const { now } = openBench(parts, bare, { drawer: 'controls' }, 'hand');
    press(/^Add the \d+ that the plan asks for/);
    expect(now().donor.controlPoints.length).toBeGreaterThan(3);
    press(/^Add the usual ones/);
    expect(now().donor.controlMeasurements.length).toBeGreaterThan(now().donor.controlPoints.length);
  });
});

describe('walking along the stations', () => {
  it('takes one figure after the other, and goes on to the next station', () => {
    const { now } = openBench(parts, van, {}, 'hand');
    press('The one behind', /^Half-width/, '1', '5', '1/4', 'Save');
    expect(railOf(now().donor.rails, 'left')[1]?.halfWidth).toBe(inches(15.25));
    expect([heading(), pressed()]).toEqual(['Station 2', 'Top height0']);
    press('minus', '1/8', 'Save');
    expect(railOf(now().donor.rails, 'left')[1]?.top).toBe(inches(-0.125));
    expect([heading(), pressed()]).toEqual(['Station 3', 'From datum−2']);
  });

  it('says why a station cannot be there, keeps what was typed, and changes nothing', () => {
    const { now } = openBench(parts, van, {}, 'hand');
    press('9', '9', 'Save');
    expect(screen.getByRole('alert').textContent).toMatch(/./);
    expect(screen.getByLabelText('Typed so far').textContent).toBe('99');
    expect(now()).toBe(van);
  });

  it('counts as measured what is typed over an assumed figure', () => {
    const { now } = openBench(parts, van, {}, 'hand');
    press('One more behind', /^Half-width/, '1', '6', 'Save');
    const [, added] = railOf(now().donor.rails, 'left');
    expect(added).toMatchObject({ halfWidth: inches(16) });
    expect(added).not.toHaveProperty('origin');
  });

  it('adds one half-way to the next, and takes it out again', () => {
    const { now, store } = openBench(parts, van, {}, 'hand');
    const before = railOf(van.donor.rails, 'left');
    press('One more behind');
    expect(heading()).toBe('Station 2');
    // Nobody has measured there yet.
    expect(railOf(now().donor.rails, 'left')[1]).toMatchObject({
      x: (before[0]!.x + before[1]!.x) / 2,
      origin: 'assumed',
    });
    press('Delete');
    expect(railOf(now().donor.rails, 'left')).toEqual(before);
    undo(store);
    undo(store);
    expect(now()).toBe(van);
  });

  it('goes round at the ends', () => {
    openBench(parts, van, {}, 'hand');
    press('The one ahead');
    expect(heading()).toBe('Station 9');
    press('The one behind');
    expect(heading()).toBe('Station 1');
  });

  it('parts the rails, and each then has its own stations', () => {
    const { now } = openBench(parts, van, {}, 'hand');
    press('Measure the right rail apart', /^Half-width/, '1', '5', 'Save');
    const { rails } = now().donor;
    expect([railOf(rails, 'left')[0]?.halfWidth, railOf(rails, 'right')[0]?.halfWidth]).toEqual([
      inches(14.875),
      inches(15),
    ]);
  });

  it('gives who may only look nothing to take or add', () => {
    openBench(parts, van, { canWrite: false }, 'hand');
    press('9');
    expect(screen.getByRole('button', { name: 'Save' })).toHaveProperty('disabled', true);
    expect(screen.queryByRole('button', { name: 'One more behind' })).toBeNull();
  });
});

describe('walking along what hangs on the rails', () => {
  it('finds a bracket again where it was moved to', () => {
    const { now } = openBench(parts, van, {}, 'hand');
    fireEvent.change(screen.getByRole('combobox', { name: 'What is surveyed' }), { target: { value: 'features' } });
    press('One more behind', '1', '2', '0', 'Save');
    const added = now().donor.features.at(-1)!;
    expect(added.x).toBeCloseTo(inches(142), 6);
    expect(heading()).toBe(added.name);
    fireEvent.change(screen.getByRole('combobox', { name: 'What it is' }), { target: { value: 'tank-strap' } });
    fireEvent.change(screen.getByRole('combobox', { name: 'On which rail' }), { target: { value: 'left' } });
    expect(now().donor.features.at(-1)).toMatchObject({ kind: 'tank-strap', side: 'left', name: /^Tank strap \d+$/ });
  });

  it('keeps a name that somebody gave when the kind is another', () => {
    const [feature] = van.donor.features as [Feature];
    const named = { ...feature, kind: 'hole', name: 'Hole by the tank' } as const;
    expect(asKind(named, 'rivet').name).toBe('Hole by the tank');
    expect(asKind({ ...named, name: 'Hole 12' }, 'spring-hanger').name).toBe('Spring hanger 12');
  });
});

describe('the lists', () => {
  it('are those of both rails where they mirror, of each where they were measured apart', () => {
    expect(surveyLists(van.donor).map(([list]) => list)).toEqual(['stations', 'crossmembers', 'features', 'controls']);
    expect(surveyLists(sprayer.donor).map(([list]) => list)).toEqual([
      'left',
      'right',
      'crossmembers',
      'features',
      'controls',
    ]);
  });

  it.each(['left', 'right', 'crossmembers', 'features', 'controls'] as const)(
    'put every figure of the %s where it belongs',
    (list) => {
      for (const [place, stop] of surveyStops(sprayer.donor, list).entries())
        for (const [which, figure] of stop.figures.entries()) {
          const again = surveyStops(figure.put(figure.mm! + 0.5), list).find(({ id }) => id === stop.id);
          expect(again?.figures[which]?.mm, `${stop.name}, ${figure.name}, ${place}`).toBeCloseTo(figure.mm! + 0.5, 9);
          const others = stop.figures.filter((other) => other !== figure).map(({ mm }) => mm);
          expect(again?.figures.filter((_, index) => index !== which).map(({ mm }) => mm)).toEqual(others);
        }
    },
  );

  it.each(['left', 'right', 'crossmembers', 'features', 'controls'] as const)(
    'grow and shrink by one of the %s',
    (list) => {
      const stops = surveyStops(sprayer.donor, list);
      const more = withOneMore(sprayer.donor, list, stops.length - 1);
      const grown = surveyStops(more.frame, list);
      expect(grown).toHaveLength(stops.length + 1);
      const added = grown.find(({ id }) => id === more.id)!;
      expect(added.x).toBeCloseTo(stops.at(-1)!.x + inches(12), 9);
      expect(surveyStops(added.without(), list).map(({ x }) => x)).toEqual(stops.map(({ x }) => x));
    },
  );
});

describe('control points at the frame', () => {
  it('are added as the plan asks for them, walked along, and one that is taken out takes its measurements with it', () => {
    const bare = { ...van, donor: { ...van.donor, controlPoints: [], controlMeasurements: [] } };
    const { now } = openBench(parts, bare, {}, 'hand');
    fireEvent.change(screen.getByRole('combobox', { name: 'What is surveyed' }), { target: { value: 'controls' } });
    press(/^Add the \d+ that the plan asks for$/);
    const points = now().donor.controlPoints;
    expect(points.length).toBeGreaterThan(5);
    expect(heading()).toBe(points[0]!.name);
    press('1', 'Save');
    expect(now().donor.controlPoints[0]!.x).not.toBe(points[0]!.x);
    const measured = openBench(parts, van, {}, 'hand');
    const [, , , taken] = surveyStops(van.donor, 'controls');
    const without = taken!.without();
    expect(without.controlPoints).toHaveLength(van.donor.controlPoints.length - 1);
    expect(JSON.stringify(without.controlMeasurements)).not.toContain(taken!.id);
    expect(measured.now()).toBe(van);
  });

  it('say how many readings are enough, the same as at the desk', () => {
    const { holds, order } = readingOrder(planOf(van).controls, 'before-cut', van.rules);
    expect(holds).toBeLessThan(order.length);
    openBench(parts, van, {}, 'hand');
    fireEvent.change(screen.getByRole('combobox', { name: 'What is surveyed' }), { target: { value: 'controls' } });
    expect(screen.getByText(new RegExp(`${holds} of these ${order.length} readings hold every point`))).toBeTruthy();
  });
});

describe('pictures taken on the walk', () => {
  const photo = (id: string, x: number, side: 'left' | 'right' | null) =>
    newRecord(
      'photo',
      { of: null, at: { x, side }, note: '', attachment: 'a'.repeat(64), width: 40, height: 30 },
      { id, taken: '2026-05-01T10:00:00Z', by: 'fabricator' },
    );
  const [first, second] = railOf(van.donor.rails, 'left');
  const pictures = () => screen.queryAllByRole('img').filter(({ tagName }) => tagName === 'IMG').length;

  it('are shown at the station they are of, also after it was measured again within an inch', () => {
    openBench(
      parts,
      van,
      { records: [photo('p1', first!.x + inches(0.5), null), photo('p2', second!.x, null)] },
      'hand',
    );
    expect(screen.getByLabelText('Photo of Station 1')).toBeTruthy();
    expect(pictures()).toBe(1);
    press('The one behind');
    expect(screen.getByLabelText('Photo of Station 2')).toBeTruthy();
    expect(pictures()).toBe(1);
  });

  it('of one rail are not shown on the other; of both they are', () => {
    const { stations } = van.donor.rails as { readonly stations: ReturnType<typeof railOf> };
    const apart = {
      ...van,
      donor: { ...van.donor, rails: { kind: 'measured' as const, left: stations, right: stations } },
    };
    const at = first!.x;
    openBench(
      parts,
      apart,
      { records: [photo('l', at, 'left'), photo('r', at, 'right'), photo('b', at, null)] },
      'hand',
    );
    fireEvent.change(screen.getByRole('combobox', { name: 'What is surveyed' }), { target: { value: 'left' } });
    expect(pictures()).toBe(2);
  });

  it('are taken of what has a name as well', () => {
    openBench(parts, van, {}, 'hand');
    fireEvent.change(screen.getByRole('combobox', { name: 'What is surveyed' }), { target: { value: 'features' } });
    expect(screen.getByText('Photo')).toBeTruthy();
  });
});
