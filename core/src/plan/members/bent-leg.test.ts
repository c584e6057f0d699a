import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Vec3 } from '../../frame/index.ts';
import { distance } from '../pose.ts';
import { refittedLeg } from './leg.ts';

const at = (x: number, y: number, z = 0): Vec3 => ({ x, y, z });
const size = { width: 50, depth: 70 };
/** Straight back 600, then inward 300 over 600. */
const path = [at(0, 400), at(600, 400), at(1200, 100)];
const anchors = (by: Vec3) => {
  const [front, rear] = [path[0]!, path[2]!];
  const moved = { x: rear.x + by.x, y: rear.y + by.y, z: rear.z + by.z };
  return [
    { donor: front, built: front, turn: 0 },
    { donor: rear, built: moved, turn: 0 },
  ] as const;
};
const LONG = 600 + Math.hypot(600, 300);

describe('a leg with a bend', () => {
  it('loses what the rails lose where it is cut along them, and turns nowhere', () => {
    const leg = refittedLeg(...anchors(at(-200, 0)), size, { path, stretch: 0, along: 300 });
    // Along the chord it would be 1236.93 − 1044.03 = 192.90, and turn by 2.7°.
    expect(leg.out).toBeNear(200, 1e-9);
    expect([leg.before, leg.after]).toEqual([expect.closeTo(LONG, 9), expect.closeTo(LONG - 200, 9)]);
    expect([leg.front.true, leg.rear.true]).toEqual([expect.closeTo(0, 9), expect.closeTo(0, 9)]);
    expect(leg.cutAt).toBe(300);
    expect(leg.points.map(({ x, y }) => [x, y])).toEqual([
      [0, 400],
      [expect.closeTo(400, 9), expect.closeTo(400, 9)],
      [expect.closeTo(1000, 9), expect.closeTo(100, 9)],
    ]);
  });

  it('cut in its slanting part loses less, and turns by the same angle at both ends', () => {
    const leg = refittedLeg(...anchors(at(-200, 0)), size, { path, stretch: 1 });
    // c·u = 1207.48, D² = 1 090 000, |c|² = 1 530 000: s = 1207.48 − √(1 018 000 + …).
    const along = (1200 * 600 + 300 * 300) / Math.hypot(600, 300);
    expect(leg.out).toBeNear(along - Math.sqrt(1_090_000 - 1_530_000 + along ** 2), 1e-9);
    expect(leg.front.true).toBeNear(leg.rear.true, 1e-9);
    expect(leg.front.true).toBeGreaterThan(0.01);
    // Its middle, along the axis.
    expect(leg.cutAt).toBeNear(600 + Math.hypot(600, 300) / 2, 1e-9);
  });

  it('ends at both anchors, keeps its bend, and is as long as its parts, wherever they go', () => {
    const move = fc.double({ min: -250, max: 250, noNaN: true });
    fc.assert(
      fc.property(move, move, move, fc.constantFrom(0, 1), (x, y, z, stretch) => {
        const [front, rear] = anchors(at(x, y / 4, z / 4));
        const { points, after } = refittedLeg(front, rear, size, { path, stretch });
        expect(distance(points[0]!, front.built)).toBeNear(0, 1e-9);
        expect(distance(points[2]!, rear.built)).toBeNear(0, 1e-6);
        const bend = ([a, b, c]: readonly Vec3[]) =>
          Math.acos(
            ((b!.x - a!.x) * (c!.x - b!.x) + (b!.y - a!.y) * (c!.y - b!.y) + (b!.z - a!.z) * (c!.z - b!.z)) /
              distance(a!, b!) /
              distance(b!, c!),
          );
        expect(bend(points)).toBeNear(bend(path), 1e-7);
        expect(distance(points[0]!, points[1]!) + distance(points[1]!, points[2]!)).toBeNear(after, 1e-6);
      }),
    );
  });
});
