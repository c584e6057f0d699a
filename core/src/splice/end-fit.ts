import type { Section } from '../sections/index.ts';
import { TOLERANCE } from '../units/index.ts';
import type { WallContact } from './weighted.ts';

/** How the two ends of a rail come to a joint, mm. */
export interface EndFit {
  /** How far the walls are offset: upright ones sideways, level ones in height. */
  readonly sideways: number;
  readonly height: number;
  /** The widest that the ends are apart along the rail, at the top or at the bottom. */
  readonly opening: number;
  /** The flange that a pie cut folds about, which is not cut. */
  readonly uncut: 'top' | 'bottom' | null;
}

/** Ends that meet. */
export const ENDS_MEET: EndFit = { sideways: 0, height: 0, opening: 0, uncut: null };

/** The widest opening that a weld bridges, in walls: beyond it the ends do not touch, and nothing holds until something bridges it. */
const BRIDGED = 1.5;

/**
 * The share of the walls of two ends that meets: what is left of their thickness where they are offset; none where the ends are
 * farther apart than a weld bridges.
 *
 * @param fit How the ends come to the joint.
 * @param section The rail.
 */
export function contactOf({ sideways, height, opening }: EndFit, { thickness }: Section): WallContact {
  if (opening > BRIDGED * thickness + TOLERANCE) return { upright: 0, level: 0 };
  const left = (offset: number): number => Math.max(0, 1 - Math.max(0, Math.abs(offset) - TOLERANCE) / thickness);
  return { upright: left(sideways), level: left(height) };
}
