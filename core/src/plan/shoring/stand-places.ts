import { weightOf } from '../../shoring/index.ts';
import { ruleValue } from '../../rules/index.ts';
import type { Context } from '../context.ts';
import { frontTop, rearTop, spine } from '../piece.ts';
import { beamOf, type LadenPiece } from './held.ts';

/**
 * Where two stands under a part of a frame would carry it by themselves: as near as can be to a fifth of its length from
 * each end, clear of the cut and of what hangs below, with its center of gravity well between them.
 *
 * @param pieces All pieces of the step.
 * @param range The part’s pieces, first and last.
 * @param keep Stretches on the donor where nothing can stand, mm.
 * @param context Rules.
 * @returns Two donor stations, front to rear; null where there is no room.
 */
export function standsUnder(
  pieces: readonly LadenPiece[],
  range: readonly [number, number],
  keep: readonly { readonly from: number; readonly to: number }[],
  context: Context,
): readonly [number, number] | null {
  const off = ruleValue(context.rules, 'stands/off-cut');
  const margin = ruleValue(context.rules, 'stands/margin');
  const own = pieces.slice(range[0], range[1] + 1);
  const spots = own.flatMap(({ piece }) => {
    if (piece.source !== 'donor') return [];
    const [from, to] = [frontTop(piece) + off, rearTop(piece) - off];
    return Array.from({ length: Math.max(0, Math.floor((to - from) / STEP) + 1) }, (_, index) => from + index * STEP)
      .map((x) => Math.round(x / STEP) * STEP)
      .filter((x) => x >= from && x <= to && !keep.some((each) => x > each.from && x < each.to))
      .map((x) => ({ donor: x, x: spine(piece, x).x }));
  });
  const { x: center } = weightOf(beamOf(own, context).loads);
  const ends = own.map(({ piece }) => [spine(piece, frontTop(piece)).x, spine(piece, rearTop(piece)).x] as const);
  const [from, to] = [Math.min(...ends.map(([x]) => x)), Math.max(...ends.map(([, x]) => x))];
  const fifth = (to - from) / 5;
  const nearest = (wanted: number, some: typeof spots) =>
    some.reduce<(typeof spots)[0] | null>(
      (best, each) => (!best || Math.abs(each.x - wanted) < Math.abs(best.x - wanted) ? each : best),
      null,
    );
  // Where it balances off the middle, the stand on that side goes as far out as that asks for.
  const wide = Math.max(margin, fifth / 2);
  const first = nearest(
    Math.min(from + fifth, center - wide),
    spots.filter(({ x }) => x <= center - margin),
  );
  const last = nearest(
    Math.max(to - fifth, center + wide),
    spots.filter(({ x }) => x >= center + margin),
  );
  return first && last ? [first.donor, last.donor] : null;
}

/** Grid that stands are looked for on, mm. */
const STEP = 12.7;
