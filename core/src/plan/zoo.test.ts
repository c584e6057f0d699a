import { describe, expect, it } from 'vitest';
import { type Animal, operationsFor, planned, ZOO } from '../../test/zoo.ts';
import { drawingOf } from '../exchange/index.ts';
import { type Frame, frameProblems, sectionLookup } from '../frame/index.ts';
import { markSheet, markTables } from '../markout/index.ts';
import { evaluatePlan, operationFigures, type PlanResult } from './index.ts';
import { massOf, steelLumps } from './solid.ts';

/** Paths of numbers that are not finite. */
function unreal(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} = ${value}`];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, item]) => unreal(item, `${path}.${key}`));
}

const massIn = (pieces: PlanResult['pieces'], frame: Frame) =>
  massOf(steelLumps(pieces, sectionLookup(frame), frame.material.density));

describe.each(ZOO.map((animal) => [animal.name, animal] as const))('a frame that is %s', (_, animal: Animal) => {
  const { frame } = animal;
  const whole = evaluatePlan(planned(animal));

  it('is a right one', () => {
    expect(frameProblems(frame, animal.display)).toEqual([]);
    expect(unreal(whole)).toEqual([]);
  });

  it.each(operationsFor(animal))('%s: every figure is real, and what is said agrees', (name, operation) => {
    const input = planned(animal, operation);
    const result = evaluatePlan(input);
    const refusal = result.operations[0]!.refusal?.code;
    expect(unreal(result)).toEqual([]);

    // Only what cannot be done there is refused.
    const closed = frame.sections[0]!.section.kind !== 'channel';
    expect(refusal).toBe(name === 'box' && closed ? 'operation/already-closed' : undefined);
    if (refusal) return;

    // No steel is made or lost: donor steel on the frame and cut away weigh what the donor did.
    const donorSteel = result.pieces.filter(({ source }) => source === 'donor');
    // A wedge turns about the mean edge: where the rails differ in height, a sliver of one lies beyond it.
    const sliver = frame.rails.kind === 'measured' ? 1e-3 : 1e-6;
    expect(massIn(donorSteel, frame) + massIn(result.removed, frame)).toBeNear(massIn(whole.pieces, frame), sliver);

    // The mass of the frame follows, but for a slit that is opened and for weights without steel.
    const steel = massIn(result.pieces, frame) - massIn(whole.pieces, frame);
    const hung = (of: PlanResult) =>
      of.features.reduce(
        (sum, { feature, places }) => sum + feature.mass * Object.values(places).filter(({ built }) => built).length,
        0,
      ) +
      of.crossmembers.reduce((sum, { mass, built }) => sum + (built ? mass : 0), 0) +
      [...of.members, ...of.braces].reduce((sum, { mass }) => sum + mass, 0);
    const gained = result.measures.after.mass - whole.measures.after.mass - (steel + hung(result) - hung(whole));
    // Boxing and notches change the steel of a rail without cutting it off; see added-steel.test.ts.
    if (name === 'box') expect(gained).toBeGreaterThan(0);
    else if (!name.startsWith('notch')) expect(gained).toBeNear(0, 1e-6);

    // Built stations agree with one another, however a place is asked for.
    const datum = result.features.find(({ feature }) => feature.id === 'datum')!;
    const at = datum.places.left?.built;
    if (at && datum.shift?.turn === 0) expect(result.datum.built).toBeNear(at.x, 1e-6);

    // Ends that meet do so over the whole face.
    for (const joint of result.joints)
      if (joint.verdict === 'meets')
        for (const { dy, gapTop, gapBottom } of [joint.sides.left, joint.sides.right])
          expect(Math.max(Math.abs(dy), Math.abs(gapTop), Math.abs(gapBottom))).toBeLessThanOrEqual(1.5876);

    // An acceptance finds its conflict: no two have the same name, but those that can never be accepted.
    const keys = result.conflicts.filter(({ acceptable }) => acceptable).map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);

    // The sheet has the letters of the drawing, both rails alike, and only real figures.
    const sheet = markSheet(input, result);
    const letters = new Set([...result.joints, ...result.cutEnds].map(({ letter }) => letter));
    for (const { letters: on } of sheet.lines)
      for (const letter of on.split(' ')) expect(letters, name).toContain(letter);
    const linesOn = (side: string) => sheet.lines.filter((line) => line.side === side).map((line) => line.letters);
    expect(linesOn('left')).toEqual(linesOn('right'));
    expect(unreal(markTables(sheet))).toEqual([]);
    expect(unreal(operationFigures(input, result, 'op1'))).toEqual([]);
    expect(operationFigures(input, result, 'op1')).not.toBeNull();
    expect(unreal(drawingOf(input, 'side', result))).toEqual([]);
    expect(unreal(drawingOf(input, 'plan', result))).toEqual([]);
  });

  it('mirrored, gives the mirrored answer', () => {
    if (frame.rails.kind !== 'measured') return;
    const { left, right } = frame.rails;
    const mirror = { ...animal, frame: { ...frame, rails: { kind: 'measured' as const, left: right, right: left } } };
    for (const [, operation] of operationsFor(animal)) {
      const [a, b] = [animal, mirror].map((each) => evaluatePlan(planned(each, operation)));
      expect(a!.measures.after.mass).toBeNear(b!.measures.after.mass, 1e-9);
      expect(a!.measures.after.centerOfGravity!.y).toBeNear(-b!.measures.after.centerOfGravity!.y, 1e-9);
      for (const [index, joint] of a!.joints.entries()) {
        const other = b!.joints[index]!;
        expect(joint.verdict).toBe(other.verdict);
        expect(joint.sides.left.dy).toBeNear(-other.sides.right.dy, 1e-9);
        expect(joint.sides.left.gapBottom).toBeNear(other.sides.right.gapBottom, 1e-9);
      }
    }
  });
});
