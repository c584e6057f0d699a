import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { built, donor, inputOf, plainFrame } from '../../../test/frames.ts';
import { builtX, codeOf } from '../../../test/outcomes.ts';
import type { Feature, Rail } from '../../frame/index.ts';
import { evaluatePlan } from '../index.ts';

const at = (id: string, x: number): Feature => ({ ...plainFrame().features[0]!, id, name: id, x });
const marked = plainFrame({ features: [...plainFrame().features, at('early', 1000), at('late', 5000)] });
const climbing: Rail = [
  { x: 0, halfWidth: 430, top: 0, section: 'rail' },
  { x: 2000, halfWidth: 430, top: 0, section: 'rail' },
  { x: 4000, halfWidth: 430, top: 400, section: 'rail' },
  { x: 6000, halfWidth: 430, top: 400, section: 'rail' },
];

describe('shorten', () => {
  it('brings everything behind the cut forward by what comes out, and leaves what is ahead', () => {
    const result = evaluatePlan(
      inputOf(marked, { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2600) }),
    );
    expect([builtX(result, 'early'), builtX(result, 'late')]).toEqual([1000, 4400]);
    expect(result.measures.after.wheelbase).toBeNear(result.measures.before.wheelbase! - 600, 1e-9);
    expect(result.removed).toMatchObject([{ operation: 'op1', source: 'donor' }]);
    expect(result.tape.folds).toMatchObject([{ donorFrom: 2000, donorTo: 2600, builtX: 2000 }]);
  });

  it('on a slope reports the height that is lost, and does not smooth it over', () => {
    const result = evaluatePlan(
      inputOf(plainFrame({}, climbing), { kind: 'shorten', transition: 0, from: donor(2500), to: donor(3000) }),
    );
    // 500 of a slope of 1 in 5: the rear end arrives 100 higher than the front one.
    expect(result.joints[0]!.sides.left.dz).toBeNear(100, 1e-9);
    expect(result.joints[0]!.sides.left.pitch).toBeNear(0, 1e-12);
  });

  it('across a joint of an earlier operation takes its new steel too, and says so', () => {
    const result = evaluatePlan(
      inputOf(
        marked,
        { kind: 'lengthen', at: donor(2000), length: 300, section: null },
        { kind: 'shorten', transition: 0, from: built(1900), to: built(2500) },
      ),
    );
    expect(codeOf(result, 1)).toBe('done');
    expect(builtX(result, 'late')).toBeNear(5000 + 300 - 600, 1e-9);
    expect(result.pieces).toHaveLength(2);
    expect(result.conflicts.map(({ code }) => code)).toContain('operations-overlap');
  });

  it.each([
    ['its cuts the wrong way round', donor(2600), donor(2000), 'operation/order'],
    ['both cuts in one place', donor(2000), donor(2000), 'operation/order'],
    ['a cut off the frame', donor(2000), donor(6500), 'operation/off-the-frame'],
    ['nothing left behind', donor(2000), donor(6000), 'operation/nothing-left'],
    ['nothing left ahead', donor(0), donor(500), 'operation/nothing-left'],
  ])('is refused with %s', (_, from, to, code) => {
    const result = evaluatePlan(inputOf(marked, { kind: 'shorten', transition: 0, from, to }));
    expect(codeOf(result)).toBe(code);
    expect(result.measures.after).toEqual(result.measures.before);
    expect(result.operations[0]!.refusal!.fixes.length).toBeGreaterThan(0);
  });

  it('twice equals once over the sum', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 900 }), fc.integer({ min: 10, max: 900 }), (first, second) => {
        const once = evaluatePlan(
          inputOf(marked, { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2000 + first + second) }),
        );
        const twice = evaluatePlan(
          inputOf(
            marked,
            { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2000 + first) },
            { kind: 'shorten', transition: 0, from: built(2000), to: built(2000 + second) },
          ),
        );
        expect(builtX(twice, 'late')).toBeNear(builtX(once, 'late')!, 1e-9);
        expect(twice.measures.after.mass).toBeNear(once.measures.after.mass, 1e-9);
      }),
    );
  });
});

describe('lengthen', () => {
  it('adds a piece of the rail ahead of the cut, level with it', () => {
    const result = evaluatePlan(inputOf(marked, { kind: 'lengthen', at: donor(3000), length: 450, section: null }));
    expect(builtX(result, 'late')).toBe(5450);
    expect(result.pieces.map(({ source }) => source)).toEqual(['donor', 'op1', 'donor']);
    expect(result.joints.map(({ verdict }) => verdict)).toEqual(['meets', 'meets']);
    expect(result.joints.map(({ builtX: x }) => x)).toEqual([3000, 3450]);
  });

  it('on a slope runs level: the step that leaves at the rear joint is reported', () => {
    const result = evaluatePlan(
      inputOf(plainFrame({}, climbing), { kind: 'lengthen', at: donor(3000), length: 100, section: null }),
    );
    const [front, rear] = result.joints;
    expect(front!.sides.left.pitch).toBeNear(-Math.atan(0.2), 1e-9);
    expect(rear!.sides.left.pitch).toBeNear(Math.atan(0.2), 1e-9);
  });

  it('takes a section from the list, and the difference shows at its joints', () => {
    const heavy = { kind: 'tube', depth: 150, width: 66, thickness: 6, inner: 6 } as const;
    const frame = plainFrame({ sections: [...plainFrame().sections, { id: 'heavy', section: heavy }] });
    const result = evaluatePlan(inputOf(frame, { kind: 'lengthen', at: donor(3000), length: 300, section: 'heavy' }));
    expect(result.joints[0]!.sides.left).toMatchObject({ depth: 0, width: 6, wall: 1 });
    expect(result.joints[1]!.sides.left).toMatchObject({ depth: 0, width: -6, wall: -1 });
    expect(result.joints[0]!.verdict).toBe('needs-a-transition-piece');
  });

  it.each([
    ['no length', donor(3000), 0, null, 'operation/not-positive'],
    ['a length below 0', donor(3000), -10, null, 'operation/not-positive'],
    ['a place off the frame', donor(-10), 300, null, 'operation/off-the-frame'],
    ['the end of the frame as its place', donor(6000), 300, null, 'operation/nothing-left'],
    ['a section that is not there', donor(3000), 300, 'oak', 'operation/unknown-section'],
  ])('is refused with %s', (_, place, length, section, code) => {
    expect(codeOf(evaluatePlan(inputOf(marked, { kind: 'lengthen', at: place, length, section })))).toBe(code);
  });

  it('moves every control measurement that spans it by its true amount: no more than the stretch', () => {
    const frame = plainFrame({
      controlPoints: [
        { id: 'a', name: 'A', x: 500, inboard: 0, down: 0 },
        { id: 'b', name: 'B', x: 4500, inboard: 0, down: 0 },
      ],
      controlMeasurements: [
        { id: 'd', kind: 'tape', from: { point: 'a', side: 'left' }, to: { point: 'b', side: 'right' } },
        { id: 'l', kind: 'tape', from: { point: 'a', side: 'left' }, to: { point: 'b', side: 'left' } },
      ],
    });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2000 }), (length) => {
        const { controls } = evaluatePlan(inputOf(frame, { kind: 'lengthen', at: donor(2000), length, section: null }));
        const [diagonal, straight] = controls;
        expect(straight!.predicted).toBeNear(4000 + length, 1e-9);
        expect(diagonal!.predicted).toBeNear(Math.hypot(4000 + length, 860), 1e-9);
        expect(diagonal!.predicted! - diagonal!.before).toBeLessThan(length);
      }),
    );
  });
});

describe('trim and extend', () => {
  it.each([
    ['rear', 'top-longer', 5000, 5000 - 150],
    ['rear', 'bottom-longer', 5000, 5000 + 150],
    ['front', 'top-longer', 800, 800 + 150],
    ['front', 'bottom-longer', 800, 800 - 150],
  ] as const)('%s end, %s: the lower edge ends a depth away at 45°', (end, lean, x, lower) => {
    const result = evaluatePlan(inputOf(plainFrame(), { kind: 'trim', end, at: donor(x), angle: Math.PI / 4, lean }));
    const { overallLength } = result.measures.after;
    const reach = end === 'rear' ? Math.max(x, lower) : 6000 - Math.min(x, lower);
    expect(overallLength).toBeNear(reach, 1e-9);
    expect(result.cutEnds).toMatchObject([{ end, letter: 'A', donorX: x }]);
  });

  it.each([
    [-0.1, 'operation/trim-angle'],
    [Math.PI / 2, 'operation/trim-angle'],
    [Number.NaN, 'operation/trim-angle'],
  ])('an angle of %s is refused', (angle, code) => {
    const trim = { kind: 'trim', end: 'rear', at: donor(5000), angle, lean: 'top-longer' } as const;
    expect(codeOf(evaluatePlan(inputOf(plainFrame(), trim)))).toBe(code);
  });

  it('a horn takes the place of what a trim took off, at either end', () => {
    for (const end of ['front', 'rear'] as const) {
      const place = end === 'rear' ? 5500 : 500;
      const result = evaluatePlan(
        inputOf(
          plainFrame(),
          { kind: 'trim', end, at: donor(place), angle: 0, lean: 'top-longer' },
          { kind: 'extend', end, length: 500, section: null },
        ),
      );
      expect(result.measures.after.overallLength).toBeNear(6000, 1e-9);
      expect(result.measures.after.mass).toBeNear(result.measures.before.mass, 1e-9);
      expect(result.joints.map(({ verdict }) => verdict)).toEqual(['meets']);
    }
  });

  it('a horn needs a square end and a length', () => {
    const lean = { kind: 'trim', end: 'rear', at: donor(5500), angle: 0.3, lean: 'top-longer' } as const;
    const horn = { kind: 'extend', end: 'rear', length: 500, section: null } as const;
    expect(codeOf(evaluatePlan(inputOf(plainFrame(), lean, horn)), 1)).toBe('operation/leaning-end');
    expect(codeOf(evaluatePlan(inputOf(plainFrame(), { ...horn, length: 0 })))).toBe('operation/not-positive');
  });
});
