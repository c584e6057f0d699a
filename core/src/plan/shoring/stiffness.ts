import { railAt, type Side, SIDES } from '../../frame/index.ts';
import { type Addition, builtUpSection, sectionProperties, widthOf } from '../../sections/index.ts';
import type { Context } from '../context.ts';
import { floorAt, notchFloor } from '../notch-profile.ts';
import { frontTop, type Piece, rearTop, spine, stationsOf } from '../piece.ts';
import type { Rework } from '../state.ts';

/** Young's modulus, MPa: of steel, and of what is lighter than half of it, aluminum. It does not change who carries what. */
const MODULUS = { steel: 210_000, light: 70_000, lighterThan: 4e-6 } as const;

/**
 * How stiff the rails of a piece are in bending between its stations, each side, as notched and boxed, N·mm².
 *
 * @param piece The piece.
 * @param reworks Its notches and boxing plates.
 * @param context Sections and density.
 */
export function stiffnessOf(piece: Piece, reworks: readonly Rework[], context: Context) {
  const modulus = context.density < MODULUS.lighterThan ? MODULUS.light : MODULUS.steel;
  const [front, rear] = [frontTop(piece), rearTop(piece)];
  const breaks = [
    ...SIDES.flatMap((side) => stationsOf(piece, side).map(({ x }) => x)),
    ...reworks.flatMap(({ operation, from, to }) =>
      operation.kind === 'box' ? [from + operation.taper / 2, to - operation.taper / 2] : [from, to],
    ),
  ].filter((x) => x >= front && x <= rear);
  const xs = [...new Set(breaks)].sort((a, b) => a - b);
  return xs.slice(1).map((to, index) => {
    const from = xs[index] as number;
    const middle = (from + to) / 2;
    const there = reworks.filter((rework) => rework.from < middle && rework.to > middle);
    const of = (side: Side) => modulus * stiffened(piece, side, middle, there, context);
    return { from: spine(piece, from).x, to: spine(piece, to).x, left: of('left'), right: of('right') };
  });
}

/** Second moment of area of a rail at a station with what is boxed or notched there, mm⁴. */
function stiffened(piece: Piece, side: Side, x: number, reworks: readonly Rework[], context: Context): number {
  const section = context.section(railAt(piece.rails[side], x).section);
  const additions = reworks.flatMap(({ operation, from, to }): Addition[] => {
    if (operation.kind === 'box')
      return section.kind === 'channel' ? [{ kind: 'boxing', thickness: operation.plate }] : [];
    const at = floorAt(
      notchFloor(operation, { from, to }, piece.rails[side], (id) => context.section(id).depth),
      x,
    );
    const depth = at ? Math.abs(at.floor - at.edge) : 0;
    if (section.kind === 'round' || depth <= 0 || depth >= section.depth) return [];
    const plate = { width: widthOf(section), thickness: operation.plate };
    return [{ kind: 'notch', from: operation.from, depth, ...(operation.plate > 0 ? { plate } : {}) }];
  });
  return (additions.length > 0 ? builtUpSection(section, additions).properties : sectionProperties(section)).iy;
}
