import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import type { Rail } from '../frame/index.ts';
import { parseJobFile } from '../job/index.ts';
import { evaluatePlan, type PlanInput } from '../plan/index.ts';
import { inches } from '../units/index.ts';
import { alongRail, markSheet } from './index.ts';

const sheetOf = (input: PlanInput) => markSheet(input, evaluatePlan(input));

describe('alongRail', () => {
  const kickUp: Rail = [
    { x: 0, halfWidth: 400, top: 0, section: 'rail' },
    { x: 300, halfWidth: 400, top: 0, section: 'rail' },
    { x: 700, halfWidth: 400, top: 300, section: 'rail' },
    { x: 1000, halfWidth: 400, top: 300, section: 'rail' },
  ];

  it('lays the tape on the steel: 300 + a 3-4-5 ramp + 300', () => {
    expect(alongRail(kickUp, 0, 1000, 0, () => 150)).toBeNear(300 + 500 + 300, 1e-9);
    expect(alongRail(kickUp, 1000, 0, 0, () => 150)).toBeNear(-1100, 1e-9);
    expect(alongRail(kickUp, 100, 250, 1, () => 150)).toBeNear(150, 1e-9);
  });
});

describe('markSheet', () => {
  it('one line where nothing is wasted, and the new piece makes the kerf good', () => {
    const sheet = sheetOf(inputOf(plainFrame(), { kind: 'lengthen', at: donor(2000), length: 300, section: null }));
    expect(sheet.lines.map(({ letters, side, kerf }) => [letters, side, kerf])).toEqual([
      ['A B', 'left', 'line'],
      ['A B', 'right', 'line'],
    ]);
    // Hooked in the hole 75 below the edge: √(1900² + 75²).
    expect(sheet.lines[0]!.from).toMatchObject({ top: 1900, web: 1900, bottom: 1900, level: 1900 });
    expect(sheet.lines[0]!.from.hooked).toBeNear(Math.hypot(1900, 75), 1e-9);
    expect(sheet.newPieces).toMatchObject([
      { side: 'left', letters: 'A B', length: 300, kerf: inches(1 / 16), section: 'rail' },
      { side: 'right', letters: 'A B', length: 300, kerf: inches(1 / 16), section: 'rail' },
    ]);
  });

  it('two lines around steel that is taken out, with the blade on the waste', () => {
    const sheet = sheetOf(
      inputOf(plainFrame(), { kind: 'shorten', transition: 0, from: donor(2000), to: donor(2400) }),
    );
    const left = sheet.lines.filter((line) => line.side === 'left');
    expect(left.map(({ from, kerf, letters }) => [from.top, kerf, letters])).toEqual([
      [1900, 'behind', 'A'],
      [2300, 'ahead', 'A'],
    ]);
    expect(sheet.checks).toContainEqual({
      name: 'A front line to A rear line, left',
      kind: 'along the top edge',
      distance: 400,
    });
    const diagonal = sheet.checks.filter((check) => check.kind === 'straight across')[0]!;
    expect(diagonal.distance).toBeNear(Math.hypot(1900, 860), 1e-9);
  });

  it('an angled trim leans down the web by the depth at 45°', () => {
    const sheet = sheetOf(
      inputOf(plainFrame(), { kind: 'trim', end: 'rear', at: donor(5600), angle: Math.PI / 4, lean: 'top-longer' }),
    );
    const line = sheet.lines[0]!;
    expect(line.lean).toBeNear(-150, 1e-9);
    expect(line.from).toMatchObject({ top: 5500 });
    expect(line.from.web).toBeNear(5425, 1e-9);
    expect(line.from.bottom).toBeNear(5350, 1e-9);
    expect(line.kerf).toBe('behind');
  });

  it('says what is written beside the work that is carried out, and beside no other', () => {
    const input = inputOf(
      plainFrame(),
      { kind: 'lengthen', at: donor(2000), length: 300 },
      { kind: 'bracket', change: { what: 'remove', feature: 'datum' } },
      { kind: 'lengthen', at: donor(9000), length: 300 },
      { kind: 'extend', end: 'rear', length: 200 },
    );
    const notes = ['  Harness first. ', 'Keep the rivets.', 'Never done.', '  '];
    const operations = input.plan.operations.map((operation, index) => ({ ...operation, note: notes[index]! }));
    expect(sheetOf({ ...input, plan: { ...input.plan, operations } }).notes).toEqual([
      { letters: 'A·B', text: 'Harness first.' },
      { letters: 'Remove bracket', text: 'Keep the rivets.' },
    ]);
    const off = operations.map((operation) => ({ ...operation, off: true }));
    expect(sheetOf({ ...input, plan: { ...input.plan, operations: off } }).notes).toEqual([]);
  });

  it('says what stops the plan and what was accepted, and names what it is measured from', () => {
    const strap = { ...plainFrame().features[0]!, id: 'strap', name: 'Strap', kind: 'tank-strap' as const, x: 2100 };
    const frame = plainFrame({ features: [...plainFrame().features, { ...strap, movable: 're-drill' as const }] });
    const input = inputOf(frame, { kind: 'shorten', from: donor(2000), to: donor(2600) });
    const open = sheetOf(input);
    expect([open.datum, open.stops, open.accepted]).toEqual(['Datum hole', [], []]);
    const accepted = [{ conflict: 'feature-lost/op1/strap', reason: 'the tank goes', by: 'owner' }];
    expect(sheetOf({ ...input, plan: { ...input.plan, accepted } }).accepted).toEqual([
      expect.stringMatching(/^Strap is .*\. Accepted by owner because the tank goes$/),
    ]);
    const cut = inputOf(frame, { kind: 'lengthen', at: donor(2100), length: 100 });
    expect(sheetOf(cut).stops).toEqual(['A cut runs through Strap.']);
    expect(sheetOf({ ...input, donor: { ...frame, datum: 'nothing' } }).datum).toBe('front axle');
  });

  it('names what it rests on that nobody has measured', () => {
    const frame = plainFrame();
    const stations = frame.rails.kind === 'mirrored' ? frame.rails.stations : [];
    const assumed = { origin: 'assumed' as const };
    const sheet = sheetOf(
      inputOf({
        ...frame,
        rails: {
          kind: 'mirrored',
          stations: stations.map((station, at) => (at > 0 ? { ...station, ...assumed } : station)),
        },
        features: frame.features.map((feature) => ({ ...feature, ...assumed })),
      }),
    );
    expect(sheet.assumed).toEqual([
      `${stations.length - 1} of ${stations.length} stations of the rails`,
      'Datum hole, from which everything is measured',
    ]);
    expect(sheetOf(inputOf(frame)).assumed).toEqual([]);
  });

  it('lists holes to punch on donor steel', () => {
    const bolted = { ...plainFrame().features[0]!, id: 'mount', name: 'Mount', x: 3000, movable: 're-drill' as const };
    const frame = plainFrame({ features: [...plainFrame().features, bolted] });
    const sheet = sheetOf(
      inputOf(frame, { kind: 'bracket', change: { what: 'move', feature: 'mount', to: donor(3050), down: 60 } }),
    );
    expect(sheet.brackets.map(({ name, side, down, web }) => [name, side, down, web])).toEqual([
      ['Mount', 'left', 60, 2950],
      ['Mount', 'right', 60, 2950],
    ]);
  });

  it('the flagship: a step about 56 in behind the datum hole, trim leaning 7 3/8 in', () => {
    const { job } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
    const sheet = sheetOf(job);
    expect(sheet.datum).toBe('Datum hole');
    const [upper, , lower, tail] = sheet.lines.filter((line) => line.side === 'left');
    expect((upper!.from.top! + lower!.from.bottom!) / 2).toBeNear(inches(56), 1e-6);
    expect(tail!.from.level).toBeNear(inches(163.5), 1e-6);
    // Over the kick-up the tape reads more: two ramps of 14 in run and 4 1/4 in rise.
    expect(tail!.from.top).toBeNear(inches(163.5 + 2 * (Math.hypot(14, 4.25) - 14)), 1e-6);
    expect(tail!.lean).toBeNear(-inches(7.375), 1e-6);
  });
});

describe('members and braces', () => {
  const tour = parseJobFile(readFileSync(new URL('../../../demo/tour-carrier.json', import.meta.url), 'utf8')).job;

  it('re-fitted legs say what goes in, what each is cut to, and the wedges at their ends', () => {
    const { members } = markSheet(tour, evaluatePlan(tour));
    const leg = members.filter(({ name }) => name === 'X leg');
    expect(leg.map(({ what, side }) => `${what}, ${side}`)).toEqual([
      'along its axis it was, each',
      'cut here, so much goes in, each',
      'cut to, along its axis, each',
      'front end turned by a sideways pie cut, each',
      'rear end turned by a sideways pie cut, each',
    ]);
    // 64 along and 25 1/2 across before; 9 1/2 longer along afterward.
    const [was, is] = [Math.hypot(64, 25.5), Math.hypot(73.5, 25.5)].map(inches) as [number, number];
    expect(leg[0]!.length).toBeNear(was, 1e-6);
    expect(leg[1]!.length).toBeNear(is - was, 1e-6);
    expect(leg[2]!.length).toBeNear(is, 1e-6);
    const turn = Math.atan(25.5 / 64) - Math.atan(25.5 / 73.5);
    expect(leg[3]!.wedge).toBeNear(2 * inches(2) * Math.tan(turn / 2), 1e-6);
    expect(members.filter(({ what }) => what === 'remade between its ends')).toHaveLength(2);
  });

  it('left as they are, they say where each is cut along its own middle, and what fills the gap', () => {
    const operations = tour.plan.operations.filter(({ id }) => id !== 'legs');
    const plan = { ...tour, plan: { ...tour.plan, operations } };
    const leg = markSheet(plan, evaluatePlan(plan)).members.filter(({ name }) => name === 'X leg');
    expect(leg.map(({ what }) => what)).toEqual([
      'cut at A, keep what is ahead',
      'cut at B, keep what is behind',
      'new piece between A and B',
    ]);
    const along = inches(20.5) / Math.cos(Math.atan(25.5 / 64));
    expect(leg[0]!.from).toBeNear(along, 1e-6);
    expect(leg[1]!.from).toBeNear(along, 1e-6);
    expect(leg[2]!.length).toBeNear(inches(9.5) / Math.cos(Math.atan(25.5 / 64)), 1e-6);
  });
});
