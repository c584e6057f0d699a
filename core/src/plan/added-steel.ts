import { type Side, SIDES, sideSign, type Vec3 } from '../frame/index.ts';
import { sectionProperties, widthOf } from '../sections/index.ts';
import type { Fitting } from '../splice/index.ts';
import type { Context } from './context.ts';
import { mountParts } from './mounts/index.ts';
import { type NotchAt, notchFloor } from './notch-profile.ts';
import type { Box } from './operations/box.ts';
import type { Notch } from './operations/notch.ts';
import type { Outcomes } from './outcomes.ts';
import { frontTop, type Piece, place, railEnd, rearTop } from './piece.ts';
import type { Rework } from './state.ts';
import type { Lump, RailLump } from './solid.ts';
import { sectionBelow } from './section-layers.ts';
import { capSides } from './splices/cap-sides.ts';
import { plateMass, sleeveMass } from './splices/steel.ts';

/** The outcomes that add steel to the rails or remove it. */
type Added = Pick<Outcomes, 'state' | 'splices' | 'mountings' | 'joints' | 'cutEnds' | 'input'>;

/** What a notch takes out of one rail, and the plate along its floor. */
function notchLumps(
  notch: Notch,
  piece: Piece,
  side: Side,
  span: { from: number; to: number },
  context: Context,
): RailLump[] {
  const depthOf = (id: string) => context.section(id).depth;
  const floor = notchFloor(notch, span, piece.rails[side], depthOf);
  const section = context.section(
    piece.rails[side].findLast(({ x }) => x <= span.from)?.section ?? piece.rails[side][0]?.section ?? '',
  );
  const below = notch.from === 'below';
  // A cut through a notch leaves a part of it on each side.
  const pairs = floor
    .slice(1)
    .map((b, index) => [floor[index] as NotchAt, b] as const)
    .filter(([a, b]) => (a.x + b.x) / 2 >= frontTop(piece) && (a.x + b.x) / 2 <= rearTop(piece));
  const at = (a: NotchAt, b: NotchAt): Vec3 => {
    const x = (a.x + b.x) / 2;
    return place(
      piece,
      side,
      x,
      (piece.rails[side][0]?.halfWidth ?? 0) - widthOf(section) / 2,
      (a.floor + b.floor + a.edge + b.edge) / 4,
    );
  };
  const taken = pairs.map(([a, b]): RailLump => {
    const area = ({ edge, floor: z }: NotchAt): number => {
      const deep = Math.abs(z - edge);
      return below
        ? sectionBelow(section, deep)
        : sectionProperties(section).area - sectionBelow(section, section.depth - deep);
    };
    const slope = Math.hypot(1, (b.edge - a.edge) / (b.x - a.x || 1));
    return { mass: -((area(a) + area(b)) / 2) * (b.x - a.x) * slope * context.density, at: at(a, b), run: b.x - a.x };
  });
  const plate = pairs.map(([a, b]): RailLump => ({
    mass: Math.hypot(b.x - a.x, b.floor - a.floor) * widthOf(section) * notch.plate * context.density,
    at: at(a, b),
    run: b.x - a.x,
  }));
  return notch.plate > 0 ? [...taken, ...plate] : taken;
}

/** The boxing plate of one rail, as far as later cuts leave it. */
function boxingLump(
  box: Box,
  piece: Piece,
  side: Side,
  span: { from: number; to: number },
  context: Context,
): RailLump[] {
  const [from, to] = [Math.max(span.from, frontTop(piece)), Math.min(span.to, rearTop(piece))];
  if (to <= from) return [];
  const section = context.section(railEnd(piece, side, 'front').section);
  // Tapered ends are half as deep on the mean.
  const long = to - from - box.taper;
  const middle = (from + to) / 2;
  return [
    {
      mass: long * section.depth * box.plate * context.density,
      at: place(piece, side, middle, (piece.rails[side][0]?.halfWidth ?? 0) - widthOf(section), -section.depth / 2),
      run: to - from,
    },
  ];
}

/**
 * What notches take out of the rails of a piece and their plates add, and what boxing adds, as far as the piece reaches. kg, mm.
 *
 * @param piece The piece.
 * @param reworks The notches and boxing plates of the frame.
 * @param context Sections and density.
 */
export const reworkLumps = (piece: Piece, reworks: readonly Rework[], context: Context): readonly RailLump[] =>
  reworks
    .filter(({ source, from, to }) => piece.source === source && frontTop(piece) < to && rearTop(piece) > from)
    .flatMap(({ operation, from, to }) =>
      SIDES.flatMap((side) =>
        operation.kind === 'notch'
          ? notchLumps(operation, piece, side, { from, to }, context)
          : boxingLump(operation, piece, side, { from, to }, context),
      ),
    );

function fittingLumps({ state, joints, cutEnds }: Added, fittings: readonly Fitting[], context: Context): Lump[] {
  return fittings.flatMap((fitting) =>
    SIDES.flatMap((side): Lump[] => {
      if (fitting.kind === 'gusset') {
        const joint = joints.find(({ id }) => id === fitting.on);
        const piece = joint && state.pieces[joint.piece];
        const mass = (fitting.along * fitting.up * fitting.thickness * fitting.count * context.density) / 2;
        return piece ? [{ mass, at: railEnd(piece, side, 'rear').point }] : [];
      }
      const end = cutEnds.find(({ operation }) => operation === fitting.on);
      const piece = end && state.pieces[end.end === 'front' ? 0 : state.pieces.length - 1];
      if (!end || !piece) return [];
      const { section, point } = railEnd(piece, side, end.end);
      const { depth } = context.section(section);
      const wide = widthOf(context.section(section));
      const area = (wide + 2 * fitting.over) * (depth + 2 * fitting.over);
      return [{ mass: area * fitting.thickness * context.density, at: point }];
    }),
  );
}

/** Plates, sleeves and caps of the joints of the rails. */
const spliceLumps = ({ state, splices, joints }: Added, context: Context): Lump[] =>
  splices.flatMap(({ joint, rails, decided, next, sleeveFrom }) => {
    const piece = state.pieces[joints.find(({ id }) => id === joint.id)?.piece ?? -1];
    if (!piece || decided === null || joint.of === 'member') return [];
    return rails.flatMap(({ rail, made, splice, steel }): Lump[] => {
      if ((rail !== 'left' && rail !== 'right') || made.problems.length > 0) return [];
      const { section } = steel;
      const { point } = railEnd(piece, rail, 'rear');
      const at = (along: number): Vec3 => ({
        x: point.x + along,
        y: point.y - (sideSign(rail) * widthOf(section)) / 2,
        z: point.z - section.depth / 2,
      });
      const plates = made.plates.map((plate): Lump => ({
        mass: plateMass(plate, section, context.density),
        at: at((plate.behind - plate.ahead) / 2),
      }));
      const { sleeve } = splice;
      if (!sleeve || sleeveFrom !== null) return plates;
      const through = sleeve.through ? (next?.distance ?? 0) : 0;
      const middle = (through + sleeve.behind - sleeve.ahead) / 2;
      const caps =
        sleeve.caps && through > 0
          ? capSides(section).map(({ width, thickness }): Lump => ({
              mass: width * thickness * through * context.density,
              at: at(through / 2),
            }))
          : [];
      return [...plates, { mass: sleeveMass(sleeve, context.density, through), at: at(middle) }, ...caps];
    });
  });

/**
 * All steel that a plan adds to the rails or takes out of them besides cutting them: notches and their plates, boxing, splice plates,
 * sleeves, caps, gussets, end plates and mount brackets. kg and mm.
 *
 * @param outcomes The second stage of an evaluation.
 * @param context Sections, density and rules.
 */
export function addedSteel(outcomes: Added, context: Context): readonly Lump[] {
  const { state, mountings, input } = outcomes;
  const reworks = state.pieces.flatMap((piece) => reworkLumps(piece, state.reworks, context));
  const brackets = mountings.flatMap((outcome) =>
    mountParts([outcome], context).map(({ mass }): Lump => ({ mass, at: outcome.seat.at })),
  );
  return [
    ...reworks,
    ...spliceLumps(outcomes, context),
    ...fittingLumps(outcomes, input.plan.fittings, context),
    ...brackets,
  ];
}
