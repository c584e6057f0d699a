import { describe, expect, it } from 'vitest';
import { type Bare, donor, inputOf, memberAt, plainFrame, tankAt } from '../../../test/frames.ts';
import type { Frame } from '../../frame/index.ts';
import { evaluatePlan } from '../index.ts';

const said = (changes: Partial<Frame>, ...operations: readonly Bare[]) =>
  evaluatePlan(inputOf(plainFrame(changes), ...operations)).conflicts.flatMap(({ code, message, builtX }) =>
    code === 'room-clash' ? [[message.split(' stands ')[0], builtX]] : [],
  );
/** Between the rails, from 20 under their tops down. */
const rooms = [tankAt({ high: -20 })];
const across = memberAt('c', 2600, { name: 'Crossmember c', below: 30, depth: 80, length: 60 });

describe('the room of a tank', () => {
  it('is not taken by a crossmember that is moved or added into it; beside it there is none', () => {
    const put = (x: number): Bare => ({
      kind: 'crossmember',
      change: { what: 'move', crossmember: 'c', to: donor(x) },
    });
    expect(said({ rooms, crossmembers: [across] }, put(3200))).toEqual([['Crossmember c', expect.toBeNear(3200, 1)]]);
    expect(said({ rooms, crossmembers: [across] }, put(2900))).toEqual([]);
    // It ends right at the tank: that is no overlap. A hair farther it is one.
    expect(said({ rooms, crossmembers: [across] }, put(2970))).toEqual([]);
    expect(said({ rooms, crossmembers: [across] }, put(2971))).toHaveLength(1);
    // Over the tank it clears.
    expect(said({ rooms: [tankAt({ high: -115 })], crossmembers: [across] }, put(3200))).toEqual([]);
    const adding: Bare = { kind: 'crossmember', change: { what: 'add', at: donor(3100), crossmember: across } };
    expect(said({ rooms }, adding)).toHaveLength(1);
  });

  it('is met by rails that the plan narrows into it, on both sides', () => {
    const wide = [tankAt({ high: -20, left: -360, right: 360 })];
    const narrow: Bare = { kind: 'widen', amount: -60, from: null, to: null, transition: 0 };
    expect(said({ rooms: wide }, narrow).map(([what]) => what)).toEqual(['The left rail', 'The right rail']);
    expect(said({ rooms: [tankAt({ high: -20, left: -300, right: 300 })] }, narrow)).toEqual([]);
  });

  it('that met something on the donor already was built so', () => {
    const through = memberAt('t', 3200, { name: 'Crossmember t', below: 30 });
    const lengthen: Bare = { kind: 'lengthen', at: donor(2000), length: 300 };
    expect(said({ rooms, crossmembers: [through] }, lengthen)).toEqual([]);
  });
});
