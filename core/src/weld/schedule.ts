import type { Heat, HeatedWall } from './heated-wall.ts';
import { COARSE_MESH, type Mesh } from './mesh.ts';
import { WarmWall } from './warm-wall.ts';

/** A stitch to lay: on which wall, where on it, how long its arc burns and what it brings in. */
export interface StitchToLay extends Pick<Heat, 'from' | 'to' | 'band' | 'seconds' | 'energy'> {
  readonly id: string;
  /** Key of the wall. */
  readonly wall: string;
}

/** What a shop waits by. */
export interface WaitRules {
  /** No stitch starts where the steel is above this, °C. */
  readonly limit: number;
  /** Between two stitches in any case, s. */
  readonly handling: number;
  /** Joints are welded in turn, so that one cools while another is welded; otherwise one after the other. */
  readonly inTurn: boolean;
  /** The shop waits by the clock instead: so many stitches, then so long, s, however hot the steel is. */
  readonly clock?: { readonly stitches: number; readonly pause: number };
}

/** A stitch with its time. s, °C. */
export interface TimedStitch {
  readonly id: string;
  readonly start: number;
  readonly end: number;
  /** How long nothing is done before it but wait, and how hot its start then is. */
  readonly wait: number;
  readonly temperature: number;
}

/** The stitches of a run in the order they are laid, and when the last one is. */
export interface WeldRun {
  readonly stitches: readonly TimedStitch[];
  readonly seconds: number;
  /** All the time in which nobody welds because the steel is too hot, s. */
  readonly waiting: number;
}

/** A joint as it is worked on. */
interface Line {
  readonly stitches: readonly StitchToLay[];
  next: number;
}

/**
 * The times of a welding run. Each joint's stitches keep their order; where joints are welded in turn, the one goes next
 * whose steel lets it start first.
 *
 * @param walls The walls by their keys, cold.
 * @param joints The stitches of each joint in their order.
 * @param rules What the shop waits by.
 * @param mesh How finely the walls are divided.
 * @param onStitch Told each stitch with how warm all walls are when it ends; what it throws stops the run. Without it walls
 *   that nobody needs are left to cool by themselves, which is faster.
 * @throws InputError where a limit is never cooled to.
 */
export function weldRun(
  walls: Readonly<Record<string, HeatedWall>>,
  joints: readonly (readonly StitchToLay[])[],
  { limit, handling, inTurn, clock: byClock }: WaitRules,
  mesh: Mesh = COARSE_MESH,
  onStitch?: (stitch: TimedStitch, walls: ReadonlyMap<string, WarmWall>) => void,
): WeldRun {
  const warm = new Map<string, WarmWall>();
  const lines: readonly Line[] = joints.filter(({ length }) => length > 0).map((stitches) => ({ stitches, next: 0 }));
  const seams = new Map<string, number[]>();
  for (const { wall, from, to } of joints.flat()) seams.set(wall, [...(seams.get(wall) ?? []), from.x, to.x]);
  const wallOf = (key: string): WarmWall => {
    const known = warm.get(key);
    if (known) return known;
    const wall = walls[key];
    if (!wall) throw new RangeError(`no wall ${key}`);
    const made = new WarmWall(wall, seams.get(key) ?? [], mesh);
    warm.set(key, made);
    return made;
  };
  const timed: TimedStitch[] = [];
  let [clock, waiting] = [0, 0];
  /** When the next stitch of each joint may start; known until its wall is heated again. */
  const ready = new Map<string, number>();
  const readyAt = ({ id, wall, from }: StitchToLay, earliest: number): number => {
    const known = byClock ? undefined : ready.get(id);
    if (known !== undefined) return known;
    const steel = wallOf(wall);
    // Nothing heats it before then.
    steel.runTo(earliest);
    if (byClock) return earliest + (timed.length > 0 && timed.length % byClock.stitches === 0 ? byClock.pause : 0);
    const at = steel.time + steel.waitFor(from.x, from.s, limit);
    ready.set(id, at);
    return at;
  };
  for (let left = lines; ;) {
    left = left.filter(({ stitches, next }) => next < stitches.length);
    const open = inTurn ? left : left.slice(0, 1);
    const earliest = clock + (timed.length > 0 ? handling : 0);
    const starts = open.map((line) => ({ line, at: readyAt(line.stitches[line.next] as StitchToLay, earliest) }));
    // Of those that may start now the one with most still to do goes on.
    const rank = ({ line: { stitches, next } }: (typeof starts)[number]) => stitches.length - next;
    const first = starts.toSorted(
      (a, b) => Math.max(a.at, earliest) - Math.max(b.at, earliest) || rank(b) - rank(a),
    )[0];
    if (!first) return { stitches: timed, seconds: clock, waiting };
    const stitch = first.line.stitches[first.line.next] as StitchToLay;
    const start = Math.max(first.at, earliest);
    const steel = wallOf(stitch.wall);
    steel.runTo(start);
    const temperature = steel.at(stitch.from.x, stitch.from.s);
    const end = start + stitch.seconds;
    steel.runTo(end, [{ ...stitch, start }]);
    const laid: TimedStitch = { id: stitch.id, start, end, wait: start - earliest, temperature };
    timed.push(laid);
    if (onStitch) {
      for (const each of warm.values()) each.runTo(end);
      onStitch(laid, warm);
    }
    waiting += start - earliest;
    clock = end;
    first.line.next += 1;
    for (const { line } of starts) {
      const other = line.stitches[line.next];
      if (other?.wall === stitch.wall) ready.delete(other.id);
    }
  }
}
