import { describe, expect, it } from 'vitest';
import { type Bare, donor, inputOf, plainFrame } from '../../../test/frames.ts';
import { calculate, sprayer } from '../../../test/joints.ts';
import { markSheet } from '../../markout/index.ts';
import { contactOf, type RailSplice, type SpliceSleeve, STOCK_TUBES } from '../../splice/index.ts';
import { carryOutEdit, contextOf, evaluatePlan, type PlanInput, triedFixes } from '../index.ts';
import { capSides } from './cap-sides.ts';
import { PLAIN_BUTT, calculateSplice, spliceParts, usualPlate, usualSleeve } from './index.ts';

/** A tube rail 150 × 60 × 5: 140 × 50 inside. */
const WALL = 5;
const section = plainFrame().sections[0]!.section;
const proposing = {
  steel: { section, material: plainFrame().material },
  rules: inputOf(plainFrame()).rules,
  display: { unit: 'in' as const },
};
const sleeve = (changes: Partial<SpliceSleeve> = {}): SpliceSleeve => ({
  ...usualSleeve('inner', PLAIN_BUTT.form, proposing)!,
  height: 138,
  width: 48,
  wall: 4,
  ahead: 200,
  behind: 200,
  ...changes,
});
const joined = (operation: Bare, rails: RailSplice, frame = plainFrame(), joints = ['op1/1']): PlanInput => {
  const input = inputOf(frame, operation);
  return { ...input, plan: { ...input.plan, splices: joints.map((joint) => ({ joint, rails, others: [] })) } };
};
const extendAt = (out: number, up: number): Bare => ({
  kind: 'extend',
  end: 'rear',
  length: 500,
  align: { out, up, yaw: 0, pitch: 0 },
});
const worst = (input: PlanInput) => evaluatePlan(input).splices[0]!.worst;
const codes = (input: PlanInput) => evaluatePlan(input).conflicts.map(({ code }) => code);

describe('ends that do not touch', () => {
  const good: RailSplice = { ...PLAIN_BUTT, weld: { way: 'on-backing', test: 'dye', flush: true } };

  it('hold nothing, whatever their weld: far apart sideways or in height', () => {
    expect(worst(joined(extendAt(0, 0), good)).strength!.ratio).toBeGreaterThan(0.8);
    expect(worst(joined(extendAt(80, 0), good)).strength!.ratio).toBeLessThan(0.75);
    expect(worst(joined(extendAt(80, 160), good)).strength!.ratio).toBe(0);
  });

  it('a mismatch of half a wall leaves half of the walls that it offsets', () => {
    const { strength } = worst(joined(extendAt(0, WALL / 2), good));
    const whole = worst(joined(extendAt(0, 0), good)).strength!;
    // In height it offsets the flanges: they carry half, the webs all that they did.
    const web = (2 * WALL * 150 ** 3) / 12;
    const flanges = (2 * 50 * WALL ** 3) / 12 + 2 * 50 * WALL * 72.5 ** 2;
    expect(strength!.ratioAtWeld / whole.ratioAtWeld).toBeNear((web + flanges / 2) / (web + flanges), 2e-3);
  });

  it('with an opening wider than a weld bridges hold nothing until something bridges it', () => {
    const fit = (opening: number) => ({ sideways: 0, height: 0, opening, uncut: null });
    expect(contactOf(fit(1.4 * WALL), section)).toEqual({ upright: 1, level: 1 });
    expect(contactOf(fit(1.6 * WALL), section)).toEqual({ upright: 0, level: 0 });
    const plates = [usualPlate('p', 'web-outside', PLAIN_BUTT.form, proposing)!];
    const made = (rails: RailSplice) =>
      calculateSplice(rails, section, plainFrame().material, contextOf(inputOf(plainFrame())), [0, 0], fit(40))
        .strength!;
    expect(made(good).ratio).toBe(0);
    expect(made({ ...good, plates }).ratio).toBeGreaterThan(0.1);
  });
});

describe('a pie cut', () => {
  const pie: Bare = {
    kind: 'pie-cut',
    at: donor(3000),
    pivot: 'top',
    mode: 'close',
    turned: 'rear',
    amount: { by: 'angle', angle: 0.1 },
    wedge: 'symmetric',
  };

  it('leaves the flange that it folds about: that is not welded, and carries all it did', () => {
    const cut = worst(joined(pie, PLAIN_BUTT));
    const through = worst(joined({ kind: 'lengthen', at: donor(3000), length: 300 }, PLAIN_BUTT));
    expect(through.weld.length - cut.weld.length).toBeNear(60, 1e-9);
    expect(cut.strength!.ratio).toBeGreaterThan(through.strength!.ratio + 0.04);
    expect(cut.strength!.curve.find(({ inWeld }) => inWeld)!.inWeld).toEqual([0, 150 - WALL]);
  });
});

describe('welds are counted where a torch reaches', () => {
  it('a closed rail is not welded from both sides', () => {
    const both: RailSplice = { ...PLAIN_BUTT, weld: { way: 'both-sides', test: 'dye', flush: true } };
    const { conflicts } = evaluatePlan(joined({ kind: 'lengthen', at: donor(3000), length: 300 }, both));
    expect(conflicts.find(({ code }) => code === 'splice-cannot')!.message).toMatch(/closed rail cannot be reached/);
  });

  it('the ends of a sleeve inside a closed rail count for nothing, those of one over it do', () => {
    const cut: Bare = { kind: 'lengthen', at: donor(3000), length: 700 };
    const inside = (endLeg: number) =>
      worst(joined(cut, { ...PLAIN_BUTT, sleeve: sleeve({ endLeg }) })).strength!.ratio;
    expect(inside(5)).toBe(inside(0));
    expect(usualSleeve('inner', PLAIN_BUTT.form, proposing)!.endLeg).toBe(0);
    expect(usualSleeve('outer', PLAIN_BUTT.form, proposing)!.endLeg).toBeGreaterThan(0);
  });

  it('plugs hold only where the tube lies against the rail', () => {
    const cut: Bare = { kind: 'lengthen', at: donor(3000), length: 300 };
    expect(codes(joined(cut, { ...PLAIN_BUTT, sleeve: sleeve() }))).not.toContain('splice-cannot');
    const small = evaluatePlan(joined(cut, { ...PLAIN_BUTT, sleeve: sleeve({ height: 95 }) }));
    expect(small.conflicts.find(({ code }) => code === 'splice-cannot')!.message).toMatch(/plug welds would be in air/);
    expect(small.splices[0]!.worst.strength).toBeNull();
  });
});

describe('a sleeve', () => {
  const bent = plainFrame({}, [
    { x: 0, halfWidth: 430, top: 0, section: 'rail' },
    { x: 3100, halfWidth: 430, top: 0, section: 'rail' },
    { x: 3600, halfWidth: 430, top: 150, section: 'rail' },
    { x: 6000, halfWidth: 430, top: 150, section: 'rail' },
  ]);
  const cut: Bare = { kind: 'shorten', from: donor(2500), to: donor(3000) };

  it('does not pass a bend, and one press ends it where it still lies in line', () => {
    const input = joined(cut, { ...PLAIN_BUTT, sleeve: sleeve() }, bent);
    const conflict = evaluatePlan(input).conflicts.find(({ code }) => code === 'sleeve-bent-left')!;
    expect(conflict).toMatchObject({ severity: 'stop' });
    expect(conflict.message).toMatch(/out of line in height/);
    const [way] = triedFixes(input, conflict);
    const after = carryOutEdit(input, way!.edit!, 'x');
    const reach = after.plan.splices[0]!.rails.sleeve!.behind;
    // 100 behind the joint the rail rises by 0.3: as far as 2 of room let it.
    expect(reach).toBeGreaterThan(100);
    expect(reach).toBeLessThan(115);
    expect(codes(after).filter((code) => code.startsWith('sleeve-'))).toEqual([]);
    expect(codes(joined(cut, { ...PLAIN_BUTT, sleeve: sleeve() }))).not.toContain('sleeve-bent-left');
  });

  it('does not reach past the next joint', () => {
    const lengthen: Bare = { kind: 'lengthen', at: donor(3000), length: 150 };
    const input = joined(lengthen, { ...PLAIN_BUTT, sleeve: sleeve() });
    const conflict = evaluatePlan(input).conflicts.find(({ code }) => code.startsWith('sleeve-past-joint'))!;
    expect(conflict.message).toMatch(/past joint B, which is 5 7\/8 in full away/);
    const [way] = triedFixes(input, conflict);
    expect(way!.say).toMatch(/run through to B/);
  });

  it('made of a wedge covers what it has to reach: its halves must overlap over all of it, also where it runs through', () => {
    const wedge = (wedgeLength: number, changes: Partial<SpliceSleeve> = {}) =>
      codes(
        joined(
          { kind: 'lengthen', at: donor(3000), length: 300 },
          { ...PLAIN_BUTT, sleeve: sleeve({ kind: 'wedge', height: 152.4, wedgeLength, ...changes }) },
        ),
      ).includes('splice-cannot');
    expect(wedge(450)).toBe(false);
    expect(wedge(410)).toBe(true);
    expect(wedge(450, { through: true })).toBe(true);
    expect(wedge(790, { through: true })).toBe(false);
  });

  it('is proposed in a size that yards sell, or in whole sixteenths', () => {
    const four = { ...section, kind: 'tube' as const, depth: 101.6, width: 76.2, thickness: 4.7625, inner: 4.7625 };
    const usual = usualSleeve('inner', PLAIN_BUTT.form, {
      ...proposing,
      steel: { ...proposing.steel, section: four },
    })!;
    expect(STOCK_TUBES.some(({ name }) => usual.stock.startsWith(name))).toBe(true);
    expect(
      calculate(
        {
          ...PLAIN_BUTT,
          sleeve: usualSleeve('inner', PLAIN_BUTT.form, {
            ...proposing,
            steel: { ...proposing.steel, section: sprayer.donor.sections[0]!.section },
          })!,
        },
        sprayer,
      ).made.problems,
    ).toEqual([]);
    const none = usualSleeve('inner', PLAIN_BUTT.form, proposing)!;
    for (const size of [none.height, none.width])
      expect((size / 25.4) * 16).toBeNear(Math.round((size / 25.4) * 16), 1e-9);
  });
});

describe('caps over a stretch that is made of a sleeve alone', () => {
  const lengthen: Bare = { kind: 'lengthen', at: donor(3000), length: 250 };
  const capped = joined(lengthen, { ...PLAIN_BUTT, sleeve: sleeve({ through: true, caps: true }) });
  const result = evaluatePlan(capped);
  const caps = spliceParts(result, capped).filter(({ name, rail }) => name.startsWith('cap') && rail === 'left');

  it('close to the outside of the rail, and lie behind their joint', () => {
    // Level ones between the upright ones: 50 + 5 + 5 = 60 across, 150 upright.
    expect(capSides(section).map(({ width }) => width)).toEqual([150, 50, 50, 150]);
    const marks = markSheet(capped, result).parts.filter(
      ({ part }) => caps.includes(part as never) || part.name.startsWith('cap'),
    );
    for (const { ahead, behind } of marks) expect([ahead, behind]).toEqual([0, expect.closeTo(250, 9)]);
  });

  it('have their ends and corner seams in the weld, once, and the sleeve its welds once', () => {
    // Each upright cap: two ends of 150 and two corners of 250; each level one two ends of 50.
    expect(caps.map(({ weldLength }) => weldLength)).toEqual([800, 100, 100, 800].map((mm) => expect.closeTo(mm, 6)));
    const [first, second] = result.splices.map(({ worst: { weld } }) => weld.length);
    const sleeveWeld = spliceParts(result, capped).find(
      ({ name, rail }) => name === 'inner sleeve' && rail === 'left',
    )!.weldLength;
    expect(first).toBeNear(1800 + sleeveWeld, 1e-6);
    expect(second).toBeNear(0, 1e-9);
  });

  it('take the place of new rail, which is not listed', () => {
    expect(markSheet(capped, result).newPieces).toEqual([]);
  });
});

describe('plates from what comes out', () => {
  it('use it up: no more than the webs are long', () => {
    const channel = { kind: 'channel', depth: 180, flange: 65, thickness: 5 } as const;
    const frame = plainFrame({ sections: [{ id: 'rail', section: channel }] });
    const on = { ...proposing, steel: { ...proposing.steel, section: channel } };
    const plate = { ...usualPlate('p', 'web-inside', PLAIN_BUTT.form, on)!, ahead: 150, behind: 150, depth: 120 };
    const other = { ...plate, id: 'q', face: 'web-outside' as const };
    const fromOffcut = (out: number) => {
      const input = joined(
        { kind: 'shorten', from: donor(2500), to: donor(2500 + out) },
        { ...PLAIN_BUTT, plates: [plate, other] },
        frame,
      );
      return spliceParts(evaluatePlan(input), input).filter(({ offcut }) => offcut !== null).length;
    };
    // Four plates of 300: one of each web of 400, both pairs from webs of 700, none from webs of 250.
    expect([fromOffcut(250), fromOffcut(400), fromOffcut(700)]).toEqual([0, 2, 4]);
  });
});

describe('a plate over a step', () => {
  const step = { form: 'step', length: 120, height: 75, radius: 5, upper: 'ahead' } as const;
  const cut: Bare = { kind: 'lengthen', at: donor(3000), length: 300 };
  const plate = (changes: object) => ({ ...usualPlate('p', 'web-outside', step, proposing)!, ...changes });

  it('must reach both of its verticals', () => {
    const short = codes(
      joined(cut, { ...PLAIN_BUTT, form: step, plates: [plate({ ahead: 50, outline: { shape: 'rectangle' } })] }),
    );
    expect(short).toContain('splice-plate-short-of-step');
    const long = codes(
      joined(cut, { ...PLAIN_BUTT, form: step, plates: [plate({ outline: { shape: 'rectangle' } })] }),
    );
    expect(long).not.toContain('splice-plate-short-of-step');
  });

  it('has its plug holes within its edges', () => {
    const diamond = (diameter: number) =>
      codes(
        joined(cut, {
          ...PLAIN_BUTT,
          plates: [
            plate({
              outline: { shape: 'diamond' },
              fastening: { by: 'weld', leg: 4, ends: true, plugs: { diameter, along: 6, rows: 1 } },
            }),
          ],
        }),
      ).includes('splice-plug-outside');
    expect([diamond(3), diamond(30)]).toEqual([false, true]);
  });
});
