import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newBody } from '../../body/index.ts';
import { inputOf, plainFrame } from '../../../test/frames.ts';
import { carryOutEdit, evaluatePlan, triedFixes } from '../index.ts';
import { fromArch } from './openings.ts';

describe('an opening given by its radius', () => {
  it('has steel over its centerline only', () => {
    // On the centerline, over it, and below it, in a circle of 400.
    expect(fromArch(400, 0, 0)).toBe(400);
    expect(fromArch(400, 0, 100)).toBe(300);
    expect(fromArch(400, 240, 180)).toBeNear(100, 1e-9);
    // Below it the nearest steel is the foot of the arch: 3-4-5.
    expect(fromArch(400, 100, -400)).toBeNear(500, 1e-9);
    expect(fromArch(400, 500, -50)).toBe(50);
    expect(fromArch(400, 0, 420)).toBe(-20);
  });

  it('never has more room higher up, wherever the wheel is', () => {
    const any = fc.double({ min: -900, max: 900, noNaN: true });
    fc.assert(
      fc.property(any, any, fc.double({ min: 0, max: 300, noNaN: true }), (x, z, lift) => {
        if (fromArch(420, x, z) < 0) return;
        expect(fromArch(420, x, z + lift)).toBeLessThanOrEqual(fromArch(420, x, z) + 1e-9);
      }),
    );
  });

  const body = (z: number) => ({
    ...newBody('b'),
    openings: [
      { id: 'f', name: 'Front', over: 'front' as const, x: 700, z, radius: 430 },
      { id: 'r', name: 'Rear', over: 'rear' as const, x: 4300, z, radius: 430 },
    ],
  });
  const seated = (z: number, lift = 0) => ({
    ...inputOf(plainFrame()),
    bodies: [body(z)],
    plan: { ...inputOf(plainFrame()).plan, seats: [{ body: 'b', x: 0, z: lift, rake: 0 }] },
  });

  it('a wheel that hangs under it is clear, and raising the body never makes that worse', () => {
    const rooms = [0, 20, 40, 80, 160].map((lift) => evaluatePlan(seated(-180, lift)).seats[0]!.openings[0]!.room!);
    // Middle on middle: 430 less a tire of 380. Raised, its foot is farther off.
    expect(rooms[0]!.ride).toBeNear(50, 1e-9);
    for (const [index, room] of rooms.slice(1).entries()) {
      expect(room.ride).toBeGreaterThanOrEqual(rooms[index]!.ride);
      expect(room.bump).toBeGreaterThanOrEqual(rooms[index]!.bump);
      expect(room.bump).toBeLessThanOrEqual(room.ride);
    }
  });

  it('a raked body asks for the distance of its openings as they lie over the frame, and one press gives it', () => {
    const rake = (3 * Math.PI) / 180;
    const input = {
      ...seated(-150),
      plan: {
        ...inputOf(plainFrame()).plan,
        seats: [{ body: 'b', x: 700 - 700 * Math.cos(rake) - 150 * Math.sin(rake), z: 0, rake }],
      },
    };
    const { wheelbase } = evaluatePlan(input).seats[0]!;
    expect(wheelbase!.asked).toBeNear(3600 * Math.cos(rake), 1e-9);
    const wide = {
      ...input,
      bodies: [{ ...body(-150), openings: body(-150).openings.map((o) => (o.id === 'r' ? { ...o, x: 4500 } : o)) }],
    };
    const found = evaluatePlan(wide).conflicts.find(({ code, about }) => code === 'opening-off' && about === 'r')!;
    const [way] = triedFixes(wide, found).filter(({ edit }) => edit?.do === 'add');
    const after = evaluatePlan(carryOutEdit(wide, way!.edit!, 'x'));
    expect(after.seats[0]!.wheelbase!.overPlan).toBeNear(0, 1e-9);
  });
});
