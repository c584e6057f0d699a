import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Body, type BodyChange, changedBody, newBody } from './index.ts';

const bed: Body = {
  ...newBody('bed', 'Bed'),
  kind: 'bed',
  outline: [
    { x: 0, z: 0 },
    { x: 0, z: 500 },
    { x: 2000, z: 500 },
    { x: 2000, z: 0 },
  ],
  underside: [
    { x: 0, z: 0 },
    { x: 2000, z: 0 },
  ],
  openings: [{ id: 'o', name: 'Opening', over: 'rear', x: 1200, z: 100, radius: 450 }],
  mounts: [
    { id: 'a', name: 'A', x: 200, y: -400, z: 0 },
    { id: 'b', name: 'B', x: 1800, y: 400, z: 0 },
    { id: 'c', name: 'C', x: 1000, y: 0, z: 0 },
  ],
  boxes: [{ id: 't', name: 'Tub', kind: 'tub', front: 900, rear: 1500, left: -700, right: -500, low: 0, high: 300 }],
  fenders: [{ id: 'f', name: 'Side', over: 'rear', inner: 500, outer: 800 }],
  masses: [{ id: 'm', name: 'Bed', mass: 200, x: 1000, y: 0, z: 200 }],
  front: 0,
  rear: 2000,
  width: 1500,
};
const change = (of: BodyChange['of'], at: number, by: number, off = false): BodyChange => ({
  id: 'c1',
  of,
  at,
  by,
  off,
});
const made = (...changes: readonly BodyChange[]) => changedBody({ ...bed, changes });

describe('a body that is changed', () => {
  it('widened on its center line: both halves move outward by half, and what is cut is reported', () => {
    const { body, lost, steel } = made(change('width', 0, 178));
    expect(body.mounts.map(({ y }) => y)).toEqual([-489, 489, 0]);
    expect(body.boxes[0]).toMatchObject({ left: -789, right: -589 });
    expect(body.fenders[0]).toMatchObject({ inner: 589, outer: 889 });
    expect(body.width).toBe(1678);
    expect([body.openings, body.outline, lost]).toEqual([bed.openings, bed.outline, []]);
    expect(steel).toEqual([
      { what: 'floor', count: 1, along: 178, across: 2000 },
      { what: 'headboard', count: 1, along: 178, across: 500 },
      { what: 'tailgate', count: 1, along: 178, across: 500 },
    ]);
  });

  it('lengthened: everything behind the cut moves, a box over it grows', () => {
    const { body, steel } = made(change('length', 1000, 300));
    expect(body.mounts.map(({ x }) => x)).toEqual([200, 2100, 1000]);
    expect(body.openings[0]!.x).toBe(1500);
    expect(body.boxes[0]).toMatchObject({ front: 900, rear: 1800 });
    expect([body.rear, body.outline[2]!.x]).toEqual([2300, 2300]);
    expect(steel.map(({ what, count, across }) => [what, count, across])).toEqual([
      ['floor', 1, 1500],
      ['side', 2, 500],
    ]);
  });

  it('shortened: what lies in the stretch that comes out is lost by name, edges come to the cut', () => {
    const { body, lost, steel } = made(change('length', 900, -700));
    expect(body.mounts.map(({ name, x }) => [name, x])).toEqual([
      ['A', 200],
      ['B', 1100],
    ]);
    expect(lost).toEqual(['Opening', 'C', 'Bed', 'Tub']);
    expect(body.rear).toBe(1300);
    expect(steel[0]).toEqual({ what: 'floor, taken out', count: 1, along: 700, across: 1500 });
  });

  it('switched off it is the body as measured, and a width that nobody measured is asked for', () => {
    expect(made(change('length', 0, 100, true))).toEqual({
      body: made(change('length', 0, 100, true)).body,
      lost: [],
      steel: [],
    });
    const { width: _, ...narrow } = bed;
    expect(changedBody({ ...narrow, changes: [change('length', 500, 100)] }).steel[0]!.across).toBeNull();
  });

  it('the same body is the same object; longer and shorter again at the same place is as it was', () => {
    const one = { ...bed, changes: [change('length', 500, 120), { ...change('length', 500, -120), id: 'c2' }] };
    expect(changedBody(one)).toBe(changedBody(one));
    expect(changedBody(one).body.mounts).toEqual(bed.mounts);
  });

  it('longer by a and then by b at one place is longer by both', () => {
    const number = fc.integer({ min: 1, max: 800 });
    fc.assert(
      fc.property(number, number, fc.integer({ min: -100, max: 2200 }), (a, b, at) => {
        const twice = made(change('length', at, a), { ...change('length', at, b), id: 'c2' }).body;
        expect(twice.mounts).toEqual(made(change('length', at, a + b)).body.mounts);
      }),
    );
  });
});
