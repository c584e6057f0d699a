import { describe, expect, it } from 'vitest';
import { type Bare, donor, inputOf, memberAt, plainFrame, pointAt } from '../../test/frames.ts';
import { drawingOf } from '../exchange/index.ts';
import { type Frame, type Rail, sectionLookup } from '../frame/index.ts';
import { markSheet } from '../markout/index.ts';
import {
  evaluatePlan,
  frameProfile,
  insideEdge,
  planOutline,
  profileAt,
  sideOutline,
  worstDifferences,
} from './index.ts';

/** Unlike rails: the right one is deeper and wider, and stands farther out. */
const straight = (halfWidth: number, section: string): Rail => [
  { x: 0, halfWidth, top: 0, section },
  { x: 6000, halfWidth, top: 0, section },
];
const unlike: Frame = plainFrame({
  sections: [
    { id: 'rail', section: { kind: 'tube', depth: 150, width: 60, thickness: 5, inner: 5 } },
    { id: 'heavy', section: { kind: 'channel', depth: 200, flange: 80, thickness: 8 } },
  ],
  rails: { kind: 'measured', left: straight(430, 'rail'), right: straight(450, 'heavy') },
});
const builtBy = (...operations: readonly Bare[]) => evaluatePlan(inputOf(unlike, ...operations));

describe('the outline of a rail', () => {
  const section = sectionLookup(unlike);
  const [piece] = builtBy().pieces;

  it('seen from above runs from its outside edge to its inside edge: the width of its own section', () => {
    expect(planOutline(piece!, 'left', section)).toEqual([
      [0, -430],
      [6000, -430],
      [6000, -370],
      [0, -370],
    ]);
    expect(planOutline(piece!, 'right', section)).toEqual([
      [0, 450],
      [6000, 450],
      [6000, 370],
      [0, 370],
    ]);
    expect([insideEdge(piece!, 'left', 900, section), insideEdge(piece!, 'right', 900, section)]).toEqual([-370, 370]);
  });

  it('seen from the side is as deep as its own section, and leans where its end does', () => {
    expect(sideOutline(piece!, 'right', section).map(([, z]) => z)).toEqual([0, 0, -200, -200]);
    const cut = builtBy({ kind: 'trim', end: 'rear', at: donor(5000), angle: Math.PI / 4, lean: 'top-longer' });
    expect(sideOutline(cut.pieces[0]!, 'left', section).map(([x]) => Math.round(x))).toEqual([0, 5000, 4850, 0]);
  });
});

it('new rail is listed for each side in its own section and to its own lengths', () => {
  const input = inputOf(
    unlike,
    { kind: 'lengthen', at: donor(2000), length: 600 },
    {
      kind: 'pie-cut',
      at: { x: 2200, on: 'built' },
      pivot: 'top',
      mode: 'close',
      turned: 'rear',
      amount: { by: 'angle', angle: 0.1 },
      wedge: 'symmetric',
    },
  );
  const pieces = markSheet(input, evaluatePlan(input)).newPieces;
  const first = pieces.slice(0, 2).map(({ side, section, length, bottom }) => [side, section, length, bottom]);
  // At the bottom each is shorter by its depth × tan 0.05.
  expect(first).toEqual([
    ['left', 'rail', expect.closeTo(200, 9), expect.closeTo(200 - 150 * Math.tan(0.05), 9)],
    ['right', 'heavy', expect.closeTo(200, 9), expect.closeTo(200 - 200 * Math.tan(0.05), 9)],
  ]);
});

it('what rides beside the middle goes out with its rail where the frame is widened, and the middle stays', () => {
  const points = [-300, 0, 300].map((y, index) => pointAt(`p${index}`, 5000, y, 100));
  const wider = evaluatePlan(
    inputOf(plainFrame({ points }), { kind: 'widen', amount: 120, from: donor(3000), to: null, transition: 400 }),
  );
  expect(wider.points.map(({ built }) => built!.y)).toEqual([-360, 0, 360]);
  const ahead = evaluatePlan(
    inputOf(plainFrame({ points: [pointAt('p', 2000, 300, 100)] }), {
      kind: 'widen',
      amount: 120,
      from: donor(3000),
      to: null,
      transition: 400,
    }),
  );
  expect(ahead.points[0]!.built!.y).toBe(300);
});

it('a crossmember is drawn the right way up: its top as far below the rail as it was measured', () => {
  const crossmember = memberAt('c', 3000, { length: 80, depth: 60, below: 40 });
  const input = inputOf(plainFrame({ crossmembers: [crossmember] }));
  const outline = (view: 'side' | 'plan') =>
    drawingOf(input, view).flatMap((shape) =>
      shape.kind === 'outline' && shape.layer === 'CROSSMEMBERS' ? [shape.points] : [],
    );
  expect(outline('side')).toEqual([
    [
      [2960, -100],
      [3040, -100],
      [3040, -40],
      [2960, -40],
    ],
  ]);
  expect(outline('plan')[0]!.map(([, y]) => Math.abs(y))).toEqual([370, 370, 370, 370]);
});

it('tells where two rails differ most, right minus left, in height and in width', () => {
  const left: Rail = [
    { x: 0, halfWidth: 430, top: 0, section: 'rail' },
    { x: 3000, halfWidth: 430, top: 10, section: 'rail' },
    { x: 6000, halfWidth: 430, top: 0, section: 'rail' },
  ];
  const right: Rail = [
    { x: 0, halfWidth: 433, top: 2, section: 'rail' },
    { x: 3000, halfWidth: 425, top: 4, section: 'rail' },
    { x: 6000, halfWidth: 434, top: 0, section: 'rail' },
  ];
  const frame = plainFrame({ rails: { kind: 'measured', left, right } });
  const rows = frameProfile(evaluatePlan(inputOf(frame)).pieces, sectionLookup(frame));
  expect(worstDifferences(rows)).toMatchObject({
    height: { mm: -6, row: { builtX: 3000 } },
    width: { mm: -5, row: { builtX: 3000 } },
  });
  expect(worstDifferences([])).toEqual({ height: null, width: null });
});

it('gives the frame across at any one station, between the measured ones too, and nothing beyond its ends', () => {
  const rail = (half: number): Rail => [
    { x: 0, halfWidth: half, top: 0, section: 'rail' },
    { x: 4000, halfWidth: half + 40, top: 20, section: 'rail' },
  ];
  const frame = plainFrame({ rails: { kind: 'measured', left: rail(400), right: rail(410) } });
  const { pieces } = evaluatePlan(inputOf(frame));
  const section = sectionLookup(frame);
  // Half-way each half-width has grown by 20, each top by 10.
  expect(profileAt(pieces, 2000, section)).toMatchObject({
    donorX: 2000,
    outsideWidth: 850,
    left: { halfWidth: 420, top: 10 },
    right: { halfWidth: 430, top: 10 },
  });
  const ends = frameProfile(pieces, section);
  expect([0, 4000].map((x) => profileAt(pieces, x, section))).toEqual([ends[0], ends.at(-1)]);
  expect([-1, 4001].map((x) => profileAt(pieces, x, section))).toEqual([null, null]);
});
