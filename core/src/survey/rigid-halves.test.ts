import { describe, expect, it } from 'vitest';
import { halvesOf } from './halves.ts';
import { adjustNetwork } from './network.ts';
import { type Observation, type Points, readOf } from './observation.ts';
import { movedBy, type RigidMove } from './rigid-move.ts';
import { rigidHalves } from './rigid-halves.ts';

const STATIONS = [0, 1400, 2600, 4700];
const nominal: Points = Object.fromEntries(
  STATIONS.flatMap((x, at) => [
    [`${at}L`, { x, y: -430, z: at === 3 ? 60 : 0 }],
    [`${at}R`, { x, y: 430, z: at === 3 ? 60 : 0 }],
  ]),
);
const LOOSE = 2000;
const move: RigidMove = {
  about: { x: 3600, y: 0, z: 0 },
  shift: { x: 7, y: -5, z: 9 },
  turn: { x: 0.008, y: -0.004, z: 0.006 },
};
const leaning: RigidMove = {
  about: { x: 700, y: 0, z: 0 },
  shift: { x: 0, y: 0, z: 4 },
  turn: { x: 0.003, y: 0.002, z: 0 },
};
/** The frame as it stands: the rear half crooked, and all of it leaning against the level. */
const standing: Points = Object.fromEntries(
  Object.entries(nominal).map(([id, at]) => [id, movedBy(at.x < LOOSE ? at : movedBy(at, move), leaning)]),
);
const tape = (from: string, to: string): Observation => ({
  id: `${from} ${to}`,
  kind: 'tape',
  from,
  to,
  value: readOf(standing, { id: '', kind: 'tape', from, to, value: 0, sigma: 1 }),
  sigma: 1,
});
const height = (at: string): Observation => ({
  id: at,
  kind: 'height',
  at,
  value: (standing[at] as { z: number }).z,
  sigma: 1,
});
/** Both lengths, one diagonal, and three heights on each half. */
const nine = [
  tape('0L', '3L'),
  tape('1R', '3R'),
  tape('0L', '3R'),
  ...['0L', '0R', '1L', '2L', '2R', '3L'].map(height),
];
const far = (a: Points, b: Points) =>
  Math.max(...Object.keys(a).map((id) => Math.hypot(a[id]!.x - b[id]!.x, a[id]!.y - b[id]!.y, a[id]!.z - b[id]!.z)));

describe('nine readings around a cut', () => {
  it('do not hold every point, but where two rigid halves lie', () => {
    expect('ways' in adjustNetwork(nominal, nine)).toBe(true);
    const found = rigidHalves(nominal, nine, LOOSE)!;
    expect(found.checks).toBe(0);
    const [is, was] = [halvesOf(nominal, found.points, LOOSE, false)!, halvesOf(nominal, standing, LOOSE, false)!];
    expect(far(is.points, was.points)).toBeLessThan(1e-5);
    expect(is.move.turn.z).toBeNear(-move.turn.z, 1e-4);
  });

  it('all of them are needed, and each other must see something new', () => {
    for (const left of nine)
      expect(
        rigidHalves(
          nominal,
          nine.filter((one) => one !== left),
          LOOSE,
        ),
      ).toBeNull();
    // The same three tapes twice, and no diagonal: nothing holds the slide.
    const blind = nine.map((one) => (one.id === '0L 3R' ? height('3R') : one));
    expect(rigidHalves(nominal, blind, LOOSE)).toBeNull();
  });

  it('more of them are weighed, and say how far they disagree', () => {
    const more = [...nine, tape('0R', '3L'), height('3R')];
    expect(rigidHalves(nominal, more, LOOSE)).toMatchObject({ checks: 2, left: expect.closeTo(0, 6) });
    const off = more.map((one) => (one.id === '3R' ? { ...one, value: one.value + 6 } : one));
    expect(rigidHalves(nominal, off, LOOSE)!.left).toBeGreaterThan(0.5);
  });

  it('say nothing of a frame that is all on one side of the cut', () => {
    expect(rigidHalves(nominal, nine, 9000)).toBeNull();
  });
});
