import {
  datumStation,
  type Frame,
  railAt,
  railOf,
  sectionLookup,
  type Side,
  sideSign,
  sidesOf,
  type Vec3,
} from '../frame/index.ts';
import { distance, type Piece, type PlanResult } from '../plan/index.ts';
import { alongRail } from './along-rail.ts';
import type { MarkDistances, MarkOrigin } from './marks.ts';

type Level = 'top' | 'web' | 'bottom';
export const SHARES: Readonly<Record<Level, number>> = { top: 0, web: 0.5, bottom: 1 };

/** The stations on three lines of a rail where a mark runs, on the donor; null where it does not cross that line. */
export type MarkPlaces = Readonly<Record<Level, number | null>>;

/** Measures along the rails of a donor from its datum hole. */
export interface Measurer {
  readonly depthOf: (section: string) => number;
  readonly from: (side: Side, places: MarkPlaces) => MarkDistances;
  /** The corner of the top edge and the outside face at a donor station. */
  readonly corner: (side: Side, x: number) => Vec3;
  readonly datum: number;
}

/**
 * What measures along a donor’s rails from its datum hole.
 *
 * @param frame The donor; validated.
 */
export function measurerOf(frame: Frame): Measurer {
  const section = sectionLookup(frame);
  const depthOf = (id: string) => section(id).depth;
  const datum = datumStation(frame);
  const hole = frame.features.find(({ id }) => id === frame.datum);
  const corner = (side: Side, x: number): Vec3 => {
    const here = railAt(railOf(frame.rails, side), x);
    return { x, y: sideSign(side) * here.halfWidth, z: here.top };
  };
  return {
    depthOf,
    datum,
    corner,
    from: (side, places) => {
      const rail = railOf(frame.rails, side);
      const along = (level: Level): number | null => {
        const x = places[level];
        return x === null ? null : alongRail(rail, datum, x, SHARES[level], depthOf);
      };
      const over = corner(side, datum);
      const hooked =
        hole && sidesOf(hole).includes(side) && places.top !== null
          ? distance({ ...over, z: over.z - hole.down }, corner(side, places.top))
          : null;
      return {
        top: along('top'),
        web: along('web'),
        bottom: along('bottom'),
        level: (places.top ?? places.web ?? places.bottom ?? datum) - datum,
        hooked,
      };
    },
  };
}

/** What work on a piece is measured from, and the distances along a line of its rail to a local station. */
export interface Origin {
  readonly origin: MarkOrigin;
  readonly along: (side: Side, x: number, share: number) => number;
  readonly level: (x: number) => number;
}

/**
 * From the datum hole on donor steel; on new rail from the front end of its piece, named by its letters.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param letters Letters of the joints at its ends.
 */
export function originOn(piece: Piece, letters: string, { datum, depthOf }: Measurer): Origin {
  const donor = piece.source === 'donor';
  const start = (side: Side) => (donor ? datum : (piece.rails[side][0]?.x ?? 0));
  return {
    origin: donor ? { on: 'donor' } : { on: 'new', letters },
    along: (side, x, share) => alongRail(piece.rails[side], start(side), x, share, depthOf),
    level: (x) => x - start('left'),
  };
}

/**
 * Letters of the joints at the ends of a piece, front to rear.
 *
 * @param index Which piece, from the front.
 */
export const lettersOfPiece = ({ joints }: PlanResult, index: number): string =>
  joints
    .filter((joint) => joint.piece === index - 1 || joint.piece === index)
    .map((joint) => joint.letter)
    .join(' ');
