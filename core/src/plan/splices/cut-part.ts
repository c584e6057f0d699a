import type { RailId, Side } from '../../frame/index.ts';
import type { FlatPart } from '../flat-part.ts';
import type { SpliceJoint } from './joints-to-make.ts';

/** A part to cut for a joint; its mark is the letter of the joint, a number, and L or R. */
export interface CutPart extends FlatPart {
  readonly joint: SpliceJoint;
  readonly rail: RailId;
}

/** A part before it has its mark and its place. */
export type MadePart = Omit<CutPart, 'mark' | 'joint' | 'rail' | 'offcut' | 'weldLength'>;

/**
 * Left or right, of a rail or a copy of a member.
 *
 * @param rail The rail or copy.
 */
export const sideOf = (rail: RailId): Side => (rail.endsWith('left') ? 'left' : 'right');
