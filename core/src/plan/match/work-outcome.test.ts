import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../../test/frames.ts';
import { type Body, newBody, newWorkBody, type WorkBody, workProblems } from '../../body/index.ts';
import { evaluatePlan } from '../evaluate-plan.ts';

let count = 0;
const id = (prefix: string) => `${prefix}-${(count += 1)}`;
const member = {
  id: 'cm',
  name: 'Rear crossmember',
  x: 5200,
  length: 80,
  depth: 60,
  below: 0,
  fixing: 'bolted',
  removable: true,
} as const;
const hole = (name: string, x: number, side: 'left' | 'both') => ({
  ...plainFrame().features[0]!,
  id: name,
  name,
  x,
  side,
});
/** Axles at 700 and 4300, cab back at 2300, end of the frame at 6000. */
const frame = plainFrame({
  points: [{ id: 'cab', name: 'Back of cab', kind: 'cab-back', x: 2300, y: 0, z: 600, mass: 0 }],
  crossmembers: [member],
  features: [...plainFrame().features, hole('a', 4950, 'both'), hole('b', 5010, 'left'), hole('c', 5500, 'both')],
});
const work: WorkBody = {
  ...newWorkBody(id),
  length: 3000,
  behind: 0.4,
  hose: 12,
  clearance: 6,
  stack: [
    { id: 'l1', name: 'Spacer', height: 19, open: true },
    { id: 'l2', name: 'Sill', height: 213, open: false },
  ],
  hinge: 100,
  mechanism: { name: 'Hoist', least: 800, most: 1600, stands: 1100, foot: 200 },
};
const look = (changes: Partial<WorkBody> = {}) => {
  const body: Body = { ...newBody('bed', 'Dump body'), gapAhead: 60, work: { ...work, ...changes } };
  const result = evaluatePlan({ ...inputOf(frame), bodies: [body] });
  return { ...result.seats[0]!.work!, codes: result.conflicts.map(({ code }) => code) };
};

describe('where a mechanism may stand', () => {
  const stood = (changes: object, ...operations: Parameters<typeof inputOf>[1][]) => {
    const body: Body = { ...newBody('bed', 'Dump body'), gapAhead: 60, work };
    const input = inputOf({ ...frame, ...changes }, ...operations);
    return evaluatePlan({ ...input, bodies: [body] }).seats[0]!.work!.mechanism!;
  };
  const box = (left: number, right: number) => ({
    rooms: [
      { id: 't', name: 'Tank', kind: 'tank' as const, front: 4700, rear: 4900, left, right, low: -300, high: -20 },
    ],
  });

  it('a box between the rails is in its way, one outside them is not', () => {
    // The hinge at 6100, so that it may stand from 4500 to 5300; the crossmember at 5200 takes 5060 and on.
    expect(stood({}).clear).toEqual([[4500, 5060]]);
    expect(stood(box(-200, 200)).clear).toEqual([
      [4500, 4600],
      [5000, 5060],
    ]);
    expect(stood(box(-800, -450)).clear).toEqual([[4500, 5060]]);
  });

  it('a crossmember that the plan puts under its foot carries it', () => {
    const add = (x: number) =>
      ({
        kind: 'crossmember',
        change: { what: 'add', at: { x, on: 'donor' }, crossmember: { ...member, id: 'own', name: 'Its own', x: 0 } },
      }) as const;
    const own = stood({}, add(5000));
    expect(own.clear).toEqual([[4500, 5060]]);
    expect(own.standsOn).toContain('Its own');
    expect(stood({}, add(4700)).clear).toEqual([
      [4500, 4560],
      [4840, 5060],
    ]);
  });
});

describe('a deck', () => {
  it('asks for cab to axle by its length and share behind, and says the longest that the frame takes', () => {
    // Gap 60 and three fifths of 3000; the frame has 2000: (2000 − 60) / 0.6.
    const { cabToAxle, longest, overhang, beyondFrame, codes } = look();
    expect(cabToAxle).toEqual({ asked: 1860, has: 2000 });
    expect(longest).toBeNear(1940 / 0.6, 1e-9);
    expect([overhang, beyondFrame]).toEqual([1200, -500]);
    expect(codes).not.toContain('deck-cab-to-axle');
    expect(look({ length: 3300 }).codes).toContain('deck-cab-to-axle');
  });

  it('the longest deck is the one that asks for what is there', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.6, noNaN: true }), (behind) => {
        const { longest } = look({ behind });
        expect(look({ behind, length: longest! }).cabToAxle.asked).toBeNear(2000, 1e-6);
      }),
      { numRuns: 20 },
    );
  });

  it('its stack by hand, and a hose that an open layer pinches', () => {
    const { deckHeight, open, codes } = look();
    expect(deckHeight).toBe(19 + 213);
    // 19 less a hose of 12 with 6 on both sides of it.
    expect(open.map(({ left }) => left)).toEqual([-5]);
    expect(codes).toContain('deck-pinched');
    expect(look({ clearance: 3 }).codes).not.toContain('deck-pinched');
  });

  it('its mechanism: where it may stand, what it is bolted through, and what moving it trades', () => {
    const { mechanism, codes } = look();
    // Hinge at 6100: it may stand from 4500 to 5300; the crossmember with half a foot on each side takes 5060 to 5340.
    expect(mechanism).toMatchObject({ hingeX: 6100, at: 5000, works: true, standsOn: [], clear: [[4500, 5060]] });
    expect(mechanism!.holes.map(({ name, sides }) => [name, sides.length])).toEqual([
      ['a', 2],
      ['b', 1],
    ]);
    expect(mechanism!.capacity).toBeNear(1100 / 1600, 1e-12);
    expect(mechanism!.lift * mechanism!.capacity).toBeNear(1, 1e-12);
    expect(codes).not.toContain('deck-mechanism');
    const moved = look({ mechanism: { ...work.mechanism!, stands: 880 } });
    expect(moved.mechanism!.standsOn).toEqual(['Rear crossmember']);
    expect(moved.codes).toContain('deck-mechanism');
    expect(look({ mechanism: { ...work.mechanism!, stands: 700 } }).mechanism!.works).toBe(false);
    expect(look({ hinge: null }).mechanism).toBeNull();
  });

  it('its rear edge lies on the frame, and decides the departure where it hangs over farther than the frame', () => {
    const at = (length: number, lean: 'top-longer' | 'bottom-longer' | null) => {
      const made = inputOf(
        frame,
        ...(lean ? [{ kind: 'trim' as const, end: 'rear' as const, at: donor(5800), angle: 0.5, lean }] : []),
      );
      const of = { ...made, bodies: [{ ...newBody('deck', 'Deck'), work: { ...work, length } }] };
      return evaluatePlan(of);
    };
    const [within, over] = [at(3000, null), at(6000, null)];
    expect(within.seats[0]!.work!.beyondFrame).toBeNear(4300 + 1200 - 6000, 1e-9);
    expect(within.ramps.departure).toBe(within.measures.after.departure);
    // 2400 behind the axle, at the top edge: the tire's middle at −150, radius 380; the ground rises by 30 over 3600.
    const tangent = Math.atan2(150, 2400) + Math.asin(380 / Math.hypot(150, 2400)) - Math.atan(30 / 3600);
    expect(over.seats[0]!.ramps.departure).toBeNear(tangent, 1e-9);
    // The end is the farthest corner, whichever it is, and the overhang over it is measured from there.
    const [low, high] = [at(3000, 'bottom-longer'), at(3000, 'top-longer')];
    for (const result of [low, high])
      expect(result.seats[0]!.work!.beyondFrame).toBeNear(5500 - result.measures.after.ends.rear.x, 1e-9);
    expect(low.seats[0]!.work!.frameEnd.corner).toBe('bottom');
    expect(high.seats[0]!.work!.frameEnd.corner).toBe('top');
  });

  it('a hose that just fits is not missing room, whatever its figures add up to', () => {
    const layer = { id: 'l', name: 'Spacer', height: 0.1 + 0.2, open: true };
    const { open } = look({ stack: [layer], hose: 0.1, clearance: 0.1 });
    expect(open[0]!.left).toBe(0);
    expect(look({ stack: [layer], hose: 0.2, clearance: 0.1 }).open[0]!.left).toBeNear(-0.1, 1e-9);
  });

  it.each([
    ['length', { length: 0 }],
    ['behind', { behind: 1 }],
    ['hose', { hose: -1 }],
    ['stack[0].height', { stack: [{ id: 'x', name: 'Sill', height: 0, open: false }] }],
    ['mechanism.most', { mechanism: { ...work.mechanism!, most: 700 } }],
  ] as const)('what cannot be is told at %s', (path, changes) => {
    expect(workProblems({ ...work, ...changes }, 'w').map((problem) => problem.path)).toEqual([`w.${path}`]);
    expect(workProblems(work, 'w')).toEqual([]);
  });
});
