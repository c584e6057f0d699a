import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame, planOf } from '../../test/frames.ts';
import { codeOf } from '../../test/outcomes.ts';
import { ZOO } from '../../test/zoo.ts';
import { inches } from '../units/index.ts';
import {
  carryOutEdit,
  evaluatePlan,
  kindsFor,
  newOperation,
  type OperationKind,
  placesToBegin,
  type PlanInput,
} from './index.ts';

const withFirst = (input: PlanInput, kind: OperationKind, about: string | null, center: number | null) => {
  const places = placesToBegin(kind, input, evaluatePlan(input), about, center);
  const operation = newOperation(kind, 'new', places, input.donor, about);
  return {
    places,
    operation,
    result: evaluatePlan({ ...input, plan: { ...input.plan, operations: [...input.plan.operations, operation] } }),
  };
};

describe('a new operation begins', () => {
  const frame = plainFrame();

  it('in the middle of what is looked at, on a whole division from the datum hole', () => {
    const { places } = withFirst(inputOf(frame), 'lengthen', null, 3333.3);
    expect(places.at.on).toBe('donor');
    expect(Math.abs(places.at.x - 3333.3)).toBeLessThan(inches(1 / 16));
    expect((places.at.x - 100) / inches(1 / 16)).toBeNear(Math.round((places.at.x - 100) / inches(1 / 16)), 1e-6);
  });

  it('behind what is picked', () => {
    const mount = { ...frame.features[0]!, id: 'mount', name: 'Mount', x: 2500, ahead: 40, behind: 60 };
    const input = inputOf(plainFrame({ features: [...frame.features, mount] }));
    const { places } = withFirst(input, 'pie-cut', 'mount', 900);
    expect(places.at.x).toBeNear(2560 + inches(2), inches(1 / 32) + 1e-9);
  });

  it('never on steel that is gone: then the built station is given', () => {
    const input = inputOf(frame, { kind: 'shorten', from: donor(2000), to: donor(2600) });
    const { places, result } = withFirst(input, 'shorten', null, 1950);
    // From 1950 to 2102 on the built frame there is a joint at 2000: donor stations would lie 600 farther apart.
    expect(places).toMatchObject({ at: { on: 'built' }, to: { on: 'built' } });
    expect(codeOf(result, 1)).toBe('done');
  });

  it('on new rail, by its built station', () => {
    const input = inputOf(frame, { kind: 'lengthen', at: donor(2000), length: 900, section: null });
    const { places, result } = withFirst(input, 'notch', null, 2450);
    expect(places.at.on).toBe('built');
    expect(codeOf(result, 1)).toBe('done');
  });

  it('clear of a joint, where it must not run over one', () => {
    const open = plainFrame({
      sections: [{ id: 'rail', section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 } }],
    });
    const input = inputOf(open, { kind: 'lengthen', at: donor(2000), length: 300 });
    // 24 in do not fit on the new 300: behind it, an inch from the joint at 2300, and not ahead, which is farther.
    const { places, result } = withFirst(input, 'box', null, 2250);
    expect(codeOf(result, 1)).toBe('done');
    expect(places).toMatchObject({ at: { on: 'donor' }, to: { on: 'donor' } });
    expect(places.at.x).toBeNear(2000 + inches(1), inches(1 / 16));
    for (const center of [1900, 2010, 2290, 2305])
      expect(codeOf(withFirst(input, 'notch', null, center).result, 1)).toBe('done');
  });

  it('at the end, for a trim, by what comes off', () => {
    expect(withFirst(inputOf(frame), 'trim', null, 900).operation).toMatchObject({ at: { on: 'end' }, end: 'rear' });
  });

  it.each(ZOO.map((animal) => [animal.name, animal] as const))(
    'where it can be carried out: %s',
    (_, { frame: own, display }) => {
      const input = { ...inputOf(own), display };
      const { measures, tape } = evaluatePlan(input);
      const middle = (tape.spans[0]!.builtFrom + tape.spans.at(-1)!.builtTo) / 2;
      for (const kind of kindsFor(input.donor))
        for (const center of [middle, tape.spans[0]!.builtFrom - 500, tape.spans.at(-1)!.builtTo + 500, null]) {
          // A tiny frame has no room for sizes that begin in inches; a closed rail is not boxed.
          if (measures.before.overallLength < 1000 || (kind === 'box' && own.sections[0]!.section.kind !== 'channel'))
            continue;
          const went = codeOf(withFirst(input, kind, null, center).result);
          expect([kind, center, went]).toEqual([kind, center, 'done']);
        }
    },
  );
});

describe('edits that suggested fixes offer', () => {
  const operation = {
    id: 'a',
    note: '',
    off: false,
    kind: 'lengthen',
    at: donor(2000),
    length: 50,
    section: null,
  } as const;
  const job = {
    bodies: [],
    donor: plainFrame(),
    plan: planOf(
      { kind: 'lengthen', at: donor(2000), length: 50, section: null },
      { kind: 'trim', end: 'rear', at: donor(5000), angle: 0, lean: 'top-longer' },
    ),
  };
  const after = (edit: Parameters<typeof carryOutEdit>[1]) => carryOutEdit(job, edit, 'new');
  const ids = (edit: Parameters<typeof carryOutEdit>[1]) => after(edit).plan.operations.map(({ id }) => id);

  it('shift, replace, drop and reorder operations', () => {
    expect(after({ do: 'shift', operation: 'op1', by: 25 }).plan.operations[0]).toMatchObject({ at: { x: 2025 } });
    expect(after({ do: 'shift', operation: 'gone', by: 25 })).toBe(job);
    const replaced = {
      ...operation,
      id: 'op1',
      align: job.plan.operations[0]!.kind === 'lengthen' ? job.plan.operations[0].align : never(),
    };
    expect(after({ do: 'replace', operation: replaced }).plan.operations[0]).toEqual(replaced);
    expect(ids({ do: 'drop', operation: 'op1' })).toEqual(['op2']);
    expect(ids({ do: 'order', operation: 'op2', before: 'op1' })).toEqual(['op2', 'op1']);
    expect(after({ do: 'order', operation: 'gone', before: 'op1' })).toBe(job);
  });

  it('put work on what hangs on the frame ahead of an operation, or last', () => {
    const feature = { kind: 'feature', id: 'datum' } as const;
    const crossmember = { kind: 'crossmember', id: 'x' } as const;
    expect(ids({ do: 'take-off', thing: feature, before: 'op2' })).toEqual(['op1', 'new', 'op2']);
    expect(after({ do: 'take-off', thing: feature, before: 'op1' }).plan.operations[0]).toMatchObject({
      kind: 'bracket',
      change: { what: 'remove', feature: 'datum' },
    });
    expect(after({ do: 'take-off', thing: crossmember, before: 'op1' }).plan.operations[0]).toMatchObject({
      kind: 'crossmember',
      change: { what: 'remove', crossmember: 'x' },
    });
    expect(after({ do: 'move', thing: feature, to: donor(900), before: null }).plan.operations[2]).toMatchObject({
      kind: 'bracket',
      change: { what: 'move', feature: 'datum', to: { x: 900 }, down: 75 },
    });
    expect(after({ do: 'move', thing: crossmember, to: donor(900), before: 'op1' }).plan.operations[0]).toMatchObject({
      change: { what: 'move', crossmember: 'x', to: { x: 900 } },
    });
    expect(after({ do: 'add-crossmember', at: donor(700), before: null }).plan.operations[2]).toMatchObject({
      kind: 'crossmember',
      change: { what: 'add', at: { x: 700 } },
    });
  });

  it('set the datum, and whether a bracket can be moved', () => {
    expect(after({ do: 'datum', feature: 'other' }).donor.datum).toBe('other');
    expect(after({ do: 'movable', feature: 'datum', movable: 're-weld' }).donor.features[0]!.movable).toBe('re-weld');
  });
});

function never(): never {
  throw new Error('the first operation is a lengthening');
}
