import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { type Bare, donor, featureAt, inputOf, memberAt, plainFrame, tankAt } from '../../test/frames.ts';
import { beach, on, sprayer, tour, van } from '../../test/joints.ts';
import { largeFrame } from '../../test/large.ts';
import { arm, body, input as mountInput, made, perch } from '../../test/mounts.ts';
import { operationsFor, planned, ZOO } from '../../test/zoo.ts';
import { sectionLookup, type Side, SIDES } from '../frame/index.ts';
import { markSheet } from '../markout/index.ts';
import { measurerOf } from '../markout/measure.ts';
import { contextOf, evaluatePlan, type PlanInput, type PlanResult, usualPlate } from '../plan/index.ts';
import { PLAIN_BUTT } from '../plan/splices/index.ts';
import { massOf, railLumps } from '../plan/solid.ts';
import { sectionProperties } from '../sections/index.ts';
import {
  checkSolids,
  contactShare,
  frameSolids,
  inWorkshop,
  type Kernel,
  loadKernel,
  railSteel,
  sectionOutline,
} from './index.ts';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await loadKernel();
});
const show = (mm: number) => `${mm.toFixed(1)} mm`;
/** The body with one of its mounts alone. */
const onlyMount = (id: string) => ({ ...body, mounts: body.mounts.filter((mount) => mount.id === id) });
const check = (input: PlanInput) => checkSolids(kernel, input, show);

/** Steel of the rails as solids: kg, and where it balances along the frame. */
function solidSteel(input: PlanInput, result: PlanResult) {
  const sectionOf = sectionLookup(input.donor);
  return inWorkshop(kernel, (workshop) =>
    result.pieces.map((piece) =>
      SIDES.map((side) =>
        railSteel(workshop, piece, side, sectionOf, []).reduce(
          (sum, { solid, stretched }) => sum + solid.volume() * stretched * input.donor.material.density,
          0,
        ),
      ),
    ),
  );
}

/** The same by the evaluation. */
const evaluatedSteel = (input: PlanInput, result: PlanResult) =>
  result.pieces.map((piece) =>
    SIDES.map((side) => massOf(railLumps(piece, side, sectionLookup(input.donor), contextOf(input).density))),
  );

/** Whether the steel that is kept ends at a point of a line: steel on the kept side of it, none on the other. */
function isEdge(
  result: PlanResult,
  input: PlanInput,
  side: Side,
  x: number,
  z: number,
  kerf: 'ahead' | 'behind',
): boolean {
  const sectionOf = sectionLookup(input.donor);
  return inWorkshop(kernel, (workshop) => {
    const { Manifold } = workshop.kernel;
    const probe = (dx: number) => {
      const inside = side === 'left' ? 1 : -1;
      const rail = input.donor.rails.kind === 'mirrored' ? input.donor.rails.stations : input.donor.rails[side];
      const at = rail.findLast((station) => station.x <= x) ?? rail[0]!;
      const next = rail[Math.min(rail.length - 1, rail.indexOf(at) + 1)]!;
      const share = next === at ? 0 : (x - at.x) / (next.x - at.x);
      const half = at.halfWidth + share * (next.halfWidth - at.halfWidth);
      const y = (side === 'left' ? -1 : 1) * half + inside * 0.4;
      return workshop.own(workshop.own(Manifold.cube([0.1, 0.1, 0.1], true)).translate([x + dx, y, z]));
    };
    const kept = result.pieces
      .filter(({ source }) => source === 'donor')
      .flatMap((piece) => railSteel(workshop, { ...piece, spread: 0 }, side, sectionOf, []));
    const has = (dx: number) => kept.some(({ solid }) => !workshop.own(solid.intersect(probe(dx))).isEmpty());
    const way = kerf === 'behind' ? 1 : -1;
    return has(-0.2 * way) && !has(0.2 * way);
  });
}

/** Steel of the donor that is kept and lies outside of what was there, mm³. */
const grownBy = (input: PlanInput, result: PlanResult): number =>
  inWorkshop(kernel, (workshop) => {
    const sectionOf = sectionLookup(input.donor);
    const steel = (piece: PlanResult['pieces'][number], side: Side) =>
      railSteel(workshop, { ...piece, spread: 0 }, side, sectionOf, []).map(({ solid }) => solid);
    return SIDES.flatMap((side) => {
      const was = workshop.own(workshop.kernel.Manifold.union(steel(result.donorState.pieces[0]!, side)));
      return result.pieces
        .filter(({ source }) => source === 'donor')
        .flatMap((piece) => steel(piece, side).map((solid) => workshop.own(solid.subtract(was)).volume()));
    }).reduce((sum, volume) => sum + volume, 0);
  });

/** The lines of the marks sheet that lie across the rail, and those of them that lie on no edge of the steel that is kept. */
function marksOffEdge(input: PlanInput, result: PlanResult) {
  let looked = 0;
  const off: string[] = [];
  const { datum, depthOf } = measurerOf(input.donor);
  for (const { side, kerf, part, form, from, operation, lean } of markSheet(input, result).lines) {
    if (kerf === 'line' || part !== 'across' || form !== null || operation.kind === 'widen') continue;
    if (from.top === null) continue;
    const x = datum + from.level;
    const rail = input.donor.rails.kind === 'mirrored' ? input.donor.rails.stations : input.donor.rails[side];
    const at = rail.findLast((station) => station.x <= x) ?? rail[0]!;
    const next = rail[Math.min(rail.length - 1, rail.indexOf(at) + 1)]!;
    const share = next === at ? 0 : (x - at.x) / (next.x - at.x);
    const { kind } = sectionLookup(input.donor)(at.section);
    if (depthOf(at.section) !== depthOf(next.section) || kind === 'round' || kind === 'hat') continue;
    const slope = next === at ? 0 : (next.top - at.top) / (next.x - at.x);
    const top = at.top + share * (next.top - at.top);
    // Where a pie cut pivots its two lines meet: there is steel on both sides of either.
    const down =
      operation.kind === 'pie-cut' || operation.kind === 'step' ? depthOf(at.section) / 2 : 0.5 + 0.3 * Math.abs(slope);
    looked += 1;
    if (!isEdge(result, input, side, x + (lean * down) / depthOf(at.section), top - down, kerf))
      off.push(`${side}, ${operation.kind} at ${x.toFixed(1)}`);
  }
  return { looked, off };
}

/** Plans whose steel is checked: each operation on each frame of the zoo, and the demo's. */
const cases: readonly (readonly [string, PlanInput])[] = [
  ...ZOO.flatMap((animal) =>
    operationsFor(animal).map(([name, operation]) => [`${animal.name}, ${name}`, planned(animal, operation)] as const),
  ),
  ...[van, sprayer, tour, beach].map((job) => [job.name, job] as const),
];

describe('the evaluation against solid steel', () => {
  it.each(['channel', 'closed-channel', 'tube', 'hat', 'round'] as const)(
    'the area of a %s agrees with the section properties',
    (kind) => {
      const section = {
        channel: { kind, depth: 140, flange: 55, thickness: 4 },
        'closed-channel': { kind, depth: 140, flange: 55, thickness: 4, plate: 3 },
        tube: { kind, depth: 120, width: 60, thickness: 5, inner: 3 },
        hat: { kind, depth: 110, crown: 70, brim: 25, thickness: 4 },
        round: { kind, depth: 90, thickness: 5 },
      }[kind] as Parameters<typeof sectionOutline>[0];
      const area = inWorkshop(kernel, ({ kernel: { CrossSection }, own }) => {
        void own;
        return new CrossSection(sectionOutline(section), 'Positive').area();
      });
      expect(area / sectionProperties(section).area).toBeNear(1, 1.2e-3);
    },
  );

  it('weighs the same on every frame of the zoo under every operation: rails to 1 in 1000', () => {
    for (const [name, input] of cases) {
      const result = evaluatePlan(input);
      const [solid, evaluated] = [solidSteel(input, result), evaluatedSteel(input, result)];
      solid.forEach((sides, piece) =>
        sides.forEach((mass, side) => {
          const other = evaluated[piece]![side]!;
          expect(Math.abs(mass - other), `${name}, piece ${piece}`).toBeLessThan(0.001 * Math.max(other, 0.3) + 0.002);
        }),
      );
    }
  });

  it('under 200 random plans: weighs the same, and no steel of the donor grows', () => {
    const frame = largeFrame(12, 8);
    const place = fc.integer({ min: 300, max: 11_500 }).map((x) => donor(x));
    const operation: fc.Arbitrary<Bare> = fc.oneof(
      fc.record({ kind: fc.constant('shorten' as const), from: place, to: place }),
      fc.record({ kind: fc.constant('lengthen' as const), at: place, length: fc.integer({ min: 20, max: 600 }) }),
      fc.record({
        kind: fc.constant('trim' as const),
        end: fc.constantFrom('front' as const, 'rear' as const),
        at: place,
        angle: fc.double({ min: 0, max: 1.2, noNaN: true }),
        lean: fc.constantFrom('top-longer' as const, 'bottom-longer' as const),
      }),
      fc.record({
        kind: fc.constant('pie-cut' as const),
        at: place,
        pivot: fc.constantFrom('top' as const, 'bottom' as const),
        mode: fc.constantFrom('close' as const, 'open' as const),
        turned: fc.constantFrom('front' as const, 'rear' as const),
        amount: fc.record({
          by: fc.constant('angle' as const),
          angle: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        }),
        wedge: fc.constantFrom('symmetric' as const, 'square' as const),
      }),
    );
    fc.assert(
      fc.property(fc.array(operation, { minLength: 1, maxLength: 3 }), (operations) => {
        const input = inputOf(frame, ...operations);
        const result = evaluatePlan(input);
        const total = (all: readonly (readonly number[])[]) => all.flat().reduce((sum, mass) => sum + mass, 0);
        const [solid, evaluated] = [total(solidSteel(input, result)), total(evaluatedSteel(input, result))];
        expect(Math.abs(solid - evaluated)).toBeLessThan(0.001 * evaluated + 0.002);
        expect(grownBy(input, result)).toBeLessThan(1);
        expect(marksOffEdge(input, result).off).toEqual([]);
      }),
      { numRuns: 200, seed: 27 },
    );
  });

  it('every line of the marks sheet lies on an edge of the steel that is kept', () => {
    let looked = 0;
    for (const [name, input] of cases.filter((_, index) => index % 3 === 0)) {
      const marks = marksOffEdge(input, evaluatePlan(input));
      looked += marks.looked;
      expect(marks.off, name).toEqual([]);
    }
    expect(looked).toBeGreaterThan(60);
  });

  it('nothing of the donor grows: the steel that is kept lies in the steel that was there', () => {
    for (const [name, input] of cases.filter((_, index) => index % 4 === 1))
      expect(grownBy(input, evaluatePlan(input)), name).toBeLessThan(1);
  });
});

describe('the check in 3D', () => {
  it('finds nothing on the frames of the zoo that the plans do not do', () => {
    for (const animal of ZOO) expect(check(planned(animal)), animal.name).toEqual([]);
  });

  it.each([van, tour, beach].map((job) => [job.name, job] as const))('finds nothing on %s', (_, job) => {
    expect(check(job).map(({ message }) => message)).toEqual([]);
  });

  const lengthen: Bare = { kind: 'lengthen', at: donor(2000), length: 300 };
  const codes = (input: PlanInput) => check(input).map(({ code, about }) => `${code} ${about.join('+')}`);

  it('finds a box that a crossmember is moved into, and none that only comes near', () => {
    const frame = plainFrame({ rooms: [tankAt()], crossmembers: [memberAt('c', 2600, { below: 120, depth: 90 })] });
    const move = (x: number): Bare => ({
      kind: 'crossmember',
      change: { what: 'move', crossmember: 'c', to: donor(x) },
    });
    expect(codes(inputOf(frame, move(3200)))).toEqual(['overlap c+tank']);
    expect(codes(inputOf(frame, move(2960)))).toEqual([]);
  });

  it('says nothing of what stood in each other when it was measured', () => {
    const frame = plainFrame({ rooms: [tankAt()], crossmembers: [memberAt('c', 3200, { below: 120, depth: 90 })] });
    expect(codes(inputOf(frame, lengthen))).toEqual([]);
  });

  it('finds two crossmembers in one place', () => {
    const frame = plainFrame({ crossmembers: [memberAt('a', 1500), memberAt('b', 4000)] });
    const input = inputOf(frame, { kind: 'crossmember', change: { what: 'move', crossmember: 'a', to: donor(4020) } });
    expect(codes(input)).toEqual(['overlap a+b']);
  });

  it('finds a crossmember that an angled end leaves without rail', () => {
    const frame = plainFrame({ crossmembers: [memberAt('c', 5000, { below: 170, depth: 60 })] });
    expect(codes(inputOf(frame))).toEqual([]);
    const low = inputOf(plainFrame(), {
      kind: 'crossmember',
      change: { what: 'add', at: donor(3000), crossmember: memberAt('n', 0, { below: 170, depth: 60 }) },
    });
    expect(codes(low)).toEqual(['unsupported n']);
  });

  it('goes on after bad figures as after good ones, and gives back what it made', () => {
    const odd = plainFrame({ features: [...plainFrame().features, featureAt('f', 10)] });
    for (let turn = 0; turn < 3; turn += 1) expect(check(inputOf(odd, lengthen))).toEqual([]);
    const input = inputOf(odd, lengthen);
    inWorkshop(kernel, (workshop) => {
      expect(frameSolids(workshop, input, evaluatePlan(input)).length).toBeGreaterThan(4);
    });
  });

  /** The share of the face of everything that is fastened to a rail that touches it, by kind. */
  const contacts = (input: PlanInput): Record<string, number[]> =>
    inWorkshop(kernel, (workshop) => {
      const all = frameSolids(workshop, input, evaluatePlan(input));
      const rails = all.filter(({ kind }) => kind === 'rail');
      const found: Record<string, number[]> = {};
      for (const one of all) {
        const share = contactShare(workshop, one, rails);
        if (share !== null) (found[one.kind] ??= []).push(share);
      }
      return found;
    });

  it('every plate and bracket of the demo shop lies on the rail with its whole face', () => {
    const [plates, brackets] = [[], []] as [number[], number[]];
    for (const job of [van, sprayer, tour, beach]) {
      const { plate = [], bracket = [] } = contacts(job);
      plates.push(...plate);
      brackets.push(...bracket);
    }
    expect(plates.length).toBeGreaterThan(7);
    expect(Math.min(...plates)).toBeGreaterThan(0.9);
    expect(brackets.length).toBeGreaterThan(8);
    expect(Math.min(...brackets)).toBeGreaterThan(0.9);
  });

  it.each([
    ['a perch', 'a', perch, 2],
    ['an outrigger', 'c', arm(), 1],
    ['an old bracket on its block', 'a', { form: 'old', height: 40, along: 70, leg: 4 }, 1],
  ] as const)('%s stands on the rail with all that its strength counts', (_, mount, bracket, faces) => {
    const { bracket: shares = [] } = contacts(mountInput([made(mount, bracket)], 0, onlyMount(mount)));
    expect(shares).toHaveLength(faces);
    for (const share of shares) expect(share).toBeNear(1, 0.02);
  });

  it('a plate on the inner side of a tube lies on its wall', () => {
    const tube = { kind: 'tube', depth: 150, width: 70, thickness: 5, inner: 4 } as const;
    const bare = inputOf(plainFrame({ sections: [{ id: 'rail', section: tube }] }), lengthen);
    const [joint] = evaluatePlan(bare).joints;
    const plate = usualPlate('p', 'inner-side', { form: 'butt' }, on(van, tube))!;
    const splices = [{ joint: joint!.id, rails: { ...PLAIN_BUTT, plates: [plate] }, others: [] }];
    const { plate: shares = [] } = contacts({ ...bare, plan: { ...bare.plan, splices } });
    expect(shares).toHaveLength(2);
    for (const share of shares) expect(share).toBeNear(1, 0.02);
  });
});
