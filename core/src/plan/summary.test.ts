import { expect, it } from 'vitest';
import { donor, featureAt, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import { evaluatePlan, summaryOf } from './index.ts';

const bare = plainFrame().features[0]!;

it('says what a plan costs: joints, steel, what goes, what is made again, what stops it and asks for a decision', () => {
  const frame = plainFrame({
    features: [
      bare,
      featureAt('gone', 2100, { kind: 'tank-strap' }),
      featureAt('off', 3500),
      featureAt('drilled', 4000),
      featureAt('welded', 4500, { attachment: 'weld', movable: 're-weld' }),
    ],
    crossmembers: [memberAt('c', 2300, { name: 'Crossmember' })],
  });
  const summary = summaryOf(
    evaluatePlan(
      inputOf(
        frame,
        { kind: 'shorten', from: donor(2000), to: donor(2600) },
        { kind: 'extend', end: 'rear', length: 250 },
        { kind: 'lengthen', at: donor(9000), length: 100 },
        { kind: 'bracket', change: { what: 'remove', feature: 'off' } },
        { kind: 'bracket', change: { what: 'move', feature: 'drilled', to: donor(4100), down: 75 } },
        { kind: 'bracket', change: { what: 'move', feature: 'welded', to: donor(4600), down: 75 } },
      ),
    ),
  );
  expect(summary).toMatchObject({
    operations: 5,
    joints: 2,
    newRail: 250,
    cutAway: 600,
    gone: ['gone', 'off', 'Crossmember'],
    remade: ['drilled', 'welded'],
  });
  expect(summary.worstJoint!.letter).toBe('A');
  expect(summary.stops.map(({ code }) => code)).toEqual(['operation/off-the-frame']);
  expect(new Set(summary.decisions.map(({ code }) => code))).toEqual(
    new Set(['feature-lost', 'crossmember-lost', 'no-crossmember']),
  );
  expect(summaryOf(evaluatePlan(inputOf(frame)))).toMatchObject({
    joints: 0,
    worstJoint: null,
    newRail: 0,
    cutAway: 0,
  });
});
