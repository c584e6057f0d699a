import { expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { evaluatePlan, lettersToKeep, type PlanInput } from '../plan/index.ts';
import { changeText, lineChanges, markDrawings, markedLines, markSheet } from './index.ts';

const lengthen = (at: number) => inputOf(plainFrame(), { kind: 'lengthen', at: donor(at), length: 300, section: null });
const linesOf = (input: PlanInput) => markedLines(markSheet(input, evaluatePlan(input)));
const show = (mm: number) => mm.toFixed(0);

it('says how far each line moved since a sheet was printed', () => {
  const changes = lineChanges(linesOf(lengthen(2000)), linesOf(lengthen(2180)));
  // The datum hole is at 100.
  expect(changes.map((change) => changeText(change, show))).toEqual([
    'A·B, left: moved 180 rearward, 1900 → 2080',
    'A·B, right: moved 180 rearward, 1900 → 2080',
  ]);
  expect(lineChanges(linesOf(lengthen(2000)), linesOf(lengthen(2000)))).toEqual([]);
});

it('says which line is not cut any more, and which is new', () => {
  const shorten = inputOf(plainFrame(), { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2400) });
  expect(lineChanges(linesOf(lengthen(2000)), linesOf(shorten)).map((change) => changeText(change, show))).toEqual([
    'A·B, left: not cut any more',
    'A·B, right: not cut any more',
    'A, left: new, at 1900',
    'A, left: new, at 2300',
    'A, right: new, at 1900',
    'A, right: new, at 2300',
  ]);
});

it('keeps letters that are frozen, and gives a later cut a new one even ahead of them', () => {
  const first = lengthen(2000);
  const letters = lettersToKeep(evaluatePlan(first));
  expect(letters.map(({ letter }) => letter)).toEqual(['A', 'B']);
  const ahead = { ...first.plan.operations[0]!, id: 'ahead', at: donor(900) } as (typeof first.plan.operations)[number];
  const later = { ...first, plan: { ...first.plan, letters, operations: [...first.plan.operations, ahead] } };
  expect(evaluatePlan(later).joints.map(({ letter }) => letter)).toEqual(['C', 'D', 'A', 'B']);
  // Without freezing they run front to rear.
  expect(evaluatePlan({ ...later, plan: { ...later.plan, letters: [] } }).joints.map(({ letter }) => letter)).toEqual([
    'A',
    'B',
    'C',
    'D',
  ]);
  // A letter of a cut that is gone is not given again.
  const gone = { ...later, plan: { ...later.plan, operations: [ahead] } };
  expect(evaluatePlan(gone).joints.map(({ letter }) => letter)).toEqual(['C', 'D']);
  expect(lettersToKeep(evaluatePlan(gone), letters).map(({ letter }) => letter)).toEqual(['A', 'B', 'C', 'D']);
});

it('draws every line of a rail to one scale, front to the left', () => {
  const input = inputOf(plainFrame(), { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2400) });
  const [left] = markDrawings(input, markSheet(input, evaluatePlan(input)), 180);
  const { whole, cuts } = left!;
  const scribed = whole.items.flatMap((item) =>
    item.kind === 'path' && item.ink === 'scribe' ? [item.points[0]![0]] : [],
  );
  const steel = whole.items.find((item) => item.kind === 'path' && item.ink === 'steel');
  const xs = steel?.kind === 'path' ? steel.points.map(([x]) => x) : [];
  const [from, to] = [Math.min(...xs), Math.max(...xs)];
  const rail = evaluatePlan(input).donorState.pieces[0]!.rails.left;
  const length = rail.at(-1)!.x - rail[0]!.x;
  const at = (x: number) => from + ((x - rail[0]!.x) / length) * (to - from);
  expect(scribed).toEqual([expect.closeTo(at(2000), 6), expect.closeTo(at(2400), 6)]);
  expect(cuts).toHaveLength(2);
  for (const drawing of [whole, ...cuts])
    for (const item of drawing.items)
      for (const [x, y] of item.kind === 'path' ? item.points : [item.at]) {
        expect(x).toBeGreaterThan(-1.2);
        expect(x).toBeLessThan(drawing.width + 1.2);
        expect(y).toBeGreaterThan(-1.2);
        expect(y).toBeLessThan(drawing.height + 1.2);
      }
});

it('hatches the side of the saw and no other', () => {
  const input = inputOf(plainFrame(), { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2400) });
  const [left] = markDrawings(input, markSheet(input, evaluatePlan(input)), 180);
  const paths = (ink: string) =>
    left!.whole.items.flatMap((item) => (item.kind === 'path' && item.ink === ink ? [item.points] : []));
  const [front, rear] = paths('scribe').map((points) => points[0]![0]);
  const middle = (points: readonly (readonly [number, number])[]) =>
    points.reduce((sum, [x]) => sum + x, 0) / points.length;
  const [ahead, behind] = paths('waste').map(middle);
  expect(ahead).toBeGreaterThan(front!);
  expect(behind).toBeLessThan(rear!);
});
