import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../test/reference/mounts.json' with { type: 'json' };
import { inputOf, plainFrame } from '../../../test/frames.ts';
import { newBody } from '../../body/index.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import { type TireMoves, tireBox } from './tire-box.ts';

const degrees = (angle: number) => (angle * Math.PI) / 180;
const tire: TireMoves = {
  radius: 400,
  width: 220,
  offset: 40,
  lock: degrees(30),
  bump: 70,
  droop: 50,
  x: 100,
  z: -20,
  kingpin: 700,
};

describe('the room of a tire', () => {
  it('turned, lifted and let down: as in the independent case', () => {
    const { input, expected } = reference.cases.find(({ id }) => id === 'tyre_front') as unknown as {
      input: Record<string, number>;
      expected: { box_right_side_mm: Record<string, number> };
    };
    const box = tireBox({
      radius: input.tyre_radius_mm!,
      width: input.tyre_width_mm!,
      offset: input.offset_of_tyre_middle_outboard_of_kingpin_mm!,
      lock: degrees(input.steer_deg_each_way!),
      bump: input.bump_mm!,
      droop: input.droop_mm!,
      x: input.kingpin_x_mm!,
      z: input.wheel_centre_z_mm!,
      kingpin: input.kingpin_outward_y_mm!,
    });
    const wanted = expected.box_right_side_mm;
    expect([box.front, box.rear, box.inner, box.outer, box.low, box.high]).toEqual(
      ['x_from', 'x_to', 'y_inner', 'y_outer', 'z_from', 'z_to'].map((key) => expect.toBeNear(wanted[key]!, 1e-6)),
    );
  });

  it('that is not steered is the tire itself', () => {
    expect(tireBox({ ...tire, lock: 0, bump: 0, droop: 0 })).toEqual({
      front: -300,
      rear: 500,
      inner: 630,
      outer: 850,
      low: -420,
      high: 380,
    });
  });

  it('holds every corner at every angle, and no more than it must', () => {
    const angle = fc.double({ min: -1, max: 1, noNaN: true });
    const lock = fc.double({ min: 0, max: degrees(45), noNaN: true });
    const size = fc.double({ min: 50, max: 500, noNaN: true });
    fc.assert(
      fc.property(angle, lock, size, fc.double({ min: -150, max: 150, noNaN: true }), (share, most, width, offset) => {
        const box = tireBox({ ...tire, lock: most, width, offset });
        const at = (turn: number) =>
          [-1, 1].flatMap((end) =>
            [-1, 1].map((face) => {
              const [a, b] = [end * tire.radius, offset + (face * width) / 2];
              return [
                tire.x + a * Math.cos(turn) - b * Math.sin(turn),
                tire.kingpin + a * Math.sin(turn) + b * Math.cos(turn),
              ] as const;
            }),
          );
        for (const [x, y] of at(share * most)) {
          expect(x >= box.front - 1e-9 && x <= box.rear + 1e-9).toBe(true);
          expect(y >= box.inner - 1e-9 && y <= box.outer + 1e-9).toBe(true);
        }
        const swept = Array.from({ length: 401 }, (_, step) => at(((step - 200) / 200) * most)).flat();
        expect(Math.max(...swept.map(([x]) => x))).toBeNear(box.rear, 0.05);
        expect(Math.max(...swept.map(([, y]) => y))).toBeNear(box.outer, 0.05);
        expect(Math.min(...swept.map(([, y]) => y))).toBeNear(box.inner, 0.05);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a tire in what must stay clear', () => {
  const frame = plainFrame();
  const [front] = frame.axles;
  const step = (changes: object) => ({
    id: 'step',
    name: 'step',
    kind: 'step' as const,
    front: 500,
    rear: 800,
    left: -front!.track / 2 - 200,
    right: -front!.track / 2 + 100,
    low: -50,
    high: 300,
    ...changes,
  });
  const clashes = (changes: object) => {
    const body = {
      ...newBody('body', 'Cab'),
      openings: [{ id: 'o', name: 'Opening', over: 'front' as const, x: 0 }],
      boxes: [step(changes)],
    };
    return evaluatePlan({ ...inputOf(frame), bodies: [body] }).seats[0]!.clashes;
  };

  it('is told by its side, and by how much the body must rise', () => {
    // The tire reaches farther back when it is turned than where it stands.
    expect(front!.tireRadius).toBeLessThan(500);
    expect(clashes({ front: front!.tireRadius + 5 })).toMatchObject([
      { with: { kind: 'tire', side: 'left' }, withName: 'the left tire of the front axle' },
    ]);
    const [clash] = clashes({ front: 0 });
    expect(clash!.deep).toBeNear(front!.z + front!.tireRadius + 76.2 + 50, 1e-6);
  });

  it('and not where it never comes', () => {
    expect(clashes({ front: 700, rear: 900 })).toEqual([]);
    expect(clashes({ front: 0, low: front!.z + front!.tireRadius + 80 })).toEqual([]);
    expect(clashes({ front: 0, left: -100, right: 100, low: 10 })).toEqual([]);
  });
});
