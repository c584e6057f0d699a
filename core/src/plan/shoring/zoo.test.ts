import { GRAVITY } from '../../units/index.ts';
import { describe, expect, it } from 'vitest';
import { operationsFor, planned, ZOO } from '../../../test/zoo.ts';
import { evaluateShoring, type HeldPart, withNeutralStands } from '../index.ts';

const figures = (part: HeldPart): number[] => [
  part.mass,
  part.center.x,
  part.center.y,
  part.center.z,
  ...Object.values(part.stability.margins ?? {}),
  ...part.stands.flatMap(({ at, load, height }) => [at.x, at.y, at.z, load ?? 0, height ?? 0]),
];

describe.each(ZOO.map((animal) => [animal.name, animal] as const))('a frame that is %s', (_, animal) => {
  it.each(operationsFor(animal))('is held while it is cut: %s', (__, operation) => {
    const bare = planned(animal, operation);
    let count = 0;
    const [step] = evaluateShoring(bare).steps;
    const shoring = step && withNeutralStands(bare, step.operation.id, () => `p${(count += 1)}`);
    const plans = [
      bare,
      ...(shoring ? [{ ...bare, plan: { ...bare.plan, shoring: { ...shoring, level: 700 } } }] : []),
    ];
    for (const input of plans)
      for (const { whole, loose, cuts } of evaluateShoring(input).steps) {
        expect([whole, ...loose].flatMap(figures).every(Number.isFinite)).toBe(true);
        expect(loose.reduce((sum, { mass }) => sum + mass, 0)).toBeNear(whole.mass, 1e-6 * whole.mass);
        for (const { kerf } of cuts) {
          const force = kerf.front.weight + kerf.rear.weight;
          expect(Number.isFinite(force)).toBe(true);
          if (kerf.before)
            expect(kerf.before.rest.reactions.reduce((sum, load) => sum + load, 0)).toBeNear(force, 1e-6 * force);
        }
      }
    if (!shoring) return;
    // With stands in one press every part that stays stands.
    const held = evaluateShoring(plans[1]!).steps[0]!;
    for (const { removed, stability, mass, stands } of held.loose)
      if (!removed) {
        expect(stability.state).toBe('stays');
        const loads = stands.flatMap(({ load }) => load ?? []);
        expect(loads.reduce((sum, load) => sum + load, 0)).toBeNear(mass * GRAVITY, 1e-4 * mass * GRAVITY);
      }
  });
});

it('on most of them there is room for stands in one press', () => {
  const tried = ZOO.flatMap((animal) =>
    operationsFor(animal).flatMap(([, operation]) => {
      const bare = planned(animal, operation);
      const [step] = evaluateShoring(bare).steps;
      return step ? [withNeutralStands(bare, step.operation.id, () => 'p') !== null] : [];
    }),
  );
  expect(tried.length).toBeGreaterThan(100);
  expect(tried.filter(Boolean).length / tried.length).toBeGreaterThan(0.6);
});
