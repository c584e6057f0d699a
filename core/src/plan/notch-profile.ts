import { type Rail, railAt, type Side } from '../frame/index.ts';
import type { LineOf } from './face.ts';
import type { Notch } from './operations/notch.ts';
import type { DrawnPoint } from './outline.ts';

/** Points that a curved notch floor is worked out at. */
const POINTS = 48;

/** Share of its width over which the floor of an arch bends at each end, at most. */
const BEND_SHARE = 1 / 3;

/** How deep a notch is at a share of its width, as a share of its depth: 0 at its ends, 1 over most of an arch. */
function depthShare({ form, width, depth }: Notch, share: number): number {
  const quarter = (away: number): number => Math.sqrt(Math.max(0, 1 - away * away));
  if (form === 'round') return quarter(2 * share - 1);
  const bend = Math.min(depth / width, BEND_SHARE);
  const fromEnd = Math.min(share, 1 - share);
  return fromEnd >= bend ? 1 : quarter(1 - fromEnd / bend);
}

/** The floor of a notch at one station of its rail, local heights, mm. */
export interface NotchAt {
  readonly x: number;
  /** The edge of the rail that it is cut from. */
  readonly edge: number;
  /** Where the steel begins again; at the edge where the notch takes nothing. */
  readonly floor: number;
}

/**
 * The floor of a notch along one rail, front to rear. It follows the edge of the rail, so that it is equally deep all along, or
 * it is level, as deep as stated at its middle.
 *
 * @param notch The notch.
 * @param span Where it begins and ends, local, mm.
 * @param rail The rail that it is cut in, local.
 * @param depthOf Depth of the rail by its section id, mm.
 */
export function notchFloor(
  notch: Notch,
  { from, to }: { readonly from: number; readonly to: number },
  rail: Rail,
  depthOf: LineOf,
): readonly NotchAt[] {
  const below = notch.from === 'below';
  const edgeAt = (x: number): number => {
    const { top, section } = railAt(rail, x);
    return below ? top - depthOf(section) : top;
  };
  const middle = edgeAt((from + to) / 2);
  const inner = rail.map(({ x }) => x).filter((x) => x > from && x < to);
  const even = Array.from({ length: POINTS + 1 }, (_, at) => from + ((to - from) * at) / POINTS);
  return [...new Set([...even, ...inner])]
    .sort((a, b) => a - b)
    .map((x): NotchAt => {
      const edge = edgeAt(x);
      const deep = notch.depth * depthShare(notch, (x - from) / (to - from));
      const base = notch.floor === 'level' ? middle : edge;
      const floor = below ? Math.max(edge, base + deep) : Math.min(edge, base - deep);
      return { x, edge, floor };
    });
}

/**
 * The outline of the steel that a notch takes out of one rail, local x and height: its floor to the rear, the edge back.
 *
 * @param notch The notch.
 * @param span Where it begins and ends, local, mm.
 * @param rails The rails of the steel that it is cut in.
 * @param side Left or right, as seated.
 * @param depthOf Depth of the rail by its section id, mm.
 */
export function notchOutline(
  notch: Notch,
  span: { readonly from: number; readonly to: number },
  rails: Readonly<Record<Side, Rail>>,
  side: Side,
  depthOf: LineOf,
): readonly DrawnPoint[] {
  const floor = notchFloor(notch, span, rails[side], depthOf);
  return [
    ...floor.map(({ x, floor: z }): DrawnPoint => [x, z]),
    ...floor.toReversed().map(({ x, edge }): DrawnPoint => [x, edge]),
  ];
}

/**
 * The deepest and the shallowest a notch is, square up from the edge, over the middle of its width where its floor does not
 * bend, mm.
 *
 * @param floor The floor of a notch.
 */
export function notchDepths(floor: readonly NotchAt[]): {
  readonly front: number;
  readonly rear: number;
  readonly most: number;
} {
  const deep = floor.map(({ edge, floor: z }) => Math.abs(z - edge));
  const at = (share: number) => deep[Math.round(share * (deep.length - 1))] ?? 0;
  return { front: at(BEND_SHARE), rear: at(1 - BEND_SHARE), most: Math.max(...deep) };
}

/**
 * The floor of a notch at any station, straight between its points; null beyond its ends.
 *
 * @param floor The floor of a notch, front to rear.
 * @param x The station, mm.
 */
export function floorAt(floor: readonly NotchAt[], x: number): NotchAt | null {
  const next = floor.findIndex((point) => point.x >= x);
  const [a, b] = [floor[Math.max(0, next - 1)], floor[next]];
  if (!a || !b || x < a.x) return null;
  const share = b.x === a.x ? 0 : (x - a.x) / (b.x - a.x);
  const between = (of: 'edge' | 'floor') => a[of] + share * (b[of] - a[of]);
  return { x, edge: between('edge'), floor: between('floor') };
}
