import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame, pointAt } from '../../test/frames.ts';
import { between, evaluatePlan, type Thing, thingsOn } from './index.ts';

const of = (things: readonly Thing[], id: string, which = 0) => things.filter((thing) => thing.of === id)[which];

const frame = plainFrame({ points: [{ ...pointAt('pinion', 4200, 30, -100), name: 'Pinion' }] });
const stretch = inputOf(frame, { kind: 'lengthen', at: donor(2000), length: 300, section: null });

describe('things on the frame', () => {
  it('are each side of a feature, axles and points, front to rear, before and after', () => {
    const things = thingsOn(evaluatePlan(stretch));
    expect(things.map(({ id }) => id)).toEqual([
      'left/datum',
      'right/datum',
      'axle/front',
      'point/pinion',
      'axle/rear',
    ]);
    expect(of(things, 'pinion')).toMatchObject({ donor: { x: 4200, y: 30 }, built: { x: 4500, y: 30 } });
    expect(of(things, 'datum')?.name).toBe('Datum hole, left');
    expect(of(things, 'nothing')).toBeUndefined();
  });

  it('a thing on steel that is taken out keeps its place on the donor and has none as built', () => {
    const cut = inputOf(frame, { kind: 'shorten', transition: 0, from: donor(4100), to: donor(4250) });
    expect(of(thingsOn(evaluatePlan(cut)), 'pinion')).toMatchObject({ donor: { x: 4200 }, built: null });
  });

  it('a new hole has no place on the donor', () => {
    const feature = { ...frame.features[0]!, id: 'fresh', name: 'Fresh hole', side: 'left' as const };
    const drilled = inputOf(frame, { kind: 'bracket', change: { what: 'add', at: donor(900), feature } });
    expect(of(thingsOn(evaluatePlan(drilled)), 'fresh')).toMatchObject({ donor: null, built: { x: 900 } });
  });

  it('the tape is pulled straight: 3, 4 and 12 give 13', () => {
    expect(between({ x: 10, y: 5, z: 2 }, { x: 13, y: 1, z: 14 })).toEqual({
      straight: 13,
      along: 3,
      across: -4,
      up: 12,
    });
    const things = thingsOn(evaluatePlan(stretch));
    const [from, to] = [of(things, 'datum', 0)!, of(things, 'datum', 1)!];
    expect(between(from.donor!, to.donor!).straight).toBeNear(860, 1e-9);
    expect(between(from.built!, to.built!).across).toBeNear(860, 1e-9);
  });
});
