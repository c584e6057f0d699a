import type { RailId, Vec3 } from '../../frame/index.ts';
import type { Section } from '../../sections/index.ts';
import type { WallPlace } from '../../weld/index.ts';
import { pointBetween, type Seam } from './seam.ts';
import { flatSection } from './unfolded-walls.ts';

/** A tack: where on which wall. */
export interface Tack {
  readonly rail: RailId;
  /** Of the seam that it lies on. */
  readonly seam: Seam;
  readonly at: WallPlace;
  readonly middle: Vec3;
}

/** Walls that are welded one after the other without a break: where along the seam, mm. */
function runsOf(seams: readonly Seam[]): readonly (readonly [from: number, to: number])[] {
  const runs: [number, number][] = [];
  for (const { stretches } of seams)
    for (const { from, to } of stretches) {
      const last = runs.at(-1);
      if (last && Math.abs(last[1] - from.s) < 1e-6) last[1] = to.s;
      else runs.push([from.s, to.s]);
    }
  return runs;
}

/**
 * Places along a run in the order that they are tacked: both ends, then the middles of what is left open, until no two are
 * farther apart than allowed. A run that is closed in itself begins with two places opposite each other.
 *
 * @param from Where the run begins, mm.
 * @param to Where it ends, mm.
 * @param apart What two tacks may be apart, mm, above 0.
 * @param closed Whether its end is its beginning.
 */
export function tackPlaces(from: number, to: number, apart: number, closed = false): readonly number[] {
  const length = to - from;
  if (length <= 0) return [];
  const places = closed ? [from, from + length / 2] : [from, to];
  for (let parts = closed ? 2 : 1; length / parts > apart; parts *= 2)
    for (let at = 0; at < parts; at += 1) places.push(from + (length * (at + 0.5)) / parts);
  return places;
}

/**
 * The tacks of a joint in their order, left and right in turn.
 *
 * @param seams The butt seams of the joint.
 * @param sectionOf The section of a rail.
 * @param apart What two tacks may be apart, mm, above 0.
 */
export function tacksOf(seams: readonly Seam[], sectionOf: (rail: RailId) => Section, apart: number): readonly Tack[] {
  const rails = [...new Set(seams.map(({ rail }) => rail))];
  const byRail = rails.map((rail): readonly Tack[] => {
    const own = seams.filter((seam) => seam.rail === rail);
    const flat = flatSection(sectionOf(rail));
    const places = runsOf(own).flatMap(([from, to]) =>
      tackPlaces(from, to, apart, flat.closed && to - from > flat.around - 1e-6),
    );
    return places.flatMap((s): Tack[] => {
      const on = own.flatMap((seam) => seam.stretches.map((run) => ({ seam, run })));
      const found = on.find(({ run }) => s >= run.from.s - 1e-9 && s <= run.to.s + 1e-9);
      if (!found) return [];
      const { seam, run } = found;
      const share = run.to.s === run.from.s ? 0 : (s - run.from.s) / (run.to.s - run.from.s);
      const x = run.from.x + (run.to.x - run.from.x) * share;
      return [{ rail, seam, at: { x, s }, middle: pointBetween(run.start, run.end, share) }];
    });
  });
  const most = Math.max(0, ...byRail.map(({ length }) => length));
  return Array.from({ length: most }, (_, at) => byRail.flatMap((tacks) => tacks[at] ?? [])).flat();
}
