import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { van, sprayer, tour, beach, channel, on, proposing, calculate, ratioOf, inside } from '../../../test/joints.ts';
import { type Job } from '../../job/index.ts';
import { type Section } from '../../sections/index.ts';
import { spliceOf, spliceStrength } from '../../splice/index.ts';
import { contextOf } from '../context.ts';
import { asStrongAsAsked, compareForms, improvements, PLAIN_BUTT, ratioText, usualStep } from './index.ts';

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
    const { strength } = calculate({ ...sound, plates: [taper] });
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

  it.each([van, sprayer, tour, beach])('are calculated, or say why not: $name', (job) => {
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

  it('name both schools, and what must come off or be drawn apart', () => {
    const rows = compareForms(PLAIN_BUTT, comparing(van));
    const row = (id: string) => rows.find((one) => one.id === id)!;
    expect(row('inner').apart).toMatch(/drawn apart by/);
    expect(row('butt-inside').reached).toContain('inside of the web');
    expect(row('step').schools.weld).toBe('preferred');
    expect(row('butt').schools.bolt).toMatch(/not ahead/);
  });
});
