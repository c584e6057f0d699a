import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { markSheet } from '../markout/index.ts';
import { sectionLookup } from '../frame/index.ts';
import { evaluatePlan, operationFigures, type PlanInput, sideOutline } from './index.ts';

const DEPTH = 150;
const END = 6000;
const trimmed = (at: number, angle: number, lean: 'top-longer' | 'bottom-longer' = 'bottom-longer') =>
  inputOf(plainFrame(), { kind: 'trim', end: 'rear', at: donor(at), angle, lean });

const figuresOf = (input: PlanInput) => {
  const found = operationFigures(input, evaluatePlan(input), 'op1');
  if (found?.kind !== 'trim') throw new Error('no figures of a trim');
  return found;
};

describe('an angled trim that runs past the end of the rail', () => {
  // The top edge is cut 60 ahead of the end at 45°: the cut meets the end 60 below the top, and the end stays square below.
  const input = trimmed(END - 60, Math.PI / 4);
  const result = evaluatePlan(input);

  it('makes no steel that was not there: the overhang stays, and what comes off is the triangle', () => {
    expect(result.measures.after.axleToEnd).toBeNear(result.measures.before.axleToEnd!, 1e-9);
    const section = sectionLookup(input.donor);
    expect(sideOutline(result.pieces[0]!, 'left', section).map(([x, z]) => [x, z])).toEqual([
      [0, 0],
      [END - 60, expect.closeTo(0, 9)],
      [expect.closeTo(END, 9), expect.closeTo(-60, 9)],
      [END, -DEPTH],
      [0, -DEPTH],
    ]);
    // A tube 150 × 60 × 5: the top wall loses 60, each side wall a triangle of 60 × 60 less what the top wall has of it.
    const gone = result.measures.before.mass - result.measures.after.mass;
    const top = 60 * 5 * (60 - 2.5);
    const sides = 2 * 5 * (((60 - 5) * (60 - 5)) / 2);
    expect(gone).toBeNear(2 * 7.85e-6 * (top + sides), 1e-6);
  });

  it('is marked where it is cut and not beyond the end, and says where it runs out', () => {
    const [line] = markSheet(input, result).lines;
    expect(line).toMatchObject({ runsOut: expect.closeTo(60, 6), kerf: 'behind' });
    expect(line!.from.top).toBeNear(END - 60 - 100, 1e-9);
    expect([line!.from.web, line!.from.bottom]).toEqual([null, null]);
  });

  it('has a cut face as long as it is cut', () => {
    const figures = figuresOf(input);
    expect(figures.face).toBeNear(60 * Math.SQRT2, 1e-6);
    expect(figures.lean).toBeNear(60, 1e-6);
    expect(figures.runsOut).toBeNear(60, 1e-6);
    const whole = figuresOf(trimmed(5000, Math.PI / 4));
    expect(whole.face).toBeNear(DEPTH * Math.SQRT2, 1e-6);
    expect(whole.runsOut).toBeNull();
  });

  it('never makes a frame longer or heavier, wherever and however it leans', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('front' as const, 'rear' as const),
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 1.3, noNaN: true }),
        fc.constantFrom('top-longer' as const, 'bottom-longer' as const),
        (end, off, angle, lean) => {
          const at = donor(end === 'rear' ? END - off : off);
          const { measures, operations } = evaluatePlan(inputOf(plainFrame(), { kind: 'trim', end, at, angle, lean }));
          if (operations[0]!.status !== 'done') return;
          expect(measures.after.overallLength).toBeLessThanOrEqual(measures.before.overallLength + 1e-6);
          expect(measures.after.mass).toBeLessThanOrEqual(measures.before.mass + 1e-9);
        },
      ),
    );
  });

  it('a second trim keeps what the first left', () => {
    const twice = evaluatePlan(
      inputOf(
        plainFrame(),
        { kind: 'trim', end: 'rear', at: donor(END - 40), angle: Math.PI / 4, lean: 'bottom-longer' },
        { kind: 'trim', end: 'rear', at: donor(END - 45), angle: Math.PI / 4, lean: 'top-longer' },
      ),
    );
    const once = evaluatePlan(
      inputOf(plainFrame(), { kind: 'trim', end: 'rear', at: donor(END - 45), angle: Math.PI / 4, lean: 'top-longer' }),
    );
    expect(twice.measures.after.mass).toBeNear(once.measures.after.mass, 1e-9);
    expect(twice.cutEnds).toHaveLength(1);
  });
});
