import type { Face, Side } from '../frame/index.ts';
import type { SpliceForm } from '../splice/index.ts';
import type { CutPart, Operation, RailEndAngle } from '../plan/index.ts';
import type { Assumption } from '../rules/index.ts';

/** Which side of the line the blade goes: on the waste; `line` where both sides are kept. */
export const KERF_SIDES = ['ahead', 'behind', 'line'] as const;
export type KerfSide = (typeof KERF_SIDES)[number];

/** Distances of a mark from the datum hole, mm; negative: ahead of it. Null along an edge that the line does not cross. */
export interface MarkDistances {
  /** Tape laid on the steel, from over the hole: along the top edge, the web at half depth, the bottom edge. */
  readonly top: number | null;
  readonly web: number | null;
  readonly bottom: number | null;
  /** Level, plumbed down. */
  readonly level: number;
  /** Hooked in the hole and pulled straight to the mark on the top edge; null without that hole or that mark. */
  readonly hooked: number | null;
}

/** What a line is: straight across the rail, or one of the three lines of a step. */
export const LINE_PARTS = ['across', 'upper vertical', 'horizontal', 'lower vertical'] as const;
export type LinePart = (typeof LINE_PARTS)[number];

/** One line to scribe and cut on a rail. A cut is one line, or the three lines of a step. */
export interface CutLine {
  /** Letters of the joints or ends this line makes: `A`, or `A B` where one cut makes both ends of a new piece. */
  readonly letters: string;
  readonly operation: Operation;
  readonly side: Side;
  readonly kerf: KerfSide;
  readonly part: LinePart;
  /** How the joint is cut here, where that is not square across. */
  readonly form: 'step' | 'angled cut' | null;
  /** Of a horizontal, its front end. */
  readonly from: MarkDistances;
  /** How far the bottom end of the line lies behind its top end, mm; below 0 ahead of it. */
  readonly lean: number;
  /** Rear end of a horizontal, along the web, mm. */
  readonly to: number | null;
  /** Height over the underside of the horizontal of a step, mm. */
  readonly height: number | null;
  /** Radius of the corners of a step, mm. */
  readonly radius: number;
  /** Where the line runs out of an older end of the rail: so far below its top edge, mm. Null where it crosses the rail. */
  readonly runsOut: number | null;
}

/** What distances of work that hangs on a rail run from: the datum hole, or the front end of a piece of new rail. */
export type MarkOrigin = { readonly on: 'donor' } | { readonly on: 'new'; readonly letters: string };

/** Something to fix or to drill on a rail: a bracket or a hole, by the middle of its fastening. */
export interface BracketMark {
  readonly name: string;
  readonly side: Side;
  readonly what: 'new' | 'moved' | 'off';
  readonly origin: MarkOrigin;
  /** Along the web, and level. */
  readonly web: number;
  readonly level: number;
  /** How far it reaches ahead and behind, mm. */
  readonly ahead: number;
  readonly behind: number;
  readonly face: Face;
  /** Below the rail top, mm. */
  readonly down: number;
  /** On the top: from the outside of the web in to its middle, mm; null in the web, and where nobody has measured it. */
  readonly across: number | null;
  /** Hole to drill; 0: none. */
  readonly diameter: number;
  /** Of mounts: height of the blocks and plates between the rail and the bracket, or the body itself, mm; 0: none. */
  readonly block: number;
  readonly fixedBy: string;
}

/** A crossmember to put in, move, change or take out. */
export interface CrossmemberMark {
  readonly name: string;
  readonly side: Side;
  readonly what: 'new' | 'moved' | 'lowered' | 'thinned' | 'out';
  readonly origin: MarkOrigin;
  /** Its middle along the top edge, and level, mm. */
  readonly top: number;
  readonly level: number;
  readonly length: number;
  readonly below: number;
  readonly depth: number;
}

/** Work on a member beside the rails, or on a brace; distances along its own center line. */
export interface MemberMark {
  readonly name: string;
  /** Which of a pair, or both where they are alike; null for one alone. */
  readonly side: Side | 'each' | null;
  readonly what: string;
  /** From its own front end, mm; null where it is not about a place. */
  readonly from: number | null;
  /** What it is cut to, comes out or goes in, mm; null where it is not about a length. */
  readonly length: number | null;
  /** Width of the wedge that turns its end sideways, both faces alike, mm; null where it is not turned. */
  readonly wedge: number | null;
}

/** A notch or a boxing plate: where it begins and ends along the edge it is cut from, or along the top edge. */
export interface ReworkMark {
  readonly operation: Operation;
  readonly side: Side;
  readonly what: 'notch from below' | 'notch from above' | 'boxing plate';
  readonly origin: MarkOrigin;
  readonly edge: 'top' | 'bottom';
  readonly from: number;
  readonly to: number;
  /** Depth of a notch from its edge near its front end, or the taper at each end of a plate, mm. */
  readonly deep: number;
  /** Depth of a notch from its edge near its rear end, mm: another one where its floor is level on a slope. Null for a plate. */
  readonly deepRear: number | null;
  /** Whether the floor of a notch is level or follows the edge; null for a plate. */
  readonly floor: 'level' | 'follows' | null;
  /** Thickness of the plate, mm; 0: none. */
  readonly plate: number;
}

/** A part to cut for a joint, and where it goes on: from the joint, and its lower edge over the underside, mm. */
export interface SplicePartMark {
  readonly part: CutPart;
  readonly ahead: number;
  readonly behind: number;
  readonly up: number | null;
}

/** A distance that proves the marks. */
export interface CrossCheck {
  readonly name: string;
  /** Along the top edge from one mark to the next, or pulled straight across from corner to corner. */
  readonly kind: 'along the top edge' | 'straight across';
  readonly distance: number;
}

/** A piece of new rail to cut for one side, as it ends up. */
export interface NewPiece {
  readonly letters: string;
  readonly operation: Operation;
  readonly side: Side;
  readonly section: string;
  /** Along the top edge and along the bottom edge, as planned, and the kerf that makes the built length come out, mm. */
  readonly length: number;
  readonly bottom: number;
  readonly kerf: number;
  /** What the gaps at its ends make longer, less what their welds pull, as far as those joints are decided, mm. */
  readonly gaps: number;
  /** What the top edge is cut to: as planned, with its kerf and less its gaps, mm. */
  readonly cutTo: number;
  /** Of the piece as planned, kg. */
  readonly mass: number;
  readonly front: RailEndAngle;
  readonly rear: RailEndAngle;
  /** How the joint at each end is cut, where it is decided. */
  readonly forms: { readonly front: SpliceForm | null; readonly rear: SpliceForm | null };
}

/** Something that is said on the sheet besides its marks. */
export interface SheetNote {
  readonly letters: string;
  readonly text: string;
}

export interface MarkSheet {
  readonly datum: string;
  /** Why nothing must be cut by it: what stops the plan. Empty: nothing stops it, which is no approval. */
  readonly stops: readonly string[];
  /** Conflicts that somebody decided to live with, who, and why. */
  readonly accepted: readonly string[];
  /** What the marks rest on that nobody has measured yet: stations, the datum, brackets and crossmembers. */
  readonly assumed: readonly string[];
  readonly lines: readonly CutLine[];
  readonly brackets: readonly BracketMark[];
  readonly crossmembers: readonly CrossmemberMark[];
  readonly members: readonly MemberMark[];
  readonly reworks: readonly ReworkMark[];
  readonly parts: readonly SplicePartMark[];
  readonly checks: readonly CrossCheck[];
  readonly newPieces: readonly NewPiece[];
  readonly notes: readonly SheetNote[];
  /** Of each joint, how it is welded and how far apart its ends are set. */
  readonly welds: readonly SheetNote[];
  /** The factors that the strength of its joints rests on. */
  readonly assumptions: readonly Assumption[];
}
