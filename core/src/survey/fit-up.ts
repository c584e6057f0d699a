import type { Side } from '../frame/index.ts';
import { type Rulebook, ruleValue } from '../rules/index.ts';

export const GAP_PLACES = ['top', 'web', 'bottom'] as const;
type GapPlace = (typeof GAP_PLACES)[number];

/** How the ends of one rail stand to each other, as read with a gauge. mm. */
export interface EndsRead extends Readonly<Record<GapPlace, number>> {
  readonly side: Side;
  /** How far the rear end stands outward of the front one, and above it. */
  readonly out: number;
  readonly up: number;
}

/** Steel to take off at one place, mm. */
interface DressOff {
  readonly side: Side;
  readonly place: GapPlace;
  readonly off: number;
}

/** How two ends fit, and what is to be done before they are tacked. */
export interface FitUp {
  /** Where to take steel off, most first: a little at a time, and read again. */
  readonly dress: readonly DressOff[];
  /** How far the loose half then comes forward until the root gap is what the rulebook says, mm; below 0 it goes back. */
  readonly draw: number;
  /** Ends that stand off each other by more than is allowed, mm. */
  readonly steps: readonly { readonly side: Side; readonly way: 'out' | 'up'; readonly by: number }[];
  readonly fits: boolean;
}

/**
 * How the ends at a joint fit. Steel comes off where the gap is tighter than at its widest place, so that it is even all
 * round; then the half is drawn together to the root gap. It takes for granted that the halves lie true: a gap that is
 * uneven because they do not is moved, not dressed.
 *
 * @param ends Each rail that was read, at least one.
 * @param rules The shop's rules: how even a gap is, what root gap, what high-low.
 */
export function fitUpOf(ends: readonly EndsRead[], rules: Rulebook): FitUp {
  const even = ruleValue(rules, 'fit-up/even');
  const allowed = ruleValue(rules, 'fit-up/high-low');
  const gaps = ends.flatMap((end) => GAP_PLACES.map((place) => ({ side: end.side, place, gap: end[place] })));
  const widest = Math.max(...gaps.map(({ gap }) => gap));
  const dress = gaps
    .map(({ side, place, gap }): DressOff => ({ side, place, off: widest - gap }))
    .filter(({ off }) => off > even + 1e-9)
    .sort((a, b) => b.off - a.off);
  // What stays tighter within what is even meets first.
  const tightest = Math.min(...gaps.map(({ gap }) => (widest - gap > even + 1e-9 ? widest : gap)));
  const steps = ends.flatMap(({ side, out, up }) =>
    (
      [
        ['out', out],
        ['up', up],
      ] as const
    ).flatMap(([way, by]) => (Math.abs(by) > allowed + 1e-9 ? [{ side, way, by }] : [])),
  );
  const draw = tightest - ruleValue(rules, 'weld/gap');
  return { dress, draw, steps, fits: dress.length === 0 && steps.length === 0 && Math.abs(draw) <= even + 1e-9 };
}
