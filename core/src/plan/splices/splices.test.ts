import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { donor as onDonor, plainFrame, planOf as plan } from '../../../test/frames.ts';
import { drawParts, writeDxf } from '../../exchange/index.ts';
import { checkJob, couponsOf, evaluateJob, isHeld, type Job, parseJobFile } from '../../job/index.ts';
import { markSheet } from '../../markout/index.ts';
import { STOCK_MATERIALS } from '../../materials/index.ts';
import { newRecord } from '../../records/index.ts';
import { RULES, ruleValue } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import {
  cornerRadiusOf,
  insideOf,
  type RailSplice,
  roomFor,
  spliceOf,
  spliceStrength,
  type SpliceSleeve,
} from '../../splice/index.ts';
import { contextOf } from '../context.ts';
import { carryOutEdit } from '../plan-edit.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import type { DrawnPoint } from '../outline.ts';
import {
  asStrongAsAsked,
  compareForms,
  findSleeves,
  foldedFlat,
  improvements,
  type Improving,
  inTheWay,
  PLAIN_BOLTED,
  PLAIN_BUTT,
  ratioText,
  reckonSplice,
  spliceParts,
  usualPlate,
  usualSleeve,
  usualStep,
} from './index.ts';

const read = (name: string): Job =>
  parseJobFile(readFileSync(new URL(`../../../../demo/${name}.json`, import.meta.url), 'utf8')).job;
const van = read('parcel-van');
const sprayer = read('orchard-sprayer');
const tour = read('tour-carrier');
const beach = read('beach-rescue');

/** The flagship's channel, and how things are proposed on it. */
const channel = van.donor.sections[0]!.section;
const on = (job: Job, section: Section = job.donor.sections[0]!.section): Improving => ({
  steel: { section, material: job.donor.material },
  rules: job.rules,
  display: job.display,
});
const proposing = on(van);
const reckon = (splice: RailSplice, job = van) =>
  reckonSplice(splice, job.donor.sections[0]!.section, job.donor.material, contextOf(job));
const ratioOf = (splice: RailSplice, job = van) => reckon(splice, job).strength!.ratio;
const inside = (changes: object = {}) => ({
  ...usualPlate('p', 'web-inside', { form: 'butt' }, proposing)!,
  ...changes,
});

describe('the worked ratios, made as a plan says it', () => {
  it('a butt from one side, looked at: 0.600; with a plate of 139.7 inside the web 0.744', () => {
    expect(ratioOf(PLAIN_BUTT)).toBeNear(0.6, 1e-9);
    const plate = inside({ depth: 139.7, thickness: 4.7625, yieldStress: 345 });
    expect(ratioOf({ ...PLAIN_BUTT, plates: [plate] })).toBeNear(0.744, 5e-4);
  });

  it('a step at half depth: 0.647', () => {
    expect(ratioOf({ ...PLAIN_BUTT, form: usualStep(channel, van.display) })).toBeNear(0.647, 5e-4);
  });

  it('is said cut off, so that what falls short never reads as enough', () => {
    expect([0.9999, 1, 0.745].map(ratioText)).toEqual(['0.99', '1.00', '0.74']);
  });
});

describe('what holds of what can be done to a joint', () => {
  const fewer = { numRuns: 40 };
  const leg = fc.double({ min: 1, max: 6, noNaN: true });
  const reach = fc.double({ min: 120, max: 400, noNaN: true });

  it('more weld or a longer plate of the same depth never lowers it', () => {
    fc.assert(
      fc.property(leg, leg, reach, reach, (legA, legB, reachA, reachB) => {
        const made = (l: number, r: number) =>
          ratioOf({
            ...PLAIN_BUTT,
            plates: [
              inside({
                ahead: r,
                behind: r,
                outline: { shape: 'rectangle' },
                fastening: { by: 'weld', leg: l, ends: true, plugs: null },
              }),
            ],
          });
        const [thin, thick] = [Math.min(legA, legB), Math.max(legA, legB)];
        const [short, long] = [Math.min(reachA, reachB), Math.max(reachA, reachB)];
        expect(made(thick, short)).toBeGreaterThanOrEqual(made(thin, short) - 1e-9);
        expect(made(thin, long)).toBeGreaterThanOrEqual(made(thin, short) - 1e-9);
      }),
      fewer,
    );
  });

  it('a plate whose middle is the rail’s never lowers it, and a hole never raises it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 160, noNaN: true }),
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.double({ min: 5, max: 25, noNaN: true }),
        (depth, z, diameter) => {
          const plain = spliceOf(PLAIN_BUTT, proposing.steel, van.rules).splice!;
          const plated = spliceOf({ ...PLAIN_BUTT, plates: [inside({ depth })] }, proposing.steel, van.rules).splice!;
          expect(spliceStrength(plated).ratio).toBeGreaterThanOrEqual(spliceStrength(plain).ratio - 1e-9);
          const hole = { x: 40, in: 'web' as const, z: channel.depth / 2 + z, diameter };
          for (const splice of [plain, plated])
            expect(spliceStrength({ ...splice, holes: [hole] }).ratio).toBeLessThanOrEqual(
              spliceStrength(splice).ratio + 1e-12,
            );
        },
      ),
      fewer,
    );
  });

  it('the end of a taper that lies off the middle lowers it beside the joint, and that is shown', () => {
    const sound = { ...PLAIN_BUTT, weld: { way: 'both-sides', test: 'dye', flush: true } as const };
    const taper = inside({ outline: { shape: 'taper', over: 60, end: 25 } });
    const { strength } = reckon({ ...sound, plates: [taper] });
    expect(ratioOf(sound)).toBe(1);
    expect(strength!.ratio).toBeLessThan(1);
    expect(Math.min(...strength!.weakest.map(Math.abs))).toBeGreaterThan(60);
  });
});

describe('what lifts a joint', () => {
  it('each change that is offered lifts it by what it says, and those that are enough come first', () => {
    const found = improvements(
      { ...PLAIN_BUTT, plates: [inside({ ahead: 60, behind: 60, outline: { shape: 'rectangle' } })] },
      proposing,
    );
    expect(found.length).toBeGreaterThan(5);
    for (const { splice, ratio, say } of found) {
      expect([say, ratioOf(splice)]).toEqual([say, expect.toBeNear(ratio, 1e-9)]);
      expect(ratio).toBeGreaterThan(0.6);
    }
    const first = found.findIndex(({ ratio }) => ratio < 1);
    expect(found.slice(first).every(({ ratio }) => ratio < 1)).toBe(true);
  });

  it('a plate that its welds cannot feed is lengthened by no more than it takes', () => {
    const short = { ...PLAIN_BUTT, plates: [inside({ ahead: 40, behind: 40, outline: { shape: 'rectangle' } })] };
    const longer = improvements(short, proposing).find(({ say }) => say.startsWith('Lengthen'))!;
    const [plate] = longer.splice.plates;
    const half = { ...plate!, ahead: plate!.ahead - 25.4, behind: plate!.behind - 25.4 };
    expect(longer.ratio).toBeGreaterThan(ratioOf({ ...short, plates: [half] }));
  });

  it.each([van, sprayer, tour, beach])('as strong as the rail in one press: $name', (job) => {
    const strong = asStrongAsAsked(PLAIN_BUTT, on(job))!;
    expect(ratioOf(strong, job)).toBe(1);
    expect(asStrongAsAsked(strong, on(job))).toBe(strong);
  });

  it('says so where no change of the kind gets there', () => {
    const rules = {
      ...van.rules,
      changes: {
        'weld/both-sides-dye': 0.6,
        'weld/on-backing-dye': 0.6,
        'weld/both-sides-visual': 0.6,
        'weld/on-backing-visual': 0.6,
      },
    };
    const round: Section = { kind: 'round', depth: 100, thickness: 4 };
    expect(asStrongAsAsked(PLAIN_BUTT, { ...on(van, round), rules })).toBeNull();
  });
});

describe('all forms beside each other', () => {
  const comparing = (job: Job) => ({
    ...on(job),
    material: job.donor.material,
    context: contextOf(job),
    aheadOfHanger: true,
  });

  it.each([van, sprayer, tour, beach])('are reckoned, or say why not: $name', (job) => {
    const rows = compareForms(PLAIN_BUTT, comparing(job));
    expect(rows.length).toBeGreaterThan(8);
    for (const { ratio, why, hours, weldLength, reached } of rows) {
      expect(ratio === null).toBe(why !== null);
      if (ratio === null) continue;
      expect(ratio).toBeGreaterThan(0);
      expect(ratio).toBeLessThanOrEqual(1);
      expect(hours).toBeGreaterThan(0);
      expect(weldLength >= 0 && Number.isFinite(weldLength)).toBe(true);
      expect(reached.length).toBeGreaterThan(0);
    }
    expect(rows[0]).toMatchObject({ id: 'now', ratio: ratioOf(PLAIN_BUTT, job) });
  });

  it('take less than 50 ms', () => {
    const times = Array.from({ length: 9 }, () => {
      const start = performance.now();
      compareForms({ ...PLAIN_BUTT }, comparing(van));
      return performance.now() - start;
    });
    expect(times.sort((a, b) => a - b)[2]).toBeLessThan(50);
  });

  it('name both schools, and what must come off or be drawn apart', () => {
    const rows = compareForms(PLAIN_BUTT, comparing(van));
    const row = (id: string) => rows.find((one) => one.id === id)!;
    expect(row('inner').apart).toMatch(/drawn apart by/);
    expect(row('butt-inside').reached).toContain('inside of the web');
    expect(row('step').schools.weld).toBe('preferred');
    expect(row('butt').schools.bolt).toMatch(/not ahead/);
  });
});

/** The part of a polygon inside a rectangle about the middle, by cutting at each of its sides in turn. */
function clipped(points: readonly DrawnPoint[], width: number, height: number): readonly DrawnPoint[] {
  const sides: readonly ((point: DrawnPoint) => number)[] = [
    ([x]) => width / 2 - x,
    ([x]) => width / 2 + x,
    ([, y]) => height / 2 - y,
    ([, y]) => height / 2 + y,
  ];
  return sides.reduce<readonly DrawnPoint[]>(
    (left, inside) =>
      left.flatMap((point, at) => {
        const before = left[(at + left.length - 1) % left.length]!;
        const [a, b] = [inside(before), inside(point)];
        const share = a / (a - b);
        const cut: DrawnPoint = [
          before[0] + (point[0] - before[0]) * share,
          before[1] + (point[1] - before[1]) * share,
        ];
        if (a >= 0 !== b >= 0) return b >= 0 ? [cut, point] : [cut];
        return b >= 0 ? [point] : [];
      }),
    points,
  );
}

const area = (points: readonly DrawnPoint[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], at) => {
      const [nextX, nextY] = points[(at + 1) % points.length]!;
      return sum + x * nextY - nextX * y;
    }, 0) / 2,
  );

describe('the parts', () => {
  const jobs = [van, sprayer, tour, { ...beach, plan: beach.variants[0]! }];
  const partsOf = (job: Job) => spliceParts(evaluatePlan(job), job);

  it('a plate lies inside the flat of its rail, and a sleeve inside the rail: checked by clipping', () => {
    for (const job of jobs)
      for (const { joint, rails } of evaluatePlan(job).splices)
        for (const { made, steel, splice } of rails) {
          for (const [at, plate] of made.plates.entries()) {
            const part = partsOf(job).find(({ name, joint: of }) => name === plate.name && of.id === joint.id)!;
            const ys = part.flat.outline.map(([, y]) => y);
            const middle = (Math.max(...ys) - Math.min(...ys)) / 2;
            const about = part.flat.outline.map(([x, y]): DrawnPoint => [x, y - middle]);
            const room = roomFor(splice.plates[at]!.face, steel.section, cornerRadiusOf(steel.section));
            // A plate over a kink turns with the rail: only straight ones lie in one flat.
            if (joint.operation === 'tail') continue;
            expect(area(clipped(about, 1e4, room))).toBeNear(area(about), 1e-6);
          }
          if (!splice.sleeve || splice.sleeve.kind === 'wedge') continue;
          const room = insideOf(steel.section, cornerRadiusOf(steel.section))!;
          const { width, height } = splice.sleeve;
          const tube: DrawnPoint[] = [
            [-width / 2, -height / 2],
            [width / 2, -height / 2],
            [width / 2, height / 2],
            [-width / 2, height / 2],
          ];
          expect(area(clipped(tube, room.width, room.height))).toBeNear(width * height, 1e-6);
        }
  });

  it('left and right are mirrored', () => {
    for (const job of jobs) {
      const parts = partsOf(job);
      expect(parts.length).toBeGreaterThan(0);
      for (const left of parts.filter(({ mark }) => mark.endsWith('L'))) {
        const right = parts.find(({ mark }) => mark === left.mark.replace(/L$/, 'R'))!;
        const turned = left.flat.outline.map(([x, y]) => [left.length - x, y]);
        for (const [x, y] of right.flat.outline)
          expect(turned.some(([a, b]) => Math.hypot(a! - x, b! - y) < 1e-6)).toBe(true);
        expect(right).toMatchObject({ name: left.name, mass: left.mass, note: left.note });
        expect(right.flat.holes).toHaveLength(left.flat.holes.length);
      }
    }
  });

  it('a plate goes round the holes that are kept under it, with room for a washer', () => {
    const parts = partsOf(van);
    const [hole] = parts.find(({ mark }) => mark === 'A1L')!.flat.holes;
    const six = van.donor.features.find(({ id }) => id === 'hole-6')!;
    expect(hole).toMatchObject({ what: 'kept' });
    expect(hole!.diameter).toBeNear(six.diameter + 2 * ruleValue(van.rules, 'splice/cut-out'), 1e-9);
    const plate = van.plan.splices[0]!.rails.plates[0]!;
    expect(hole!.at[0]).toBeNear(plate.ahead - (1981.2 - six.x), 1e-6);
  });

  it('a plate over a pie cut is turned as the rail is, and loses nothing of its length along the joint', () => {
    const job = { ...beach, plan: beach.variants[0]! };
    const [part] = partsOf(job);
    const [outcome] = evaluatePlan(job).splices;
    const { turn } = outcome!.rails[0]!;
    expect(Math.abs(turn)).toBeGreaterThan(0.05);
    const { ahead, behind } = outcome!.rails[0]!.splice.plates[0]!;
    const ends = part!.flat.outline.filter(([x]) => x < 1e-6 || x > part!.length - 1e-6);
    expect(ends.length).toBe(2);
    expect(part!.length).toBeNear(ahead + behind * Math.cos(turn), 0.6);
  });

  it('come back from their DXF as they went out: read by another program’s reader', () => {
    const parts = partsOf(van);
    const { entities } = new DxfParser().parseSync(writeDxf(drawParts(parts)))!;
    const outlines = entities.filter(({ type, layer }) => type === 'LWPOLYLINE' && layer === 'PARTS');
    const circles = entities.filter(({ type, layer }) => type === 'CIRCLE' && layer === 'PART_HOLES');
    expect(outlines).toHaveLength(parts.length);
    expect(circles).toHaveLength(parts.reduce((sum, { flat }) => sum + flat.holes.length, 0));
    for (const [at, { flat }] of parts.entries()) {
      const { vertices } = outlines[at] as unknown as { vertices: { x: number; y: number }[] };
      expect(area(vertices.map(({ x, y }) => [x, y]))).toBeNear(area(flat.outline), 1e-3);
    }
  });

  it('a wedge sleeve says how far its halves slide, and what fills the rail beside it', () => {
    const [wedge, strip] = partsOf(sprayer);
    expect(wedge).toMatchObject({ name: 'wedge sleeve', mark: 'A1L' });
    expect(wedge!.note).toMatch(/slid 1 1\/2 in .* overlap over 22 1\/2 in/);
    expect(wedge!.flat.lines).toEqual([expect.objectContaining({ what: 'cut' })]);
    expect(strip).toMatchObject({ name: 'packing strip' });
    expect(strip!.thickness).toBeNear(4.7625, 1e-6);
  });

  it('a folded channel’s flat: web and flanges less their corners, two bends along the neutral line', () => {
    const flat = foldedFlat({ height: 160, width: 60, wall: 5 }, 0.4);
    expect(flat.width).toBeNear(2 * 50 + 140 + Math.PI * 7, 1e-9);
    expect(flat.bends[0] + flat.bends[1]).toBeNear(flat.width, 1e-9);
  });

  it('are cut from what came out of the frame, where that serves', () => {
    const frame = plainFrame({
      sections: [{ id: 'rail', section: { kind: 'channel', depth: 190, flange: 65, thickness: 5 } }],
    });
    const operations = [{ kind: 'shorten', from: onDonor(2000), to: onDonor(2700) }] as const;
    const steel = { section: frame.sections[0]!.section, material: frame.material };
    const plate = usualPlate('p', 'web-inside', { form: 'butt' }, { steel, rules: van.rules, display: van.display })!;
    const input = {
      ...van,
      donor: frame,
      plan: {
        ...plan(...operations),
        splices: [{ joint: 'op1/1', rails: { ...PLAIN_BUTT, plates: [plate] }, others: [] }],
      },
    };
    expect(spliceParts(evaluatePlan(input), input)[0]!.offcut).toMatch(/comes out at A/);
    const thick = { ...plate, thickness: 6 };
    const other = {
      ...input,
      plan: { ...input.plan, splices: [{ joint: 'op1/1', rails: { ...PLAIN_BUTT, plates: [thick] }, others: [] }] },
    };
    expect(spliceParts(evaluatePlan(other), other)[0]!.offcut).toBeNull();
  });

  it('end plates and gussets are made for both rails, and counted in no strength', () => {
    const fittings = [
      { id: 'f1', kind: 'end-plate', on: 'tail', thickness: 6, over: 10, holes: { diameter: 14, along: 2, rows: 2 } },
      { id: 'f2', kind: 'gusset', on: 'stretch/1', thickness: 5, along: 75, up: 75, count: 2 },
    ] as const;
    const job = { ...van, plan: { ...van.plan, fittings } };
    expect(() => checkJob(job)).not.toThrow();
    const more = partsOf(job).filter(({ note }) => note.includes('counts for nothing'));
    expect(more.map(({ mark }) => mark)).toEqual(['CF1L', 'CF1R', 'AF2L', 'AF2R']);
    expect(more[0]).toMatchObject({ length: 66.675 + 20, width: 187.325 + 20 });
    expect(evaluatePlan(job).splices[0]!.worst.strength).toEqual(evaluatePlan(van).splices[0]!.worst.strength);
    expect(() => checkJob({ ...job, plan: { ...job.plan, fittings: [{ ...fittings[1], on: 'gone/1' }] } })).toThrow(
      /take that part off/,
    );
  });
});

describe('sleeves', () => {
  const finding = (job: Job, rack = job.rack) => ({
    ...on(job),
    splice: PLAIN_BUTT,
    rack,
    result: evaluatePlan(job),
    sectionOf: (id: string) => job.donor.sections.find((named) => named.id === id)!.section,
    show: contextOf(job).show,
  });

  it('are found on the rack first, with what has to be done to each', () => {
    const found = findSleeves(finding(sprayer));
    expect(found[0]).toMatchObject({ from: 'rack', fit: { fit: 'wedge' }, against: [] });
    const short = found.find(({ tube }) => tube.name.includes('offcut'))!;
    expect(short.against.join()).toMatch(/too short.*/);
    for (const { sleeve } of found)
      expect(reckon({ ...PLAIN_BUTT, sleeve }, sprayer).made.problems.map(({ message }) => message)).toEqual([]);
  });

  it('a rail that comes out is no sleeve for its own like, and none goes into a round tube', () => {
    expect(findSleeves(finding(sprayer, [])).some(({ from }) => from === 'frame')).toBe(false);
    const round: Section = { kind: 'round', depth: 100, thickness: 4 };
    expect(findSleeves({ ...finding(sprayer), steel: { section: round, material: sprayer.donor.material } })).toEqual(
      [],
    );
  });

  it('name the bolts and rivets in their way, not the welds and not bare holes', () => {
    const result = evaluatePlan(van);
    const way = inTheWay(result, result.splices[1]!.joint, 'left', [-300, 300]);
    expect(way).toContain('Harness clip 5');
    expect(way).not.toContain('Hole 6');
  });

  it('that run through reach from beyond one joint to beyond the other, and both joints have them', () => {
    const sleeve: SpliceSleeve = { ...usualSleeve('inner', { form: 'butt' }, proposing)!, through: true };
    const made = (changes: Partial<SpliceSleeve>) => ({ ...PLAIN_BUTT, sleeve: { ...sleeve, ...changes } });
    const job = (changes: Partial<SpliceSleeve> = {}): Job => ({
      ...van,
      plan: {
        ...van.plan,
        splices: [
          { joint: 'stretch/1', rails: made(changes), others: [] },
          { joint: 'stretch/2', rails: PLAIN_BUTT, others: [] },
        ],
      },
    });
    const [a, b] = evaluatePlan(job()).splices;
    expect(a!.rails[0]!.reach.all).toEqual([-sleeve.ahead, expect.toBeNear(374.65 + sleeve.behind, 1e-6)]);
    expect(b).toMatchObject({ sleeveFrom: 'A' });
    expect(b!.worst.strength!.ratioAtWeld).toBeGreaterThan(1);
    const long = spliceParts(evaluatePlan(job()), job()).filter(({ name }) => name === 'inner sleeve');
    expect(long.map(({ mark, length }) => [mark, length])).toEqual(
      ['A1L', 'A1R'].map((mark) => [mark, expect.toBeNear(374.65 + 2 * sleeve.ahead, 1e-6)]),
    );
    const capped = job({ caps: true });
    const alone = evaluatePlan(capped);
    expect(alone.splices[0]!.worst.strength!.ratioAtWeld).toBeLessThan(a!.worst.strength!.ratioAtWeld);
    expect(markSheet(capped, alone).newPieces).toEqual([]);
    expect(
      spliceParts(alone, capped)
        .filter(({ name }) => name.startsWith('cap'))
        .map(({ length }) => length),
    ).toHaveLength(6);
  });
});

describe('what a plan says of its joints', () => {
  it('left and right are made alike, unless there is a reason', () => {
    const [first] = van.plan.splices;
    const other = (reason: string): Job => ({
      ...van,
      plan: { ...van.plan, splices: [{ ...first!, others: [{ rail: 'right', splice: PLAIN_BUTT, reason }] }] },
    });
    expect(() => checkJob(other(''))).toThrow(/made alike unless there is a reason/);
    const [outcome] = evaluatePlan(other('the tank is in the way')).splices;
    expect(outcome!.rails.map(({ rail, otherwise }) => [rail, otherwise])).toEqual([
      ['left', null],
      ['right', 'the tank is in the way'],
    ]);
    expect(outcome!.worst.rail).toBe('right');
  });

  it.each([
    [{ joint: 'gone/1' }, /does not have/],
    [{ others: [{ rail: 'x-leg/left', splice: PLAIN_BUTT, reason: '' }] }, /take it off the joint/],
  ])('what names nothing is refused: %o', (changes, words) => {
    const splices = [{ ...van.plan.splices[0]!, ...changes }] as Job['plan']['splices'];
    expect(() => checkJob({ ...van, plan: { ...van.plan, splices } })).toThrow(words);
  });

  it('a member that is re-fitted has a joint of its own, on both sides', () => {
    const leg = evaluatePlan(tour).splices.find(({ joint }) => joint.of === 'member')!;
    expect(leg.joint.letter).toBe('X leg');
    expect(leg.rails.map(({ rail }) => rail)).toEqual(['x-leg/left', 'x-leg/right']);
    expect(leg.worst.steel.section.kind).toBe('tube');
    expect(leg.worst.strength!.ratio).toBe(1);
  });

  it('goes with the operation that makes the joint, and comes with it to another place in the list', () => {
    const dropped = carryOutEdit(van, { do: 'drop', operation: 'stretch' }, 'x');
    expect(dropped.plan.splices).toEqual([]);
    const moved = carryOutEdit(van, { do: 'order', operation: 'tail', before: 'stretch' }, 'x');
    expect(moved.plan.splices).toEqual(van.plan.splices);
  });

  it('gaps come off the new rail less what the welds pull, and are told', () => {
    const sheet = markSheet(van, evaluatePlan(van));
    const t = 4.7625;
    const gap = RULES['weld/gap'].value;
    const weld = gap * t + t ** 2 * Math.tan(Math.PI / 6);
    expect(sheet.newPieces[0]!.gaps).toBeNear(2 * (gap - (0.1 * weld) / t), 1e-9);
    expect(sheet.welds.map(({ text }) => text).join()).toMatch(
      /Set the ends 3\/32 in apart; the weld is expected to draw them 1\/32 in scant/,
    );
    const open = { ...van, plan: { ...van.plan, splices: [] } };
    expect(markSheet(open, evaluatePlan(open)).newPieces[0]!.gaps).toBe(0);
  });

  it('a step is marked by its verticals and its horizontal, once where one cut makes two joints', () => {
    const { spliceLines } = markSheet(van, evaluatePlan(van));
    const left = spliceLines.filter(({ side }) => side === 'left');
    expect(left.map(({ letters }) => letters)).toEqual(['A B', 'A B', 'A B']);
    expect(left[1]!.from.top - left[0]!.from.top).toBeNear(76.2, 1e-9);
    expect(left[2]).toMatchObject({ height: 187.325 / 2, to: left[1]!.from.web });
  });
});

describe('what is advised against', () => {
  const conflicts = (rails: RailSplice, job = van) =>
    evaluatePlan({
      ...job,
      plan: { ...job.plan, splices: [{ joint: 'stretch/1', rails, others: [] }] },
    }).conflicts.filter(({ about, operation }) => about === 'stretch/1' || operation === 'stretch');
  const codes = (rails: RailSplice) => conflicts(rails).map(({ code }) => code);

  it('a weak joint asks for a decision, with ways out that make it stronger', () => {
    const weak = conflicts(PLAIN_BUTT).find(({ code }) => code === 'splice-weak')!;
    expect(weak).toMatchObject({ severity: 'warn', acceptable: true });
    expect(weak.message).toMatch(/carries 0\.60 of the bare rail/);
    const [first] = weak.waysOut;
    const job = { ...van, plan: { ...van.plan, splices: [{ joint: 'stretch/1', rails: PLAIN_BUTT, others: [] }] } };
    const better = evaluatePlan(carryOutEdit(job, first!.edit!, 'x'));
    expect(better.splices[0]!.worst.strength!.ratio).toBe(1);
  });

  it.each([
    ['fillet-large', { fastening: { by: 'weld', leg: 8, ends: true, plugs: null } }],
    ['fillet-small', { fastening: { by: 'weld', leg: 2, ends: true, plugs: null } }],
    ['plate-thick', { thickness: 9 }],
    ['square-ends', { outline: { shape: 'rectangle' } }],
    ['plug-spacing', { fastening: { by: 'weld', leg: 4, ends: true, plugs: { diameter: 16, along: 9, rows: 3 } } }],
    ['flange-plate', { face: 'top-flange', depth: 40 }],
    ['boxing-ends', { face: 'inner-side', outline: { shape: 'hexagon', point: 20 } }],
    ['bolt-edge', { fastening: { by: 'bolts', grade: '8.8', bolts: { diameter: 20, along: 8, rows: 1 } } }],
  ] as const)('%s', (code, changes) => {
    expect(codes({ ...PLAIN_BUTT, plates: [inside(changes)] })).toContain(`splice-${code}`);
    expect(codes({ ...PLAIN_BUTT, plates: [inside()] })).not.toContain(`splice-${code}`);
  });

  it('a joint that cannot be made stops the plan, and says what to change', () => {
    const stop = conflicts({ ...PLAIN_BUTT, plates: [inside({ depth: 400 })] }).find(
      ({ severity }) => severity === 'stop',
    )!;
    expect(stop.message).toMatch(/runs past the flat of the rail: make it less deep/);
  });

  it('a step keeps clear of holes over its whole length, and moving the cut clears it', () => {
    const near = (length: number) => {
      const step = { form: 'step', length, height: 90, radius: 4, upper: 'ahead' } as const;
      const form = length > 0 ? step : PLAIN_BUTT.form;
      const splices = [{ joint: 'stretch/2', rails: { ...PLAIN_BUTT, form }, others: [] }];
      const job = { ...van, plan: { ...van.plan, splices } };
      return evaluatePlan(job).conflicts.filter(({ code, about }) => code === 'near-joint' && about === 'hole-7');
    };
    expect(near(0)).toEqual([]);
    expect(near(60)[0]!.message).toBe('Hole 7 is 13/16 in from joint B.');
  });

  it('rails that must not be welded are bolted: shown, checked in shear and bearing, and let through', () => {
    const hard: Job = {
      ...van,
      donor: { ...van.donor, material: STOCK_MATERIALS['heat-treated-110'] },
      plan: { ...van.plan, splices: [] },
    };
    const stopped = (job: Job) => evaluatePlan(job).conflicts.find(({ code }) => code === 'not-weldable');
    const first = stopped(hard)!;
    expect(first.waysOut[0]!.say).toMatch(/Bolt joint A/);
    const once = carryOutEdit(hard, first.waysOut[0]!.edit!, 'x');
    expect(stopped(once)!.about).toBe('stretch/2');
    const twice = carryOutEdit(once, stopped(once)!.waysOut[0]!.edit!, 'x');
    expect(stopped(twice)).toBeUndefined();
    const { strength, made } = evaluatePlan(twice).splices[0]!.worst;
    expect(strength!.ratio).toBeGreaterThan(0.2);
    expect(strength!.ratio).toBeLessThan(1);
    const [bolt] = made.plates[0]!.bolts;
    const shear = 0.225 * 1040 * (Math.PI / 4) * 16 ** 2;
    const bearing = 1.2 * 760 * 16 * 4.7625;
    expect(bolt!.carries).toBeNear(Math.min(shear, bearing), 1e-6);
    expect(reckonSplice(PLAIN_BOLTED, channel, hard.donor.material, contextOf(hard)).made.problems[0]!.message).toMatch(
      /add plates with bolts/,
    );
  });

  it('a notch that leaves too little is told, with the plate that mends it', () => {
    const notch = {
      kind: 'notch',
      at: onDonor(2000),
      width: 200,
      depth: 30,
      from: 'below',
      form: 'round',
      plate: 0,
    } as const;
    const input = { ...van, donor: plainFrame(), body: null, plan: plan(notch) };
    const weak = evaluatePlan(input).conflicts.find(({ code }) => code === 'notch-weak')!;
    expect(weak.message).toMatch(/carries 0\.\d\d of the bare rail’s bending, without a plate/);
    const edit = weak.waysOut.find(({ say }) => say.startsWith('Lay a plate'))?.edit;
    expect(edit).toBeTruthy();
    const mended = evaluatePlan(carryOutEdit(input, edit!, 'x'));
    expect(mended.conflicts.some(({ code }) => code === 'notch-weak')).toBe(false);
  });
});

describe('practice coupons', () => {
  it('one for each different weld of what is decided, and the hold point waits for them', () => {
    const result = evaluatePlan(van);
    const asked = couponsOf(result, []);
    expect(asked.map(({ joint, position, letters }) => [joint, position, letters])).toEqual([
      ['butt', 'vertical', ['A', 'B']],
      ['butt', 'overhead', ['A', 'B']],
      ['fillet', 'vertical', ['A', 'B']],
    ]);
    const check = (records: Parameters<typeof couponsOf>[1]) =>
      evaluateJob(van, records).gates[1]!.checks.find(({ id }) => id === 'coupons')!;
    expect(check([])).toMatchObject({ passed: false, signable: true, detail: '0 of 3 welded, broken and held' });
    const logged = (result: 'held' | 'failed', hour: number) =>
      asked.map(({ id }, at) =>
        newRecord(
          'coupon',
          { coupon: id, result, note: '' },
          { id: `${result}${at}`, taken: `2026-04-01T0${hour}:0${at}:00Z`, by: 'owner' },
        ),
      );
    expect(check(logged('held', 1))).toMatchObject({ passed: true });
    // What failed later counts, whatever held before.
    expect(couponsOf(result, [...logged('held', 1), ...logged('failed', 2)]).some(isHeld)).toBe(false);
    expect(couponsOf(evaluatePlan({ ...van, plan: { ...van.plan, splices: [] } }), [])).toEqual([]);
  });
});
