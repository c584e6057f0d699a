import { describe, expect, it } from 'vitest';
import { operationsFor, planned, ZOO } from '../../../test/zoo.ts';
import { evaluatePlan, evaluateWelding, runToTime } from '../index.ts';

describe.each(ZOO.map((animal) => [animal.name, animal] as const))('a frame that is %s', (_, animal) => {
  it.each(operationsFor(animal))('is welded without a hole in it: %s', (__, operation) => {
    const input = planned(animal, operation);
    const result = evaluatePlan(input);
    const welding = evaluateWelding(input, result);
    const stitches = welding.steps.flatMap((step) => step.stitches);
    expect(new Set(stitches.map(({ id }) => id)).size).toBe(stitches.length);
    expect(new Set(welding.seams.map(({ id }) => id)).size).toBe(welding.seams.length);
    expect(welding.early).toEqual([]);
    for (const { from, to, middle, begin, end, area } of stitches) {
      expect([from.x, from.s, to.x, to.s, middle.x, middle.y, middle.z, area].every(Number.isFinite)).toBe(true);
      expect(end).toBeGreaterThan(begin);
    }
    for (const seam of welding.seams) {
      const laid = stitches.filter((one) => one.seam.id === seam.id && one.pass === 1);
      expect(laid.reduce((sum, { begin, end }) => sum + end - begin, 0)).toBeNear(
        seam.passes > 0 ? seam.length : 0,
        1e-6,
      );
    }
    for (const { joint, pull } of welding.pulls) {
      expect([pull.shortening, pull.pitch, pull.yaw].every(Number.isFinite)).toBe(true);
      // The centroid of the walls lies between the rails, near the joint's height.
      const here = result.joints.find(({ id }) => id === joint.id)!;
      const top = Math.max(...Object.values(here.sides).map(({ dz }) => Math.abs(dz)));
      expect(Math.abs(pull.center.y)).toBeLessThan(600 + top);
    }
    for (const { change } of welding.changes) expect(Number.isFinite(change)).toBe(true);
    const { walls, joints } = runToTime(welding, result, input, stitches);
    for (const { wall, from, to } of joints.flat()) {
      const { length, around } = walls[wall]!;
      for (const place of [from, to]) {
        expect(place.x >= 0 && place.x <= length).toBe(true);
        expect(place.s >= -1e-9 && place.s <= around + 1e-9).toBe(true);
      }
    }
  });
});
