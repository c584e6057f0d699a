import type { FlatShape, FlatPart } from '../flat-part.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { DrawnPoint } from '../outline.ts';
import type { EdgePoint } from './bracket-fit.ts';

/** A part before it has its mark. */
export type Made = Omit<FlatPart, 'mark' | 'mass' | 'length' | 'width' | 'offcut'>;

/**
 * What a bend is laid flat by.
 *
 * @param thickness Of the plate, mm.
 * @param radius Inside, mm.
 * @param rules The shop's rulebook.
 */
export const bendOf = (thickness: number, radius: number, rules: Rulebook) => ({
  thickness,
  radius,
  k: ruleValue(rules, 'bend/fibre'),
});

export const RIGHT_ANGLE = Math.PI / 2;

/**
 * The bends of a flat as lines across it, at the middle of each zone, from edge to edge.
 * @param zones Where each bend begins and ends across it, mm.
 * @param from Where they begin along it, mm.
 * @param to Where they end.
 */
export const bendLines = (
  zones: readonly (readonly [number, number])[],
  from: number,
  to: number,
): FlatShape['lines'] =>
  zones.map(([a, b]) => ({ from: [from, (a + b) / 2], to: [to, (a + b) / 2], what: 'bend' as const }));

/**
 * The hole of a mount in a flat; none where it has none or nobody has measured it.
 *
 * @param at Its middle, mm.
 * @param diameter mm.
 */
export const holeAt = (at: DrawnPoint, diameter: number | undefined): FlatShape['holes'] =>
  diameter === undefined || diameter === 0 ? [] : [{ at, diameter, what: 'mount' }];

/**
 * How far the edge reaches at a place along the width; straight between its points, and on from its ends.
 *
 * @param edge The edge.
 * @param at Behind the mount, mm.
 */
export function reachAt(edge: readonly EdgePoint[], at: number): number {
  const behind = edge.findIndex((point) => point.at >= at);
  const [a, b] = [edge[Math.max(0, behind - 1)], edge[behind < 0 ? edge.length - 1 : behind]];
  if (!a || !b) return 0;
  return b.at === a.at ? b.reach : a.reach + ((b.reach - a.reach) * (at - a.at)) / (b.at - a.at);
}

/**
 * Points of the edge within the width of a bracket, its corners included.
 * @param edge The edge.
 * @param along Width of the bracket along the rail, mm.
 */
export const pointsWithin = (edge: readonly EdgePoint[], along: number): readonly EdgePoint[] =>
  [-along / 2, ...edge.map(({ at }) => at).filter((at) => Math.abs(at) < along / 2 - 1e-6), along / 2].map((at) => ({
    at,
    reach: reachAt(edge, at),
  }));
