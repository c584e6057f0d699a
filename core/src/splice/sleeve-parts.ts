import type { InputProblem } from '../input-error.ts';
import { type Section, widthOf } from '../sections/index.ts';
import type { Plug, SplicePart } from './part.ts';
import type { SpliceSleeve } from './rail-splice.ts';
import { exceeds } from '../units/index.ts';
import { insideOf, sleeveWalls } from './sleeve.ts';

/**
 * What is wrong with a sleeve in or over a rail, each problem with its field; empty where it goes.
 *
 * @param sleeve The sleeve. mm.
 * @param section The rail; its walls validated.
 * @param cornerRadius Radius of the rail's corners inside, mm.
 * @param limits The most room in all that a weld still bridges, the saw's kerf, and how far it runs through to the next joint, mm.
 */
export function sleeveProblems(
  sleeve: SpliceSleeve,
  section: Section,
  cornerRadius: number,
  limits: { readonly loose: number; readonly kerf: number; readonly through: number } = {
    loose: Infinity,
    kerf: 0,
    through: 0,
  },
): InputProblem[] {
  const { kind, height, width, wall, inner = wall, ahead, behind, endLeg, wedgeLength } = sleeve;
  const { loose, kerf, through } = limits;
  const problem = (field: string, message: string): InputProblem[] => [
    { code: `splice/sleeve-${field}`, path: `sleeve.${field}`, message },
  ];
  const shape = [
    ...(wall > 0 && inner > 0 && wall < height / 2 && wall + inner < width
      ? []
      : problem('wall', 'A sleeve must have a wall, less than half of its height and width.')),
    ...(ahead > 0 && behind > 0 ? [] : problem('ahead', 'A sleeve must reach beyond the joint on both sides.')),
    ...(endLeg >= 0 ? [] : problem('endLeg', 'A fillet cannot be less than 0.')),
  ];
  if (shape.length > 0) return shape;
  if (kind === 'outer') {
    if (section.kind === 'hat' || section.kind === 'round')
      return problem('kind', 'A rectangular tube does not go over this rail.');
    const [over, beside] = [height - 2 * wall - section.depth, width - wall - inner - widthOf(section)];
    if (over < 0 || beside < 0)
      return problem('height', 'This tube does not go over the rail: it is too small inside.');
    return exceeds(Math.max(over, beside), loose)
      ? problem(
          'height',
          'This tube is so much larger than the rail that its welds would be in air: take one that lies on it.',
        )
      : [];
  }
  const room = insideOf(section, cornerRadius);
  if (!room) return problem('kind', 'A rectangular tube does not go into this rail: take plates, or an outer sleeve.');
  if (width > room.width) return problem('width', 'The sleeve is wider than the inside of the rail.');
  if (kind === 'wedge') {
    if (height < room.height)
      return problem(
        'height',
        'A wedge sleeve is cut from a tube that is higher than the inside of the rail: take a plain one.',
      );
    if (wedgeLength <= 0) return problem('wedgeLength', 'Say over what length the tube is cut corner to corner.');
    const slope = height / wedgeLength;
    const slide = (height - kerf * Math.hypot(1, slope) - room.height) / slope;
    const [overlap, reach] = [wedgeLength - Math.max(0, slide), ahead + behind + through];
    return exceeds(reach, overlap)
      ? problem(
          'wedgeLength',
          'The halves of the wedge sleeve overlap over less than it has to reach: cut it over a longer tube, or let it reach less.',
        )
      : [];
  }
  if (kind === 'folded' && section.kind !== 'channel')
    return problem('kind', 'A folded channel lies in an open channel: here it cannot be reached. Take a tube.');
  if (height > room.height)
    return problem('height', 'The sleeve is higher than the inside of the rail: grind it, or make it a wedge sleeve.');
  // In an open channel there is room beside it to the open edge, which nothing has to fill.
  const spare = Math.max(room.height - height, room.closed ? room.width - width : 0);
  return exceeds(spare, loose)
    ? problem(
        'height',
        'The sleeve is so much smaller than the inside of the rail that its plug welds would be in air: take a tube that fills it.',
      )
    : [];
}

/** How far from the joint so many plugs stand, evenly to the end, mm. */
const stations = (count: number, reach: number): readonly number[] =>
  Array.from({ length: count }, (_, at) => (reach * (at + 0.5)) / count);

/**
 * A sleeve as the strength along a joint takes it: its walls, or the web and flanges of a folded channel.
 *
 * @param sleeve The sleeve, without problems.
 * @param section The rail.
 * @param cornerRadius Radius of the rail's corners inside, mm.
 * @param span The stretch between two joints that it runs through, from the joint, mm; it reaches beyond both ends.
 */
export function sleeveParts(
  sleeve: SpliceSleeve,
  section: Section,
  cornerRadius: number,
  span: readonly [from: number, to: number],
): readonly SplicePart[] {
  const { kind, stock, width, wall, inner, ahead, behind, yieldStress, plugs } = sleeve;
  const { thickness } = section;
  // Deep inside a closed rail nobody welds the ends of a sleeve.
  const inside = insideOf(section, cornerRadius);
  const endLeg = kind !== 'outer' && inside?.closed === true ? 0 : sleeve.endLeg;
  // Halves of a wedge sleeve are slid until they fill the rail.
  const height = kind === 'wedge' ? (insideOf(section, cornerRadius)?.height ?? sleeve.height) : sleeve.height;
  const outer = kind === 'outer';
  const y = outer ? (widthOf(section) - width) / 2 : thickness;
  const z = outer ? (section.depth - height) / 2 : thickness;
  const walls = sleeveWalls({
    tube: { name: stock, height, width, wall, inner, cornerRadius: sleeve.cornerRadius },
    y,
    z,
    ahead: ahead - span[0],
    behind: behind + span[1],
    yieldStress,
    plugs: { diameter: plugs.diameter, inTopAndBottom: [], inSides: [] },
    endLeg,
  });
  const plugsIn = ({ slices: [slice] }: SplicePart, count: number): readonly Plug[] => {
    const across = slice ? (slice.y[0] + slice.y[1]) / 2 : 0;
    return [...stations(count, ahead).map((x) => span[0] - x), ...stations(count, behind).map((x) => span[1] + x)].map(
      (x) => ({ x, across, diameter: plugs.diameter }),
    );
  };
  const isFree = ({ name }: SplicePart): boolean => name === 'inner' && !outer && inside?.closed === false;
  const called = (part: SplicePart): SplicePart => {
    const flange = part.name === 'top' || part.name === 'bottom';
    return {
      ...part,
      name: `sleeve, ${WALL_NAMES[part.name] ?? part.name}`,
      // Beside the open edge of a channel there is no wall that a plug could go through.
      plugs: isFree(part) ? [] : plugsIn(part, flange ? plugs.flanges : plugs.sides),
    };
  };
  if (kind !== 'folded') return walls.map(called);
  // The web of a folded channel is a second web: its plugs stand in two rows, so that they bring a moment into it.
  return walls
    .filter(({ name }) => name !== 'inner')
    .map((part) =>
      part.name === 'outer'
        ? {
            ...called(part),
            fed: 'as-web',
            plugs: called(part).plugs.map((plug, at) => ({
              ...plug,
              across: z + height * (at % 2 === 0 ? 0.25 : 0.75),
            })),
          }
        : called(part),
    );
}

const WALL_NAMES: Readonly<Record<string, string>> = {
  top: 'top wall',
  bottom: 'bottom wall',
  outer: 'outer wall',
  inner: 'inner wall',
};
