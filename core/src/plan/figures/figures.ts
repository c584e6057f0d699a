import { railAt, type Side } from '../../frame/index.ts';
import type { Section } from '../../sections/index.ts';
import type { Context } from '../context.ts';
import type { Operation } from '../operation.ts';
import type { Piece } from '../piece.ts';
import type { PlanInput, PlanResult } from '../plan-result.ts';
import type { PlanState } from '../state.ts';

/** A length of each rail, mm. */
export type OfSides = Readonly<Record<Side, number>>;

/** A new, oblique piece that leads from one end to another: its length on each rail, and its direction in plan. */
export interface Lead {
  readonly end: 'front' | 'rear';
  readonly length: OfSides;
  readonly slope: OfSides;
}

/** New rail: along its top edge, its mass, and what comes off the old end first. */
interface AddedFigures<K extends 'lengthen' | 'extend'> {
  readonly kind: K;
  readonly each: OfSides;
  readonly mass: number;
  readonly off: number;
}

/** What an operation does, in figures: lengths in mm, angles in radians, masses in kg. */
export type OperationFigures =
  | {
      readonly kind: 'shorten';
      /** Along the top edge of each rail. */
      readonly out: OfSides;
      /** The piece that is left of it after both saw cuts. */
      readonly scrap: OfSides;
      readonly mass: number;
      readonly halfWidths: { readonly ahead: number; readonly behind: number };
      readonly transition: { readonly length: OfSides; readonly turn: number } | null;
    }
  | AddedFigures<'lengthen'>
  | AddedFigures<'extend'>
  | { readonly kind: 'widen'; readonly out: number; readonly leads: readonly Lead[] }
  | {
      readonly kind: 'pie-cut';
      readonly angle: number;
      /** Width of the wedge, or of the opening, at the edge away from the pivot. */
      readonly wedge: number;
      /** How far the point moves along the frame, nearer to the cut above 0; null where it is given by its angle. */
      readonly nearer: number | null;
    }
  | {
      readonly kind: 'step';
      readonly slope: number;
      readonly length: number;
      /** What the frame gets shorter by; below 0 it gets longer. */
      readonly shorter: number;
      /** Width at the bottom edge of the wedge that comes out, and of the opening at the other cut. */
      readonly wedge: number;
      readonly opening: number;
    }
  | { readonly kind: 'trim'; readonly off: number; readonly lean: number; readonly face: number }
  | {
      readonly kind: 'notch';
      readonly left: number;
      /** The smaller modulus at the notch against the rail's, without and with its plate; null where not computed. */
      readonly modulus: number | null;
      readonly plated: number | null;
    }
  | {
      readonly kind: 'box';
      /** Each run of plate that later cuts leave, from front to rear. */
      readonly runs: readonly number[];
      readonly bending: number;
      readonly torsion: number;
    }
  | {
      readonly kind: 'crossmember';
      readonly railDepth: number;
      readonly below: number;
      readonly depth: number;
      /** Below the bottom edge of the rail; below 0 it stays clear of it. */
      readonly under: number;
      readonly wider: number;
    }
  | {
      readonly kind: 'bracket';
      readonly railDepth: number;
      /** Of its middle, below the rail's top edge: before, and now. */
      readonly was: number;
      readonly down: number;
      /** Steel between the hole, or the middle, and the rail's edges. */
      readonly fromTop: number;
      readonly fromBottom: number;
      /** Steel between two holes of a row, and first hole to last; null for one alone. */
      readonly between: number | null;
      readonly row: number;
    };

/** What the figures of an operation are taken from: the frame before and after it, and the whole plan. */
export interface Around {
  readonly before: PlanState;
  readonly after: PlanState;
  readonly context: Context;
  readonly input: PlanInput;
  readonly result: PlanResult;
}

/** An operation of one kind. */
export type Of<K extends Operation['kind']> = Extract<Operation, { kind: K }>;

/** Section of the left rail at local x of a piece, mm. */
export const sectionOn = (piece: Piece, x: number, context: Context): Section =>
  context.section(railAt(piece.rails.left, x).section);
