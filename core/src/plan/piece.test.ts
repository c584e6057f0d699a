import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import type { Rail } from '../frame/index.ts';
import { evaluatePlan } from './index.ts';
import { faceTop, frontTop, holds, holdsInside, meanTop, type Piece, rearTop, stationsOf } from './piece.ts';

/** The right rail rises twice as steeply as the left: their mean rises 0.15 a mm from 2000 on. */
const rising = (slope: number): Rail => [
  { x: 0, halfWidth: 430, top: 0, section: 'rail' },
  { x: 2000, halfWidth: 430, top: 0, section: 'rail' },
  { x: 4000, halfWidth: 430, top: 2000 * slope, section: 'rail' },
  { x: 6000, halfWidth: 430, top: 2000 * slope, section: 'rail' },
];
const unlike = plainFrame({ rails: { kind: 'measured', left: rising(0.1), right: rising(0.2) } });
const trimmed = (at: number): Piece =>
  evaluatePlan(inputOf(unlike, { kind: 'trim', end: 'rear', at: donor(at), angle: Math.PI / 4, lean: 'top-longer' }))
    .pieces[0]!;

describe('a piece with unlike rails', () => {
  it('has a mean top between its two', () => {
    const [piece] = evaluatePlan(inputOf(unlike)).pieces;
    expect(meanTop(piece!, 1000)).toEqual({ top: 0, slope: 0 });
    const { top, slope } = meanTop(piece!, 3000);
    expect([top, slope]).toEqual([expect.closeTo(150, 9), expect.closeTo(0.15, 9)]);
  });

  it('is cut at the station that was said, along that mean', () => {
    const piece = trimmed(3000);
    expect(rearTop(piece)).toBeNear(3000, 1e-6);
    expect(frontTop(piece)).toBeNear(0, 1e-9);
    const { top } = meanTop(piece, 3000);
    // The face through that point, met again from anywhere: the fixed point is on the face and on the mean top.
    expect(faceTop(piece, { x: 2900, z: top - 100, lean: 1 }, 'front')).toBeNear(3000, 1e-6);
    // Each rail ends where it meets the face itself: at a slope s, x = 3000 + (0.1 · (x − 2000) − 150) for the left.
    const [left, right] = (['left', 'right'] as const).map((side) => stationsOf(piece, side).at(-1)!.x);
    expect(left).toBeNear((3000 - 150 - 200) / 0.9, 1e-6);
    expect(right).toBeNear((3000 - 150 - 400) / 0.8, 1e-6);
  });
});

it('holds what lies between its leaning faces, on them, and inside of them', () => {
  const piece = evaluatePlan(
    inputOf(plainFrame(), { kind: 'trim', end: 'rear', at: donor(5000), angle: Math.PI / 4, lean: 'top-longer' }),
  ).pieces[0]!;
  // 100 below the top the face stands 100 farther forward.
  const at = [4899, 4900, 4901].map((x) => [holds(piece, x, -100), holdsInside(piece, x, -100)]);
  expect(at).toEqual([
    [true, true],
    [true, false],
    [false, false],
  ]);
  // Its own front end was never cut: things may stand out past it.
  expect([-1, 0, 1].map((x) => [holds(piece, x, -50), holdsInside(piece, x, -50)])).toEqual([
    [true, true],
    [true, true],
    [true, true],
  ]);
});
