import { describe, expect, it } from 'vitest';
import { donor, featureAt, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import type { Brace, Crossmember, Feature, Frame } from '../frame/index.ts';
import { STOCK_MATERIALS } from '../materials/index.ts';
import { type RuleId, ruleValue } from '../rules/index.ts';
import { carryOutEdit, type Conflict, evaluatePlan, type PlanInput } from './index.ts';

/** Every limit is tried on both sides: a little within it, and a little beyond; less is within the tolerance. */
const HAIR = 0.02;
/** What reads as another figure at a sixteenth. */
const READ = 1.6;

const withFeatures = (...features: Feature[]): Frame =>
  plainFrame({ features: [...plainFrame().features, ...features] });
const lengthen = (at: number, length: number) => ({ kind: 'lengthen', at: donor(at), length }) as const;
const found = (input: PlanInput, code: string): readonly Conflict[] =>
  evaluatePlan(input).conflicts.filter((conflict) => conflict.code === code);
const rule = (id: RuleId) => ruleValue({ profile: 'weld-and-reinforce', changes: {} }, id);

describe('a hole near a joint', () => {
  const limit = rule('joint/hole-distance');
  const near = (x: number, changes: Partial<Feature> = {}) =>
    found(inputOf(withFeatures(featureAt('h', x, changes)), lengthen(2000, 300)), 'near-joint').map(({ message }) =>
      message.replace(/^.*from joint /, ''),
    );

  it('is told of when it is nearer than the rulebook says, ahead of the joint and behind it', () => {
    expect(near(2000 - limit + READ)).toEqual(['A.']);
    expect(near(2000 - limit - HAIR)).toEqual([]);
    expect(near(2000 + limit - READ)).toEqual(['B.']);
    expect(near(2000 + limit + HAIR)).toEqual([]);
    // Less by what nobody can read off the figures is no verdict.
    expect(near(2000 - limit + HAIR)).toEqual([]);
  });

  it('is measured from the nearer edge of its fastening or hole, not from its middle', () => {
    expect(near(2000 - limit - 38, { behind: 40 })).toEqual(['A.']);
    expect(near(2000 - limit - 41, { behind: 40 })).toEqual([]);
    expect(near(2000 + limit + 38, { ahead: 40 })).toEqual(['B.']);
    expect(near(2000 + limit + 41, { ahead: 40 })).toEqual([]);
    expect(near(2000 - limit - 4, { diameter: 12 })).toEqual(['A.']);
    expect(near(2000 - limit - 7, { diameter: 12 })).toEqual([]);
  });

  it('says how far it is', () => {
    const [conflict] = found(inputOf(withFeatures(featureAt('h', 2000 - 25.4)), lengthen(2000, 300)), 'near-joint');
    expect(conflict!.message).toBe('h is 1 in from joint A.');
  });
});

describe('a joint ahead of the last hanger', () => {
  const rules = { profile: 'bolt-ahead-weld-behind', changes: {} } as const;
  const welded = (at: number, kind: Feature['kind'] = 'spring-hanger', other: Feature[] = []) =>
    found(
      { ...inputOf(withFeatures(featureAt('hanger', 4000, { kind }), ...other), lengthen(at, 100)), rules },
      'ahead-of-hanger',
    ).map(({ message }) => message.slice(0, 7));

  it('stops the plan ahead of it, and not behind', () => {
    // Ahead of the hanger both joints of the new piece are ahead of it: it moves back with the rail.
    expect(welded(4000 - HAIR)).toEqual(['Joint A', 'Joint B']);
    expect(welded(4000 + HAIR)).toEqual([]);
  });

  it('goes by the last of several, and by hangers and links only', () => {
    expect(welded(4200, 'spring-hanger', [featureAt('last', 4500, { kind: 'link-bracket' })])).toEqual([
      'Joint A',
      'Joint B',
    ]);
    expect(welded(3000, 'tank-strap')).toEqual([]);
  });

  it('goes for everything that is welded to the rails: brackets, crossmembers, boxing, notch plates', () => {
    const frame = withFeatures(featureAt('hanger', 4000, { kind: 'spring-hanger' }));
    const bracket = { ...featureAt('b', 0, { kind: 'body-mount', attachment: 'weld' }), name: 'New mount' };
    const add = (x: number, attachment: Feature['attachment'] = 'weld') =>
      ({ kind: 'bracket', change: { what: 'add', at: donor(x), feature: { ...bracket, attachment } } }) as const;
    const across = (x: number, fixing: Crossmember['fixing']) =>
      ({
        kind: 'crossmember',
        change: { what: 'add', at: donor(x), crossmember: { ...memberAt('c', x, { name: 'New across' }), fixing } },
      }) as const;
    const notch = (x: number, plate: number) =>
      ({ kind: 'notch', at: donor(x), width: 200, depth: 30, from: 'below', form: 'arch', plate }) as const;
    const said = (...operations: Parameters<typeof inputOf>[1][]) =>
      found({ ...inputOf(frame, ...operations), rules }, 'ahead-of-hanger').map(
        ({ message }) => message.split(' is ')[0],
      );
    expect(said(add(3000))).toEqual(['New mount']);
    expect(said(add(3000, 'bolts'), add(4500))).toEqual([]);
    expect(said(across(3000, 'welded'))).toEqual(['New across']);
    expect(said(across(3000, 'bolted'))).toEqual([]);
    expect(said(notch(3000, 5))).toEqual(['The plate of the notch']);
    expect(said(notch(3000, 0))).toEqual([]);
    const hard = { ...frame, material: STOCK_MATERIALS['heat-treated-110'] };
    expect(found(inputOf(hard, add(4500), across(3000, 'bolted')), 'not-weldable')).toHaveLength(1);
  });
});

describe('a line along the rail', () => {
  const framed = (slack: number) =>
    plainFrame({ lines: [{ id: 'b', name: 'Brake line', kind: 'brake', side: 'left', from: 800, to: 4200, slack }] });
  const said = (change: number, slack = 50) =>
    found(
      inputOf(
        framed(slack),
        change > 0 ? lengthen(2000, change) : { kind: 'shorten', from: donor(2000), to: donor(2000 - change) },
      ),
      'line-length',
    ).map(({ message, fixes }) => [message, fixes[0]!.say]);

  it('is left alone while it changes by less than half a millimeter', () => {
    expect(said(0.49)).toEqual([]);
    expect(said(-0.49)).toEqual([]);
    expect(said(0.51)).toHaveLength(1);
    expect(said(-0.51)).toHaveLength(1);
  });

  it('takes up what its slack gives, and not more', () => {
    expect(said(50)[0]).toEqual([expect.stringMatching(/must reach 1 15\/16 in full farther/), 'Use the slack.']);
    expect(said(50 + HAIR)[0]![1]).toBe('Join a piece in, or replace it.');
    expect(said(12.7, 0)[0]![1]).toBe('Join a piece in, or replace it.');
  });

  it('is too long where rail comes out of it', () => {
    expect(said(-101.6)).toEqual([['Brake line is 4 in too long.', 'Shorten it, or lay what is over in a loop.']]);
  });

  it('is routed again where its end goes with the steel', () => {
    const input = inputOf(framed(50), { kind: 'shorten', from: donor(4100), to: donor(4300) });
    expect(found(input, 'line-length')[0]!.message).toMatch(/ends on steel that is taken out: reroute it/);
  });
});

describe('a suspension', () => {
  const group = 'rear-suspension';
  const frame: Frame = {
    ...withFeatures(featureAt('link', 3400)),
    units: [{ id: group, name: 'Rear suspension', kind: 'rear-suspension', mounts: [{ kind: 'feature', id: 'link' }] }],
  };
  const limit = rule('unit/moved');

  it('is split beyond what the rulebook lets it move, longer or shorter', () => {
    // The link stands beside the axle: what the rail grows by, less than that the distance does.
    expect(found(inputOf(frame, lengthen(3900, limit)), 'unit-split')).toEqual([]);
    expect(found(inputOf(frame, lengthen(3900, limit * 2)), 'unit-split')).toHaveLength(1);
    const out = { kind: 'shorten', from: donor(3900), to: donor(3900 + limit * 2) } as const;
    expect(found(inputOf(frame, out), 'unit-split')[0]!.message).toMatch(/shrinks by/);
  });

  it('is not split by a cut beside it', () => {
    expect(found(inputOf(frame, lengthen(4600, 300), lengthen(2000, 300)), 'unit-split')).toEqual([]);
  });
});

describe('a piece without a crossmember', () => {
  const member = (x: number) => memberAt(`c${x}`, x);
  const said = (...crossmembers: Crossmember[]) =>
    found(inputOf(plainFrame({ crossmembers }), lengthen(2000, 300), lengthen(3000, 300)), 'no-crossmember').map(
      ({ message }) => message.split(' has ')[0],
    );

  it('is named by the joints that bound it, and one added to it is its suggested fix', () => {
    expect(said()).toEqual(['The piece ahead of A', 'The piece behind B', 'The piece between B and C']);
    // At the second cut it hangs on the first joint; by itself nothing holds its rails.
    expect(said(member(1000), member(5000))).toEqual(['The piece between B and C']);
    expect(said(member(1000), member(2500), member(5000))).toEqual([]);
    const input = inputOf(
      plainFrame({ crossmembers: [member(1000), member(5000)] }),
      lengthen(2000, 300),
      lengthen(3000, 300),
    );
    const [conflict] = found(input, 'no-crossmember');
    const { edit } = conflict!.fixes[0]!;
    expect(edit).toEqual({ do: 'add-crossmember', at: donor(2500), before: 'op2' });
    expect(found(carryOutEdit(input, edit!, 'added'), 'no-crossmember')).toEqual([]);
    // Added last it comes too late for the cut.
    expect(
      found(carryOutEdit(input, { do: 'add-crossmember', at: donor(2500), before: null }, 'added'), 'no-crossmember'),
    ).toHaveLength(1);
  });

  it('is reported when its crossmember comes out after the tacks, at that operation', () => {
    const frame = plainFrame({ crossmembers: [member(1000), member(5000)] });
    const out = { kind: 'crossmember', change: { what: 'remove', crossmember: 'c5000' } } as const;
    const after = found(inputOf(frame, lengthen(2000, 300), out), 'no-crossmember');
    expect(after).toMatchObject([{ operation: 'op2', message: expect.stringMatching(/behind B .* only tacks hold/) }]);
    // Taken out first, its rails come loose at the cut; a frame in one piece stays one.
    expect(found(inputOf(frame, out, lengthen(2000, 300)), 'no-crossmember')).toMatchObject([
      { operation: 'op2', message: expect.stringMatching(/behind B .* come loose/) },
    ]);
    expect(found(inputOf(frame, out), 'no-crossmember')).toEqual([]);
  });

  it('needs none where a leg or a brace ties its rails', () => {
    const brace: Brace = {
      id: 'tie',
      name: 'Tie',
      from: { rail: 'left', x: 4000, down: 0 },
      to: { rail: 'right', x: 4400, down: 0 },
      section: 'rail',
      fixing: 'welded',
      removable: true,
    };
    const braced = (braces: readonly Brace[]) =>
      found(inputOf(plainFrame({ crossmembers: [member(1000)], braces }), lengthen(2000, 300)), 'no-crossmember');
    expect(braced([])).toHaveLength(1);
    expect(braced([brace])).toEqual([]);
    expect(braced([{ ...brace, to: { ...brace.to, rail: 'left' } }])).toHaveLength(1);
  });
});
