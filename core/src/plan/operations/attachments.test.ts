import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../../test/frames.ts';
import { builtX, codeOf } from '../../../test/outcomes.ts';
import type { Crossmember, Feature } from '../../frame/index.ts';
import { withRule } from '../../rules/index.ts';
import { evaluatePlan, type ChangeBracket, type ChangeCrossmember } from '../index.ts';

const member = (id: string, x: number): Crossmember => ({
  id,
  name: `Crossmember ${id}`,
  x,
  length: 80,
  depth: 60,
  below: 40,
  fixing: 'riveted',
  removable: true,
  mass: 9,
});
const mount: Feature = {
  ...plainFrame().features[0]!,
  id: 'mount',
  name: 'Mount',
  x: 3000,
  movable: 're-drill',
  mass: 4,
};
const frame = plainFrame({
  crossmembers: [member('a', 1000), member('b', 4000)],
  features: [...plainFrame().features, mount],
});
const bracket = (change: ChangeBracket['change']) => ({ kind: 'bracket' as const, change });
const crossmember = (change: ChangeCrossmember['change']) => ({ kind: 'crossmember' as const, change });
const memberOf = (result: ReturnType<typeof evaluatePlan>, id: string) =>
  result.crossmembers.find((outcome) => outcome.crossmember.id === id)!;

describe('crossmembers', () => {
  it('are added, removed, moved, lowered and made thinner, each with what became of it', () => {
    const added = evaluatePlan(
      inputOf(frame, crossmember({ what: 'add', at: donor(2500), crossmember: member('new', 0) })),
    );
    expect(memberOf(added, 'new')).toMatchObject({ status: 'new', built: { x: 2500, y: 0, z: -40 }, donor: null });
    expect(added.measures.after.mass).toBeNear(added.measures.before.mass + 9, 1e-9);

    const removed = evaluatePlan(inputOf(frame, crossmember({ what: 'remove', crossmember: 'a' })));
    expect(memberOf(removed, 'a')).toMatchObject({ status: 'removed', built: null });
    expect(removed.measures.after.mass).toBeNear(removed.measures.before.mass - 9, 1e-9);

    const moved = evaluatePlan(inputOf(frame, crossmember({ what: 'move', crossmember: 'a', to: donor(1200) })));
    expect(memberOf(moved, 'a')).toMatchObject({ status: 're-drill', donor: { x: 1000 }, built: { x: 1200 } });

    const lowered = evaluatePlan(inputOf(frame, crossmember({ what: 'lower', crossmember: 'a', by: 150 })));
    expect(memberOf(lowered, 'a').built!.z).toBe(-190);
    expect(lowered.measures.after.lowest!.what).toBe('Crossmember a');
    // Its underside at −190 − 60, over the ground line under both tires.
    expect(lowered.measures.after.lowest!.clearance).toBeLessThan(lowered.measures.before.lowest!.clearance);

    const thinned = evaluatePlan(inputOf(frame, crossmember({ what: 'thin', crossmember: 'a', depth: 25 })));
    expect(memberOf(thinned, 'a').crossmember.depth).toBe(25);
  });

  it.each([
    [crossmember({ what: 'remove', crossmember: 'nothing' }), 'operation/not-on-the-frame'],
    [crossmember({ what: 'move', crossmember: 'a', to: donor(9000) }), 'operation/off-the-frame'],
    [crossmember({ what: 'thin', crossmember: 'a', depth: 60 }), 'operation/thin-depth'],
    [crossmember({ what: 'thin', crossmember: 'a', depth: 0 }), 'operation/thin-depth'],
    [crossmember({ what: 'add', at: donor(2000), crossmember: member('a', 0) }), 'operation/same-id'],
  ])('%o is refused', (operation, code) => {
    expect(codeOf(evaluatePlan(inputOf(frame, operation)))).toBe(code);
  });

  it('one that was taken out cannot be moved after', () => {
    const result = evaluatePlan(
      inputOf(
        frame,
        crossmember({ what: 'remove', crossmember: 'a' }),
        crossmember({ what: 'move', crossmember: 'a', to: donor(1200) }),
      ),
    );
    expect(codeOf(result, 1)).toBe('operation/not-on-the-frame');
  });
});

describe('brackets', () => {
  it('move to new holes and then go along with the steel they are on', () => {
    const result = evaluatePlan(
      inputOf(frame, bracket({ what: 'move', feature: 'mount', to: donor(4500), down: 30 }), {
        kind: 'lengthen',
        at: donor(2000),
        length: 300,
        section: null,
      }),
    );
    expect(builtX(result, 'mount')).toBe(4800);
    const outcome = result.features.find(({ feature }) => feature.id === 'mount')!;
    expect(outcome).toMatchObject({ status: 're-drill', operation: 'op1', places: { left: { donor: { x: 3000 } } } });
    expect(outcome.shift!.dx).toBe(1800);
  });

  it('can be put on new steel, and are found there', () => {
    const result = evaluatePlan(
      inputOf(
        frame,
        { kind: 'lengthen', at: donor(2000), length: 300, section: null },
        bracket({ what: 'move', feature: 'mount', to: { x: 2150, on: 'built' }, down: 30 }),
      ),
    );
    expect(builtX(result, 'mount')).toBeNear(2150, 1e-9);
    expect(result.features.find(({ feature }) => feature.id === 'mount')!.piece).toBe(1);
  });

  it('a row of holes is drilled with its pitch, numbered', () => {
    const hole = { ...mount, id: 'row', name: 'Row', mass: 0 };
    const result = evaluatePlan(
      inputOf(frame, bracket({ what: 'drill', at: donor(2500), feature: hole, count: 3, pitch: 50 })),
    );
    const row = result.features.filter(({ status }) => status === 'new');
    expect(row.map(({ feature }) => [feature.id, feature.name, feature.x])).toEqual([
      ['row-1', 'Row 1', 2500],
      ['row-2', 'Row 2', 2550],
      ['row-3', 'Row 3', 2600],
    ]);
  });

  it.each([
    [bracket({ what: 'remove', feature: 'nothing' }), 'operation/not-on-the-frame'],
    [bracket({ what: 'drill', at: donor(2500), feature: mount, count: 0, pitch: 10 }), 'operation/hole-count'],
    [bracket({ what: 'drill', at: donor(2500), feature: mount, count: 2.5, pitch: 10 }), 'operation/hole-count'],
    [bracket({ what: 'drill', at: donor(2500), feature: mount, count: 2, pitch: 0 }), 'operation/not-positive'],
    [bracket({ what: 'add', at: donor(2500), feature: mount }), 'operation/same-id'],
  ])('%o is refused', (operation, code) => {
    expect(codeOf(evaluatePlan(inputOf(frame, operation)))).toBe(code);
  });

  it('a datum hole that is taken off is a stop when steel goes, and the stamp never moves', () => {
    const stamp: Feature = { ...mount, id: 'stamp', name: 'Stamp', kind: 'identity-stamp', movable: 'no' };
    const stamped = plainFrame({ features: [...plainFrame().features, stamp] });
    const move = bracket({ what: 'move', feature: 'stamp', to: donor(3100), down: 0 });
    expect(codeOf(evaluatePlan(inputOf(stamped, move)))).toBe('operation/identity-stamp');
    const take = bracket({ what: 'remove', feature: 'stamp' });
    expect(evaluatePlan(inputOf(stamped, take)).conflicts).toMatchObject([
      { code: 'identity-stamp', severity: 'stop' },
    ]);
  });
});

describe('notches and boxing', () => {
  const channel = plainFrame({
    sections: [{ id: 'rail', section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 } }],
  });
  const notch = {
    kind: 'notch',
    at: donor(4300),
    width: 300,
    depth: 50,
    from: 'below',
    form: 'arch',
    plate: 6,
  } as const;
  const box = { kind: 'box', from: donor(2000), to: donor(3000), plate: 5, taper: 100 } as const;

  it('stay on their piece and travel with it', () => {
    const result = evaluatePlan(
      inputOf(channel, notch, box, { kind: 'lengthen', at: donor(1000), length: 200, section: null }),
    );
    expect(result.reworks).toMatchObject([
      { source: 'donor', from: 4150, to: 4450 },
      { source: 'donor', from: 2000, to: 3000 },
    ]);
    expect(result.pieces[2]!.pose.dx).toBe(200);
  });

  it.each([
    ['a notch as deep as the rail', { ...notch, depth: 150 }, 'operation/notch-depth'],
    ['a notch without width', { ...notch, width: 0 }, 'operation/not-positive'],
    ['a notch over the end', { ...notch, at: donor(5900) }, 'operation/notch-over-joint'],
    ['a plate the wrong way round', { ...box, from: donor(3000), to: donor(2000) }, 'operation/order'],
    ['tapers longer than the plate', { ...box, taper: 600 }, 'operation/box-taper'],
    ['a plate without thickness', { ...box, plate: 0 }, 'operation/not-positive'],
  ] as const)('%s is refused', (_, operation, code) => {
    expect(codeOf(evaluatePlan(inputOf(channel, operation)))).toBe(code);
  });

  it('a closed rail cannot be boxed, nor a plate run over a joint of the plan', () => {
    expect(codeOf(evaluatePlan(inputOf(plainFrame(), box)))).toBe('operation/already-closed');
    const cut = { kind: 'lengthen', at: donor(2500), length: 200, section: null } as const;
    expect(codeOf(evaluatePlan(inputOf(channel, cut, box)), 1)).toBe('operation/box-over-joint');
  });
});

describe('a bracket set over a joint', () => {
  const lengthen = { kind: 'lengthen', at: donor(2000), length: 300, section: null } as const;
  const put = (x: number, on: 'built' | 'donor' = 'built') =>
    bracket({ what: 'add', at: { x, on }, feature: { ...mount, id: 'set', ahead: 60, behind: 60, diameter: 0 } });
  const told = (...operations: Parameters<typeof inputOf>[1][]) => {
    const { features, conflicts } = evaluatePlan(inputOf(frame, ...operations));
    return {
      status: features.find(({ feature }) => feature.id === 'set')!.status,
      said: conflicts.flatMap(({ code, severity, message, acceptable }) =>
        code === 'bracket-over-joint' ? [[severity, /joint \w/.exec(message)?.[0], acceptable]] : [],
      ),
      cut: conflicts.some(({ code }) => code === 'cut-through'),
    };
  };

  it('after its weld is allowed with a reason: ahead of the joint, on the new rail, behind it', () => {
    for (const [x, letter] of [
      [1980, 'joint A'],
      [2040, 'joint A'],
      [2320, 'joint B'],
    ] as const)
      expect(told(lengthen, put(x))).toEqual({ status: 'new', said: [['warn', letter, true]], cut: false });
    expect(told(lengthen, put(1900))).toEqual({ status: 'new', said: [], cut: false });
  });

  it('set before the cut, the cut runs through it; so it does where a later one comes', () => {
    expect(told(put(1980, 'donor'), lengthen)).toMatchObject({ status: 'cut-through', said: [], cut: true });
    const again = { kind: 'lengthen', at: { x: 1950, on: 'built' }, length: 100, section: null } as const;
    expect(told(lengthen, put(1980), again)).toMatchObject({ cut: true });
  });

  it('is a note where the rulebook allows it', () => {
    const input = inputOf(frame, lengthen, put(1980));
    const rules = withRule(input.rules, 'joint/bracket-over', 1);
    const [conflict] = evaluatePlan({ ...input, rules }).conflicts.filter(({ code }) => code === 'bracket-over-joint');
    expect(conflict!.severity).toBe('note');
  });
});
