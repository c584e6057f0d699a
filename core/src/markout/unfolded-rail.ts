import {
  acrossFlange,
  type Face,
  factsOf,
  type Feature,
  type Frame,
  railOf,
  type Side,
  sidesOf,
} from '../frame/index.ts';
import { sectionLookup } from '../frame/index.ts';
import { widthOf } from '../sections/index.ts';
import type { Measurer } from './measure.ts';
import { alongRail } from './along-rail.ts';

/** A place on an unfolded rail where its sizes change, mm: along the top edge from the datum hole. */
export interface RailPlace {
  readonly along: number;
  readonly depth: number;
  /** Width of the flanges. */
  readonly flange: number;
}

/** Something that is on the donor's rail already. */
export interface OnRail {
  readonly name: string;
  readonly kind: 'hole' | 'bracket' | 'stamp';
  readonly face: Face;
  /** Middle of its fastening along the rail from the datum hole, on the edge or the height that it is at, mm. */
  readonly along: number;
  /** How far it reaches ahead and behind, mm. */
  readonly ahead: number;
  readonly behind: number;
  /** Below the top edge, mm; on a flange in from the outside of the web, or null where nobody has measured it. */
  readonly down: number;
  readonly inboard: number | null;
  readonly diameter: number;
  readonly assumed: boolean;
}

/**
 * A rail of the donor laid flat: top flange, web and bottom flange under each other, as they are measured with the tape on the
 * steel. Distances along it are from the datum hole, mm; below 0 ahead of it.
 */
export interface UnfoldedRail {
  readonly side: Side;
  /** Front to rear, two or more. */
  readonly places: readonly RailPlace[];
  /** Front to rear. */
  readonly things: readonly OnRail[];
}

const kindOf = ({ kind }: Feature): OnRail['kind'] =>
  kind === 'identity-stamp' ? 'stamp' : factsOf(kind).bracket ? 'bracket' : 'hole';

/**
 * A rail of the donor laid flat.
 *
 * @param frame The donor; validated.
 * @param side Left or right, as seated.
 * @param measurer Measures along its rails from the datum hole.
 */
export function unfoldedRail(frame: Frame, side: Side, { datum, depthOf }: Measurer): UnfoldedRail {
  const rail = railOf(frame.rails, side);
  const section = sectionLookup(frame);
  const along = (x: number, share: number) => alongRail(rail, datum, x, share, depthOf);
  const things = frame.features
    .filter((feature) => sidesOf(feature).includes(side))
    .map((feature): OnRail => {
      const station = rail.findLast(({ x }) => x <= feature.x) ?? rail[0];
      const depth = station ? depthOf(station.section) : 0;
      const share = { top: 0, bottom: 1 }[feature.face as 'top'] ?? Math.min(1, depth > 0 ? feature.down / depth : 0);
      return {
        name: feature.name,
        kind: kindOf(feature),
        face: feature.face,
        along: along(feature.x, share),
        ahead: feature.ahead,
        behind: feature.behind,
        down: feature.down,
        inboard: acrossFlange(feature),
        diameter: feature.diameter,
        assumed: feature.origin === 'assumed',
      };
    });
  return {
    side,
    places: rail.flatMap(({ x, section: id }, index): RailPlace[] => {
      const place = (of: string): RailPlace => ({
        along: along(x, 0),
        depth: depthOf(of),
        flange: widthOf(section(of)),
      });
      const before = rail[index - 1]?.section;
      // The last station has no stretch behind it.
      if (index === rail.length - 1) return [place(before ?? id)];
      return before !== undefined && before !== id ? [place(before), place(id)] : [place(id)];
    }),
    things: things.toSorted((a, b) => a.along - b.along),
  };
}
