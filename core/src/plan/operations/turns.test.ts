import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame, pointAt } from '../../../test/frames.ts';
import { builtX, builtZ, codeOf } from '../../../test/outcomes.ts';
import type { Feature } from '../../frame/index.ts';
import { evaluatePlan, type PieCut } from '../index.ts';

const at = (id: string, x: number, down = 0): Feature => ({ ...plainFrame().features[0]!, id, name: id, x, down });
const marked = plainFrame({ features: [...plainFrame().features, at('tip', 5000), at('nose', 1000)] });
const pie = (changes: Partial<Omit<PieCut, 'id' | 'note' | 'off'>> = {}) => ({
  kind: 'pie-cut' as const,
  at: donor(4000),
  pivot: 'top' as const,
  mode: 'close' as const,
  turned: 'rear' as const,
  amount: { by: 'angle' as const, angle: 0.1 },
  wedge: 'symmetric' as const,
  ...changes,
});

describe('pie cut', () => {
  // Closing below a top pivot, or opening above a bottom one, brings the turned part down; the others bring it up.
  it.each([
    ['top', 'close', 'rear', -1],
    ['top', 'open', 'rear', 1],
    ['bottom', 'close', 'rear', 1],
    ['bottom', 'open', 'rear', -1],
    ['top', 'close', 'front', -1],
    ['top', 'open', 'front', 1],
    ['bottom', 'close', 'front', 1],
    ['bottom', 'open', 'front', -1],
  ] as const)('pivot at the %s, %s: the %s goes %s', (pivot, mode, turned, way) => {
    const result = evaluatePlan(inputOf(marked, pie({ pivot, mode, turned })));
    const id = turned === 'rear' ? 'tip' : 'nose';
    const still = turned === 'rear' ? 'nose' : 'tip';
    expect(Math.sign(builtZ(result, id)!)).toBe(way);
    expect(builtZ(result, still)).toBe(0);
  });

  it('turns a point on the top edge in a circle about the pivot', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1, noNaN: true }), (angle) => {
        const result = evaluatePlan(inputOf(marked, pie({ amount: { by: 'angle', angle } })));
        expect(builtX(result, 'tip')).toBeNear(4000 + 1000 * Math.cos(angle), 1e-6);
        expect(builtZ(result, 'tip')).toBeNear(-1000 * Math.sin(angle), 1e-6);
      }),
    );
  });

  it('given by a drop, brings the named point down by it', () => {
    const result = evaluatePlan(inputOf(marked, pie({ amount: { by: 'drop', drop: 85.725, distance: 1000 } })));
    expect(builtZ(result, 'tip')).toBeNear(-85.725, 1e-9);
  });

  it.each([
    ['symmetric', 2 * 150 * Math.tan(0.05)],
    ['square', 150 * Math.tan(0.1)],
  ] as const)('a %s wedge is as wide as its definition', (wedge, width) => {
    const result = evaluatePlan(inputOf(marked, pie({ wedge })));
    const [removed] = result.removed;
    expect((removed!.front.lean - removed!.rear.lean) * 150).toBeNear(width, 1e-9);
    expect(result.joints[0]!.sides.left.gapBottom).toBeNear(0, wedge === 'symmetric' ? 1e-9 : 2);
  });

  it('opened, leaves the gap between two square ends: 2h·sin(θ/2)', () => {
    const { gapBottom, gapTop } = evaluatePlan(inputOf(marked, pie({ mode: 'open' }))).joints[0]!.sides.left;
    expect(gapTop).toBeNear(0, 1e-9);
    // Measured along the front piece, the gap's own length times the cosine of half the turn.
    expect(gapBottom / Math.cos(0.05)).toBeNear(2 * 150 * Math.sin(0.05), 1e-6);
  });

  it.each([
    [{ by: 'angle', angle: 0 }, 'operation/pie-angle'],
    [{ by: 'angle', angle: -0.1 }, 'operation/pie-angle'],
    [{ by: 'angle', angle: 1.1 }, 'operation/pie-angle'],
    [{ by: 'drop', drop: 500, distance: 400 }, 'operation/pie-angle'],
    [{ by: 'drop', drop: 10, distance: 0 }, 'operation/pie-angle'],
  ] as const)('%o is refused', (amount, code) => {
    expect(codeOf(evaluatePlan(inputOf(marked, pie({ amount }))))).toBe(code);
  });

  it('turned down and up again leaves the rear level, lower by the length between times the sine', () => {
    const result = evaluatePlan(inputOf(marked, pie({ at: donor(3000) }), pie({ at: donor(3600), pivot: 'bottom' })));
    expect(result.pieces.at(-1)!.pose.turn).toBeNear(0, 1e-12);
    expect(result.measures.after.wheelbase).toBeLessThan(3600);
    expect(builtZ(result, 'tip')).toBeLessThan(-600 * Math.sin(0.1) + 20);
  });
});

describe('step', () => {
  const step = (rise: number, method: 'turn-middle' | 'new-middle') =>
    ({ kind: 'step', from: donor(3000), to: donor(3600), rise, method }) as const;

  it.each(['turn-middle', 'new-middle'] as const)('%s brings the rear up by the rise, level again', (method) => {
    fc.assert(
      fc.property(fc.integer({ min: -300, max: 300 }), (rise) => {
        if (rise === 0) return;
        const result = evaluatePlan(inputOf(marked, step(rise, method)));
        expect(builtZ(result, 'tip')).toBeNear(rise, 1e-6);
        expect(result.pieces.at(-1)!.pose.turn).toBe(0);
      }),
    );
  });

  it('turning the middle makes the frame shorter by L(1 − cos), a new middle does not', () => {
    const angle = Math.asin(120 / 600);
    const shorter = evaluatePlan(inputOf(marked, step(120, 'turn-middle'))).measures.after;
    expect(shorter.overallLength).toBeNear(6000 - 600 * (1 - Math.cos(angle)), 1e-6);
    expect(evaluatePlan(inputOf(marked, step(120, 'new-middle'))).measures.after.overallLength).toBeNear(6000, 1e-9);
  });

  it('carries axles, points and the drive line along, turned with their piece', () => {
    const points = [pointAt('pinion', 4300, 0, -200), pointAt('middle', 3300, 0, 0)];
    const result = evaluatePlan(inputOf(plainFrame({ points }), step(120, 'turn-middle')));
    const [pinion, middle] = result.points;
    expect(pinion!.built!.z).toBeNear(-80, 1e-6);
    expect(pinion!.turn).toBe(0);
    expect(middle!.turn).toBeNear(Math.asin(0.2), 1e-9);
    expect(result.axles[1]!.built!.z).toBeNear(-150 + 120, 1e-6);
  });

  it.each([
    [0, 'turn-middle', 'operation/not-positive'],
    [590, 'turn-middle', 'operation/step-too-steep'],
    [-590, 'turn-middle', 'operation/step-too-steep'],
  ] as const)('a rise of %s by %s is refused', (rise, method, code) => {
    expect(codeOf(evaluatePlan(inputOf(marked, step(rise, method))))).toBe(code);
  });

  it('its cuts must be in order', () => {
    const wrong = { ...step(50, 'new-middle'), from: donor(3600), to: donor(3000) };
    expect(codeOf(evaluatePlan(inputOf(marked, wrong)))).toBe('operation/order');
  });
});
