import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STOCK_MATERIALS } from '../materials/index.ts';
import { bodyOf, built, donor, inputOf, plainFrame, pointAt } from '../../test/frames.ts';
import { type Feature, type Frame, type Rail, sectionLookup } from '../frame/index.ts';
import { inches } from '../units/index.ts';
import { builtOf, donorOf, evaluatePlan, frameProfile, type PlanResult } from './index.ts';

const taper: Rail = [
  { x: 0, halfWidth: 457.2, top: 0, section: 'rail' },
  { x: 1524, halfWidth: 457.2, top: 0, section: 'rail' },
  { x: 2540, halfWidth: 406.4, top: 0, section: 'rail' },
  { x: 6000, halfWidth: 406.4, top: 0, section: 'rail' },
];

const hole = (id: string, x: number, changes: Partial<Feature> = {}): Feature => ({
  ...plainFrame().features[0]!,
  id,
  name: id,
  x,
  movable: 're-drill',
  ...changes,
});

const withFeatures = (...features: Feature[]): Frame =>
  plainFrame({ features: [...plainFrame().features, ...features] });
const codes = (result: PlanResult) => result.conflicts.map((conflict) => conflict.code);
const outcome = (result: PlanResult, id: string) => result.features.find(({ feature }) => feature.id === id)!;

describe('worked cases', () => {
  it('a tape diagonal does not grow by the stretch', () => {
    const frame = plainFrame({
      controlPoints: [
        { id: 'f', name: 'front', x: 100, inboard: 10.9, down: 0 },
        { id: 'r', name: 'rear', x: 3148, inboard: 10.9, down: 0 },
      ],
      controlMeasurements: [
        { id: 'd', kind: 'tape' as const, from: { point: 'f', side: 'left' }, to: { point: 'r', side: 'right' } },
      ],
    });
    const result = evaluatePlan(inputOf(frame, { kind: 'lengthen', at: donor(2000), length: 374.65, section: null }));
    expect(result.controls[0]!.kind).toBe('diagonal');
    expect(result.controls[0]!.before).toBeNear(3161.15, 0.01);
    expect(result.controls[0]!.predicted).toBeNear(3523.79, 0.01);
  });

  it('a measurement says which of its points nobody has measured', () => {
    const at = (id: string, x: number) => ({ id, name: `Point ${id}`, x, inboard: 0, down: 0 });
    const frame = plainFrame({
      controlPoints: [at('a', 500), { ...at('b', 3000), origin: 'assumed' }, { ...at('c', 4000), origin: 'paper' }],
      controlMeasurements: [
        { id: 'ab', kind: 'tape', from: { point: 'a', side: 'left' }, to: { point: 'b', side: 'left' } },
        { id: 'ac', kind: 'tape', from: { point: 'a', side: 'left' }, to: { point: 'c', side: 'left' } },
        { id: 'bb', kind: 'tape', from: { point: 'b', side: 'left' }, to: { point: 'b', side: 'right' } },
      ],
    });
    const { controls } = evaluatePlan(inputOf(frame));
    expect(controls.map(({ assumed }) => assumed)).toEqual([['Point b'], [], ['Point b']]);
  });

  it('a height is predicted where a step raises the rear, and is gone with its steel', () => {
    const frame = plainFrame({
      controlPoints: [
        { id: 'r', name: 'Rear', x: 5000, inboard: 0, down: 20 },
        { id: 'm', name: 'Middle', x: 3000, inboard: 0, down: 0 },
      ],
      controlMeasurements: ['r', 'm'].map((point) => ({ id: point, kind: 'height', at: { point, side: 'left' } })),
    });
    const { controls } = evaluatePlan(
      inputOf(frame, { kind: 'step', from: donor(2800), to: donor(3400), rise: 120, method: 'new-middle' }),
    );
    const [rear, middle] = controls;
    expect(rear).toMatchObject({ kind: 'height', name: 'Rear, height left', before: -20, predicted: 100 });
    expect(middle).toMatchObject({ before: 0, predicted: null, reason: 'Middle is on steel that is taken out' });
  });

  it('usable cab-to-axle leaves the gap behind whatever stands behind the cab', () => {
    const cab = pointAt('cab', 1500, 0, 900);
    const stack = pointAt('stack', 1620, 400, 700);
    const points = [
      { ...cab, kind: 'cab-back' as const },
      { ...stack, kind: 'behind-cab' as const },
    ];
    const { after } = evaluatePlan(
      inputOf(plainFrame({ points }), { kind: 'lengthen', at: donor(2500), length: 300, section: null }),
    ).measures;
    expect(after.cabToAxle).toBeNear(4600 - 1500, 1e-9);
    expect(after.usableCabToAxle).toBeNear(4600 - 1620 - 50.8, 1e-9);
  });

  it('axle loads are levers about each axle and add up to the mass', () => {
    const load = { ...pointAt('load', 4300, 0, 500), kind: 'mass' as const, mass: 1000 };
    const empty = evaluatePlan(inputOf(plainFrame())).measures.before;
    const laden = evaluatePlan(inputOf(plainFrame({ points: [load] }))).measures.before;
    // A uniform 6000 mm frame balances at 3000: (3000 − 700) / 3600 of it stands on the rear axle.
    expect(empty.axleLoads!.rear / empty.mass).toBeNear(2300 / 3600, 1e-9);
    expect(laden.axleLoads!.rear - empty.axleLoads!.rear).toBeNear(1000, 1e-9);
    expect(laden.axleLoads!.front + laden.axleLoads!.rear).toBeNear(laden.mass, 1e-9);
  });

  it('the body and its load stand on the axles by levers, against what they may carry', () => {
    const axles = plainFrame().axles.map((axle) => ({ ...axle, rating: axle.role === 'rear' ? 1500 : 1300 }));
    const bodies = [
      bodyOf([
        { id: 'own', name: 'Body', mass: 900, x: 1800, y: 0, z: 500 },
        { id: 'load', name: 'Load', mass: 1200, x: 3900, y: 0, z: 700 },
      ]),
    ];
    const bare = inputOf(plainFrame({ axles }));
    const { laden, measures, conflicts } = evaluatePlan({ ...bare, bodies });
    // On 3600 mm: 900 in the middle gives 450, 1200 at 3900 gives 1300 to the rear and lifts the front by 100.
    expect(laden.after!.rear.load - measures.after.axleLoads!.rear).toBeNear(1750, 1e-9);
    expect(laden.after!.front.load - measures.after.axleLoads!.front).toBeNear(350, 1e-9);
    expect(laden.after!.mass).toBeNear(measures.after.mass + 2100, 1e-9);
    expect([laden.after!.front.rating, laden.after!.rear.rating]).toEqual([1300, 1500]);
    expect(conflicts.map(({ code, about }) => [code, about])).toEqual([['axle-overloaded', 'rear']]);
    expect(evaluatePlan(bare).laden).toEqual({ before: null, after: null });

    // 900 mm more between the axles: the same load 3900 behind the front axle gives 1200 · 3900 / 4500 = 1040.
    const stretched = inputOf(plainFrame({ axles }), { kind: 'lengthen', at: donor(2500), length: 900, section: null });
    const longer = evaluatePlan({ ...stretched, bodies });
    const ownShare = longer.laden.after!.rear.load - longer.measures.after.axleLoads!.rear;
    expect(ownShare).toBeNear((900 * 1800) / 4500 + 1040, 1e-9);
    expect(longer.laden.before).toEqual(laden.after);
  });

  it('a load far behind the rear axle that lifts the front stops the plan; a missing rating is not a pass', () => {
    const masses = [{ id: 'load', name: 'Load', mass: 3000, x: 6000, y: 0, z: 700 }];
    const { laden, conflicts } = evaluatePlan({ ...inputOf(plainFrame()), bodies: [bodyOf(masses)] });
    expect(laden.after!.front.load).toBeLessThan(0);
    expect(laden.after!.rear.rating).toBeNull();
    expect(conflicts.map(({ code, severity }) => [code, severity])).toEqual([['axle-lifts', 'stop']]);
  });

  it('the profile gives widths and heights at stations and at both ends of each joint', () => {
    const input = inputOf(plainFrame({}, taper), {
      kind: 'shorten',
      transition: 0,
      from: donor(1778),
      to: donor(2184.4),
    });
    const rows = frameProfile(evaluatePlan(input).pieces, sectionLookup(input.donor));
    const ends = rows.filter((row) => Math.abs(row.builtX - 1778) < 1e-6);
    expect(ends.map((row) => row.donorX)).toEqual([1778, 2184.4]);
    // 457.2 at 1524 to 406.4 at 2540: 0.05 a mm.
    expect(ends[0]!.outsideWidth).toBeNear(2 * (457.2 - 0.05 * 254), 1e-9);
    expect(ends[1]!.outsideWidth).toBeNear(2 * (457.2 - 0.05 * 660.4), 1e-9);
    expect(ends[0]!.insideWidth).toBeNear(ends[0]!.outsideWidth - 120, 1e-9);
    expect(ends[0]!.left).toEqual(ends[0]!.right);
    expect(ends[0]!.left.top - ends[0]!.left.bottom).toBeNear(150, 1e-9);
  });

  it('shortening across a taper leaves each rear rail 20.32 inboard, parallel', () => {
    const result = evaluatePlan(
      inputOf(plainFrame({}, taper), { kind: 'shorten', transition: 0, from: donor(1778), to: donor(2184.4) }),
    );
    const { left, right } = result.joints[0]!.sides;
    expect(left.dy).toBeNear(20.32, 1e-6);
    expect(right.dy).toBeNear(-20.32, 1e-6);
    expect(left.yaw).toBeNear(0, 1e-12);
  });

  it('a pie cut for a drop of 4 in at 38 in turns by 6.0423°, and the point comes forward', () => {
    const amount = { by: 'drop', drop: 101.6, distance: 965.2 } as const;
    const frame = withFeatures(hole('tip', 3965.2, { down: 0 }));
    const result = evaluatePlan(
      inputOf(frame, {
        kind: 'pie-cut',
        at: donor(3000),
        pivot: 'top',
        mode: 'close',
        turned: 'rear',
        amount,
        wedge: 'square',
      }),
    );
    const shift = outcome(result, 'tip').shift!;
    expect(shift.dz).toBeNear(-101.6, 1e-6);
    expect(shift.dx).toBeNear(-5.36, 0.01);
    expect((shift.turn * 180) / Math.PI).toBeNear(-6.0423, 1e-4);
    const wedge = result.removed[0]!;
    expect(wedge.front.lean).toBe(0);
    expect(Math.abs(wedge.rear.lean) * 187.325).toBeNear(19.83, 0.005);
  });

  it('a step with a new middle raises the rear and keeps the plan length', () => {
    const result = evaluatePlan(
      inputOf(plainFrame(), { kind: 'step', from: donor(3000), to: donor(3500), rise: 100, method: 'new-middle' }),
    );
    expect(result.measures.after.overallLength).toBeNear(6000, 1e-9);
    expect(result.measures.after.wheelbase).toBeNear(3600, 1e-9);
    expect(result.axles[1]!.built!.z).toBeNear(-50, 1e-9);
    expect(result.joints.map((joint) => joint.verdict)).toEqual(['meets', 'meets']);
    expect((result.joints[0]!.sides.left.pitch * 180) / Math.PI).toBeNear(11.3099, 1e-4);
  });

  it('widening a range moves its rails out and bridges to it with oblique pieces', () => {
    const result = evaluatePlan(
      inputOf(plainFrame(), { kind: 'widen', amount: 158.75, from: donor(4000), to: null, transition: 400 }),
    );
    expect(result.measures.after.widest).toBeNear(860 + 158.75, 1e-9);
    expect(result.measures.after.overallLength).toBeNear(6000, 1e-9);
    expect(result.pieces.map((piece) => piece.source)).toEqual(['donor', 'op1', 'donor']);
    expect((result.joints[0]!.sides.left.yaw * 180) / Math.PI).toBeNear(
      -(Math.atan(79.375 / 400) * 180) / Math.PI,
      1e-9,
    );
    expect(result.joints.every((joint) => joint.verdict === 'meets')).toBe(true);
    const abrupt = evaluatePlan(
      inputOf(plainFrame(), { kind: 'widen', amount: 158.75, from: donor(4000), to: null, transition: 0 }),
    );
    expect(abrupt.joints[0]!.sides.left.dy).toBeNear(-79.375, 1e-9);
    expect(abrupt.joints[0]!.verdict).toBe('needs-a-transition-piece');
  });

  it('widening to the end of the frame leaves that end as it was, also where it was trimmed at an angle', () => {
    const whole = { kind: 'widen', amount: 50, from: null, to: null, transition: 0 } as const;
    const rear = { ...whole, from: donor(4500), transition: 200 };
    expect(evaluatePlan(inputOf(plainFrame(), rear)).cutEnds).toEqual([]);
    const trim = { kind: 'trim', end: 'rear', at: donor(5800), angle: 0.5, lean: 'bottom-longer' } as const;
    const trimmed = evaluatePlan(inputOf(plainFrame(), trim));
    for (const widened of [whole, rear]) {
      const { cutEnds, measures } = evaluatePlan(inputOf(plainFrame(), trim, widened));
      expect(cutEnds).toMatchObject([{ operation: 'op1', end: 'rear' }]);
      expect(measures.after.overallLength).toBeNear(trimmed.measures.after.overallLength, 1e-9);
    }
  });

  it('narrows the whole frame without a joint, and says that crossmembers must follow', () => {
    const crossmember = {
      id: 'c',
      name: 'Crossmember 1',
      x: 3000,
      length: 80,
      depth: 60,
      below: 40,
      fixing: 'riveted',
      removable: true,
      mass: 9,
    } as const;
    const frame = plainFrame({ crossmembers: [crossmember] });
    const result = evaluatePlan(inputOf(frame, { kind: 'widen', amount: -50, from: null, to: null, transition: 0 }));
    expect(result.joints).toEqual([]);
    expect(result.crossmembers[0]!.wider).toBeNear(-50, 1e-9);
    expect(codes(result)).toContain('crossmember-width');
  });

  it('a horn can be added and trimmed at either end', () => {
    const result = evaluatePlan(
      inputOf(
        plainFrame(),
        { kind: 'extend', end: 'rear', length: 200, section: null },
        { kind: 'extend', end: 'front', length: 100, section: null },
        { kind: 'trim', end: 'front', at: built(-40), angle: 0, lean: 'top-longer' },
      ),
    );
    expect(result.operations.map((entry) => entry.status)).toEqual(['done', 'done', 'done']);
    expect(result.measures.after.overallLength).toBeNear(6240, 1e-9);
    expect(result.measures.after.frontOverhang).toBeNear(740, 1e-9);
    expect(result.cutEnds).toMatchObject([{ letter: 'A', end: 'front', builtX: -40 }]);
    expect(result.joints.map((joint) => joint.letter)).toEqual(['B', 'C']);
  });
});

describe('places on the donor and on the frame as it is', () => {
  it('the same cut given either way gives the same frame', () => {
    const first = { kind: 'lengthen', at: donor(2000), length: 300, section: null } as const;
    const onDonor = evaluatePlan(
      inputOf(plainFrame(), first, { kind: 'shorten', transition: 0, from: donor(3000), to: donor(3200) }),
    );
    const onBuilt = evaluatePlan(
      inputOf(plainFrame(), first, { kind: 'shorten', transition: 0, from: built(3300), to: built(3500) }),
    );
    expect(onBuilt.tape).toEqual(onDonor.tape);
  });

  it('each station of the tape knows its other number, and the fold has none', () => {
    const { tape } = evaluatePlan(
      inputOf(
        plainFrame(),
        { kind: 'lengthen', at: donor(2000), length: 300, section: null },
        { kind: 'shorten', transition: 0, from: donor(3000), to: donor(3200) },
      ),
    );
    expect(builtOf(tape, 2500)).toBeNear(2800, 1e-9);
    expect(donorOf(tape, 2800)).toBeNear(2500, 1e-9);
    expect(donorOf(tape, 2100)).toBeNull();
    expect(builtOf(tape, 3100)).toBeNull();
    expect(tape.folds).toMatchObject([{ donorFrom: 3000, donorTo: 3200 }]);
    expect(tape.folds[0]!.builtX).toBeNear(3300, 1e-9);
  });

  it('refuses steel that is gone, with a reason, and carries on', () => {
    const result = evaluatePlan(
      inputOf(
        plainFrame(),
        { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2400) },
        { kind: 'lengthen', at: donor(2200), length: 50, section: null },
        { kind: 'lengthen', at: built(9000), length: 50, section: null },
        { kind: 'lengthen', at: donor(3000), length: 50, section: null },
      ),
    );
    expect(result.operations.map((entry) => entry.refusal?.code ?? entry.status)).toEqual([
      'done',
      'operation/place-gone',
      'operation/off-the-frame',
      'done',
    ]);
    expect(codes(result).slice(0, 2)).toEqual(['operation/place-gone', 'operation/off-the-frame']);
  });

  it.each([
    ['operation/order', { kind: 'shorten', transition: 0, from: donor(3000), to: donor(2000) }],
    ['operation/not-positive', { kind: 'lengthen', at: donor(2000), length: 0, section: null }],
    ['operation/unknown-section', { kind: 'lengthen', at: donor(2000), length: 10, section: 'cheese' }],
    ['operation/nothing-left', { kind: 'shorten', transition: 0, from: donor(3000), to: donor(6000) }],
    ['operation/trim-angle', { kind: 'trim', end: 'rear', at: donor(5000), angle: 2, lean: 'top-longer' }],
    [
      'operation/notch-depth',
      { kind: 'notch', at: donor(3000), width: 100, depth: 150, from: 'below', form: 'arch', plate: 6 },
    ],
    ['operation/already-closed', { kind: 'box', from: donor(2000), to: donor(3000), plate: 5, taper: 50 }],
    ['operation/not-on-the-frame', { kind: 'bracket', change: { what: 'remove', feature: 'nothing' } }],
    ['operation/step-too-steep', { kind: 'step', from: donor(3000), to: donor(3100), rise: 99, method: 'turn-middle' }],
    [
      'operation/pie-angle',
      {
        kind: 'pie-cut',
        at: donor(3000),
        pivot: 'top',
        mode: 'close',
        turned: 'rear',
        amount: { by: 'drop', drop: 50, distance: 40 },
        wedge: 'square',
      },
    ],
    ['operation/rails-cross', { kind: 'widen', amount: -900, from: null, to: null, transition: 0 }],
  ] as const)('refuses as %s', (code, operation) => {
    const result = evaluatePlan(inputOf(plainFrame(), operation));
    expect(result.operations[0]!.refusal?.code).toBe(code);
    expect(result.pieces.length).toBe(1);
  });
});

describe('what becomes of everything', () => {
  it('tells stays, moves, lost, cut through, moved and removed apart', () => {
    const frame = withFeatures(
      hole('ahead', 1000),
      hole('behind', 5000),
      hole('gone', 2100),
      hole('cut', 2000),
      hole('strap', 3000, { attachment: 'weld', movable: 're-weld' }),
      hole('clip', 3100),
    );
    const result = evaluatePlan(
      inputOf(
        frame,
        { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2400) },
        { kind: 'bracket', change: { what: 'move', feature: 'strap', to: donor(3300), down: 40 } },
        { kind: 'bracket', change: { what: 'remove', feature: 'clip' } },
        { kind: 'bracket', change: { what: 'drill', at: donor(4000), feature: hole('new', 0), count: 3, pitch: 50 } },
      ),
    );
    const statuses = Object.fromEntries(result.features.map(({ feature, status }) => [feature.id, status]));
    expect(statuses).toEqual({
      datum: 'stays',
      ahead: 'stays',
      behind: 'moves',
      gone: 'lost',
      cut: 'cut-through',
      strap: 're-weld',
      clip: 'removed',
      'new-1': 'new',
      'new-2': 'new',
      'new-3': 'new',
    });
    expect(outcome(result, 'behind').shift).toMatchObject({ dx: -400, dy: 0, dz: 0, turn: 0 });
    expect(outcome(result, 'strap').places.left!.built!.x).toBeNear(2900, 1e-9);
    expect(outcome(result, 'new-3').places.left!.built!.x).toBeNear(3700, 1e-9);
    expect(codes(result)).toEqual(expect.arrayContaining(['cut-through', 'feature-lost']));
  });

  it('never lets the VIN stamp be cut, lost, moved or crowded', () => {
    const stamp = (x: number) =>
      withFeatures(hole('stamp', x, { kind: 'identity-stamp', ahead: 40, behind: 40, diameter: 0, movable: 'no' }));
    const cut = { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2400) } as const;
    for (const x of [2140, 2000, 1940])
      expect(evaluatePlan(inputOf(stamp(x), cut)).conflicts[0]).toMatchObject({
        code: 'identity-stamp',
        severity: 'stop',
      });
    expect(codes(evaluatePlan(inputOf(stamp(1000), cut)))).not.toContain('identity-stamp');
    const moving = evaluatePlan(
      inputOf(stamp(1000), { kind: 'bracket', change: { what: 'move', feature: 'stamp', to: donor(1200), down: 0 } }),
    );
    expect(codes(moving)).toContain('operation/identity-stamp');
  });

  it('says by how much a suspension group is pulled apart, unless that is accepted', () => {
    const group = 'rear-suspension';
    const frame: Frame = {
      ...withFeatures(hole('link', 3400)),
      units: [
        { id: group, name: 'Rear suspension', kind: 'rear-suspension', mounts: [{ kind: 'feature', id: 'link' }] },
      ],
    };
    const input = inputOf(frame, { kind: 'lengthen', at: donor(4000), length: inches(2), section: null });
    const split = evaluatePlan(input).conflicts.find((conflict) => conflict.code === 'unit-split')!;
    expect(split).toMatchObject({ severity: 'stop', about: group });
    expect(split.message).toMatch(
      /Rear suspension is split: link, (left|right) to the rail over Rear axle grows by (1 .*|2) in/,
    );
    const accepted = evaluatePlan({
      ...input,
      plan: { ...input.plan, accepted: [{ conflict: split.key, reason: 'new links', by: 'owner' }] },
    });
    expect(accepted.conflicts.find((conflict) => conflict.code === 'unit-split')).toMatchObject({
      severity: 'note',
      accepted: { by: 'owner', reason: 'new links' },
    });
  });

  it('a notch loses what is inside it, and only that', () => {
    const frame = withFeatures(
      hole('low', 4300, { down: 130 }),
      hole('high', 4300, { down: 30 }),
      hole('beside', 4100, { down: 130 }),
    );
    const result = evaluatePlan(
      inputOf(frame, { kind: 'notch', at: donor(4300), width: 250, depth: 60, from: 'below', form: 'arch', plate: 6 }),
    );
    expect(['low', 'high', 'beside'].map((id) => outcome(result, id).status)).toEqual(['lost', 'stays', 'stays']);
  });

  it('refuses to weld heat-treated rails, and ahead of the hanger where the rulebook says so', () => {
    const cut = { kind: 'lengthen', at: donor(2000), length: 100, section: null } as const;
    const hanger = withFeatures(hole('hanger', 4800, { kind: 'spring-hanger' }));
    expect(codes(evaluatePlan(inputOf({ ...hanger, material: STOCK_MATERIALS['heat-treated-110'] }, cut)))).toContain(
      'not-weldable',
    );
    expect(codes(evaluatePlan(inputOf(hanger, cut)))).not.toContain('ahead-of-hanger');
    const rules = { profile: 'bolt-ahead-weld-behind', changes: {} } as const;
    expect(codes(evaluatePlan({ ...inputOf(hanger, cut), rules }))).toContain('ahead-of-hanger');
    // A coil-sprung axle hangs on links.
    const links = withFeatures(hole('link', 4000, { kind: 'link-bracket' }));
    expect(codes(evaluatePlan({ ...inputOf(links, cut), rules }))).toContain('ahead-of-hanger');
    expect(codes(evaluatePlan({ ...inputOf(links, { ...cut, at: donor(4500) }), rules }))).not.toContain(
      'ahead-of-hanger',
    );
  });

  it('warns of a cut crossmember, an overlap, a piece without crossmember, and lines too short', () => {
    const frame = plainFrame({
      crossmembers: [
        {
          id: 'c',
          name: 'Crossmember 3',
          x: 2400,
          length: 80,
          depth: 60,
          below: 40,
          fixing: 'riveted',
          removable: true,
          mass: 9,
        },
      ],
      lines: [{ id: 'b', name: 'Rear brake line', kind: 'brake', side: 'left', from: 800, to: 4200, slack: 50 }],
    });
    const result = evaluatePlan(
      inputOf(
        frame,
        { kind: 'lengthen', at: donor(2400), length: 300, section: null },
        { kind: 'shorten', transition: 0, from: built(2300), to: built(2500) },
      ),
    );
    expect(codes(result)).toEqual(
      expect.arrayContaining(['cut-crossmember', 'operations-overlap', 'no-crossmember', 'line-length']),
    );
  });
});

describe('properties', () => {
  const station = fc.integer({ min: 800, max: 5600 });

  it('lengthening and taking the same length out again restores the frame', () => {
    fc.assert(
      fc.property(station, fc.integer({ min: 1, max: 900 }), (x, length) => {
        const result = evaluatePlan(
          inputOf(
            plainFrame({}, taper),
            { kind: 'lengthen', at: donor(x), length, section: null },
            { kind: 'shorten', transition: 0, from: built(x), to: built(x + length) },
          ),
        );
        const joint = result.joints[0]!;
        expect(result.measures.after.overallLength).toBeNear(6000, 1e-6);
        expect(result.measures.after.mass).toBeNear(result.measures.before.mass, 1e-6);
        expect(Math.hypot(joint.sides.left.dy, joint.sides.left.dz)).toBeNear(0, 1e-9);
      }),
    );
  });

  it('mass is what was there, less what was taken out, plus what was added', () => {
    const perMm = 2 * (150 * 60 - 140 * 50) * 7.85e-6;
    fc.assert(
      fc.property(station, fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 300 }), (x, cut, add) => {
        const result = evaluatePlan(
          inputOf(
            plainFrame(),
            { kind: 'shorten', transition: 0, from: donor(x), to: donor(x + cut) },
            { kind: 'lengthen', at: donor(700), length: add, section: null },
          ),
        );
        expect(result.measures.after.mass).toBeNear(result.measures.before.mass + (add - cut) * perMm, 1e-6);
      }),
    );
  });

  it('left and right mirror each other when the rails do', () => {
    fc.assert(
      fc.property(station, fc.integer({ min: 5, max: 400 }), (x, length) => {
        const { joints, features } = evaluatePlan(
          inputOf(
            plainFrame({ features: [...plainFrame().features, hole('h', 5700)] }, taper),
            { kind: 'shorten', transition: 0, from: donor(x), to: donor(Math.min(x + length, 5650)) },
            {
              kind: 'pie-cut',
              at: donor(700),
              pivot: 'bottom',
              mode: 'open',
              turned: 'front',
              amount: { by: 'angle', angle: 0.05 },
              wedge: 'square',
            },
          ),
        );
        for (const { sides } of joints) {
          expect(sides.left.dy).toBeNear(-sides.right.dy, 1e-9);
          expect(sides.left.dz).toBeNear(sides.right.dz, 1e-9);
        }
        for (const { places } of features)
          expect(places.left!.built?.y ?? 0).toBeNear(-(places.right!.built?.y ?? 0), 1e-9);
      }),
    );
  });
});
