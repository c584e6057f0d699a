import { type DrawnPoint, planOutline, type PlanResult, posed, type Section, sideOutline } from '@splay/core';
import type { Across, Strip, View } from '../client/picture-props.ts';

export const TAPE_HEIGHT = 56;

/** Room in the side view over the frame, for tags and the body's floor, and under it for dimensions, px: less in a low one. */
const overIn = (height: number): number => Math.min(46, height * 0.26);
const underIn = (height: number): number => Math.min(62, height * 0.34);
/** Room beside the rails in the plan view, px: less in a low one. */
const besideIn = (height: number): number => Math.min(20, height * 0.16);

/** Between the strips and the tray, and the least of the tray's picture that is worth a look, px. */
const [BAR, LEAST_TRAY] = [37, 96];
/** What a picture of the same rails gets before the strips get more, px. */
const REPEATED_TRAY = 230;
/** The least and the most height of the strips, px. */
const [LEAST, MOST] = [236, 900];

/** Heights of the strips that a drawing of this height can have, px. */
export const stripLimits = (column: number): readonly [least: number, most: number] => {
  const most = Math.max(160, Math.min(MOST, column - BAR - LEAST_TRAY));
  return [Math.min(LEAST, most), most];
};

/**
 * How the height of the strips is shared out, px: the tray gets what is free first, unless somebody has dragged the bar.
 *
 * @param column Height of strips, bar and tray.
 * @param wanted Where the bar was dragged to, as a share of that; null where nobody has.
 * @param repeated Whether the tray draws the same rails again: the strips get more then, up to what a picture needs.
 */
export function stripHeights(
  column: number,
  wanted: number | null = null,
  repeated = false,
): { readonly side: number; readonly plan: number; readonly all: number } {
  const [least, most] = stripLimits(column);
  const alone = Math.min(560, Math.max(Math.min(376, column * 0.55), column * 0.42));
  const usual = repeated ? Math.max(alone, Math.min(alone * 1.3, column - BAR - REPEATED_TRAY)) : alone;
  const all = Math.round(Math.min(most, Math.max(least, wanted === null ? usual : wanted * column)));
  const side = Math.round((all - TAPE_HEIGHT) * 0.53);
  return { side, plan: all - TAPE_HEIGHT - side, all };
}

/** Pixels a mm at which the wheels still fit in a side view so high. */
export const mostScale = (
  { over, under }: { readonly over: number; readonly under: number },
  sideHeight: number,
): number => (sideHeight - overIn(sideHeight)) / (over + under);

/** Heights of rails and members over and under the datum plane, mm. */
function railsTall({ pieces, members }: PlanResult, section: (id: string) => Section): readonly [number, number] {
  let [over, under] = [0, 1];
  for (const { rails, pose } of pieces)
    for (const { x, top, section: id } of rails.left) {
      const { z } = posed(pose, x, top);
      over = Math.max(over, z);
      under = Math.max(under, section(id).depth - z);
    }
  for (const { member, copies } of members)
    for (const { z } of copies.flatMap(({ built }) => built.flatMap(({ points }) => points))) {
      const half = section(member.section).depth / 2;
      over = Math.max(over, z + half);
      under = Math.max(under, half - z);
    }
  return [over, under];
}

/** Heights of the left rail over and under the datum plane between two stations, mm. */
function tallBetween(
  { pieces, members }: PlanResult,
  section: (id: string) => Section,
  [from, to]: readonly [number, number],
): readonly [number, number] {
  const zs = pieces.flatMap((piece) =>
    sideOutline(piece, 'left', section).flatMap(([x, z], at, outline) => {
      // Corners between the two stations, and where a line of the outline comes in or goes out.
      const [nextX, nextZ] = outline[(at + 1) % outline.length] as DrawnPoint;
      const inside = x >= from && x <= to ? [z] : [];
      const crossed = [from, to].flatMap((edge) =>
        (x - edge) * (nextX - edge) < 0 ? [z + ((edge - x) / (nextX - x)) * (nextZ - z)] : [],
      );
      return [...inside, ...crossed];
    }),
  );
  return zs.length > 0 ? [Math.max(...zs), -Math.min(...zs)] : railsTall({ pieces, members } as PlanResult, section);
}

/** Room in a close side view over the rail, for letters, and under it, for a dimension, px: less in a low one. */
const aboveIn = (height: number): number => Math.min(48, height * 0.4);
const belowIn = (height: number): number => Math.min(30, height * 0.25);
const closeScale = (height: number, tall: number): number =>
  (height - aboveIn(height) - belowIn(height)) / Math.max(1, tall);

/** Pixels a mm at which the left rail between two stations fits the height of a close side view. */
export const closestScale = (
  height: number,
  frame: PlanResult,
  section: (id: string) => Section,
  between: readonly [number, number],
): number => {
  const [over, under] = tallBetween(frame, section, between);
  return closeScale(height, over + under);
};

/** A side view of what lies between two stations, true to scale as far as that fits its height. */
export function closeSideStrip(
  height: number,
  view: View,
  frame: PlanResult,
  section: (id: string) => Section,
  between: readonly [number, number],
): Strip {
  const [over, under] = tallBetween(frame, section, between);
  const scale = Math.min(view.scale, closeScale(height, over + under));
  const [above, below] = [aboveIn(height), belowIn(height)];
  const middle = above + (height - above - below) / 2;
  const zero = middle + ((over - under) / 2) * scale;
  return { top: 0, height, foot: zero + under * scale, across: { zero, sign: -1, scale } };
}

/** The side view: true to scale until the rails would not fit any more; then heights are drawn smaller than lengths. */
export function sideStrip(
  top: number,
  height: number,
  view: View,
  frame: PlanResult,
  section: (id: string) => Section,
): Strip {
  const [over, under] = railsTall(frame, section);
  const scale = Math.min(view.scale, (height - overIn(height) - underIn(height)) / (over + under));
  const zero = top + overIn(height) + over * scale;
  return { top, height, foot: zero + under * scale, across: { zero, sign: -1, scale } };
}

/** How far the inside and the outside of the rails lie from the center line, mm: the least and the most of all. */
function railsWide({ pieces }: PlanResult, section: (id: string) => Section): readonly [number, number] {
  let [inner, outer] = [Infinity, 0];
  for (const piece of pieces)
    for (const side of ['left', 'right'] as const)
      for (const [, y] of planOutline(piece, side, section)) {
        inner = Math.min(inner, Math.abs(y));
        outer = Math.max(outer, Math.abs(y));
      }
  return [inner, outer];
}

/**
 * The plan view: true to scale while both rails fit; closer up the rails are drawn nearer each other, with a break
 * between them. Figures stay true.
 */
export function planStrip(
  top: number,
  height: number,
  view: View,
  frame: PlanResult,
  section: (id: string) => Section,
): Strip {
  const [inner, outer] = railsWide(frame, section);
  const half = height / 2 - besideIn(height);
  const zero = top + height / 2;
  // A little too wide is drawn a little smaller; only what is much too wide is broken.
  if (outer * view.scale > half && outer * view.scale <= half * 1.4)
    return { top, height, foot: zero + half, across: { zero, sign: 1, scale: half / outer } };
  if (outer * view.scale <= half || inner === Infinity)
    return { top, height, foot: zero + outer * view.scale, across: { zero, sign: 1, scale: view.scale } };
  // Each rail keeps its own scale; what lies between them is drawn short. Where even one does not fit, it is smaller.
  const scale = Math.min(view.scale, (half * 0.72) / (outer - inner + 1));
  const shown = half - (outer - inner) * scale;
  return { top, height, foot: zero + half, across: { zero, sign: 1, scale, broken: { at: inner, shown } } };
}

/** The note on a plan view whose widths and lengths have different scales; empty where they have the same. */
export const planNote = ({ broken, scale }: Across, along: number): string =>
  broken ? 'rails drawn nearer each other' : scale < along * 0.97 ? 'widths drawn smaller' : '';

/** Pixels across a strip of a place so many mm from its zero. */
export function acrossPx({ zero, sign, scale, broken }: Across, mm: number): number {
  if (!broken) return zero + sign * mm * scale;
  const away = Math.abs(mm);
  const px = away <= broken.at ? (away / broken.at) * broken.shown : broken.shown + (away - broken.at) * scale;
  return zero + sign * Math.sign(mm) * px;
}
