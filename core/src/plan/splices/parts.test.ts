import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { donor as onDonor, plainFrame, planOf as plan } from '../../../test/frames.ts';
import { van, sprayer, tour, beach } from '../../../test/joints.ts';
import { drawParts, writeDxf } from '../../exchange/index.ts';
import { type Job, checkJob } from '../../job/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { cornerRadiusOf, insideOf, roomFor } from '../../splice/index.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import { type DrawnPoint } from '../outline.ts';
import { foldedFlat, spliceParts, usualPlate, PLAIN_BUTT } from './index.ts';

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
    expect(wedge!.note).toMatch(/slid 1 1\/8 in .* overlap over 16 7\/8 in/);
    expect(wedge!.flat.lines).toEqual([expect.objectContaining({ what: 'cut' })]);
    expect(strip).toMatchObject({ name: 'filler strip' });
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
