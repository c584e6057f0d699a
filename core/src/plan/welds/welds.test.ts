import { describe, expect, it } from 'vitest';
import { beach, inside, proposing, sprayer, tour, van } from '../../../test/joints.ts';
import type { Job } from '../../job/index.ts';
import { RULES } from '../../rules/index.ts';
import type { RailSplice } from '../../splice/index.ts';
import { pulled, weldRun } from '../../weld/index.ts';
import { evaluatePlan, evaluateWelding, PLAIN_BUTT, runToTime, usualSleeve, type Welding } from '../index.ts';
import { tackPlaces } from './tacks.ts';

const weldingOf = (job: Job, welding?: Partial<Welding>) => {
  const plan = welding
    ? { ...job.plan, welding: { pose: 'upright', settings: null, order: [], preset: [], ...welding } as Welding }
    : job.plan;
  const input = { ...job, plan };
  const result = evaluatePlan(input);
  return { input, result, welding: evaluateWelding(input, result) };
};

/** A job whose first joint is made in a way. */
const madeSo = (job: Job, rails: RailSplice): Job => {
  const first = evaluatePlan(job).splices[0]!.joint.id;
  const others = job.plan.splices.filter(({ joint }) => joint !== first);
  return { ...job, plan: { ...job.plan, splices: [{ joint: first, rails, others: [] }, ...others] } };
};

describe('the seams of a plan', () => {
  it.each([van, sprayer, tour, beach])('are as long as what each joint takes to weld: $name', (job) => {
    const { result, welding } = weldingOf(job);
    for (const { joint, rails } of result.splices) {
      for (const one of rails) {
        if (one.made.problems.length > 0) continue;
        const own = welding.seams.filter((seam) => seam.joint.id === joint.id && seam.rail === one.rail);
        const length = own.reduce((sum, seam) => sum + seam.length, 0);
        expect(length).toBeNear(one.weld.length, 1e-6);
      }
    }
    const ids = welding.seams.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('follow the walls of a channel from the inside of its underside to the inside of its top', () => {
    const { welding } = weldingOf(madeSo(van, PLAIN_BUTT));
    const joint = welding.seams[0]!.joint.id;
    const left = welding.seams.filter((seam) => seam.joint.id === joint && seam.rail === 'left');
    expect(left.map(({ where }) => where)).toEqual(['bottom flange', 'web', 'top flange']);
    expect(left.map(({ position }) => position)).toEqual(['overhead', 'vertical', 'flat']);
    const [bottom, web, top] = left.map(({ stretches: [stretch] }) => stretch!);
    expect(bottom!.to).toEqual(web!.from);
    expect(web!.to).toEqual(top!.from);
    expect(top!.end.z - bottom!.start.z).toBeNear(187.325, 1e-9);
    expect(bottom!.start.y).toBeGreaterThan(bottom!.end.y);
    const right = welding.seams.filter((seam) => seam.joint.id === joint && seam.rail === 'right');
    expect(right[1]!.stretches[0]!.start.y).toBeNear(-web!.start.y, 1e-9);
  });

  it('lie the other way up where the frame is rolled over', () => {
    const { welding } = weldingOf(madeSo(van, PLAIN_BUTT), { pose: 'rolled-over' });
    const joint = welding.seams[0]!.joint.id;
    const left = welding.seams.filter((seam) => seam.joint.id === joint && seam.rail === 'left');
    expect(left.map(({ position }) => position)).toEqual(['flat', 'vertical', 'overhead']);
  });

  it('of plates lie on their wall, and an inside one is closed off by the boxing plate', () => {
    const boxing = { ...inside({ id: 'box' }), face: 'inner-side' as const };
    const { welding } = weldingOf(madeSo(van, { ...PLAIN_BUTT, plates: [inside(), boxing] }));
    const joint = welding.seams[0]!.joint.id;
    const left = welding.seams.filter((seam) => seam.joint.id === joint && seam.rail === 'left');
    const plate = left.filter(({ part }) => part === 'plate inside the web');
    expect(plate.length).toBeGreaterThanOrEqual(2);
    expect(plate.every(({ closedOffBy, layer }) => closedOffBy === 'the boxing plate' && layer === 'inside')).toBe(
      true,
    );
    expect(plate.every(({ wall }) => wall === 'outer')).toBe(true);
    const box = left.filter(({ part }) => part === 'boxing plate');
    expect(box.every(({ layer }) => layer === 'outside')).toBe(true);
  });

  it('of a splice that cannot be made there are none', () => {
    const { welding } = weldingOf(madeSo(van, { ...PLAIN_BUTT, form: { form: 'angled', run: 5000 } }));
    const { result } = weldingOf(van);
    expect(welding.seams.some(({ joint }) => joint.id === result.splices[0]!.joint.id)).toBe(false);
  });
});

describe('tacks', () => {
  it('begin at both ends and halve what is open until nothing is wider than allowed', () => {
    expect(tackPlaces(0, 320, 100)).toEqual([0, 320, 160, 80, 240]);
    expect(tackPlaces(0, 90, 100)).toEqual([0, 90]);
    expect(tackPlaces(10, 10, 100)).toEqual([]);
  });

  it('of a closed run begin opposite each other', () => {
    expect(tackPlaces(0, 400, 100, true)).toEqual([0, 200, 100, 300]);
  });

  it('go left and right in turn and never lie farther apart than allowed', () => {
    const { welding } = weldingOf(madeSo(van, PLAIN_BUTT));
    const tack = welding.steps.find(({ what }) => what === 'tack')!;
    expect(tack.stitches.slice(0, 4).map(({ seam }) => seam.rail)).toEqual(['left', 'right', 'left', 'right']);
    const places = tack.stitches
      .filter(({ seam }) => seam.rail === 'left')
      .map(({ from }) => from.s)
      .toSorted((a, b) => a - b);
    for (const [at, s] of places.slice(1).entries())
      expect(s - places[at]!).toBeLessThanOrEqual(RULES['weld/tacks-apart'].value);
  });
});

describe('the steps of the welding', () => {
  it('tack and measure every joint before one is welded, and measure again at the end', () => {
    const { welding } = weldingOf(van);
    const whats = welding.steps.map(({ what }) => what);
    expect(whats.indexOf('measure-tacked')).toBeGreaterThan(whats.lastIndexOf('tack'));
    expect(whats.indexOf('butt')).toBeGreaterThan(whats.indexOf('measure-tacked'));
    expect(whats.at(-1)).toBe('measure-welded');
    expect(welding.early).toEqual([]);
  });

  it('weld the sleeve before the butt over it and plates after', () => {
    const sleeve = usualSleeve('inner', PLAIN_BUTT.form, proposing);
    if (!sleeve) throw new Error('the van takes a sleeve');
    const { welding } = weldingOf(madeSo(van, { ...PLAIN_BUTT, sleeve, plates: [] }));
    const joint = welding.seams[0]!.joint.id;
    const whats = welding.steps.filter((step) => step.joint?.id === joint).map(({ what }) => what);
    expect(whats).toEqual(['tack', 'sleeve', 'butt']);
  });

  it('lay every pass of every seam once, the root before the fill', () => {
    const { welding } = weldingOf(van);
    const stitches = welding.steps.flatMap((step) => (step.what === 'tack' ? [] : step.stitches));
    for (const seam of welding.seams)
      for (let pass = 1; pass <= seam.passes; pass += 1) {
        const own = stitches.filter((one) => one.seam.id === seam.id && one.pass === pass);
        const length = own.reduce((sum, { begin, end }) => sum + end - begin, 0);
        expect(length).toBeNear(seam.length, 1e-6);
        for (const { begin, end } of own) expect(end - begin).toBeLessThanOrEqual(100 + 1e-9);
      }
    for (const step of welding.steps) {
      const passes = step.stitches.map(({ pass }) => pass);
      expect(passes).toEqual(passes.toSorted((a, b) => a - b));
    }
  });

  it('keep the order that the shop gives them, and say what comes too early', () => {
    const { welding } = weldingOf(van);
    const butt = welding.steps.find(({ what }) => what === 'butt')!;
    const tack = welding.steps.find((step) => step.what === 'tack' && step.joint?.id === butt.joint?.id)!;
    const moved = weldingOf(van, { order: [butt.id, tack.id] }).welding;
    expect(moved.steps.length).toBe(welding.steps.length);
    expect(moved.steps.indexOf(moved.steps.find(({ id }) => id === butt.id)!)).toBeLessThan(
      moved.steps.indexOf(moved.steps.find(({ id }) => id === tack.id)!),
    );
    expect(moved.early.map(({ message }) => message).join(' ')).toMatch(/butt weld comes before .*: tacks/);
    expect(weldingOf(van, { order: ['gone:tack'] }).welding.early).toEqual([]);
  });
});

describe('how a frame is pulled', () => {
  it('shortens every joint by its shrinkage and leaves a plain butt straight', () => {
    const { welding, result } = weldingOf(madeSo(van, PLAIN_BUTT));
    const [first] = welding.pulls;
    const shrinkage = result.splices[0]!.rails[0]!.weld.shrinkage;
    expect(first!.pull.shortening).toBeNear(shrinkage, 1e-9);
    expect(first!.pull.pitch).toBeNear(0, 1e-9);
  });

  it('changes a length along the rails by what all joints between its ends shorten', () => {
    const { welding } = weldingOf(van);
    const length = welding.changes.find(({ control }) => control.kind === 'length' && control.predicted! > 2500)!;
    const [a, b] = length.control.ends.built!;
    const inBetween = welding.pulls.filter(({ joint }) => joint.builtX > a!.x && joint.builtX <= b!.x);
    expect(inBetween.length).toBeGreaterThan(0);
    const through = (at: typeof a) =>
      inBetween.toReversed().reduce((point, { joint, pull }) => pulled(pull, joint.builtX, point), at!);
    const [c, d] = [through(a), through(b)];
    const after = Math.hypot(d.x - c.x, d.y - c.y, d.z - c.z);
    expect(length.change).toBeNear(after - length.control.predicted!, 1e-6);
    expect(length.change).toBeLessThan(0);
  });

  it('pulls up what is behind where the bottom flange is not welded', () => {
    const weld = { ...PLAIN_BUTT.weld, walls: [{ wall: 'bottom' as const, way: 'not-welded' as const }] };
    const { welding } = weldingOf(madeSo(van, { ...PLAIN_BUTT, weld }));
    expect(welding.pulls[0]!.pull.pitch).toBeGreaterThan(0);
  });
});

describe('the time that welding takes', () => {
  it('starts no stitch above the limit and lays each once, in the order of its joint', () => {
    const { welding, result, input } = weldingOf(madeSo(van, PLAIN_BUTT));
    const butts = welding.steps.filter(({ what }) => what === 'butt').flatMap(({ stitches }) => stitches);
    const run = weldRun(...argumentsOf(runToTime(welding, result, input, butts)));
    expect(run.stitches.map(({ id }) => id).toSorted()).toEqual(butts.map(({ id }) => id).toSorted());
    for (const { temperature } of run.stitches) expect(temperature).toBeLessThanOrEqual(152);
    for (const step of welding.steps.filter(({ what }) => what === 'butt')) {
      const own = step.stitches.map(({ id }) => run.stitches.findIndex((timed) => timed.id === id));
      expect(own).toEqual(own.toSorted((a, b) => a - b));
    }
  });

  it('is longer one joint after the other than in turn', () => {
    const { welding, result, input } = weldingOf(van);
    const butts = welding.steps.filter(({ what }) => what === 'butt').flatMap(({ stitches }) => stitches);
    const task = runToTime(welding, result, input, butts);
    const inTurn = weldRun(task.walls, task.joints, task.rules);
    const after = weldRun(task.walls, task.joints, { ...task.rules, inTurn: false });
    expect(after.seconds).toBeGreaterThanOrEqual(inTurn.seconds);
  });
});

const argumentsOf = ({ walls, joints, rules }: ReturnType<typeof runToTime>) => [walls, joints, rules] as const;
