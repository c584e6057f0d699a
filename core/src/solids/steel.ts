import { type Rail, railEnds, type Side, sideSign, type Station } from '../frame/index.ts';
import { type CutFace, facesOf, notchOutline, type Piece, type PlanResult, type Pose } from '../plan/index.ts';
import { closingPlate, type Section } from '../sections/index.ts';
import { CIRCLE, type Manifold, type Mat4, type Workshop } from './kernel.ts';

type Point = [number, number];
type SectionOf = (id: string) => Section;

const circle = (radius: number, middle: number): Point[] =>
  Array.from({ length: CIRCLE }, (_, at): Point => {
    const angle = (2 * Math.PI * at) / CIRCLE;
    return [middle + radius * Math.cos(angle), middle + radius * Math.sin(angle)];
  });
const box = (u: number, v: number, wide: number, high: number): Point[] => [
  [u, v],
  [u + wide, v],
  [u + wide, v + high],
  [u, v + high],
];

/**
 * The outline of a section: inward from the outside face, up from the underside, mm; holes go round the other way.
 *
 * @param section The section; its walls validated.
 */
export function sectionOutline(section: Section): Point[][] {
  const { depth, thickness: t } = section;
  switch (section.kind) {
    case 'channel': {
      const { flange } = section;
      return [
        [
          [0, 0],
          [flange, 0],
          [flange, t],
          [t, t],
          [t, depth - t],
          [flange, depth - t],
          [flange, depth],
          [0, depth],
        ],
      ];
    }
    case 'closed-channel': {
      const { y, z, width, height } = closingPlate(section);
      const { flange } = section;
      // Between the flanges, or lapped onto their edges and perhaps a little less high than the rail.
      if (y < flange) return [box(0, 0, flange, depth), box(t, t, y - t, depth - 2 * t).reverse()];
      const step: Point[] = z > 0 ? [[flange, z]] : [];
      const back: Point[] = z > 0 ? [[flange, z + height]] : [];
      return [
        [
          [0, 0],
          ...(z > 0 ? ([[flange, 0]] as Point[]) : []),
          ...step,
          [flange + width, z],
          [flange + width, z + height],
          ...back,
          ...(z > 0 ? ([[flange, depth]] as Point[]) : []),
          [0, depth],
        ],
        box(t, t, flange - t, depth - 2 * t).reverse(),
      ];
    }
    case 'tube':
      return [box(0, 0, section.width, depth), box(t, t, section.width - t - section.inner, depth - 2 * t).reverse()];
    case 'hat': {
      const { brim, crown } = section;
      const [left, right] = [brim - t, brim - t + crown];
      return [
        [
          [0, 0],
          [brim, 0],
          [brim, depth - t],
          [right - t, depth - t],
          [right - t, 0],
          [right - t + brim, 0],
          [right - t + brim, t],
          [right, t],
          [right, depth],
          [left, depth],
          [left, t],
          [0, t],
        ],
      ];
    }
    case 'round':
      return [circle(depth / 2, depth / 2), circle(depth / 2 - t, depth / 2).reverse()];
  }
}

/** A straight stretch of a rail as steel, and how much longer it is along its slope than along the frame. */
export interface SteelStretch {
  readonly solid: Manifold;
  readonly stretched: number;
}

/** Column by column: what a step along the stretch, inward, up, and the origin become. */
const matrix = (
  along: readonly [number, number, number],
  inward: readonly [number, number, number],
  up: readonly [number, number, number],
  origin: readonly [number, number, number],
): Mat4 => [...inward, 0, ...up, 0, ...along, 0, ...origin, 1] as Mat4;

/** The part of a solid on the steel's side of a face. */
function cutBy(workshop: Workshop, solid: Manifold, face: CutFace, end: 'front' | 'rear'): Manifold {
  const long = Math.hypot(1, face.lean);
  const sign = end === 'front' ? 1 : -1;
  return workshop.own(
    solid.trimByPlane([sign / long, 0, (-sign * face.lean) / long], (sign * (face.x - face.lean * face.z)) / long),
  );
}

/** A rotation about y and a shift, as a matrix. */
const poseMatrix = ({ turn, dx, dz }: Pose): Mat4 => {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [cos, 0, sin, 0, 0, 1, 0, 0, -sin, 0, cos, 0, dx, 0, dz, 1] as Mat4;
};

/**
 * Something given in a piece's own coordinates where the piece stands.
 *
 * @param workshop Holds what is made.
 * @param solid The solid.
 * @param pose Where the piece is.
 */
export const posedSolid = (workshop: Workshop, solid: Manifold, pose: Pose): Manifold =>
  workshop.own(solid.transform(poseMatrix(pose)));

/** Stations of a rail between which it is straight; new steel is cut to fit, so that it goes on past its own ends. */
function stretchesOf(rail: Rail, grown: number): readonly (readonly [Station, Station])[] {
  return rail.slice(1).map((to, index) => {
    const from = rail[index] as Station;
    const at = (x: number): Station => {
      const share = (x - from.x) / (to.x - from.x);
      return {
        ...from,
        x,
        halfWidth: from.halfWidth + share * (to.halfWidth - from.halfWidth),
        top: from.top + share * (to.top - from.top),
      };
    };
    const [first, last] = [index === 0 ? at(from.x - grown) : from, index === rail.length - 2 ? at(to.x + grown) : to];
    return [first, last] as const;
  });
}

/** How far new rail is made too long before its ends are cut, mm. */
const TOO_LONG = 1000;

/**
 * One rail of a piece as solid steel in the piece's own coordinates: every stretch of it, its ends cut as they are, notches out. The
 * donor's steel ends where it was measured to end, whatever the faces say.
 *
 * @param workshop Holds what is made.
 * @param piece The piece.
 * @param side Left or right, as seated.
 * @param sectionOf Looks a section up by its id.
 * @param reworks Notches and boxing plates.
 */
export function railSteel(
  workshop: Workshop,
  piece: Piece,
  side: Side,
  sectionOf: SectionOf,
  reworks: PlanResult['reworks'],
): readonly SteelStretch[] {
  const { Manifold, CrossSection } = workshop.kernel;
  const rail = piece.rails[side];
  const sign = sideSign(side);
  const isDonor = piece.source === 'donor';
  const [front, rear] = railEnds(rail);
  const deep = (id: string) => sectionOf(id).depth;
  const notches = reworks.flatMap(({ operation, source, from, to }) => {
    if (operation.kind !== 'notch' || source !== piece.source) return [];
    const outline = notchOutline(operation, { from, to }, piece.rails, side, deep);
    const flat = workshop.own(new CrossSection([outline.map(([x, z]): Point => [x, z])], 'EvenOdd'));
    const drawn = workshop.own(Manifold.extrude(flat, 2 * WIDE, 0, 0, [1, 1], true));
    // Drawn out along its own z: that is across the frame here.
    return [workshop.own(drawn.transform([1, 0, 0, 0, 0, 0, 1, 0, 0, 1, 0, 0, 0, 0, 0, 1] as Mat4))];
  });
  return stretchesOf(rail, isDonor ? 0 : TOO_LONG).flatMap(([a, b]): SteelStretch[] => {
    const section = sectionOf(a.section);
    const run = b.x - a.x;
    const [flare, slope] = [(b.halfWidth - a.halfWidth) / run, (b.top - a.top) / run];
    const flat = workshop.own(new CrossSection(sectionOutline(section), 'Positive'));
    const bar = workshop.own(Manifold.extrude(flat, 1));
    let solid = workshop.own(
      bar.transform(
        matrix(
          [run, sign * flare * run, slope * run],
          [0, -sign, 0],
          [0, 0, 1],
          [a.x, sign * (a.halfWidth + piece.spread), a.top - section.depth],
        ),
      ),
    );
    for (const end of ['front', 'rear'] as const)
      for (const face of facesOf(piece[end])) {
        const own = isDonor && face.operation === undefined;
        if (!own) solid = cutBy(workshop, solid, face, end);
      }
    if (isDonor && (a.x < front || b.x > rear)) return [];
    for (const notch of notches) solid = workshop.own(solid.subtract(notch));
    return solid.isEmpty() ? [] : [{ solid, stretched: Math.sqrt(1 + slope ** 2 + flare ** 2) }];
  });
}

/** Wider than any frame, mm. */
const WIDE = 3000;
