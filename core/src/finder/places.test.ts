import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { featureAt, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import { sprayer } from '../../test/joints.ts';
import type { Frame } from '../frame/index.ts';
import { evaluatePlan, type PlanInput } from '../plan/index.ts';
import { GRID, type FinderAsk, placeAt, placesAlong, runsOf } from './index.ts';

const members = [600, 2400, 4300, 5700].map((x) => memberAt(`cm${x}`, x));
const frame = (changes: Partial<Frame> = {}) => inputOf(plainFrame({ crossmembers: members, ...changes }));
const stretch: FinderAsk = { do: 'lengthen', amount: 300 };
const shorten: FinderAsk = { do: 'shorten', amount: 200 };
/** A hundred millimetres apart: enough to see what changes. */
const along = (input: PlanInput, ask: FinderAsk) => placesAlong(input, ask, 100);
const at = (input: PlanInput, ask: FinderAsk, x: number) => placeAt(input, ask, x);

describe('a place for one cut', () => {
  it('on a straight bare stretch costs nothing', () => {
    expect(at(frame(), stretch, 1500)).toMatchObject({ refused: null, costs: [], hours: 0 });
  });

  it('where a bracket is on the rail that comes out costs that bracket, by hand: three quarters of an hour', () => {
    const input = frame({
      features: [...plainFrame().features, featureAt('perch', 1550, { kind: 'body-mount', movable: 're-drill' })],
    });
    expect(at(input, shorten, 1480).costs.map(({ hours }) => hours)).toEqual([0.75]);
    expect(at(input, shorten, 1700).hours).toBe(0);
  });

  it('through a stamp, or where the wheelbase stays as it is, is refused with the reason', () => {
    const stamped = frame({
      features: [
        ...plainFrame().features,
        featureAt('stamp', 1500, { kind: 'identity-stamp', movable: 'no', ahead: 60, behind: 60 }),
      ],
    });
    expect(at(stamped, stretch, 1500).refused).toMatch(/stamp/i);
    expect(at(frame(), stretch, 5000).refused).toBe('It changes an overhang, not the wheelbase.');
  });

  it('that ends do not meet at costs what brings them together', () => {
    const tapered = inputOf(
      plainFrame({ crossmembers: members }, [
        { x: 0, halfWidth: 430, top: 0, section: 'rail' },
        { x: 2500, halfWidth: 430, top: 0, section: 'rail' },
        { x: 3500, halfWidth: 380, top: 0, section: 'rail' },
        { x: 6000, halfWidth: 380, top: 0, section: 'rail' },
      ]),
    );
    expect(at(tapered, shorten, 1500).hours).toBe(0);
    const across = at(tapered, shorten, 2900);
    expect(across.refused !== null || across.costs.some(({ says }) => /ends/.test(says))).toBe(true);
  });

  it('is judged as a plan with just that cut is judged, wherever it is', () => {
    const { operations: _, ...rest } = sprayer.plan;
    for (const place of placesAlong(sprayer, { do: 'shorten', amount: 600 }, 254)) {
      const { conflicts } = evaluatePlan({
        ...sprayer,
        bodies: [],
        plan: {
          ...rest,
          accepted: [],
          splices: [],
          fittings: [],
          seats: [],
          mountings: [],
          operations: [
            {
              id: 'cut',
              note: '',
              off: false,
              kind: 'shorten',
              from: { x: place.x, on: 'donor' },
              to: { x: place.x + 600, on: 'donor' },
              transition: 0,
              rise: 0,
            },
          ],
        },
      });
      const stops = conflicts.filter(({ severity }) => severity === 'stop');
      if (stops.length > 0) expect(place.refused).toBe(stops[0]!.message);
      const warned = new Set(conflicts.filter(({ severity }) => severity === 'warn').map(({ message }) => message));
      for (const { code, says } of place.costs)
        if (!/^cab$|ends|needs|dress|ease/.test(code)) expect(warned).toContain(says);
    }
  });
});

describe('distinct places', () => {
  it('are runs with the same work, the least work first, and none of them overlap', () => {
    const input = frame({
      features: [...plainFrame().features, featureAt('perch', 3000, { kind: 'body-mount', movable: 're-drill' })],
    });
    const places = placesAlong(input, shorten);
    const runs = runsOf(input, shorten, places);
    const hours = runs.map(({ best }) => best.hours);
    expect(hours).toEqual(hours.toSorted((a, b) => a - b));
    expect(Math.min(...hours)).toBe(
      Math.min(...places.filter(({ refused }) => refused === null).map((place) => place.hours)),
    );
    const byPlace = runs.toSorted((a, b) => a.from - b.from);
    for (const [index, run] of byPlace.entries()) {
      expect(run.best.x).toBeGreaterThanOrEqual(run.from);
      expect(run.best.x).toBeLessThanOrEqual(run.to);
      const next = byPlace[index + 1];
      if (next) expect(next.from).toBeGreaterThan(run.to - 1e-9);
    }
    expect(GRID.coarse / GRID.fine).toBe(8);
  });

  it('what stands in the way never makes a place better', () => {
    fc.assert(
      fc.property(fc.integer({ min: 900, max: 4000 }), (x) => {
        const free = frame();
        const kept = frame({
          features: [...plainFrame().features, featureAt('in-the-way', x, { movable: 'no', ahead: 40, behind: 40 })],
        });
        const [before, after] = [along(free, stretch), along(kept, stretch)];
        for (const [index, place] of after.entries())
          if (place.refused === null) {
            expect(before[index]!.refused).toBeNull();
            expect(place.hours).toBeGreaterThanOrEqual(before[index]!.hours - 1e-9);
          }
      }),
      { numRuns: 12 },
    );
  });
});
