import { describe, expect, it } from 'vitest';
import legs from '../../../test/reference/legs.json' with { type: 'json' };
import { type Bare, donor, inputOf, plainFrame } from '../../../test/frames.ts';
import type { Brace, Frame, Member } from '../../frame/index.ts';
import { inches } from '../../units/index.ts';
import { carryOutEdit, evaluatePlan, type PlanInput } from '../index.ts';
import { refittedLeg } from './index.ts';

const degrees = (angle: number) => (angle * Math.PI) / 180;
const tube = { kind: 'tube', depth: 80, width: 60, thickness: 4, inner: 4 } as const;
const welded = (on: 'own-rail' | 'other-rail' | 'free') => ({ on, fixing: 'welded' }) as const;

const member = (
  id: string,
  path: readonly (readonly [number, number, number])[],
  changes: Partial<Member> = {},
): Member => ({
  id,
  name: id,
  copies: 'pair',
  section: 'leg',
  path: path.map(([x, outward, z]) => ({ x, outward, z })),
  front: welded('own-rail'),
  rear: welded('own-rail'),
  ...changes,
});

const framed = (changes: Partial<Frame>) =>
  plainFrame({ sections: [...plainFrame().sections, { id: 'leg', section: tube }], ...changes });
const codes = (input: PlanInput) => evaluatePlan(input).conflicts.map(({ code, about }) => `${code} ${about}`);
const pie = (x: number, angle: number): Bare => ({
  kind: 'pie-cut',
  at: donor(x),
  pivot: 'top',
  mode: 'close',
  turned: 'rear',
  amount: { by: 'angle', angle },
  wedge: 'symmetric',
});

describe('a leg re-fitted between its anchors', () => {
  it('loses less than the rails do, and turns at both ends', () => {
    // By hand: from (0, 400) to (1100, 60), 241.3 out of the rails between.
    const leg = refittedLeg(
      { donor: { x: 0, y: 400, z: 0 }, built: { x: 0, y: 400, z: 0 }, turn: 0 },
      { donor: { x: 1100, y: 60, z: 0 }, built: { x: 858.7, y: 60, z: 0 }, turn: 0 },
      { width: 60, depth: 80 },
    );
    expect(leg.before).toBeNear(1151.35, 0.005);
    expect(leg.after).toBeNear(923.56, 0.005);
    expect(leg.out).toBeNear(227.79, 0.005);
    expect([leg.yaw.before, leg.yaw.after]).toEqual([
      expect.closeTo(degrees(-17.18), 3),
      expect.closeTo(degrees(-21.6), 3),
    ]);
    for (const end of [leg.front, leg.rear]) {
      expect(Math.abs(end.plan)).toBeNear(degrees(4.43), 1e-4);
      expect(end.true).toBeNear(Math.abs(end.plan), 1e-12);
      expect(end.side).toBe(0);
    }
  });

  it('sees the turn of an end from the piece it is fixed to', () => {
    // The whole leg turned with its rear piece about its front anchor: from there nothing has turned.
    const turn = degrees(5);
    const leg = refittedLeg(
      { donor: { x: 0, y: 0, z: 0 }, built: { x: 0, y: 0, z: 0 }, turn: 0 },
      {
        donor: { x: 1000, y: 0, z: 0 },
        built: { x: 1000 * Math.cos(turn), y: 0, z: 1000 * Math.sin(turn) },
        turn,
      },
      { width: 60, depth: 80 },
    );
    expect(leg.front.side).toBeNear(turn, 1e-12);
    expect(leg.rear.side).toBeNear(0, 1e-12);
    expect(leg.rear.true).toBeNear(0, 1e-9);
  });
});

type Vec = readonly [number, number, number];
interface ReferenceLeg {
  readonly front_anchor_mm: Vec;
  readonly rear_anchor_mm: Vec;
  readonly leg_width_in_plan_mm: number;
  readonly leg_depth_in_side_view_mm: number;
}
interface ExpectedLeg {
  readonly refitted: Readonly<Record<string, number>> & {
    readonly rear_anchor_after_mm: Vec;
    readonly turn_at_front_end: { readonly plan_deg: number; readonly wedge_plan: Readonly<Record<string, number>> };
  };
  readonly not_refitted: Readonly<Record<string, number>> & { readonly face_gap_dx_dy_dz_mm: Vec };
}
const legCases = legs.cases.filter((given) => 'legs' in given.input) as unknown as readonly {
  readonly id: string;
  readonly input: {
    readonly operation: {
      readonly kind: string;
      readonly from_x_mm: number;
      readonly to_x_mm: number;
      readonly at_x_mm: number;
      readonly length_mm: number;
    };
    readonly legs: Readonly<Record<string, ReferenceLeg>>;
  };
  readonly expected: Readonly<Record<string, ExpectedLeg>>;
}[];

describe('legs of the independent reference', () => {
  it.each(legCases)('$id', ({ input: { operation, legs: given }, expected }) => {
    for (const [name, leg] of Object.entries(given)) {
      const [front, rear] = [leg.front_anchor_mm, leg.rear_anchor_mm];
      const frame = framed({
        sections: [
          ...plainFrame().sections,
          {
            id: 'leg',
            section: { ...tube, depth: leg.leg_depth_in_side_view_mm, width: leg.leg_width_in_plan_mm },
          },
        ],
        members: [
          member(
            'leg',
            [front, rear].map(([x, y, z]) => [x, y, z] as const),
            { copies: 'single', rear: welded(front[1] * rear[1] < 0 ? 'other-rail' : 'own-rail') },
          ),
        ],
      });
      const cut: Bare =
        operation.kind === 'shorten'
          ? { kind: 'shorten', from: donor(operation.from_x_mm), to: donor(operation.to_x_mm) }
          : { kind: 'lengthen', at: donor(operation.at_x_mm), length: operation.length_mm };
      const [copy] = evaluatePlan(inputOf(frame, cut)).members[0]!.copies;
      const meeting = copy!.meetings[0]!;
      const apart = expected[name]!.not_refitted;
      expect(meeting.rear.x - meeting.front.x).toBeNear(apart.face_gap_dx_dy_dz_mm[0], 1e-4);
      expect(meeting.lineOffset.dy).toBeNear(apart.line_offset_at_front_face_dy_mm!, 1e-4);
      expect(meeting.lineOffset.dz).toBeNear(apart.line_offset_at_front_face_dz_mm!, 1e-4);
      expect(meeting.square).toBeNear(apart.offset_square_to_the_front_part_mm!, 1e-4);

      const refit: Bare = { kind: 'member', change: { what: 'refit', member: 'leg' } };
      const fitted = evaluatePlan(inputOf(frame, cut, refit)).members[0]!.copies[0]!.refit!;
      const { refitted } = expected[name]!;
      expect([fitted.to.x, fitted.to.y, fitted.to.z]).toEqual(
        refitted.rear_anchor_after_mm.map((value) => expect.closeTo(value, 4) as number),
      );
      expect(fitted.before).toBeNear(refitted.old_length_mm!, 1e-4);
      expect(fitted.after).toBeNear(refitted.new_length_mm!, 1e-4);
      expect(fitted.out).toBeNear(refitted.cut_out_length_mm!, 1e-4);
      expect(fitted.front.plan).toBeNear(degrees(refitted.turn_at_front_end.plan_deg), 1e-7);
      expect(fitted.front.wedge.plan.square).toBeNear(refitted.turn_at_front_end.wedge_plan.one_face_square_mm!, 1e-4);
      expect(fitted.front.wedge.plan.symmetric).toBeNear(
        refitted.turn_at_front_end.wedge_plan.both_faces_alike_mm!,
        1e-4,
      );
    }
  });
});

describe('a four-tube chassis', () => {
  const { input, expected } = legs.cases.find(({ id }) => id === 'four_tubes_shorten') as unknown as {
    readonly input: {
      readonly tubes_right_side: Readonly<Record<string, { readonly path_x_outward_z_mm: readonly Vec[] }>>;
    };
    readonly expected: {
      readonly mismatch_right_side: Readonly<Record<string, Readonly<Record<string, number>>>>;
    };
  };
  const frame = framed({
    members: Object.entries(input.tubes_right_side).map(([id, { path_x_outward_z_mm: path }]) => member(id, path)),
  });

  it('has the mismatch of every tube, mirrored left and right', () => {
    const { joints } = evaluatePlan(inputOf(frame, { kind: 'shorten', from: donor(1000), to: donor(1400) }));
    for (const [id, tubeOf] of Object.entries(expected.mismatch_right_side)) {
      const [left, right] = [joints[0]!.sides[`${id}/left`]!, joints[0]!.sides[`${id}/right`]!];
      expect(right.dy).toBeNear(tubeOf.dy_mm!, 1e-6);
      expect(right.dz).toBeNear(tubeOf.dz_mm!, 1e-6);
      expect(right.yaw).toBeNear(degrees(tubeOf.yaw_rear_minus_front_deg!), 1e-9);
      expect(right.pitch).toBeNear(degrees(tubeOf.pitch_rear_minus_front_deg!), 1e-9);
      expect([right.gapTop, right.gapBottom].every((gap) => Math.abs(gap) < 1e-9)).toBe(true);
      expect([left.dy, left.yaw]).toEqual([expect.closeTo(-right.dy, 9), expect.closeTo(-right.yaw, 9)]);
      expect(left.dz).toBeNear(right.dz, 1e-9);
    }
    // The rails meet; only tubes are told of.
    expect(joints[0]!.sides.left.verdict).toBe('meets');
  });

  it('cut twice has every tube in three parts, each with joints of its own, and no steel is lost or made', () => {
    const result = evaluatePlan(
      inputOf(
        frame,
        { kind: 'shorten', from: donor(700), to: donor(800) },
        { kind: 'shorten', from: donor(1900), to: donor(2050) },
      ),
    );
    const whole = evaluatePlan(inputOf(frame));
    expect(result.joints.map(({ sides }) => Object.keys(sides).sort())).toEqual(
      Array.from({ length: 2 }, () => ['left', 'lower/left', 'lower/right', 'right', 'upper/left', 'upper/right']),
    );
    for (const outcome of result.members) {
      const before = whole.members.find(({ member: { id } }) => id === outcome.member.id)!;
      for (const [index, copy] of outcome.copies.entries()) {
        expect(copy.built).toHaveLength(3);
        const length = (points: readonly { x: number; y: number; z: number }[]) =>
          points.slice(1).reduce((sum, { x, y, z }, at) => {
            const from = points[at]!;
            return sum + Math.hypot(x - from.x, y - from.y, z - from.z);
          }, 0);
        const kept = copy.built.reduce((sum, { points }) => sum + length(points), 0);
        const out = copy.removed.reduce((sum, { points }) => sum + length(points), 0);
        expect(kept + out).toBeNear(before.copies[index]!.lengthBefore, 1e-9);
      }
    }
    const scrap = whole.measures.after.mass - result.measures.after.mass;
    expect(scrap).toBeGreaterThan(0);
  });

  it('lengthened gets a new piece of each tube, in the line of its rear part', () => {
    const straight = framed({
      members: [
        member('upper', [
          [300, 300, 400],
          [4000, 300, 400],
        ]),
      ],
    });
    const [before, after] = [[], [{ kind: 'lengthen', at: donor(2000), length: 250 }] as const].map((operations) =>
      evaluatePlan(inputOf(straight, ...operations)),
    );
    const [upper] = after!.members;
    expect(upper!.copies[0]!.lengthAfter).toBeNear(3700 + 250, 1e-9);
    expect(upper!.mass / upper!.massBefore).toBeNear(3950 / 3700, 1e-12);
    const steel = after!.measures.after.mass - before!.measures.after.mass;
    // 250 of two rails of 2000 mm², and of two tubes of 80 × 60 × 4.
    expect(steel).toBeNear(2 * 250 * 7.85e-6 * (2000 + (80 * 60 - 72 * 52)), 1e-6);
    expect(after!.joints.map(({ sides }) => sides['upper/right']!.verdict)).toEqual(['meets', 'meets']);
  });

  it('closes with the wedge below the pivot, and opens above it', () => {
    const both = framed({
      members: [
        member('under', [
          [300, 300, -60],
          [4000, 300, -60],
        ]),
        member('over', [
          [300, 300, 260],
          [4000, 300, 260],
        ]),
      ],
    });
    const { joints } = evaluatePlan(inputOf(both, pie(2000, 0.1)));
    const { sides } = joints[0]!;
    expect([sides['under/left']!.gapTop, sides['under/left']!.gapBottom]).toEqual([
      expect.closeTo(0, 9),
      expect.closeTo(0, 9),
    ]);
    // Above the pivot, cut square at 0: 300 up the ends part by 2 · sin(θ/2) of their height over it.
    const opened = 2 * 300 * Math.sin(0.05);
    expect(sides['over/right']!.gapTop).toBeNear(opened * Math.cos(0.05), 1e-6);
    expect(sides['over/right']!.verdict).not.toBe('meets');
  });
});

describe('an X of legs', () => {
  const x = framed({
    members: [
      member(
        'x-leg',
        [
          [1200, 390, -75],
          [3000, -390, -75],
        ],
        { rear: welded('other-rail') },
      ),
    ],
  });

  it('cut with the rails is named by member and joint, and re-fitting it is one press', () => {
    const input = inputOf(x, { kind: 'lengthen', at: donor(1800), length: inches(9.5) });
    const found = evaluatePlan(input).conflicts.find(({ about }) => about === 'x-leg')!;
    expect(found.code).toMatch(/^member-/);
    expect(found.message).toMatch(/^x-leg at A: .*apart sideways/);
    const cured = carryOutEdit(input, found.fixes[0]!.edit!, 'refit');
    const { members, conflicts, joints } = evaluatePlan(cured);
    expect(conflicts.filter(({ about }) => about === 'x-leg')).toEqual([]);
    expect(members[0]!.status).toBe('re-fitted');
    expect(Object.keys(joints[0]!.sides)).toEqual(['left', 'right']);
    const [left, right] = members[0]!.copies;
    expect(left!.refit!.out).toBeLessThan(0);
    expect(-left!.refit!.out).toBeLessThan(inches(9.5));
    expect(left!.refit!.front.plan).toBeNear(-right!.refit!.front.plan, 1e-12);
  });

  it('comes away from rails that are moved apart, until it is re-fitted', () => {
    const wider: Bare = { kind: 'widen', amount: 60, from: null, to: null, transition: 0 };
    expect(codes(inputOf(x, wider))).toContain('member-parted x-leg');
    const input = inputOf(x, wider, { kind: 'member', change: { what: 'refit', member: 'x-leg' } });
    expect(codes(input)).not.toContain('member-parted x-leg');
    const { refit } = evaluatePlan(input).members[0]!.copies[0]!;
    expect(refit!.after).toBeNear(Math.hypot(1800, 780 + 60), 1e-9);
  });

  it('between the middles of two crossmembers stays in the middle when the frame is widened', () => {
    const onCross = { on: 'crossmember', fixing: 'welded' } as const;
    const spine = member(
      'spine',
      [
        [2000, 0, -60],
        [3200, 0, -60],
      ],
      { copies: 'single', front: onCross, rear: onCross },
    );
    const wider: Bare = { kind: 'widen', amount: 60, from: null, to: null, transition: 0 };
    const input = inputOf(framed({ members: [spine] }), wider);
    const [copy] = evaluatePlan(input).members[0]!.copies;
    expect(copy!.built.flatMap(({ points }) => points.map(({ y }) => y))).toEqual([0, 0]);
    expect(copy!.parted).toEqual({ front: 0, rear: 0 });
  });

  it('that goes with the steel is missed aloud, and one taken off is not', () => {
    const short = framed({
      members: [
        member(
          'stub',
          [
            [2000, 300, 0],
            [2300, 300, 0],
          ],
          { copies: 'single' },
        ),
      ],
    });
    expect(codes(inputOf(short, { kind: 'shorten', from: donor(1900), to: donor(2400) }))).toContain(
      'member-lost stub',
    );
    const off = inputOf(short, { kind: 'member', change: { what: 'remove', member: 'stub' } });
    expect(codes(off)).toEqual([]);
    expect(evaluatePlan(off).members[0]).toMatchObject({ status: 'removed', mass: 0 });
  });
});

describe('a brace', () => {
  const brace: Brace = {
    id: 'diagonal',
    name: 'Diagonal',
    from: { rail: 'left', x: 1500, down: 40 },
    to: { rail: 'right', x: 2500, down: 40 },
    section: 'leg',
    fixing: 'bolted',
    removable: true,
  };
  const frame = framed({ braces: [brace] });
  const cut: Bare = { kind: 'shorten', from: donor(1900), to: donor(2100) };

  it('on the diagonal is too long where rail comes out between its ends, and is made again in one press', () => {
    const was = Math.hypot(1000, 860);
    const input = inputOf(frame, cut);
    const { braces, conflicts } = evaluatePlan(input);
    expect(braces[0]!.donor.length).toBeNear(was, 1e-9);
    expect(braces[0]!.longer).toBeNear(Math.hypot(800, 860) - was, 1e-9);
    const found = conflicts.find(({ code }) => code === 'brace-length')!;
    expect(found.message).toMatch(/too long between its ends/);
    const cured = evaluatePlan(carryOutEdit(input, found.fixes[0]!.edit!, 'again'));
    expect(cured.braces[0]).toMatchObject({ status: 'remade', longer: 0 });
    const area = 80 * 60 - 72 * 52;
    expect(cured.braces[0]!.mass).toBeNear(area * 7.85e-6 * Math.hypot(800, 860), 1e-9);
  });

  it('loses an end with its steel, and comes off where it may', () => {
    expect(codes(inputOf(frame, { kind: 'shorten', from: donor(1400), to: donor(1600) }))).toContain(
      'brace-lost diagonal',
    );
    const off: Bare = { kind: 'member', change: { what: 'remove-brace', brace: 'diagonal' } };
    expect(codes(inputOf(frame, off, cut))).not.toContain('brace-length diagonal');
    const fixed = framed({ braces: [{ ...brace, removable: false }] });
    expect(codes(inputOf(fixed, off))).toContain('operation/not-removable null');
  });

  it('from a rail to a member hangs on both', () => {
    const held = framed({
      members: [
        member('upper', [
          [300, 300, 400],
          [4000, 300, 400],
        ]),
      ],
      braces: [{ ...brace, from: { rail: 'left', x: 1500, down: 0 }, to: { rail: 'upper/left', x: 1500, down: 80 } }],
    });
    const { braces } = evaluatePlan(inputOf(held));
    // From the rail's outside face at 430 up to the underside of the tube, its middle 300 out and 400 up.
    expect(braces[0]!.donor.length).toBeNear(Math.hypot(130, 360), 1e-9);
  });
});

it('a crossmember without a weight has that of its section from rail to rail, and grows with the frame', () => {
  const cross = {
    id: 'c',
    name: 'c',
    x: 3000,
    length: 60,
    depth: 80,
    below: 20,
    section: 'leg',
    fixing: 'bolted',
    removable: true,
  } as const;
  const frame = framed({ crossmembers: [cross] });
  const area = 80 * 60 - 72 * 52;
  const [plain, wide] = [[], [{ kind: 'widen', amount: 100, from: null, to: null, transition: 0 }] as const].map(
    (operations) => evaluatePlan(inputOf(frame, ...operations)).crossmembers[0]!,
  );
  expect(plain!.mass).toBeNear(area * (860 - 10) * 7.85e-6, 1e-9);
  expect(wide!.mass).toBeNear(area * (960 - 10) * 7.85e-6, 1e-9);
});
