import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../test/reference/mounts.json' with { type: 'json' };
import { inputOf, plainFrame } from '../../../test/frames.ts';
import { newBody } from '../../body/index.ts';
import { evaluatePlan } from '../index.ts';
import { mountLoads, sharesOf } from './shares.ts';
import { solve } from '../../solve.ts';

const G = 9.80665;
const square = [
  { x: 0, y: -400 },
  { x: 0, y: 400 },
  { x: 2000, y: -400 },
  { x: 2000, y: 400 },
];

describe('what each mount carries', () => {
  it('four in a rectangle, the weight off both middle lines: as in the independent cases', () => {
    const { input, expected } = reference.cases.find(({ id }) => id === 'shares_4_rectangle') as unknown as {
      input: { mounts_xy_mm: [number, number][]; body_mass_kg: number; body_cg_xy_mm: [number, number] };
      expected: { shares_N: number[] };
    };
    const [x, y] = input.body_cg_xy_mm;
    const shares = sharesOf(
      input.mounts_xy_mm.map(([mx, my]) => ({ x: mx, y: my })),
      { mass: input.body_mass_kg, x, y },
    )!;
    expect(shares.map((kg) => kg * G)).toEqual(expected.shares_N.map((newtons) => expect.toBeNear(newtons, 1e-3)));
  });

  it('alike where the weight is in the middle; all of it on one that it stands over', () => {
    expect(sharesOf(square, { mass: 400, x: 1000, y: 0 })).toEqual(
      [100, 100, 100, 100].map((kg) => expect.toBeNear(kg, 1e-9)),
    );
    expect(sharesOf([{ x: 5, y: 7 }], { mass: 80, x: 5, y: 7 })).toEqual([expect.toBeNear(80, 1e-9)]);
  });

  it('two ahead and behind share by levers', () => {
    const [front, rear] = sharesOf([square[0]!, square[2]!], { mass: 100, x: 500, y: -400 })!;
    expect([front, rear]).toEqual([expect.toBeNear(75, 1e-9), expect.toBeNear(25, 1e-9)]);
  });

  it('cannot be told where nothing holds the weight from tipping', () => {
    expect(sharesOf([square[0]!, square[2]!], { mass: 100, x: 500, y: 0 })).toBeNull();
    expect(sharesOf([], { mass: 100, x: 500, y: 0 })).toBeNull();
    expect(sharesOf(square, { mass: 0, x: 500, y: 0 })).toBeNull();
  });

  it('always holds the weight where it balances, and pulls where that lies outside', () => {
    const number = fc.double({ min: -3000, max: 3000, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: number, y: number }), { minLength: 3, maxLength: 9 }),
        number,
        number,
        (mounts, x, y) => {
          const shares = sharesOf(mounts, { mass: 100, x, y });
          fc.pre(shares !== null);
          const sum = (of: (at: number) => number) => shares!.reduce((all, share, at) => all + share * of(at), 0);
          expect(sum(() => 1)).toBeNear(100, 1e-3);
          expect(sum((at) => mounts[at]!.x - x)).toBeNear(0, 1);
          expect(sum((at) => mounts[at]!.y - y)).toBeNear(0, 1);
        },
      ),
    );
    expect(sharesOf(square, { mass: 100, x: 4000, y: 0 })!.filter((share) => share < 0)).toHaveLength(2);
  });

  it('is what somebody said, or is calculated from the weights; what is not known stays unknown', () => {
    const mounts = square.map((at, index) => ({ ...at, id: `m${index}`, name: 'Mount', z: 0, hole: 0, thickness: 0 }));
    const masses = [{ id: 'w', name: 'Shell', mass: 400, x: 1000, y: 0, z: 800 }];
    const body = { ...newBody('b'), mounts, masses };
    expect(mountLoads(body)).toEqual([100, 100, 100, 100].map((kg) => expect.toBeNear(kg, 1e-9)));
    expect(mountLoads({ ...body, masses: [] })).toEqual([null, null, null, null]);
    const said = mounts.map((mount, index) => (index === 1 ? { ...mount, load: 260 } : mount));
    expect(mountLoads({ ...body, mounts: said })).toEqual([null, 260, null, null]);
  });
});

describe('a small set of equations', () => {
  it('is solved whatever stands first', () => {
    expect(
      solve(
        [
          [0, 2, 1],
          [1, 1, 0],
          [4, 0, 2],
        ],
        [7, 3, 10],
      ),
    ).toEqual([1, 2, 3].map((value) => expect.toBeNear(value, 1e-12)));
  });

  it('leaves at 0 what nothing is said of', () => {
    expect(
      solve(
        [
          [2, 0],
          [0, 0],
        ],
        [6, 0],
      ),
    ).toEqual([3, 0]);
  });
});

describe('loads typed at the mounts', () => {
  const told = (loads: readonly (number | undefined)[]) => {
    const body = {
      ...newBody('bed', 'Bed'),
      mounts: square.map(({ x, y }, at) => ({
        id: `m${at}`,
        name: `M${at}`,
        x: 1000 + x,
        y,
        z: 0,
        ...(loads[at] === undefined ? {} : { load: loads[at] }),
      })),
      masses: [{ id: 'w', name: 'Bed', mass: 400, x: 2000, y: 0, z: 200 }],
    };
    return evaluatePlan({ ...inputOf(plainFrame()), bodies: [body] })
      .conflicts.filter(({ code }) => code === 'mount-loads')
      .map(({ message }) => message);
  };

  it('must come to what the body weighs, but for rounding; where one is missing nothing can be said', () => {
    expect(told([100, 100, 100, 101])).toEqual([]);
    expect(told([100, 100, 100, 140])).toEqual([expect.stringMatching(/come to 970\slb, its weights to 882\slb/)]);
    expect(told([100, 100, 100, undefined])).toEqual([]);
    expect(told([])).toEqual([]);
  });
});
