import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodyOf, donor, inputOf, plainFrame } from '../../test/frames.ts';
import { axleLoadsOf, balance } from './axle-loads.ts';
import { evaluatePlan } from './index.ts';

const place = fc.record({
  x: fc.double({ min: -5000, max: 9000, noNaN: true }),
  y: fc.double({ min: -900, max: 900, noNaN: true }),
  z: fc.double({ min: -500, max: 2500, noNaN: true }),
});
const weight = fc.record({ mass: fc.double({ min: 0.1, max: 5000, noNaN: true }), at: place });

describe('axle loads', () => {
  it('balance: moments and forces hold for any weights, and one by one they add up to all together', () => {
    fc.assert(
      fc.property(fc.array(weight, { minLength: 1, maxLength: 8 }), (weights) => {
        const xs = { front: 0, rear: 3600 };
        const all = balance(weights);
        const loads = axleLoadsOf(all, xs)!;
        const each = weights.map((one) => axleLoadsOf(balance([one]), xs)!);
        const moment = weights.reduce((sum, { mass, at }) => sum + mass * at.x, 0);
        expect(loads.front + loads.rear).toBeNear(all.mass, 1e-6);
        expect(loads.rear * 3600).toBeNear(moment, 1e-3);
        expect(each.reduce((sum, { rear }) => sum + rear, 0)).toBeNear(loads.rear, 1e-6);
      }),
    );
  });

  it('are nothing without a weight, without an axle, or with the axles in one place', () => {
    const one = balance([{ mass: 10, at: { x: 5, y: 0, z: 0 } }]);
    expect(balance([])).toEqual({ mass: 0, centerOfGravity: null });
    expect(axleLoadsOf(balance([]), { front: 0, rear: 1 })).toBeNull();
    expect(axleLoadsOf(one, { front: null, rear: 1 })).toBeNull();
    expect(axleLoadsOf(one, { front: 2, rear: 2 })).toBeNull();
  });

  it('two rear axles count as one in their middle, with the sum of their ratings, and one taken out counts no more', () => {
    const tandem = plainFrame().axles.flatMap((axle) =>
      axle.role === 'front'
        ? [{ ...axle, rating: 2000 }]
        : [
            { ...axle, id: 'rear-1', rating: 3000 },
            { ...axle, id: 'rear-2', x: axle.x + 1200, rating: 2500 },
          ],
    );
    const bodies = [bodyOf([{ id: 'load', name: 'Load', mass: 1000, x: 4200, y: 0, z: 0 }])];
    const frame = plainFrame({ axles: tandem });
    const both = evaluatePlan({ ...inputOf(frame), bodies });
    // The middle of 4300 and 5500 is 4900, 4200 behind the front axle: the whole load stands on the two.
    expect(both.laden.after!.rear.load - both.measures.after.axleLoads!.rear).toBeNear(1000, 1e-9);
    expect(both.laden.after!.rear.rating).toBe(5500);
    const cut = inputOf(frame, { kind: 'trim', end: 'rear', at: donor(5000), angle: 0, lean: 'top-longer' });
    const one = evaluatePlan({ ...cut, bodies });
    expect(one.laden.after!.rear.rating).toBe(3000);
    expect(one.laden.before!.rear.rating).toBe(5500);
  });
});
