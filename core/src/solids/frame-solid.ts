import type { Side } from '../frame/index.ts';
import type { Manifold } from './kernel.ts';

/** What a solid is of. */
export type SolidKind = 'rail' | 'crossmember' | 'member' | 'plate' | 'sleeve' | 'bracket' | 'tire' | 'box' | 'body';

/** One thing on the frame as a solid, in frame coordinates, mm. */
export interface FrameSolid {
  readonly kind: SolidKind;
  /** Its id in the job, where it has one. */
  readonly id: string | null;
  readonly name: string;
  readonly side: Side | null;
  /** The piece of the frame it belongs to; null for what is not of one. */
  readonly piece: number | null;
  readonly solid: Manifold;
  /** Of what is fastened to a rail by a face: the direction from it to the steel, outward and up. */
  readonly toward?: readonly [outward: number, up: number];
  /** How much of that face must touch, mm²; all of it where not said. */
  readonly foot?: number;
  /** Of rails: how much longer the steel is along its slope than along the frame. */
  readonly stretched: number;
}
