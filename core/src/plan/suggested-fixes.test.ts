import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Bare, donor, featureAt, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import type { Crossmember, Feature, Frame } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { acceptedText, carryOutEdit, type Conflict, evaluatePlan, type PlanInput } from './index.ts';

const datum = plainFrame().features[0]!;
const feature = (id: string, x: number, changes: Partial<Feature> = {}): Feature =>
  featureAt(id, x, { kind: 'tank-strap', ...changes });
const framed = (...features: Feature[]): Frame => plainFrame({ features: [datum, ...features] });
const lengthen = (at: number, length = 300) => ({ kind: 'lengthen', at: donor(at), length }) as const;
const out = (from: number, to: number) => ({ kind: 'shorten', from: donor(from), to: donor(to) }) as const;

const find = (input: PlanInput, code: string): Conflict => {
  const found = evaluatePlan(input).conflicts.find((conflict) => conflict.code === code);
  if (!found) throw new Error(`no ${code}`);
  return found;
};
const sayings = (conflict: Conflict) => conflict.fixes.map(({ say, edit }) => [say, edit?.do ?? null]);
/** What the plan still says of this thing with this code, after pressing a suggested fix. */
const stillSaid = (input: PlanInput, { code, about }: Conflict, edit: Parameters<typeof carryOutEdit>[1]) =>
  evaluatePlan(carryOutEdit(input, edit, 'cure')).conflicts.filter(
    (conflict) => conflict.code === code && conflict.about === about,
  );
const limit = ruleValue(inputOf(plainFrame()).rules, 'joint/hole-distance');

describe('moving a cut clear', () => {
  it('goes by whole sixteenths, the shorter way first, to where the rulebook is kept', () => {
    // The strap takes 1990 … 2030, the cut is at 2000: the near end is 10 + limit away, the far one 30 + limit.
    const input = inputOf(framed(feature('strap', 2010, { ahead: 20, behind: 20 })), lengthen(2000));
    const { fixes } = find(input, 'cut-through');
    const shifts = fixes.flatMap(({ edit }) => (edit?.do === 'shift' ? [edit] : []));
    expect(shifts.map(({ operation }) => operation)).toEqual(['op1', 'op1']);
    const step = 25.4 / 16;
    expect(shifts[0]!.by).toBeNear(-Math.ceil((10 + limit) / step) * step, 1e-9);
    expect(shifts[1]!.by).toBeNear(Math.ceil((30 + limit) / step) * step, 1e-9);
    expect(fixes.map(({ say }) => say).slice(0, 2)).toEqual([
      expect.stringMatching(/^Move the cut .* in forward$/),
      expect.stringMatching(/^Move the cut .* in back$/),
    ]);
  });

  it('moves both cuts of rail that comes out, until both are clear', () => {
    const input = inputOf(framed(feature('strap', 2410, { ahead: 20, behind: 20 })), out(2000, 2400));
    const conflict = find(input, 'cut-through');
    for (const { edit } of conflict.fixes)
      if (edit?.do === 'shift') {
        const moved = carryOutEdit(input, edit, 'x').plan.operations[0];
        if (moved?.kind !== 'shorten') throw new Error('not the same cut');
        expect(moved.to.x - moved.from.x).toBeNear(400, 1e-9);
      }
    expect(conflict.fixes.filter(({ edit }) => edit?.do === 'shift')).toHaveLength(2);
  });

  it('every suggested fix that can be pressed clears what it is a suggested fix of', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1500, max: 4000 }),
        fc.integer({ min: 1, max: 120 }),
        fc.integer({ min: 1, max: 120 }),
        fc.integer({ min: -100, max: 100 }),
        fc.boolean(),
        (x, ahead, behind, off, long) => {
          const frame = framed(feature('strap', x, { ahead, behind }));
          const input = inputOf(frame, long ? lengthen(x + off) : out(x + off, x + off + 500));
          for (const conflict of evaluatePlan(input).conflicts)
            if (conflict.about === 'strap')
              for (const { edit } of conflict.fixes) if (edit) expect(stillSaid(input, conflict, edit)).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('what loses its steel', () => {
  it('is offered the nearest steel that stays, as far from the joint as the rulebook asks, or is taken off', () => {
    const input = inputOf(framed(feature('strap', 2100, { ahead: 30, behind: 30 })), out(2000, 2600));
    const conflict = find(input, 'feature-lost');
    expect(conflict.severity).toBe('warn');
    expect(sayings(conflict)).toEqual([
      ['Move it to the nearest steel that stays', 'move'],
      ['Remove it', 'take-off'],
      ['Cut somewhere else.', null],
    ]);
    // Just ahead of the front cut: half of what it takes, and the rulebook's distance.
    expect(conflict.fixes[0]!.edit).toEqual({
      do: 'move',
      thing: { kind: 'feature', id: 'strap' },
      to: donor(2000 - limit - 30),
      before: 'op1',
    });
    expect(stillSaid(input, conflict, conflict.fixes[0]!.edit!)).toEqual([]);
    const rear = find(
      inputOf(framed(feature('strap', 2500, { ahead: 30, behind: 30 })), out(2000, 2600)),
      'feature-lost',
    );
    expect(rear.fixes[0]!.edit).toMatchObject({ to: donor(2600 + limit + 30) });
  });

  it('stops the plan where it cannot be moved, and is only said where nothing hangs on it', () => {
    const fixed = find(inputOf(framed(feature('strap', 2100, { movable: 'no' })), out(2000, 2600)), 'feature-lost');
    expect(fixed).toMatchObject({
      severity: 'stop',
      message: expect.stringMatching(/and cannot be moved\.$/) as string,
    });
    expect(sayings(fixed)).toEqual([['Cut somewhere else.', null]]);
    const rivet = find(inputOf(framed(feature('rivet', 2100, { kind: 'rivet' })), out(2000, 2600)), 'feature-lost');
    expect(rivet).toMatchObject({ severity: 'note', fixes: [] });
  });

  it('and is a crossmember is moved, taken off, or a new one is advised', () => {
    const frame = plainFrame({ crossmembers: [memberAt('c1', 1000), memberAt('c2', 2100), memberAt('c3', 5000)] });
    const input = inputOf(frame, out(2000, 2600));
    const conflict = find(input, 'crossmember-lost');
    expect(conflict).toMatchObject({ severity: 'warn', about: 'c2', donorX: 2100 });
    expect(sayings(conflict)).toEqual([
      ['Move it to the nearest steel that stays', 'move'],
      ['Take the crossmember out first', 'take-off'],
      ['Add a crossmember near the joint.', null],
    ]);
    expect(conflict.fixes[0]!.edit).toMatchObject({ to: donor(2000 - limit - 30), before: 'op1' });
    for (const { edit } of conflict.fixes) if (edit) expect(stillSaid(input, conflict, edit)).toEqual([]);
  });
});

describe('a crossmember in the way', () => {
  const framedBy = (changes: Partial<Crossmember> = {}) =>
    plainFrame({ crossmembers: [memberAt('c1', 1000), memberAt('c2', 2000, changes), memberAt('c3', 5000)] });

  it('that a cut runs through is cleared by moving the cut, or by taking it out where it comes out', () => {
    const input = inputOf(framedBy(), lengthen(2010));
    const conflict = find(input, 'cut-crossmember');
    expect(conflict).toMatchObject({
      severity: 'stop',
      about: 'c2',
      operation: 'op1',
      builtX: expect.any(Number) as number,
    });
    expect(sayings(conflict).map(([, edit]) => edit)).toEqual(['shift', 'shift', 'take-off']);
    for (const { edit } of conflict.fixes) expect(stillSaid(input, conflict, edit!)).toEqual([]);
    const fixed = find(inputOf(framedBy({ removable: false }), lengthen(2010)), 'cut-crossmember');
    expect(sayings(fixed).map(([, edit]) => edit)).toEqual(['shift', 'shift']);
  });

  it('that comes out, or is moved, only after the cut comes before it in one press', () => {
    const change = (what: object): Bare => ({ kind: 'crossmember', change: what }) as Bare;
    const removed = inputOf(framedBy(), lengthen(2010), change({ what: 'remove', crossmember: 'c2' }));
    const conflict = find(removed, 'cut-before-taken-off');
    expect(conflict).toMatchObject({ operation: 'op1', about: 'c2' });
    expect(conflict.message).toMatch(/it is taken out only after the cut/);
    expect(conflict.fixes).toEqual([
      { say: 'Take it out before the cut', edit: { do: 'order', operation: 'op2', before: 'op1' } },
    ]);
    expect(stillSaid(removed, conflict, conflict.fixes[0]!.edit!)).toEqual([]);
    const moved = inputOf(framedBy(), lengthen(2010), change({ what: 'move', crossmember: 'c2', to: donor(1500) }));
    expect(find(moved, 'cut-before-taken-off')).toMatchObject({
      message: expect.stringMatching(/it is moved only after the cut/) as string,
      fixes: [{ say: 'Move it before the cut' }],
    });
  });

  it('must become wider or narrower with the frame, by how much', () => {
    const widen = (amount: number) =>
      find(inputOf(framedBy(), { kind: 'widen', amount, from: null, to: null, transition: 0 }), 'crossmember-width');
    expect(widen(101.6).message).toMatch(/must become 4 in wider/);
    expect(widen(-101.6).message).toMatch(/must become 4 in narrower/);
  });
});

describe('the datum hole', () => {
  it('that is lost is replaced by a hole that stays, the nearest first', () => {
    const holes = [500, 3000, 1200].map((x) => feature(`hole ${x}`, x, { kind: 'hole', movable: 'no' }));
    const input = inputOf(framed(...holes), {
      kind: 'trim',
      end: 'front',
      at: donor(300),
      angle: 0,
      lean: 'top-longer',
    });
    const conflict = find(input, 'datum-lost');
    expect(sayings(conflict)).toEqual([
      ['Make “hole 500” the datum', 'datum'],
      ['Make “hole 1200” the datum', 'datum'],
      ['Cut somewhere else.', null],
    ]);
    const cured = carryOutEdit(input, conflict.fixes[0]!.edit!, 'x');
    expect(cured.donor.datum).toBe('hole 500');
    expect(evaluatePlan(cured).conflicts.map(({ code }) => code)).not.toContain('datum-lost');
  });
});

describe('what was entered as not movable', () => {
  const input = inputOf(framed(feature('fixed', 3000, { movable: 'no' })), {
    kind: 'bracket',
    change: { what: 'move', feature: 'fixed', to: donor(3200), down: 75 },
  });

  it('is left where it is, or may be moved after all', () => {
    const conflict = find(input, 'not-movable');
    expect(sayings(conflict)).toEqual([
      ['Leave it where it is', 'drop'],
      ['It can be moved: new holes', 'movable'],
      ['It can be moved: welded again', 'movable'],
    ]);
    for (const { edit } of conflict.fixes) expect(stillSaid(input, conflict, edit!)).toEqual([]);
    const [, drilled, welded] = conflict.fixes.map(({ edit }) => carryOutEdit(input, edit!, 'x').donor.features.at(-1));
    expect([drilled!.movable, welded!.movable]).toEqual(['re-drill', 're-weld']);
  });
});

describe('accepting', () => {
  const frame = framed(feature('strap', 2100), feature('stamp', 5000, { kind: 'identity-stamp', movable: 'no' }));
  const accepting = (input: PlanInput, conflict: Conflict): PlanInput => ({
    ...input,
    plan: { ...input.plan, accepted: [{ conflict: conflict.key, reason: 'it is bridged', by: 'owner' }] },
  });

  it('makes a note of what asked for a decision, under a key that its figures do not change', () => {
    const input = inputOf(frame, out(2000, 2600));
    const conflict = find(input, 'feature-lost');
    expect(conflict).toMatchObject({ acceptable: true, accepted: null, key: 'feature-lost/op1/strap' });
    const accepted = find(accepting(input, conflict), 'feature-lost');
    expect(accepted).toMatchObject({ severity: 'note', key: conflict.key });
    expect(acceptedText(accepted.accepted!)).toBe('Accepted by owner because it is bridged');
    const moved = inputOf(frame, out(1990, 2600));
    expect(find(accepting(moved, conflict), 'feature-lost').accepted).not.toBeNull();
  });

  it('is not open to what must never be done', () => {
    const input = inputOf(frame, lengthen(5000));
    const conflict = find(input, 'identity-stamp');
    expect(conflict.acceptable).toBe(false);
    expect(find(accepting(input, conflict), 'identity-stamp')).toMatchObject({ severity: 'stop', accepted: null });
  });
});

it('an edit whose operation is gone changes nothing', () => {
  const input = inputOf(framed(), lengthen(2000));
  expect(carryOutEdit(input, { do: 'shift', operation: 'gone', by: 10 }, 'x')).toBe(input);
  expect(carryOutEdit(input, { do: 'order', operation: 'gone', before: 'op1' }, 'x')).toBe(input);
  const added = carryOutEdit(input, { do: 'add-crossmember', at: donor(3000), before: null }, 'new');
  expect(evaluatePlan(added).crossmembers.map(({ crossmember, built }) => [crossmember.id, built!.x])).toEqual([
    ['new-member', 3300],
  ]);
});

describe('what the plan itself adds', () => {
  const frame = plainFrame();
  const crossmember = { ...memberAt('own', 3000), name: 'Its own' };
  const adding = { kind: 'crossmember', change: { what: 'add', at: donor(3000), crossmember } } as const;

  it('goes with the operation that adds it, and no operation is left that names nothing', () => {
    const input = inputOf(frame, adding, lengthen(3000));
    const { fixes } = find(input, 'cut-crossmember');
    const way = fixes.find(({ say }) => say === 'Remove the operation that adds it')!;
    const cured = carryOutEdit(input, way.edit!, 'x').plan.operations;
    expect(cured.map(({ kind }) => kind)).toEqual(['lengthen']);
    expect(fixes.some(({ say }) => say === 'Take the crossmember out first')).toBe(false);
  });

  it('a crossmember of the donor is taken out by an operation of its own', () => {
    const input = inputOf(plainFrame({ crossmembers: [crossmember] }), lengthen(3000));
    const way = find(input, 'cut-crossmember').fixes.find(({ say }) => say === 'Take the crossmember out first')!;
    expect(carryOutEdit(input, way.edit!, 'x').plan.operations.map(({ kind }) => kind)).toEqual([
      'crossmember',
      'lengthen',
    ]);
  });

  it('a new crossmember has the section of the others, so that its mass and cut length follow', () => {
    const leg = { id: 'leg', section: { kind: 'tube', depth: 80, width: 60, thickness: 4, inner: 4 } } as const;
    const framed = plainFrame({
      sections: [...frame.sections, leg],
      crossmembers: [{ ...memberAt('c', 1000), section: 'leg' }],
    });
    const input = carryOutEdit(inputOf(framed), { do: 'add-crossmember', at: donor(3000), before: null }, 'n');
    const outcome = evaluatePlan(input).crossmembers.find(({ status }) => status === 'new')!;
    expect(outcome).toMatchObject({ crossmember: { section: 'leg', depth: 80, length: 60 }, cutLength: 850 });
    expect(outcome.mass).toBeNear((80 * 60 - 72 * 52) * 850 * 7.85e-6, 1e-6);
  });
});
