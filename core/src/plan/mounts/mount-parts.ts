import { armParts, bentStrip, type Bracket } from '../../mounting/index.ts';
import type { Rulebook } from '../../rules/index.ts';
import type { Context } from '../context.ts';
import { box, type FlatPart, laidOut, sizeOf } from '../flat-part.ts';
import type { DrawnPoint } from '../outline.ts';
import { angleFlat, armFlat } from './beside-flats.ts';
import { bendLines, bendOf, holeAt, type Made, pointsWithin, reachAt, RIGHT_ANGLE } from './flat-bracket.ts';
import type { MountingOutcome } from './mounting-outcome.ts';

/** A saddle laid flat: a leg, the top, the other leg; the feet follow the rail. */
function perchParts(
  bracket: Extract<Bracket, { form: 'perch' }>,
  { edge, seat, rail }: MountingOutcome,
  rules: Rulebook,
): readonly Made[] {
  const { thickness: t, along, across, radius, boxed, leg } = bracket;
  const bend = bendOf(t, radius, rules);
  const feet = pointsWithin(edge(), along);
  const at = (legs: number) => bentStrip([legs, across, legs], [RIGHT_ANGLE, RIGHT_ANGLE], bend);
  const middle = at(0);
  // From the middle of the top: half of it, a bend, and the leg, at each place along.
  const half = (reach: number) => at(reach).length / 2;
  const outline: readonly DrawnPoint[] = [
    ...feet.map(({ at: x, reach }): DrawnPoint => [x, -half(reach)]),
    ...feet.toReversed().map(({ at: x, reach }): DrawnPoint => [x, half(reach)]),
  ];
  const [first, second] = middle.zones as [readonly [number, number], readonly [number, number]];
  const zones = [first, second].map(([a, b]) => [a - middle.length / 2, b - middle.length / 2] as const);
  const outward = Math.abs(seat.at.y) - ((rail?.outer ?? 0) + (rail?.inner ?? 0)) / 2;
  const folded: Made = {
    name: 'perch, flat',
    stock: 'plate',
    thickness: t,
    flat: {
      outline,
      holes: holeAt([0, -outward], seat.mount.hole),
      lines: bendLines(zones, -along / 2, along / 2),
    },
    weldLength: 2 * along,
    note: 'two bends of 90° down; feet along the rail',
  };
  if (!boxed) return [folded];
  const ends = ([-along / 2, along / 2] as const).map((x, index): Made => {
    const high = reachAt(edge(), x) - t;
    return {
      name: index === 0 ? 'front end of the perch' : 'rear end of the perch',
      stock: 'plate',
      thickness: t,
      flat: { outline: box(across - 2 * t, high, 0), holes: [], lines: [] },
      weldLength: 2 * high + across,
      note: `between its legs, fillet ${leg > 0 ? 'all round' : ''}`.trim(),
    };
  });
  return [folded, ...ends];
}

function partsOf(outcome: MountingOutcome, rules: Rulebook, show: (mm: number) => string): readonly Made[] {
  const { bracket } = outcome.mounting;
  switch (bracket.form) {
    case 'none':
      return [];
    case 'perch':
      return perchParts(bracket, outcome, rules);
    case 'arm':
      return armFlat(bracket, outcome, rules, show);
    case 'angle':
      return angleFlat(bracket, outcome, rules);
    case 'old': {
      const block = outcome.block ?? 0;
      if (block <= 0) return [];
      const wide = outcome.rail ? outcome.rail.outer - outcome.rail.inner : bracket.along;
      return [
        {
          name: 'block under its old bracket',
          stock: 'bar or tube',
          thickness: block,
          flat: { outline: box(bracket.along, wide, 0), holes: [], lines: [] },
          weldLength: 2 * bracket.along,
          note: `cut the old bracket from the body’s own frame; ${show(block)} of block under it`,
        },
      ];
    }
  }
}

/** Area inside an outline, mm². */
const areaOf = (outline: readonly DrawnPoint[]): number =>
  Math.abs(
    outline.reduce((sum, [x, y], at) => {
      const [nx, ny] = outline[(at + 1) % outline.length] ?? [x, y];
      return sum + x * ny - nx * y;
    }, 0) / 2,
  );

/**
 * The parts to cut for the mounts that are decided and can be made, each with its flat shape in real size.
 *
 * @param outcomes How the mounts are made.
 * @param context Rules, and how heavy steel is.
 */
export const mountParts = (
  outcomes: readonly MountingOutcome[],
  { rules, density, show }: Pick<Context, 'rules' | 'density' | 'show'>,
): readonly FlatPart[] =>
  outcomes.flatMap((outcome) => {
    if (!outcome.decided || outcome.problems.length > 0) return [];
    const made = partsOf(outcome, rules, show);
    return made.map((part, at): FlatPart => {
      const flat = laidOut(part.flat, outcome.side);
      const { bracket } = outcome.mounting;
      const tube = bracket.form === 'arm' && bracket.make === 'tube' && part.name === 'arm of tube';
      const volume = tube
        ? sizeOf(flat).width * armParts('tube', bracket.along, bracket.deep, bracket.thickness).reduce(sectionArea, 0)
        : areaOf(flat.outline) * part.thickness;
      return {
        ...part,
        ...sizeOf(flat),
        flat,
        mark: made.length > 1 ? `${outcome.tag}${at + 1}` : outcome.tag,
        mass: volume * density,
        offcut: null,
      };
    });
  });

const sectionArea = (sum: number, part: ReturnType<typeof armParts>[number]): number =>
  sum + (part.shape === 'rectangle' ? part.width * part.height : 0);
