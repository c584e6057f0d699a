import { describe, expect, it } from 'vitest';
import { type Bare, built, donor, inputOf, plainFrame } from '../../test/frames.ts';
import { codeOf } from '../../test/outcomes.ts';
import { markSheet, markTables } from '../markout/index.ts';
import { evaluatePlan, IN_LINE, operationFigures } from './index.ts';

const frame = plainFrame();
const sheetOf = (...operations: readonly Bare[]) => {
  const input = inputOf(frame, ...operations);
  return markSheet(input, evaluatePlan(input));
};
const left = (...operations: readonly Bare[]) => sheetOf(...operations).newPieces.filter(({ side }) => side === 'left');
const stretch = { kind: 'lengthen', at: donor(2000), length: 600, section: null } as const;
const degrees = (radians: number) => (radians * 180) / Math.PI;

describe('new rail to cut', () => {
  it('that a pie cut falls in is two pieces, each once and as long as it ends up, and the wedge between them', () => {
    // 200 into the new 600, closed by 0.1 rad with both faces sloped: the pivot is at the top, so the top edges keep
    // 200 and 400; at the bottom 150 deep each face leans by 150 tan 0.05.
    const pieces = left(stretch, {
      kind: 'pie-cut',
      at: built(2200),
      pivot: 'top',
      mode: 'close',
      turned: 'rear',
      amount: { by: 'angle', angle: 0.1 },
      wedge: 'symmetric',
    });
    const lean = 150 * Math.tan(0.05);
    expect(pieces.map(({ length }) => length)).toEqual([expect.closeTo(200, 9), expect.closeTo(400, 9)]);
    expect(pieces.map(({ bottom }) => bottom)).toEqual([expect.closeTo(200 - lean, 9), expect.closeTo(400 - lean, 9)]);
    expect(pieces.map(({ front, rear }) => [degrees(front.side), degrees(rear.side)])).toEqual([
      [0, expect.closeTo(degrees(0.05), 9)],
      [expect.closeTo(degrees(0.05), 9), 0],
    ]);
    // The kerf that the saw takes of the donor is made good once.
    expect(pieces.map(({ kerf }) => kerf > 0)).toEqual([true, false]);
  });

  it('that a step falls in is three pieces', () => {
    const horn = { kind: 'extend', end: 'rear', length: 900, section: null } as const;
    const pieces = left(horn, {
      kind: 'step',
      from: built(6300),
      to: built(6600),
      rise: 80,
      method: 'turn-middle',
    });
    expect(pieces.map(({ length }) => length)).toEqual([300, 300, 300].map((mm) => expect.closeTo(mm, 6) as number));
  });

  it('that is shortened again is as long as it ends up', () => {
    const pieces = left(stretch, { kind: 'shorten', from: built(2300), to: built(2400) });
    expect(pieces.map(({ length }) => length)).toEqual([expect.closeTo(300, 9), expect.closeTo(200, 9)]);
  });

  it('is named by the letters of the drawing, and its tables have each figure', () => {
    const sheet = sheetOf(stretch);
    expect(sheet.newPieces.map(({ letters, side }) => [letters, side])).toEqual([
      ['A B', 'left'],
      ['A B', 'right'],
    ]);
    const table = markTables(sheet).find(({ id }) => id === 'new-rail')!;
    expect(table.rows[0]!.cells.slice(0, 4)).toEqual(['left', 'rail', 'square', 'square']);
  });
});

describe('a new end at another height, width and angle', () => {
  const end = {
    kind: 'extend',
    end: 'rear',
    cut: { x: 500, on: 'end' },
    length: 800,
    section: null,
    align: { out: -50, up: 40, yaw: 0, pitch: 0.1 },
  } as const;

  it('is one operation with its cut: narrower, higher, rising', () => {
    const input = inputOf(frame, end);
    const result = evaluatePlan(input);
    const [first, last] = [result.pieces[1]!.rails.left[0]!, result.pieces[1]!.rails.left[1]!];
    expect([first.x, last.x]).toEqual([5500, 6300]);
    expect([first.halfWidth, first.top]).toEqual([380, 40]);
    expect(last.top).toBeNear(40 + 800 * Math.tan(0.1), 1e-9);
    expect(result.measures.after.overallLength).toBeGreaterThan(6300 - 1e-9);
    expect(operationFigures(input, result, 'op1')).toMatchObject({
      kind: 'extend',
      off: 500,
      each: { left: expect.closeTo(800 / Math.cos(0.1), 9) as number },
    });
    const { joints } = result;
    expect(joints[0]!.sides.left).toMatchObject({ dy: 50, dz: 40, verdict: 'needs-a-transition-piece' });
    expect(joints[0]!.sides.right.dy).toBeNear(-50, 1e-9);
  });

  it('lists the line where the old end is cut off', () => {
    expect(sheetOf(end).lines.map(({ letters, kerf, from }) => [letters, kerf, from.top])).toEqual([
      ['A', 'behind', 5400],
      ['A', 'behind', 5400],
    ]);
  });

  it('mirrors at the front', () => {
    const result = evaluatePlan(inputOf(frame, { ...end, end: 'front' }));
    const [far, near] = result.pieces[0]!.rails.left;
    expect([far!.x, near!.x]).toEqual([-300, 500]);
    expect([near!.halfWidth, near!.top]).toEqual([380, 40]);
    expect(far!.top).toBeNear(40 + 800 * Math.tan(0.1), 1e-9);
  });

  it.each([
    ['operation/rails-cross', { ...end, align: { ...IN_LINE, out: -500 } }],
    ['operation/too-steep', { ...end, align: { ...IN_LINE, pitch: 1.2 } }],
    ['operation/not-positive', { ...end, cut: { x: 0, on: 'end' } }],
    ['operation/off-the-frame', { ...end, cut: { x: 9000, on: 'end' } }],
  ] as const)('is refused: %s', (code, operation) => {
    expect(codeOf(evaluatePlan(inputOf(frame, operation)))).toBe(code);
  });
});

describe('rail put in at an angle', () => {
  it('carries the rear to where its rear end goes, and does not turn it', () => {
    const align = { out: 10, up: -20, yaw: 0.02, pitch: 0.05 };
    const result = evaluatePlan(inputOf(frame, { ...stretch, align }));
    const rear = result.pieces[2]!;
    expect(rear.pose).toMatchObject({ turn: 0, dx: 600 });
    expect(rear.pose.dz).toBeNear(-20 + 600 * Math.tan(0.05), 1e-9);
    expect(rear.spread).toBeNear(10 + 600 * Math.tan(0.02), 1e-9);
    // It meets the new rail's rear end, and stands off at its front end by what was asked.
    expect(result.joints.map(({ sides }) => [sides.right.dy, sides.right.dz])).toEqual([
      [expect.closeTo(10, 9), expect.closeTo(-20, 9)],
      [expect.closeTo(0, 9), expect.closeTo(0, 9)],
    ]);
    expect(result.measures.after.wheelbase).toBeNear(3600 + 600, 1e-9);
  });
});

describe('rail taken out while the rear is raised', () => {
  it('brings the rear forward and up, and the joint says so', () => {
    const { joints, measures, pieces } = evaluatePlan(
      inputOf(frame, { kind: 'shorten', from: donor(2000), to: donor(2300), rise: 60 }),
    );
    expect(pieces[1]!.pose).toEqual({ turn: 0, dx: -300, dz: 60 });
    expect(joints[0]!.sides.left).toMatchObject({ dz: 60, verdict: 'needs-a-transition-piece' });
    expect(measures.after.wheelbase).toBeNear(3300, 1e-9);
  });
});

describe('a trim by what comes off', () => {
  it('takes that much off the end, along the top edge, wherever the frame ends by then', () => {
    const trim = { kind: 'trim', end: 'rear', at: { x: 150, on: 'end' }, angle: 0, lean: 'top-longer' } as const;
    const result = evaluatePlan(inputOf(frame, stretch, trim));
    expect(result.measures.after.overallLength).toBeNear(6000 + 600 - 150, 1e-9);
    expect(result.cutEnds).toMatchObject([{ donorX: 5850, letter: 'C' }]);
  });

  it('is measured with the tape on the rail where that falls, bends or flares', () => {
    const cutAt = (x: number, ...stations: readonly (readonly [number, number, number])[]) => {
      const rail = stations.map(([at, halfWidth, top]) => ({ x: at, halfWidth, top, section: 'rail' }));
      const trim = { kind: 'trim', end: 'rear', at: { x, on: 'end' }, angle: 0, lean: 'top-longer' } as const;
      return evaluatePlan(inputOf(plainFrame({}, rail), trim)).cutEnds[0]!.donorX;
    };
    // 3-4-5: 400 along the frame for 500 along a tail that falls.
    expect(cutAt(500, [0, 430, 900], [5000, 430, 900], [6000, 430, 150])).toBeNear(5600, 1e-6);
    // 250 level at the end, then the ramp: 250 more along it are 200 of the frame.
    expect(cutAt(500, [0, 430, 0], [5350, 430, 0], [5750, 430, 300], [6000, 430, 300])).toBeNear(5550, 1e-6);
    // The same ramp in plan.
    expect(cutAt(500, [0, 430, 0], [5350, 430, 0], [5750, 130, 0], [6000, 130, 0])).toBeNear(5550, 1e-6);
  });

  it('is refused where more comes off than the frame is long', () => {
    const trim = { kind: 'trim', end: 'rear', at: { x: 7000, on: 'end' }, angle: 0, lean: 'top-longer' } as const;
    expect(evaluatePlan(inputOf(frame, trim)).operations[0]!.refusal!.code).toBe('operation/off-the-frame');
  });
});
