import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Heat, type HeatedWall, USUAL_MESH, WarmWall } from './index.ts';

const wallOf = (changes: Partial<HeatedWall> = {}): HeatedWall => ({
  length: 600,
  around: 320,
  closed: false,
  thickness: 5,
  steel: { density: 7850, specificHeat: 500, conductivity: 45 },
  loss: { film: 20, emissivity: 0.8, ambient: 20, faces: 2 },
  ...changes,
});
const ADIABATIC = { film: 0, emissivity: 0, ambient: 20, faces: 2 } as const;

/** From and to along the seam at a place along the rail, and the rest of a heat. */
type Changes = { from?: number; to?: number; x?: number } & Partial<Omit<Heat, 'from' | 'to'>>;

const heatOf = ({ from = 40, to = 120, x = 300, ...changes }: Changes = {}): Heat => ({
  from: { x, s: from },
  to: { x, s: to },
  band: 10,
  start: 0,
  seconds: 18,
  energy: 40_000,
  ...changes,
});

const after = (wall: HeatedWall, heats: readonly Heat[], until = 60): WarmWall => {
  const warm = new WarmWall(wall, [300]);
  warm.runTo(until, heats);
  return warm;
};

describe('a wall that is heated', () => {
  it.each([false, true])('keeps all the heat that it cannot lose, closed %s', (closed) => {
    const walls = [
      5,
      [
        { to: 100, thickness: 6 },
        { to: 320, thickness: 3 },
      ],
    ] as const;
    for (const thickness of walls) {
      const warm = after(wallOf({ closed, thickness, loss: ADIABATIC }), [heatOf(), heatOf({ start: 5, x: 280 })], 500);
      expect(warm.held).toBeWithin(80_000, 1e-9);
    }
  });

  it('evens out to what its heat comes to', () => {
    const wall = wallOf({ length: 100, around: 60, loss: ADIABATIC });
    const warm = new WarmWall(wall, [50]);
    warm.runTo(3000, [heatOf({ from: 0, to: 60, x: 50 })]);
    const rise = 40_000 / (7850 * 500 * 100 * 60 * 5 * 1e-9);
    for (const [x, s] of [
      [2, 2],
      [50, 30],
      [98, 58],
    ] as const)
      expect(warm.at(x, s)).toBeNear(20 + rise, 0.01);
  });

  it('cools as its faces lose heat when it is warm all over', () => {
    const wall = wallOf({ length: 100, around: 60, loss: { film: 20, emissivity: 0, ambient: 20, faces: 2 } });
    const warm = new WarmWall(wall, [50]);
    warm.runTo(2000, [heatOf({ from: 0, to: 60, x: 50 })]);
    const before = warm.at(50, 30) - 20;
    warm.runTo(2300);
    const pace = (2 * 20) / (7850 * 500 * 0.005);
    expect(warm.at(50, 30) - 20).toBeWithin(before * Math.exp(-pace * 300), 2e-3);
  });

  it('is the mirror image where the seam is welded from the other end', () => {
    const there = after(wallOf(), [heatOf({ from: 40, to: 120 })]);
    const back = after(wallOf(), [heatOf({ from: 280, to: 200 })]);
    for (const s of [10, 80, 150, 240]) expect(there.at(300, s)).toBeNear(back.at(300, 320 - s), 1e-6);
  });

  it('runs on round a closed section, and not round an open one', () => {
    const heat = heatOf({ from: 0, to: 20 });
    const [closed, open] = [true, false].map((each) => after(wallOf({ closed: each }), [heat]));
    expect(closed!.at(300, 310)).toBeGreaterThan(open!.at(300, 310) + 50);
    const there = after(wallOf({ closed: true }), [heatOf({ from: 320, to: 300 })]);
    expect(closed!.at(300, 310)).toBeNear(there.at(300, 10), 1e-6);
  });

  it('never waits less after more heat', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20_000, max: 60_000 }), fc.integer({ min: 0, max: 320 }), (energy, s) => {
        const [less, more] = [energy, energy * 1.2].map((each) =>
          after(wallOf(), [heatOf({ energy: each })], 18).waitFor(300, s, 150),
        );
        expect(more).toBeGreaterThanOrEqual(less! - 0.05);
      }),
      { numRuns: 20 },
    );
  });

  it('waits about as long on a finer mesh', () => {
    const heats = [heatOf(), heatOf({ from: 120, to: 200, start: 60 })];
    const waits = [USUAL_MESH, { cell: 2.5, far: 10 }].map((mesh) => {
      const warm = new WarmWall(wallOf(), [300], mesh);
      warm.runTo(78, heats);
      return warm.waitFor(300, 200, 150);
    });
    expect(waits[0]).toBeWithin(waits[1]!, 0.03);
  });

  it('counts the last moment above the limit, also where a neighbor warms the place up after the stitch', () => {
    const warm = after(wallOf(), [heatOf({ energy: 60_000 })], 18);
    const beside = 140;
    expect(warm.at(300, beside)).toBeLessThan(100);
    const wait = warm.waitFor(300, beside, 100);
    expect(wait).toBeGreaterThan(5);
    const later = warm.copy();
    later.runTo(warm.time + wait - 2);
    expect(later.at(300, beside)).toBeGreaterThan(100);
    later.runTo(warm.time + wait + 2);
    expect(later.at(300, beside)).toBeLessThan(100);
    expect(warm.time).toBe(18);
  });

  it('refuses a limit that the shop itself is above, and a wall without a thickness', () => {
    const warm = after(wallOf(), [heatOf()], 18);
    expect(() => warm.waitFor(300, 40, 20)).toThrow('above the temperature of the shop');
    expect(() => new WarmWall(wallOf({ thickness: 0 }), [300])).toThrow('thickness above 0');
    expect(() => new WarmWall(wallOf({ around: 0 }), [300])).toThrow('needs a size');
  });
});
