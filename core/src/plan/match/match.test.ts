import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../test/reference/mounts.json' with { type: 'json' };
import { donor, inputOf, plainFrame } from '../../../test/frames.ts';
import { jobOf, operationsFor, ZOO } from '../../../test/zoo.ts';
import { type Body, newBody } from '../../body/index.ts';
import type { Rail } from '../../frame/index.ts';
import { sectionLookup } from '../../frame/index.ts';
import { checkJob } from '../../job/index.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import type { PlanInput } from '../plan-result.ts';
import { carryOutEdit } from '../plan-edit.ts';
import { axlePlaces, type BodySeat, floorLevel, lowestThatClears, placedBy, fixesToWidth } from './index.ts';

const degrees = (angle: number) => (angle * Math.PI) / 180;
const bare = { hole: 0, thickness: 0 };
const mount = (id: string, x: number, y: number, z: number) => ({ id, name: id, x, y, z, ...bare });

/** A straight frame at height 0, 400 to each outside, 100 deep; axles at 700 and 4300. */
const frame = plainFrame();
const body: Body = {
  ...newBody('body', 'Bed'),
  openings: [
    { id: 'o1', name: 'Front opening', over: 'front', x: 0, z: -200, radius: 480 },
    { id: 'o2', name: 'Rear opening', over: 'rear', x: 3600, z: -200, radius: 480 },
  ],
  mounts: [
    mount('m1', 200, -380, 30),
    mount('m2', 200, 380, 30),
    mount('m3', 3000, -380, 60),
    mount('m4', 3000, 380, 60),
  ],
};
const input = (changes: Partial<Body> = {}, seat: Partial<BodySeat> = {}, on = frame): PlanInput => {
  const made = inputOf(on);
  const seats = Object.keys(seat).length > 0 ? [{ body: 'body', x: 700, z: 0, rake: 0, ...seat }] : [];
  return { ...made, bodies: [{ ...body, ...changes }], plan: { ...made.plan, seats } };
};
const seatIn = (of: PlanInput) => evaluatePlan(of).seats[0]!;

describe('gaps of mounts', () => {
  it('on a raked body over a kicked and tapering rail: as in the independent case', () => {
    const { input: given, expected } = reference.cases.find(({ id }) => id === 'gaps_raked_body') as unknown as {
      input: {
        rail_both_sides_alike: {
          stations_x_halfwidth_topz_mm: [number, number, number][];
          flange_width_mm: number;
          depth_mm: number;
        };
        pose: { x_mm: number; z_mm: number; rake_deg: number };
        mounts_body_x_y_z_mm: Record<string, [number, number, number]>;
      };
      expected: {
        mounts: Record<
          string,
          { x_mm: number; gap_z_mm: number; sideways_gap_mm: number; kind: string; inner: number }
        >;
      };
    };
    const rail = given.rail_both_sides_alike;
    const stations: Rail = rail.stations_x_halfwidth_topz_mm.map(([x, halfWidth, top]) => ({
      x,
      halfWidth,
      top,
      section: 'rail',
    }));
    const on = plainFrame({
      sections: [
        { id: 'rail', section: { kind: 'channel', depth: rail.depth_mm, flange: rail.flange_width_mm, thickness: 6 } },
      ],
      rails: { kind: 'mirrored', stations },
    });
    const mounts = Object.entries(given.mounts_body_x_y_z_mm).map(([id, [x, y, z]]) => mount(id, x, y, z));
    const { x_mm, z_mm, rake_deg } = given.pose;
    const seat = seatIn(input({ mounts }, { x: x_mm, z: z_mm, rake: degrees(rake_deg) }, on));
    for (const gap of seat.mounts) {
      const wanted = expected.mounts[gap.mount.id]!;
      expect(gap.at.x).toBeNear(wanted.x_mm, 1e-6);
      expect(gap.up!).toBeNear(wanted.gap_z_mm, 1e-6);
      // Inward of the flange is told below 0 here, as its amount there.
      expect(Math.abs(gap.sideways)).toBeNear(wanted.sideways_gap_mm, 1e-6);
      expect(wanted.kind).toMatch(gap.way);
    }
  });

  it.each([
    [380, 2, 'sits'],
    [380, 30, 'perch'],
    [380, -10, 'clash'],
    [450, 30, 'outrigger'],
    [450, -30, 'drop'],
    [300, 30, 'inboard'],
  ] as const)('at %d from the middle and %d over the rail: %s', (y, z, way) => {
    expect(seatIn(input({ mounts: [mount('m', 1000, y, z)] }, { z: 0 })).mounts[0]!.way).toBe(way);
  });

  it('behind the end of the frame there is no rail, and no figure is made up', () => {
    const [gap] = seatIn(input({ mounts: [mount('m', 9000, 380, 30)] }, { z: 0 })).mounts;
    expect(gap).toMatchObject({ up: null, way: 'no-rail' });
  });

  it('moving the body by so much changes every gap by it', () => {
    const number = fc.double({ min: -200, max: 200, noNaN: true });
    fc.assert(
      fc.property(number, number, (z, by) => {
        const [here, there] = [seatIn(input({}, { z })), seatIn(input({}, { z: z + by }))];
        for (const [at, gap] of here.mounts.entries()) expect(there.mounts[at]!.up! - gap.up!).toBeNear(by, 1e-9);
      }),
      { numRuns: 30 },
    );
  });

  it('a bracket of the donor serves a mount that is near enough to it', () => {
    const [feature] = frame.features;
    const bracket = {
      ...feature!,
      id: 'old',
      name: 'Old mount',
      kind: 'body-mount' as const,
      x: 905,
      side: 'both' as const,
    };
    const seat = seatIn(input({}, { z: 0 }, plainFrame({ features: [...frame.features, bracket] })));
    expect(seat.mounts.map(({ serves }) => serves?.name ?? null)).toEqual(['Old mount', 'Old mount', null, null]);
    expect(seat.mounts[0]!.serves!.ahead).toBeNear(-5, 1e-9);
  });
});

describe('what stands in a body', () => {
  const hump = {
    id: 'hump',
    name: 'hump',
    kind: 'hump' as const,
    front: 1000,
    rear: 1400,
    left: 350,
    right: 500,
    low: -20,
    high: 80,
  };

  it('a box over the rail: as deep as the rail stands in it, from end to end of it, by hand', () => {
    const { clashes } = seatIn(input({ boxes: [hump] }, { z: 0 }));
    expect(clashes).toMatchObject([
      { part: { id: 'hump' }, with: { kind: 'rail', side: 'right' }, from: 1700, to: 2100 },
    ]);
    expect(clashes[0]!.deep).toBeNear(20, 1e-9);
    expect(seatIn(input({ boxes: [{ ...hump, left: 450 }] }, { z: 0 })).clashes).toEqual([]);
    expect(seatIn(input({ boxes: [{ ...hump, low: 1 }] }, { z: 0 })).clashes).toEqual([]);
    // Under the rail's underside, at −150, nothing of the rail stands in it.
    expect(seatIn(input({ boxes: [{ ...hump, low: -300, high: -160 }] }, { z: 0 })).clashes).toEqual([]);
  });

  it('a floor that steps down onto a crossmember is told with it', () => {
    const member = {
      ...plainFrame().crossmembers[0]!,
      id: 'high',
      name: 'High one',
      x: 2500,
      length: 60,
      depth: 80,
      below: -40,
    };
    const on = plainFrame({ crossmembers: [member] });
    const underside = [
      { x: 0, z: 60 },
      { x: 1000, z: 60 },
      { x: 1400, z: 25 },
      { x: 3000, z: 25 },
    ];
    const { clashes } = seatIn(input({ underside }, { z: 0 }, on));
    expect(clashes.map(({ withName }) => withName)).toEqual(['High one']);
    expect(clashes[0]!.deep).toBeNear(15, 1e-9);
  });

  it('a floor that hangs lowest between two bends of the rail is found there', () => {
    const underside = [
      { x: 200, z: 50 },
      { x: 1500, z: 50 },
      { x: 1600, z: -12 },
      { x: 1700, z: 50 },
      { x: 3000, z: 50 },
    ];
    const { clashes } = seatIn(input({ underside }, { z: 0 }));
    expect(clashes.map(({ withName }) => withName)).toEqual(['the left rail', 'the right rail']);
    expect(clashes[0]!.deep).toBeNear(12, 1e-9);
    // The rail's top at 0 is met where the floor comes down through it, within a step of looking.
    expect([clashes[0]!.from, clashes[0]!.to]).toEqual([expect.toBeNear(2281, 61), expect.toBeNear(2319, 61)]);
  });

  it('a lower body never clears more', () => {
    const heights = fc.double({ min: -120, max: 120, noNaN: true });
    fc.assert(
      fc.property(heights, heights, (a, b) => {
        const deep = (z: number) =>
          Math.max(0, ...seatIn(input({ boxes: [hump] }, { z })).clashes.map((clash) => clash.deep));
        // As long as its lid is over the rail: a box that has sunk past it all is out again.
        fc.pre(Math.min(a, b) > -80);
        expect(deep(Math.min(a, b))).toBeGreaterThanOrEqual(deep(Math.max(a, b)) - 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('is told as something to decide, and the body raised by one press clears it', () => {
    const low = input({ boxes: [hump] }, { z: 0 });
    const clash = evaluatePlan(low).conflicts.find(({ code }) => code === 'body-clash')!;
    expect(clash).toMatchObject({ severity: 'warn', acceptable: true, about: 'hump' });
    expect(clash.message).toMatch(/The hump of Bed comes down on the right rail: 13\/16 in scant too deep/);
    const raised = carryOutEdit(low, clash.fixes[0]!.edit!, 'x');
    expect(evaluatePlan(raised).conflicts.some(({ code }) => code === 'body-clash')).toBe(false);
  });

  it('the lowest place that clears is where it first touches: no lower', () => {
    const floor = [
      { x: -500, z: 300 },
      { x: 4500, z: 300 },
    ];
    const of = input({ boxes: [hump], underside: floor }, { z: 400 });
    const result = evaluatePlan(of);
    const low = lowestThatClears(
      of.bodies[0]!,
      result.seats[0]!.pose,
      { ...result, tires: [], others: [] },
      sectionLookup(frame),
    )!;
    // The hump touches at 20 up; the mounts, 30 and 60 up, are still over the rail.
    expect(low.z).toBeNear(20, 0.1);
    // Nobody has measured the floor: what clears is not known.
    const floorless = input({ boxes: [hump] }, { z: 400 });
    expect(
      lowestThatClears(
        floorless.bodies[0]!,
        result.seats[0]!.pose,
        { ...result, tires: [], others: [] },
        sectionLookup(frame),
      ),
    ).toBeNull();
  });
});

describe('its floor', () => {
  const underside = [
    { x: -200, z: 60 },
    { x: 3800, z: 60 },
  ];
  const { z, tireRadius } = frame.axles[0]!;
  const standing = (more: number) =>
    plainFrame({
      axles: frame.axles.map((axle) => ({ ...axle, z, tireRadius: tireRadius + (axle.role === 'rear' ? more : 0) })),
    });
  // The rear tire 100 larger: the ground falls by 100 over 3600 to the rear.
  const leaning = standing(100);

  it('is so high over the ground at both ends, plumb, by hand', () => {
    const { floor } = seatIn(input({ underside }, { z: 40 }, standing(0)));
    expect([floor!.front, floor!.rear]).toEqual([0, 0].map(() => expect.toBeNear(100 - (z - tireRadius), 1e-9)));
    const tilted = seatIn(input({ underside }, { z: 40 }, leaning)).floor!;
    expect(tilted.rear - tilted.front).toBeNear((100 / 3600) * 4000, 1e-9);
    expect(seatIn(input({}, { z: 40 })).floor).toBeNull();
  });

  it('is laid along the ground, turned about the front opening', () => {
    const of = input({ underside: [underside[0]!, { x: 3800, z: 100 }] }, { z: 40 }, leaning);
    const seat = seatIn(of);
    const level = floorLevel(of.bodies[0]!, seat.pose, -100 / 3600)!;
    const there = seatIn({ ...of, plan: { ...of.plan, seats: [{ body: 'body', ...level }] } });
    expect(there.floor!.front - there.floor!.rear).toBeNear(0, 1e-9);
    expect(there.openings[0]!.at.x).toBeNear(seat.openings[0]!.at.x, 1e-9);
    expect(there.openings[0]!.at.z).toBeNear(seat.openings[0]!.at.z, 1e-9);
    expect(floorLevel({ ...body, underside: [] }, seat.pose, 0)).toBeNull();
  });
});

describe('what a body asks for', () => {
  it('its wheelbase beside the donor’s and the plan’s, and one press that gives it', () => {
    const longer = input({ openings: [body.openings[0]!, { ...body.openings[1]!, x: 3900 }] });
    const seat = seatIn(longer);
    expect(seat.wheelbase).toMatchObject({
      asked: 3900,
      overDonor: expect.toBeNear(300, 1e-9),
      overPlan: expect.toBeNear(300, 1e-9),
    });
    const off = evaluatePlan(longer).conflicts.find(({ code }) => code === 'opening-off')!;
    expect(off.message).toMatch(/^Rear opening of Bed stands 11 13\/16 in .*behind its axle\.$/);
    expect(off.fixes.map(({ say }) => say.replace(/ (full|scant)$/, ''))).toEqual([
      'Lengthen by 11 13/16 in',
      'Slide the body 11 13/16 in forward',
    ]);
    const mended = carryOutEdit(longer, off.fixes[0]!.edit!, 'cut-1');
    expect(mended.plan.operations).toMatchObject([
      { id: 'cut-1', kind: 'lengthen', length: expect.toBeNear(300, 1e-9) },
    ]);
    expect(seatIn(mended).openings.map(({ behind }) => behind)).toEqual([0, 0].map((mm) => expect.toBeNear(mm, 1e-9)));
  });

  it('a shorter one takes rail out, and changes the cut that is there before it makes another', () => {
    const shorter = input({ openings: [body.openings[0]!, { ...body.openings[1]!, x: 3500 }] });
    const [first] = evaluatePlan(shorter).conflicts.find(({ code }) => code === 'opening-off')!.fixes;
    const cut = carryOutEdit(shorter, first!.edit!, 'cut-1');
    expect(cut.plan.operations).toMatchObject([{ kind: 'shorten' }]);
    expect(seatIn(cut).wheelbase!.overPlan).toBeNear(0, 1e-9);
    const more = {
      ...cut,
      bodies: [{ ...cut.bodies[0]!, openings: [body.openings[0]!, { ...body.openings[1]!, x: 3450 }] }],
    };
    const [again] = evaluatePlan(more).conflicts.find(({ code }) => code === 'opening-off')!.fixes;
    expect(again!.edit).toMatchObject({ do: 'replace' });
    expect(seatIn(carryOutEdit(more, again!.edit!, 'x')).wheelbase!.overPlan).toBeNear(0, 1e-9);
  });

  it('reports a tire that rubs at full bump, and none that has room', () => {
    const rubs = (radius: number, z: number) =>
      evaluatePlan(input({ openings: [{ ...body.openings[0]!, z, radius }] })).conflicts.filter(
        ({ code }) => code === 'tire-rubs',
      );
    const { z, tireRadius } = frame.axles[0]!;
    expect(rubs(tireRadius + 20, z)[0]!.message).toMatch(/rubs .* at full bump: 2 3\/16 in full are missing/);
    expect(rubs(tireRadius - 5, z)[0]!.message).toMatch(/stands .* into Front opening of Bed as it is/);
    expect(rubs(tireRadius + 90, z)).toEqual([]);
    // Higher by the bump itself it is in the middle when the wheel is up.
    const [room] = seatIn(
      input({ openings: [{ ...body.openings[0]!, z: z + 76.2, radius: tireRadius + 100 }] }),
    ).openings;
    expect(room!.room!.bump).toBeNear(100, 1e-9);
    // Hanging 76.2 below the arch it is farther from its foot: the corner of the arch, level with its middle.
    expect(room!.room!.ride).toBeNear(Math.hypot(tireRadius + 100, 76.2) - tireRadius, 1e-9);
  });
});

describe('bodies in parts', () => {
  it('are each placed by themselves: a cab over the front axle, a bed by its rear opening', () => {
    const cab: Body = {
      ...newBody('cab', 'Cab'),
      openings: [{ id: 'c1', name: 'Cab opening', over: 'front', x: 900 }],
    };
    const bed: Body = {
      ...newBody('bed', 'Bed'),
      openings: [{ id: 'b1', name: 'Bed opening', over: 'rear', x: 1100 }],
    };
    const longer = inputOf(frame, { kind: 'lengthen', at: donor(2500), length: 250, section: null });
    const { seats, conflicts } = evaluatePlan({ ...longer, bodies: [cab, bed] });
    expect(seats.map(({ pose }) => pose.x)).toEqual([700 - 900, 4550 - 1100]);
    expect(seats.map(({ onDonor }) => onDonor.x)).toEqual([700 - 900, 4300 - 1100]);
    expect(seats.every(({ wheelbase }) => wheelbase === null)).toBe(true);
    expect(conflicts.filter(({ code }) => code === 'opening-off')).toEqual([]);
  });

  it.each(ZOO)('on a frame that is $name nothing is made up', (animal) => {
    const [, operation] = operationsFor(animal)[0]!;
    const job = {
      ...jobOf(animal, operation),
      bodies: [
        {
          ...body,
          boxes: [],
          underside: [
            { x: -200, z: 40 },
            { x: 4000, z: 40 },
          ],
        },
      ],
    };
    const { seats, conflicts } = evaluatePlan(checkJob(job));
    expect(JSON.stringify(seats)).not.toMatch(/null,"rake"|NaN/);
    for (const gap of seats[0]!.mounts) expect(gap.up === null || Number.isFinite(gap.up)).toBe(true);
    for (const { message } of conflicts) expect(message).not.toMatch(/NaN|undefined|Infinity/);
  });
});

describe('what cannot be', () => {
  const job = { ...jobOf(ZOO[0]!), bodies: [body] };

  it.each([
    [{ plan: { ...job.plan, seats: [{ body: 'gone', x: 0, z: 0, rake: 0 }] } }, /“gone” is not a body of the job/],
    [{ plan: { ...job.plan, seats: [1, 2].map((x) => ({ body: 'body', x, z: 0, rake: 0 })) } }, /put in two places/],
    [
      { bodies: [{ ...body, openings: [body.openings[1]!, { ...body.openings[0]!, id: 'x', x: 5000 }] }] },
      /must lie behind the front one/,
    ],
    [{ bodies: [body, body] }, /is used twice/],
    [{ bodies: [{ ...body, mounts: [{ ...body.mounts[0]!, hole: -1 }] }] }, /The hole of m1 must be 0 or more/],
  ])('is refused with what to do: %#', (changes, words) => {
    expect(() => checkJob({ ...job, ...changes })).toThrow(words);
  });
});

describe('what else stands in a body', () => {
  const low: Partial<Body> = {
    underside: [
      { x: 0, z: -40 },
      { x: 3600, z: -40 },
    ],
  };

  it('a tank that goes with its steel, a leg, and the shaft as its axle rises: each by its name and depth', () => {
    const tank = {
      id: 'tank',
      name: 'Tank',
      kind: 'tank',
      front: 2000,
      rear: 2500,
      left: -200,
      right: 0,
      low: -300,
      high: -25,
    } as const;
    const on = plainFrame({
      rooms: [tank],
      points: [
        { id: 'out', name: 'Flange', kind: 'output-flange', x: 1000, y: 0, z: -200, mass: 0 },
        { id: 'in', name: 'Pinion', kind: 'pinion', x: 4000, y: 0, z: -160, mass: 0 },
      ],
    });
    const { clashes } = seatIn(input({ underside: low.underside! }, { z: -60 }, on));
    const deep = (name: RegExp) => clashes.find(({ withName }) => name.test(withName))?.deep ?? null;
    // The floor at −100; the tank's top at −25; the shaft's at −160 + 63.5 + its share of 76.2 of bump.
    expect(deep(/Tank/)).toBeNear(75, 1e-6);
    expect(deep(/drive shaft/)).toBeGreaterThan(0);
    const later = evaluatePlan({
      ...inputOf(on, { kind: 'lengthen', at: donor(1500), length: 300 }),
      bodies: [],
    }).obstacles.others.find(({ id }) => id === 'tank')!;
    expect([later.stations[0]!.x, later.stations.at(-1)!.x]).toEqual([2300, 2800]);
  });

  it('suggested fixes beside raising: a notch with what it leaves, a crossmember lower or thinner, each of which clears', () => {
    const hump = {
      id: 'hump',
      name: 'hump',
      kind: 'hump',
      front: 1000,
      rear: 1300,
      left: -600,
      right: 600,
      low: -20,
      high: 80,
    } as const;
    const of = input({ boxes: [hump] }, { z: 0 });
    const clash = evaluatePlan(of).conflicts.find(({ code }) => code === 'body-clash')!;
    expect(clash.fixes.map(({ say }) => say).join()).toMatch(/Notch the rails .* of the bare rail left/);
    const member = {
      ...plainFrame().crossmembers[0]!,
      id: 'cm',
      name: 'Cross',
      x: 1850,
      length: 60,
      depth: 90,
      below: 0,
      fixing: 'bolted',
      removable: true,
    } as const;
    const narrow = { ...hump, left: -300, right: 300 };
    const crossed = input({ boxes: [narrow] }, { z: 0 }, plainFrame({ crossmembers: [member] }));
    const found = evaluatePlan(crossed).conflicts.find(({ code }) => code === 'body-clash')!;
    const ways = found.fixes.filter(({ edit }) => edit?.do === 'add');
    expect(ways.map(({ say }) => say).join()).toMatch(/Set Cross lower by .*Take Cross thinner/);
    for (const { edit } of ways) {
      const after = evaluatePlan(carryOutEdit(crossed, edit!, 'new'));
      expect(after.conflicts.some(({ code }) => code === 'body-clash')).toBe(false);
      expect(after.operations.every(({ status }) => status === 'done')).toBe(true);
    }
  });

  it('behind the rear wheels the rails may step or turn down, and then nothing stands in it', () => {
    const hump = {
      id: 'hump',
      name: 'hump',
      kind: 'hump',
      front: 4600,
      rear: 4900,
      left: -600,
      right: 600,
      low: -20,
      high: 80,
    } as const;
    const of = input({ boxes: [hump] }, { z: 0 });
    const clash = evaluatePlan(of).conflicts.find(({ code }) => code === 'body-clash')!;
    const down = clash.fixes.filter(({ say }) => /^(Step|Turn) the rails down/.test(say));
    expect(down).toHaveLength(2);
    for (const { edit } of down) {
      const after = evaluatePlan(carryOutEdit(of, edit!, 'new'));
      expect(after.operations.map(({ status }) => status)).toEqual(['done']);
      expect(after.conflicts.some(({ code }) => code === 'body-clash')).toBe(false);
    }
  });
});

it('a mount that the rail stands in is cured by a bracket moved outboard, in one press', () => {
  const of = input({ mounts: [mount('m', 1000, 400, -20)] }, { z: 0 });
  const found = evaluatePlan(of).conflicts.find(({ code }) => code === 'mount-clash')!;
  const way = found.fixes.find(({ edit }) => edit?.do === 'outboard')!;
  expect(way.say).toMatch(/outboard, and hang it beside the rail/);
  const after = carryOutEdit(of, way.edit!, 'x');
  expect(after.bodies[0]!.mounts[0]!.y).toBeNear(430 + 32, 1e-9);
  expect(seatIn(after).mounts[0]!.way).toBe('drop');
  expect(evaluatePlan(after).conflicts.some(({ code }) => code === 'mount-clash')).toBe(false);
});

describe('what follows from where it sits', () => {
  it('fenders cover the tire by hand, and one that does not is reported', () => {
    // Track 1600, tire 228.6 wide: its outer face at 914.3, its inner at 685.7.
    const fender = { id: 'f', name: 'Fender', over: 'front', inner: 600, outer: 940 } as const;
    expect(seatIn(input({ fenders: [fender] })).fenders[0]).toMatchObject({
      out: expect.toBeNear(25.7, 1e-6) as number,
      inside: expect.toBeNear(85.7, 1e-6) as number,
    });
    const bare = evaluatePlan(input({ fenders: [{ ...fender, outer: 900 }] }));
    expect(bare.conflicts.find(({ code }) => code === 'tire-uncovered')!.message).toMatch(/stands .* out of Fender/);
  });

  it('an edge by points is measured to: a square one round the tire leaves its nearest side', () => {
    const outline = [
      { x: -450, z: -300 },
      { x: -450, z: 260 },
      { x: 430, z: 260 },
      { x: 430, z: -300 },
    ];
    const opening = { id: 'o1', name: 'Front opening', over: 'front', x: 0, z: -180, outline } as const;
    // Wheel at (700, −180) with a tire of 380; the body's zero at 700: sides 450 ahead and 430 behind, lid 440 over.
    const { room } = seatIn(input({ openings: [opening] }, { x: 700, z: 0 })).openings[0]!;
    expect(room!.ride).toBeNear(50, 1e-9);
    expect(room!.bump).toBeNear(440 - 76.2 - 380, 1e-9);
    const wanted = evaluatePlan(
      input(
        { openings: [{ ...opening, outline: outline.map((p) => ({ ...p, z: p.z + 40 })) }], tireGap: 60 },
        { x: 700 },
      ),
    );
    expect(wanted.conflicts.some(({ code }) => code === 'tire-near')).toBe(true);
  });

  it('a bed too near its cab slides back in one press; steps and what hangs low are told over the ground', () => {
    const cab: Body = { ...newBody('cab', 'Cab'), kind: 'cab', front: -200, rear: 1000 };
    const made = inputOf(frame);
    const of: PlanInput = {
      ...made,
      bodies: [
        cab,
        {
          ...body,
          front: 0,
          rear: 3700,
          gapAhead: 60,
          points: [
            { id: 's', name: 'Step', kind: 'step', x: 500, z: -250 },
            { id: 'h', name: 'Bumper', kind: 'hangs', x: 4700, z: -100 },
          ],
        },
      ],
      plan: {
        ...made.plan,
        seats: [
          { body: 'cab', x: 0, z: 0, rake: 0 },
          { body: 'body', x: 1020, z: 0, rake: 0 },
        ],
      },
    };
    const result = evaluatePlan(of);
    const seat = result.seats[1]!;
    expect(seat.ahead).toEqual({ name: 'Cab', gap: expect.toBeNear(20, 1e-9) as number, wanted: 60 });
    const found = result.conflicts.find(({ code }) => code === 'bodies-near')!;
    const slid = evaluatePlan(carryOutEdit(of, found.fixes[0]!.edit!, 'x'));
    expect(slid.seats[1]!.ahead!.gap).toBeNear(60, 1e-9);
    // The ground lies at −560 under the front wheel and −530 under the rear one.
    expect(seat.steps[0]!.height).toBeNear(560 - 250 - (30 * (1520 - 700)) / 3600, 1e-6);
    // Bumper at 5720, −100; rear wheel at 4300, −150, radius 380.
    const away = 5720 - 4300;
    const ground = Math.atan(30 / 3600);
    expect(seat.ramps.departure).toBeNear(Math.atan2(50, away) + Math.asin(380 / Math.hypot(away, 50)) - ground, 1e-9);
    // What leaves the ground first decides: of the whole truck the least of frame and bodies.
    expect(result.ramps.departure).toBe(Math.min(seat.ramps.departure!, result.measures.after.departure!));
    expect(result.ramps.approach).toBe(
      Math.min(result.measures.after.approach!, ...result.seats.flatMap(({ ramps }) => ramps.approach ?? [])),
    );
  });

  it('the width that its mounts ask for brings all of them over a rail', () => {
    const mounts = [
      mount('m1', 200, -480, 30),
      mount('m2', 200, 480, 30),
      mount('m3', 3000, -450, 30),
      mount('m4', 3000, 450, 30),
    ];
    const of = input({ mounts }, { z: 0 });
    // Outer faces at 430: 50 a side brings the farthest over it.
    expect(seatIn(of).wider).toBeNear(100, 1e-9);
    const [way] = fixesToWidth(seatIn(of), { show: (mm) => String(mm) });
    const after = seatIn(carryOutEdit(of, way!.edit!, 'w'));
    expect(after.mounts.every(({ sideways }) => Math.abs(sideways) < 1e-6)).toBe(true);
    expect(seatIn(input({ mounts: [mount('a', 200, 200, 0), mount('b', 900, 700, 0)] })).wider).toBeNull();
  });

  it('round its wheels with the rake kept, and with weights, nothing near misses less', () => {
    const result = evaluatePlan(input({}, { z: 0 }));
    const axles = axlePlaces(result.axles, 'built');
    const from = { x: 650, z: 40, rake: 0.01 };
    const kept = placedBy('round-wheels-keep-rake', body, axles, from)!;
    expect(kept.rake).toBe(0.01);
    const turned = placedBy('round-wheels', body, axles, from)!;
    expect(turned.rake).not.toBe(0.01);
    const long = {
      ...body,
      openings: body.openings.map((one) => (one.over === 'rear' ? { ...one, x: one.x + 100 } : one)),
    };
    const heavy = placedBy('both-openings', long, axles, { x: 700, z: 0, rake: 0 }, { front: 9, rear: 1 })!;
    expect(heavy.x - 700).toBeNear(-10, 1e-6);
    expect(
      placedBy('round-wheels', { ...body, openings: body.openings.map(({ z: _, ...one }) => one) }, axles, from),
    ).toBeNull();
  });
});

it('a floor that hangs lower outside comes down on the rail there, and not where it is higher', () => {
  const underside = [
    { x: 0, z: 30 },
    { x: 3600, z: 30 },
  ];
  // The rail lies from 370 to 430 from the middle, its top at 0.
  const sill = [
    { out: 0, z: 0 },
    { out: 390, z: 0 },
    { out: 430, z: -45 },
  ];
  const { clashes } = seatIn(input({ underside, across: sill }, { z: 0 }));
  expect(clashes.map(({ withName }) => withName)).toEqual(['the left rail', 'the right rail']);
  expect(clashes[0]!.deep).toBeNear(15, 1e-9);
  expect(seatIn(input({ underside }, { z: 0 })).clashes).toEqual([]);
  const arched = [
    { out: 0, z: -60 },
    { out: 300, z: 0 },
  ];
  expect(seatIn(input({ underside, across: arched }, { z: 0 })).clashes).toEqual([]);
});
