import type { Section } from '../sections/index.ts';
import { isInside, TOLERANCE } from '../units/index.ts';
import type { Frame, Rail, Station } from './frame.ts';

/** A rail at one station: interpolated place, section id, and slopes (per mm of x) of the stretch it lies on. */
export interface RailHere {
  readonly halfWidth: number;
  readonly top: number;
  readonly section: string;
  readonly widthSlope: number;
  readonly topSlope: number;
}

/**
 * Front and rear end of a rail, mm. A validated rail has two stations or more.
 *
 * @param rail Stations from front to rear, two or more, mm.
 */
export const railEnds = (rail: Rail): readonly [front: number, rear: number] => [
  rail[0]?.x ?? 0,
  rail[rail.length - 1]?.x ?? 0,
];

/**
 * Length from the first station of a rail straight to its last, mm: that of new rail, which has no others.
 *
 * @param rail Stations from front to rear, two or more, mm.
 */
export function straightLength(rail: Rail): number {
  const [first, last] = [rail[0], rail[rail.length - 1]];
  if (!first || !last) return 0;
  return Math.hypot(last.x - first.x, last.halfWidth - first.halfWidth, last.top - first.top);
}

/** Index of the stretch that holds `x`; at a station (within the tolerance) the one that `toward` asks for. */
function stretchAt(rail: Rail, x: number, toward: 'front' | 'rear'): number {
  let low = 0;
  let high = rail.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    const start = rail[middle]?.x ?? 0;
    if (toward === 'rear' ? start <= x + TOLERANCE : start < x - TOLERANCE) low = middle;
    else high = middle - 1;
  }
  return low;
}

/**
 * The rail at station `x`, mm, straight between stations and carried on straight beyond the ends.
 * At a station `toward` chooses which stretch gives the slope and the section.
 *
 * @param rail Stations from front to rear, two or more, mm.
 * @param x Station, mm; beyond the ends the rail is carried on straight.
 * @param toward At a station, whether the stretch ahead (`front`) or the one behind counts.
 */
export function railAt(rail: Rail, x: number, toward: 'front' | 'rear' = 'rear'): RailHere {
  const index = stretchAt(rail, x, toward);
  const [a, b] = [rail[index], rail[index + 1]] as [Station, Station];
  const span = b.x - a.x;
  const widthSlope = (b.halfWidth - a.halfWidth) / span;
  const topSlope = (b.top - a.top) / span;
  return {
    halfWidth: a.halfWidth + widthSlope * (x - a.x),
    top: a.top + topSlope * (x - a.x),
    section: a.section,
    widthSlope,
    topSlope,
  };
}

/**
 * The part of a rail between two stations on it, ends interpolated, mm.
 *
 * @param rail Stations from front to rear, two or more, mm.
 * @param from Station of its front end, on the rail, mm.
 * @param to Station of its rear end, behind `from`, mm.
 */
export function cutRail(rail: Rail, from: number, to: number): Rail {
  const inner = rail.filter((station) => isInside(station.x, { from, to }));
  const start = railAt(rail, from, 'rear');
  const end = railAt(rail, to, 'front');
  return [
    { x: from, halfWidth: start.halfWidth, top: start.top, section: start.section },
    ...inner,
    { x: to, halfWidth: end.halfWidth, top: end.top, section: end.section },
  ];
}

/** Looks sections up by id; the frame must have been validated. */
export function sectionLookup({ sections }: Pick<Frame, 'sections'>): (id: string) => Section {
  const known = lookups.get(sections);
  if (known) return known;
  const byId = new Map(sections.map((named) => [named.id, named.section]));
  const lookup = (id: string): Section => {
    const section = byId.get(id);
    if (!section) throw new RangeError(`no section “${id}” in a frame that was not validated`);
    return section;
  };
  lookups.set(sections, lookup);
  return lookup;
}

/** One look-up for each list of sections: what is worked out with it is known by it. */
const lookups = new WeakMap<Frame['sections'], (id: string) => Section>();
