import type { Bracket, Contact } from '../../mounting/index.ts';
import { ruleValue } from '../../rules/index.ts';
import type { Context } from '../context.ts';
import type { RailUnder } from '../match/rail-under.ts';
import type { SeatMount } from '../match/seat-outcome.ts';

/** Whether a bracket is fixed to the side of a rail: its top is told over the top of the rail, and may lie below it. */
export const isBeside = ({ form }: Bracket): boolean => form === 'arm' || form === 'angle';

/** A point on the edge that a bracket is cut to, mm: along the rail from the mount, and how far it reaches there. */
export interface EdgePoint {
  readonly at: number;
  readonly reach: number;
}

/** Inner face that an arm inboard is fixed to: of an open rail the inside of its web, which lies behind its flange. */
const innerFace = ({ outer, inner, section }: RailUnder): number =>
  section.kind === 'channel' || section.kind === 'hat' ? outer - section.thickness : inner;

/**
 * How far a mount lies from what its bracket is fixed to: the face of the rail, or the middle of its top; mm.
 *
 * @param bracket The bracket.
 * @param seat The mount where the body sits.
 * @param rail The rail under it.
 */
export function reachOf(bracket: Bracket, { at, sideways }: SeatMount, rail: RailUnder): number {
  const out = Math.abs(at.y);
  if (isBeside(bracket)) return sideways < 0 ? innerFace(rail) - out : out - rail.outer;
  return out - (rail.outer + rail.inner) / 2;
}

/** Points along the width of a bracket at which its edge is looked at, from the mount, mm. */
const pointsAlong = (along: number): readonly number[] => [-0.5, -0.25, 0, 0.25, 0.5].map((share) => share * along);

/**
 * The edge of a bracket on the rail: as read from a contour gauge, or along the rail as measured.
 *
 * @param bracket The bracket.
 * @param seat The mount where the body sits.
 * @param rake Of the body, radians.
 * @param height From the foot of the bracket to its top, mm.
 * @param reach From what it is fixed to to the mount, mm.
 * @param rail The rail under it.
 * @param railAt The rail at another station; null where there is none.
 */
export function edgeOf(
  bracket: Bracket,
  seat: SeatMount,
  rake: number,
  height: number,
  reach: number,
  rail: RailUnder,
  railAt: (x: number) => RailUnder | null,
): readonly EdgePoint[] {
  if (bracket.form === 'none') return [];
  const base = bracket.form === 'perch' || bracket.form === 'old' ? height : reach;
  if ('contour' in bracket && bracket.contour.length > 1)
    return bracket.contour.toSorted((a, b) => a.at - b.at).map(({ at, gap }) => ({ at, reach: base + gap }));
  const standing = bracket.form === 'perch' || bracket.form === 'old';
  return pointsAlong(bracket.along).map((at) => {
    const here = railAt(seat.at.x + at) ?? rail;
    if (standing) return { at, reach: height + at * Math.tan(rake) + rail.top - here.top };
    const inboard = seat.sideways < 0;
    return { at, reach: inboard ? reach + innerFace(here) - innerFace(rail) : reach + rail.outer - here.outer };
  });
}

/** What decides whether a bracket can stand where it is asked to, mm. */
export interface Fit {
  readonly height: number | null;
  readonly reach: number;
  readonly contact: Contact;
  readonly block: number | null;
}

/**
 * Why a bracket of this form cannot stand between this rail and this mount, as sentences.
 *
 * @param bracket The bracket.
 * @param seat The mount where the body sits.
 * @param rail The rail under it.
 * @param fit What decides it.
 * @param context The shop's rulebook, and how lengths are written.
 */
export function misfits(
  bracket: Bracket,
  seat: SeatMount,
  rail: RailUnder | null,
  { height, reach, contact, block }: Fit,
  { show, rules }: Pick<Context, 'show' | 'rules'>,
): readonly string[] {
  if (!rail || height === null) return ['There is no rail under it: move the body, or lengthen the rail.'];
  const beside = Math.abs(seat.sideways);
  // What a shim takes up when the body is let down.
  const shim = ruleValue(rules, 'mount/true');
  switch (bracket.form) {
    case 'none':
      if (beside > 0)
        return [`It stands ${show(beside)} beside the rail: it needs an arm, an angle or a drop bracket.`];
      if (height > shim)
        return [`${show(height)} are left between its stack and the rail: add a block, or take a perch.`];
      if (height < -shim) return [`Its stack is ${show(-height)} too high: take out layers, or raise the body.`];
      return [];
    case 'perch':
      return [
        ...(height < bracket.thickness + bracket.radius
          ? [`${show(height)} is too low for a folded perch: use plates and blocks, or take out layers.`]
          : []),
        ...(Math.abs(reach) > bracket.across / 2 - bracket.thickness - bracket.radius - (seat.mount.hole ?? 0) / 2
          ? [
              `It stands ${show(Math.abs(reach))} from the middle of the rail: its bolt comes down on a leg of the perch. Make the perch wider, move the hole, or take an arm.`,
            ]
          : []),
      ];
    case 'old':
      return [
        ...(beside > 0 ? [`It stands ${show(beside)} beside the rail: its old bracket needs an arm under it.`] : []),
        ...(block !== null && block < -shim
          ? [`Its old bracket is ${show(-block)} too tall: cut it down, or raise the body.`]
          : []),
      ];
    case 'arm':
    case 'angle':
      return [
        ...(reach <= 0 ? ['It stands over the rail: an arm beside it does not reach it. Take a perch.'] : []),
        ...(height < -rail.section.depth
          ? [
              `Its top lies ${show(-height - rail.section.depth)} under the rail: raise the body, or hang it from a plate of your own.`,
            ]
          : contact.height <= 0
            ? ['It does not meet the web at that height: make it deeper.']
            : []),
        ...(seat.sideways < 0 && rail.section.kind === 'round' ? ['A round rail has no web to fix it to.'] : []),
      ];
  }
}

/**
 * How an arm or angle lies against the web: from the top of the rail, or from its own where that is lower, down.
 *
 * @param bracket The bracket.
 * @param height Of its top over the top of the rail, mm.
 * @param rail The rail.
 */
export function contactOf(bracket: Bracket, height: number, rail: RailUnder): Contact {
  const { depth } = rail.section;
  const deep = bracket.form === 'arm' ? bracket.deep : bracket.form === 'angle' ? bracket.upright : 0;
  const [top, foot] = [Math.min(0, height), Math.max(height - deep, -depth)];
  return { height: Math.max(0, top - foot), top: height <= 0, foot: height - deep >= -depth };
}

export const NO_CONTACT: Contact = { height: 0, top: false, foot: false };

const isFlat = ({ form }: Bracket): boolean => form === 'none' || form === 'old';

/** Rises under this over the width of a bracket are nothing, mm. */
const LEVEL = 0.8;

/**
 * How much the rail rises over the width of what lies flat on it, against the body over it, mm; null where it is level with it
 * or nothing lies flat on it.
 *
 * @param rail The rail under it.
 * @param bracket The bracket.
 * @param seat The mount where the body sits.
 * @param rake Of the body, radians.
 * @param context The shop's rulebook.
 */
export function wedgeOf(
  rail: RailUnder,
  bracket: Bracket,
  { up }: SeatMount,
  rake: number,
  { rules }: Context,
): number | null {
  if (!isFlat(bracket)) return null;
  const along = 'along' in bracket ? bracket.along : ruleValue(rules, 'mount/width');
  const rise = (rail.slope - Math.tan(rake)) * along;
  return up !== null && Math.abs(rise) > LEVEL ? rise : null;
}
