import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { builtZ, codeOf } from '../../test/outcomes.ts';
import type { Feature, Rail } from '../frame/index.ts';
import { evaluatePlan, operationFigures } from './index.ts';

const degrees = (radians: number) => (radians * 180) / Math.PI;
const radians = (count: number) => (count * Math.PI) / 180;
const bare = plainFrame().features[0]!;

/** A rail that rises at an angle from (0, 0) all along. */
const rising = (angle: number): Rail => [
  { x: 0, halfWidth: 400, top: 0, section: 'rail' },
  { x: 5000, halfWidth: 400, top: 5000 * Math.tan(radians(angle)), section: 'rail' },
];

/** A pie cut at 2000 that brings the point `distance` along the top edge down by `drop`, and that point as a hole. */
function dropped(stations: Rail, drop: number, distance: number, changes: object = {}) {
  const slope = (stations[1]!.top - stations[0]!.top) / (stations[1]!.x - stations[0]!.x);
  const run = distance / Math.hypot(1, slope);
  const tip: Feature = { ...bare, id: 'tip', name: 'tip', x: 2000 + run, down: 0, diameter: 0 };
  const frame = plainFrame({ features: [bare, tip] }, stations);
  const input = inputOf(frame, {
    kind: 'pie-cut',
    at: donor(2000),
    pivot: 'top',
    mode: 'close',
    turned: 'rear',
    amount: { by: 'drop', drop, distance },
    wedge: 'symmetric',
    ...changes,
  });
  const result = evaluatePlan(input);
  const figures = operationFigures(input, result, 'op1');
  if (figures?.kind !== 'pie-cut') throw new Error('no pie cut');
  return { result, figures, tip: result.features.find(({ feature }) => feature.id === 'tip')!.shift! };
}

describe('a pie cut given by how far a point drops', () => {
  // By hand: L 690, D 95: a level rail turns by 7.914° and the point comes 6.57 forward; one that rises at 15° turns
  // by 8.042° and the point goes 18.43 back.
  it.each([
    [0, 7.914, 6.57],
    [15, 8.042, -18.43],
  ])('on a rail that rises at %d° turns by %d°, the point comes %d nearer', (angle, turn, nearer) => {
    const { figures, tip } = dropped(rising(angle), 95, 690);
    expect(degrees(figures.angle)).toBeNear(turn, 5e-4);
    expect(figures.nearer).toBeNear(nearer, 5e-3);
    // The hole at the point says the same: what the sketch shows is what the frame does.
    expect(tip.dz).toBeNear(-95, 1e-9);
    expect(tip.dx).toBeNear(-nearer, 5e-3);
  });

  it('brings the point exactly as far as asked on any straight rail, up or down', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -25, max: 25, noNaN: true }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        fc.double({ min: 500, max: 1500, noNaN: true }),
        fc.boolean(),
        (angle, drop, distance, open) => {
          const { figures, tip } = dropped(rising(angle), drop, distance, { mode: open ? 'open' : 'close' });
          expect(tip.dz).toBeNear(open ? drop : -drop, 1e-7);
          expect(tip.dx).toBeNear(-figures.nearer!, 1e-7);
        },
      ),
    );
  });

  it('measures to a point that lies round a bend in a straight line', () => {
    // A level run of 400, then a rise of 45°: 1000 in a straight line from the pivot lies where x² + (x − 400)² = 1000²
    // counted from the pivot, x = 200 + √(500 000 − 40 000) = 878.233, and 478.233 up.
    const bent: Rail = [
      { x: 0, halfWidth: 400, top: 0, section: 'rail' },
      { x: 2400, halfWidth: 400, top: 0, section: 'rail' },
      { x: 4400, halfWidth: 400, top: 2000, section: 'rail' },
    ];
    const x = 200 + Math.sqrt(460_000);
    const tip: Feature = { ...bare, id: 'tip', name: 'tip', x: 2000 + x, down: 0, diameter: 0 };
    const result = evaluatePlan(
      inputOf(plainFrame({ features: [bare, tip] }, bent), {
        kind: 'pie-cut',
        at: donor(2000),
        pivot: 'top',
        mode: 'close',
        turned: 'rear',
        amount: { by: 'drop', drop: 60, distance: 1000 },
        wedge: 'square',
      }),
    );
    expect(builtZ(result, 'tip')! - (x - 400)).toBeNear(-60, 1e-7);
  });

  it('turns the front by the same when the frame is looked at from the other end', () => {
    const { figures: rear } = dropped(rising(-12), 70, 800);
    const { figures: front } = dropped(rising(12), 70, 800, { turned: 'front', at: donor(2000) });
    expect(front.angle).toBeNear(rear.angle, 1e-9);
    expect(front.nearer).toBeNear(rear.nearer!, 1e-9);
  });

  it('is refused where no turn brings the point that far', () => {
    for (const [drop, distance] of [
      [700, 690],
      [0, 690],
      [50, 0],
      [-5, 690],
    ]) {
      const input = inputOf(plainFrame(), {
        kind: 'pie-cut',
        at: donor(2000),
        pivot: 'top',
        mode: 'close',
        turned: 'rear',
        amount: { by: 'drop', drop: drop!, distance: distance! },
        wedge: 'symmetric',
      });
      expect(codeOf(evaluatePlan(input))).toBe('operation/pie-angle');
    }
  });
});
