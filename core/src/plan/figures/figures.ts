import { railAt, type Side } from '../../frame/index.ts';
import type { Section } from '../../sections/index.ts';
import type { Context } from '../context.ts';
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

/** What the figures of an operation are taken from: the frame before and after it, and the whole plan. */
export interface Around {
  readonly before: PlanState;
  readonly after: PlanState;
  readonly context: Context;
  readonly input: PlanInput;
  readonly result: PlanResult;
}

/**
 * Section of the left rail at local x of a piece, mm.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param x Station in the steel’s own coordinates, mm.
 * @param context Sections, rules and how lengths are written.
 */
export const sectionOn = (piece: Piece, x: number, context: Context): Section =>
  context.section(railAt(piece.rails.left, x).section);
