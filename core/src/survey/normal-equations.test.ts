import fc from 'fast-check';
import { inverse, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { factorOf, inverseOf, solved, type Square } from './normal-equations.ts';

const square = (rows: readonly (readonly number[])[]): Square => ({
  size: rows.length,
  values: Float64Array.from(rows.flat()),
});

describe('a symmetric set of equations', () => {
  it('by hand: 4x + 2y = 2, 2x + 3y = 5', () => {
    const factor = factorOf(
      square([
        [4, 2],
        [2, 3],
      ]),
    )!;
    expect([...factor.values].map((value) => Math.round(value * 1e6) / 1e6)).toEqual([2, 0, 1, 1.414214]);
    expect([...solved(factor, Float64Array.from([2, 5]))]).toEqual([expect.closeTo(-0.5, 12), expect.closeTo(2, 12)]);
    expect([...inverseOf(factor).values].map((value) => value * 8)).toEqual(
      [3, -2, -2, 4].map((value) => expect.closeTo(value, 12) as number),
    );
  });
  it('that is not positive definite has no factor', () => {
    expect(factorOf(square([[0]]))).toBeNull();
    expect(factorOf(square([[-1]]))).toBeNull();
    expect(factorOf(square([[NaN]]))).toBeNull();
    expect(
      factorOf(
        square([
          [1, 2],
          [2, 4],
        ]),
      ),
    ).toBeNull();
  });
  it('of any size is inverted as a general library inverts it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 1e6 }), (size, seed) => {
        let state = seed;
        const next = () => (state = (state * 48271) % 2147483647) / 2147483647 - 0.5;
        const a = Matrix.from1DArray(size, size, Array.from({ length: size * size }, next));
        const spd = Matrix.add(a.mmul(a.transpose()), Matrix.eye(size, size));
        const found = inverseOf(factorOf({ size, values: Float64Array.from(spd.to1DArray()) })!);
        const wanted = inverse(spd).to1DArray();
        for (const [at, value] of found.values.entries()) expect(value).toBeNear(wanted[at]!, 1e-9);
      }),
    );
  });
});
