import { describe, expect, it } from 'vitest';
import type { Vec3 } from '../frame/index.ts';
import { inches } from '../units/index.ts';
import { adjustNetwork } from './network.ts';
import { halvesOf, withRearMoved } from './halves.ts';
import { type Holds, linesOfMove, movesFor, rigidOfLine, slidBy, type Target } from './moves.ts';
import { type Observation, type Points, readOf } from './observation.ts';
import { beforeMove, fittedMove, movedBy, type RigidMove } from './rigid-move.ts';

const STATIONS = [-600, 550, 1500, 3060, 4840];
const nominal: Points = Object.fromEntries(
  STATIONS.flatMap((x, at) => [
    [`${at}L`, { x, y: -420 + at * 3, z: at === 3 ? 95 : 0 }],
    [`${at}R`, { x, y: 420 - at * 3, z: at === 3 ? 95 : 0 }],
  ]),
);
const ids = Object.keys(nominal);
const observations: Observation[] = [
  ...ids.map((at): Observation => ({ id: `${at} height`, kind: 'height', at, value: 0, sigma: 1 })),
  ...ids.flatMap((from, index) =>
    ids
      .slice(index + 1)
      .filter((to) => Math.abs(Number(to[0]) - Number(from[0])) <= 1 || (from[0] === '1' && to[0] === '4'))
      .map((to): Observation => ({ id: `${from} ${to}`, kind: 'tape', from, to, value: 0, sigma: 1 })),
  ),
];
const targets: Target[] = observations.map((observation) => ({
  observation,
  target: readOf(nominal, observation),
  tolerance: observation.kind === 'height' ? inches(1 / 16) : inches(1 / 16),
}));
const holds: Holds = { front: 2700, rear: 4400, out: 400, z: -150 };
const LOOSE = 2000;
const DIVISION = inches(1 / 32);

/** A seeded stream of numbers between 0 and 1 (Park and Miller). */
function random(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}
const normal = (next: () => number) => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
const crooked = (next: () => number): RigidMove => {
  const within = (most: number) => (2 * next() - 1) * most;
  return {
    about: { x: 3900, y: 0, z: 0 },
    shift: { x: within(20), y: within(20), z: within(20) },
    turn: { x: within(0.02), y: within(0.008), z: within(0.01) },
  };
};
const rear = ids.filter((id) => nominal[id]!.x > LOOSE);
const broken = (move: RigidMove): Points =>
  Object.fromEntries(ids.map((id) => [id, rear.includes(id) ? movedBy(nominal[id]!, move) : nominal[id]!]));

describe('a rigid move', () => {
  const move: RigidMove = {
    about: { x: 10, y: -20, z: 5 },
    shift: { x: 3, y: 4, z: -2 },
    turn: { x: 0.3, y: -0.2, z: 0.5 },
  };
  const points: Vec3[] = [
    { x: 0, y: 0, z: 0 },
    { x: 1000, y: 0, z: 0 },
    { x: 0, y: 800, z: 100 },
    { x: 900, y: 700, z: -50 },
  ];
  it('keeps distances, and is taken back exactly', () => {
    const moved = points.map((point) => movedBy(point, move));
    const far = (a: Vec3, b: Vec3) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
    for (let i = 0; i < 4; i += 1)
      for (let j = 0; j < i; j += 1) expect(far(moved[i]!, moved[j]!)).toBeNear(far(points[i]!, points[j]!), 1e-9);
    for (const [at, point] of moved.entries()) expect(far(beforeMove(point, move), points[at]!)).toBeNear(0, 1e-9);
  });
  it('a quarter turn about the upright carries rearward to the right', () => {
    const quarter = { about: { x: 0, y: 0, z: 0 }, shift: { x: 0, y: 0, z: 0 }, turn: { x: 0, y: 0, z: Math.PI / 2 } };
    expect(movedBy({ x: 1, y: 0, z: 0 }, quarter).y).toBeNear(1, 1e-12);
  });
  it('is found again from where the points went; not from points in one line', () => {
    const found = fittedMove(
      points,
      points.map((point) => movedBy(point, move)),
    )!;
    expect(found.left).toBeNear(0, 1e-6);
    for (const point of points) {
      const [a, b] = [movedBy(point, found.move), movedBy(point, move)];
      expect(Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)).toBeNear(0, 1e-6);
    }
    const line = [0, 1, 2].map((x) => ({ x: x * 1000, y: 5, z: 5 }));
    expect(fittedMove(line, line)).toBeNull();
    expect(fittedMove(points.slice(0, 2), points.slice(0, 2))).toBeNull();
  });
});

describe('the halves', () => {
  it('wherever the frame stands, the loose half is seen from the front one', () => {
    const move = crooked(random(7));
    const whole: RigidMove = {
      about: { x: 0, y: 0, z: 0 },
      shift: { x: 500, y: -90, z: 12 },
      turn: { x: 0.01, y: 0.02, z: 0.4 },
    };
    const standing = Object.fromEntries(Object.entries(broken(move)).map(([id, at]) => [id, movedBy(at, whole)]));
    const halves = halvesOf(nominal, standing, LOOSE, false)!;
    expect(halves.rear).toEqual(rear);
    expect(halves.left.front).toBeNear(0, 1e-6);
    expect(halves.left.rear).toBeNear(0, 1e-6);
    for (const id of ids) {
      const there = withRearMoved(halves, halves.move)[id]!;
      const { x, y, z } = nominal[id]!;
      expect(Math.hypot(there.x - x, there.y - y, there.z - z)).toBeNear(0, 1e-5);
    }
  });
  it('a half with too few points says nothing', () => {
    expect(halvesOf(nominal, nominal, 4000, true)).toBeNull();
    expect(halvesOf(nominal, nominal, -1e4, true)).toBeNull();
  });
});

describe('the move list', () => {
  const halves = (points: Points) => halvesOf(nominal, points, LOOSE, true)!;
  const list = (move: RigidMove) => movesFor(halves(broken(move)), holds, targets, DIVISION);
  const still = {
    about: { x: holds.front, y: 0, z: holds.z },
    turn: { x: 0, y: 0, z: 0 },
    shift: { x: 0, y: 0, z: 0 },
  };

  it('one thing wrong asks for one thing: the rear is slid back where it was', () => {
    const { moves, reaches } = list(slidBy({ front: 0, rear: inches(1 / 4), back: 0 }, holds));
    expect(moves.map(({ lines }) => lines)).toEqual([[{ do: 'slide', at: 'rear', by: -inches(1 / 4) }]]);
    expect(reaches).toBe(true);
  });
  it('too far to the rear: it is pulled forward; high on one side: that side comes down', () => {
    expect(list({ ...still, shift: { x: inches(3 / 8), y: 0, z: 0 } }).moves.flatMap(({ lines }) => lines)).toEqual([
      { do: 'pull', by: -inches(3 / 8) },
    ]);
    const rolled = list({ ...still, turn: { x: inches(1 / 2) / 800, y: 0, z: 0 } }).moves;
    const stands = rolled.flatMap(({ lines }) => lines).filter((line) => line.do === 'stand');
    expect(stands.length).toBeGreaterThan(0);
    for (const line of stands) expect(Math.sign(line.by)).toBe(line.do === 'stand' && line.side === 'right' ? -1 : 1);
  });
  it('a frame that is right asks for nothing', () => {
    const { moves, before, reaches } = movesFor(halves(nominal), holds, targets, DIVISION);
    expect(moves).toEqual([]);
    expect(before).toMatchObject({ wrong: 0 });
    expect(reaches).toBe(true);
  });
  it('a half that is itself bent: the moves do what they can, and say that it does not reach', () => {
    const bent = { ...nominal, '4L': { ...nominal['4L']!, y: nominal['4L']!.y - 14 } };
    expect(movesFor(halves(bent), holds, targets, DIVISION).reaches).toBe(false);
  });
  it('what a push of the loose half is made of', () => {
    const move = slidBy({ front: inches(1 / 8), rear: inches(1 / 8), back: -inches(1 / 4) }, holds);
    expect(linesOfMove(move, holds, DIVISION)).toEqual([
      { do: 'slide', at: 'both', by: inches(1 / 8) },
      { do: 'pull', by: -inches(1 / 4) },
    ]);
  });

  it('brings 1000 crooked frames inside tolerance in three rounds of measuring and moving at the most', () => {
    const next = random(20_261_127);
    const rounds = [0, 0, 0, 0];
    for (let frame = 0; frame < 1000; frame += 1) {
      let truth = broken(crooked(next));
      let done = 0;
      for (let round = 1; round <= 3 && done === 0; round += 1) {
        const read = observations.map((one) => ({ ...one, value: readOf(truth, one) + 0.3 * normal(next) }));
        const network = adjustNetwork(nominal, read);
        if ('ways' in network) throw new Error('it floats');
        const found = halves(network.points);
        const { moves } = movesFor(found, holds, targets, DIVISION);
        // Done by hand: each line as said, give or take a twentieth of it and half a millimeter.
        for (const line of moves.flatMap(({ lines }) => lines)) {
          const by = line.by * (1 + 0.05 * (2 * next() - 1)) + (next() - 0.5);
          truth = withRearMoved({ points: truth, rear }, rigidOfLine({ ...line, by }, holds));
        }
        const off = Math.max(
          ...targets.map(
            ({ observation, target, tolerance }) => Math.abs(readOf(truth, observation) - target) / tolerance,
          ),
        );
        if (off <= 1) done = round;
      }
      rounds[done] = (rounds[done] ?? 0) + 1;
    }
    expect(rounds[0]).toBe(0);
    expect(rounds[1]! + rounds[2]!).toBeGreaterThan(900);
  });
});
