import type { RailId, Side } from '../../frame/index.ts';
import { resistingMoment, type Section, sectionProperties } from '../../sections/index.ts';
import { type EndFit, ENDS_MEET, isClosed } from '../../splice/index.ts';
import type { Context } from '../context.ts';
import { type Joint, type JointSide, railsOf } from '../joint.ts';
import type { MemberOutcome } from '../members/index.ts';
import { type Piece, railEnd } from '../piece.ts';
import { memberOfRail } from './plan-with.ts';

/** A joint as splices speak of it: one of the rails, or the one in a member that is re-fitted. */
export interface SpliceJoint extends Pick<Joint, 'id' | 'letter' | 'operation' | 'builtX' | 'donorX'> {
  /** Whether it is one of the rails’ joints, or a member's own, which `letter` names. */
  readonly of: 'rails' | 'member';
}

/** The weaker of the sections that meet at a joint on a rail, or that of a member. */
function sectionAt(
  rail: RailId,
  joint: Joint,
  pieces: readonly Piece[],
  members: readonly MemberOutcome[],
  context: Context,
) {
  if (rail !== 'left' && rail !== 'right') {
    const member = members.find((outcome) => outcome.member.id === memberOfRail(rail));
    return member ? context.section(member.member.section) : null;
  }
  const [ahead, behind] = [pieces[joint.piece], pieces[joint.piece + 1]];
  if (!ahead || !behind) return null;
  const ends = [railEnd(ahead, rail as Side, 'rear').section, railEnd(behind, rail as Side, 'front').section];
  const sections = [...new Set(ends)].map((id) => context.section(id));
  const carried = (section: Section) => resistingMoment(sectionProperties(section), 1);
  return sections.reduce((weaker, section) => (carried(section) < carried(weaker) ? section : weaker));
}

/** One rail or copy of a member that runs through a joint. */
export interface Through {
  readonly rail: RailId;
  readonly section: Section | null;
  readonly turn: number;
  readonly fit: EndFit;
}

/** To a thousandth of a mm: a frame that is moved as a whole fits as before, in spite of floating-point noise. */
const rounded = (mm: number): number => Math.round(mm * 1000) / 1000;

/** How the ends of one rail come to a joint: what the plan turns on purpose is filled, and does not count as an opening. */
function fitOf(
  rail: RailId,
  { dy, dz, gapTop, gapBottom, depth, width }: JointSide,
  { plannedKink }: Joint,
  section: Section | null,
  uncut: EndFit['uncut'],
): EndFit {
  const outward = rail === 'left' || rail.endsWith('/left') ? -dy : dy;
  // A closed rail has a second upright wall, whose offset is another one where the widths differ.
  const inner = section && isClosed(section) ? Math.abs(outward - width) : 0;
  return {
    sideways: rounded(Math.max(Math.abs(dy), inner)),
    height: rounded(Math.max(Math.abs(dz), Math.abs(dz - depth))),
    opening: plannedKink ? 0 : rounded(Math.max(0, gapTop, gapBottom)),
    uncut,
  };
}

/** The flange that an operation folds the rails about without cutting it; null where it cuts all of them. */
export type PivotOf = (operation: string) => EndFit['uncut'];

/**
 * The joints of the rails with what runs through them, then those in members that are re-fitted.
 *
 * @param joints The joints of the rails.
 * @param pieces The pieces of the frame.
 * @param members What became of each member.
 * @param pivotOf The flange that an operation folds about.
 * @param context Sections, rules and how lengths are written.
 */
export function jointsToMake(
  joints: readonly Joint[],
  pieces: readonly Piece[],
  members: readonly MemberOutcome[],
  pivotOf: PivotOf,
  context: Context,
): readonly { readonly joint: SpliceJoint; readonly through: readonly Through[] }[] {
  const ofRails = joints.map((joint) => ({
    joint: { ...joint, of: 'rails' as const },
    through: railsOf(joint).map(([rail, side]): Through => {
      const section = sectionAt(rail, joint, pieces, members, context);
      const uncut = rail === 'left' || rail === 'right' ? pivotOf(joint.operation) : null;
      return { rail, section, turn: side.pitch, fit: fitOf(rail, side, joint, section, uncut) };
    }),
  }));
  const ofMembers = members.flatMap(({ member, operation, copies }) => {
    const refits = copies.flatMap(({ rail, refit }) => (refit ? [{ rail, refit }] : []));
    const [first] = refits;
    if (!first || operation === null) return [];
    const { from, to } = first.refit;
    const joint: SpliceJoint = {
      id: `${operation}/1`,
      letter: member.name,
      operation,
      builtX: (from.x + to.x) / 2,
      donorX: null,
      of: 'member',
    };
    const section = context.section(member.section);
    return [{ joint, through: refits.map(({ rail }): Through => ({ rail, section, turn: 0, fit: ENDS_MEET })) }];
  });
  return [...ofRails, ...ofMembers];
}
