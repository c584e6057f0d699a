import { beforeAll, describe, expect, it } from 'vitest';
import { type Bare, donor, inputOf, plainFrame } from '../../test/frames.ts';
import { van } from '../../test/joints.ts';
import { sectionLookup, SIDES } from '../frame/index.ts';
import { type Section } from '../sections/index.ts';
import { inWorkshop, type Kernel, loadKernel, railSteel } from '../solids/index.ts';
import { evaluatePlan, type PlanInput } from './index.ts';

const section: Extract<Section, { kind: 'channel' }> = { kind: 'channel', depth: 160, flange: 60, thickness: 5 };
const frame = plainFrame({ sections: [{ id: 'rail', section }] });
const { density } = frame.material;
const after = (input: PlanInput) => evaluatePlan(input).measures.after.mass;
const gained = (...operations: readonly Bare[]) => after(inputOf(frame, ...operations)) - after(inputOf(frame));

let kernel: Kernel;
beforeAll(async () => {
  kernel = await loadKernel();
});

/** Steel of the rails with what notches take out of them, as solids, kg. */
const solidMass = (input: PlanInput) => {
  const result = evaluatePlan(input);
  return inWorkshop(kernel, (workshop) =>
    result.pieces
      .flatMap((piece) =>
        SIDES.flatMap((side) => railSteel(workshop, piece, side, sectionLookup(frame), result.reworks)),
      )
      .reduce((sum, { solid, stretched }) => sum + solid.volume() * stretched * density, 0),
  );
};

describe('the mass after the plan', () => {
  it('counts boxing: a plate as deep as the rail, its tapered ends half as deep', () => {
    const box = { kind: 'box', from: donor(2000), to: donor(2900), plate: 5, taper: 100 } as const;
    expect(gained(box)).toBeNear(2 * (900 - 100) * section.depth * 5 * density, 1e-9);
  });

  it.each(['below', 'above'] as const)('takes out a notch from %s and adds the plate along its floor', (from) => {
    const notch = { kind: 'notch', at: donor(3000), width: 240, depth: 45, from, form: 'arch', plate: 0 } as const;
    const solid = solidMass(inputOf(frame, notch)) - solidMass(inputOf(frame));
    expect(solid).toBeLessThan(-0.5);
    expect(gained(notch) / solid).toBeNear(1, 0.01);
    // Along the floor of an arch the plate is longer than the notch is wide, and no longer than the way round it square.
    const long = (gained({ ...notch, plate: 6 }) - gained(notch)) / (2 * section.flange * 6 * density);
    expect(long).toBeGreaterThan(240);
    expect(long).toBeLessThan(240 + 2 * 45);
  });

  it('counts the plates and gussets of its joints, each as heavy as its part', () => {
    const bare = { ...van, plan: { ...van.plan, splices: [], fittings: [] } };
    expect(after(van)).toBeGreaterThan(after(bare));
    const stretched = inputOf(frame, { kind: 'lengthen', at: donor(2000), length: 200 });
    const [joint] = evaluatePlan(stretched).joints;
    const gusset = { id: 'g', kind: 'gusset', on: joint!.id, along: 80, up: 60, thickness: 6, count: 2 } as const;
    const gusseted = { ...stretched, plan: { ...stretched.plan, fittings: [gusset] } };
    expect(after(gusseted) - after(stretched)).toBeNear(2 * 2 * ((80 * 60) / 2) * 6 * density, 1e-9);
  });
});
