import { describe, expect, it } from 'vitest';
import { COARSE_MESH, type HeatedWall, nextStitches, type StitchToLay, WarmWall, wallsNow, weldRun } from './index.ts';

const wall: HeatedWall = {
  length: 600,
  around: 320,
  closed: false,
  thickness: 5,
  steel: { density: 7850, specificHeat: 500, conductivity: 45 },
  loss: { film: 20, emissivity: 0.8, ambient: 20, faces: 2 },
};
const stitch = (id: string, from: number, key = 'left'): StitchToLay => ({
  id,
  wall: key,
  from: { x: 300, s: from },
  to: { x: 300, s: from + 80 },
  band: 10,
  seconds: 17,
  energy: 40_000,
});
const four = [stitch('a', 0), stitch('b', 80), stitch('c', 160), stitch('d', 240)];
const rules = { limit: 150, handling: 20, inTurn: true };

describe('the times of a run', () => {
  it('wait where a neighbor was just welded, and no longer than has to be', () => {
    const run = weldRun({ left: wall }, [four], rules);
    expect(run.stitches.map(({ id }) => id)).toEqual(['a', 'b', 'c', 'd']);
    expect(run.stitches[0]).toMatchObject({ start: 0, end: 17, wait: 0 });
    expect(run.waiting).toBeGreaterThan(30);
    for (const { wait, temperature } of run.stitches) {
      expect(temperature).toBeLessThanOrEqual(150.5);
      if (wait > 1) expect(temperature).toBeGreaterThan(145);
    }
  });

  it('go to another joint while one cools, and are shorter so', () => {
    const walls = { left: wall, other: wall };
    const joints = [four, four.map((one) => ({ ...one, id: `${one.id}2`, wall: 'other' }))];
    const inTurn = weldRun(walls, joints, rules);
    const after = weldRun(walls, joints, { ...rules, inTurn: false });
    expect(inTurn.seconds).toBeLessThan(after.seconds);
    expect(inTurn.stitches.slice(0, 2).map(({ id }) => id)).toEqual(['a', 'a2']);
    expect(after.stitches.slice(0, 4).map(({ id }) => id)).toEqual(['a', 'b', 'c', 'd']);
  });

  it('tell after each stitch how far they are, and stop when asked to', () => {
    const told: string[] = [];
    const run = weldRun({ left: wall }, [four], rules, undefined, ({ id, end }, walls) => {
      told.push(id);
      expect(walls.get('left')!.time).toBeNear(end, 1e-6);
    });
    expect(told).toEqual(['a', 'b', 'c', 'd']);
    expect(run.seconds).toBeNear(weldRun({ left: wall }, [four], rules).seconds, 1);
    const stop = () => {
      throw new Error('stopped');
    };
    expect(() => weldRun({ left: wall }, [four], rules, undefined, stop)).toThrow('stopped');
  });

  it('by the clock are the same however hot the steel is', () => {
    const run = weldRun({ left: wall }, [four], { ...rules, clock: { stitches: 2, pause: 600 } });
    expect(run.stitches.map(({ wait }) => wait)).toEqual([0, 0, 600, 0]);
    expect(run.waiting).toBe(600);
    expect(run.stitches[1]!.temperature).toBeGreaterThan(150);
    expect(run.stitches[2]!.temperature).toBeLessThan(60);
  });

  it('are nothing where nothing is welded', () => {
    expect(weldRun({}, [[]], rules)).toEqual({ stitches: [], seconds: 0, waiting: 0 });
  });
});

describe('how the steel stands now', () => {
  it('is what the stitches left of it, however long ago they were', () => {
    const laid = [
      { id: 'a', ago: 100 },
      { id: 'b', ago: 40 },
    ];
    const now = wallsNow({ left: wall }, four, laid).get('left')!;
    const again = new WarmWall(wall, [300, 300], COARSE_MESH);
    again.runTo(117, [
      { ...four[0]!, start: 0 },
      { ...four[1]!, start: 60 },
    ]);
    for (const s of [20, 120, 200]) expect(now.at(300, s)).toBeNear(again.at(300, s), 0.5);
    expect(wallsNow({ left: wall }, four, [{ id: 'a', ago: 5 * 3600 }]).get('left')!.hottest).toBe(20);
  });

  it('says which stitch is next in each joint and how long it waits', () => {
    const [next] = nextStitches({ left: wall }, [four], [{ id: 'a', ago: 0 }], 150);
    expect(next!.id).toBe('b');
    expect(next!.wait).toBeGreaterThan(20);
    expect(next!.temperature).toBeGreaterThan(150);
    const [later] = nextStitches({ left: wall }, [four], [{ id: 'a', ago: 10 }], 150);
    expect(later!.wait).toBeNear(next!.wait - 10, 1);
    expect(
      nextStitches(
        { left: wall },
        [four],
        four.map(({ id }) => ({ id, ago: 1 })),
        150,
      ),
    ).toEqual([]);
  });

  it('leaves the order to who welds: a stitch laid out of turn is not asked for again', () => {
    const [next] = nextStitches({ left: wall }, [four], [{ id: 'c', ago: 30 }], 150);
    expect(next!.id).toBe('a');
    expect(next!.wait).toBe(0);
  });
});
