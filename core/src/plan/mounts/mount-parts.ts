import { armParts, bentStrip, type Bracket } from '../../mounting/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { Context } from '../context.ts';
import { box, type FlatPart, type FlatShape, laidOut, sizeOf } from '../flat-part.ts';
import type { DrawnPoint } from '../outline.ts';
import type { EdgePoint, MountingOutcome } from './mounting-outcome.ts';

/** A part before it has its mark. */
type Made = Omit<FlatPart, 'mark' | 'mass' | 'length' | 'width' | 'offcut'>;

const bendOf = (thickness: number, radius: number, rules: Rulebook) => ({
  thickness,
  radius,
  k: ruleValue(rules, 'bend/fibre'),
});

const RIGHT_ANGLE = Math.PI / 2;

/** The bends of a flat as lines across it, at the middle of each zone, from edge to edge. */
const bendLines = (zones: readonly (readonly [number, number])[], from: number, to: number): FlatShape['lines'] =>
  zones.map(([a, b]) => ({ from: [from, (a + b) / 2], to: [to, (a + b) / 2], what: 'bend' as const }));

const holeAt = (at: DrawnPoint, diameter: number | undefined): FlatShape['holes'] =>
  diameter === undefined || diameter === 0 ? [] : [{ at, diameter, what: 'mount' }];

/** How far the edge reaches at a place along the width; straight between its points, and on from its ends. */
function reachAt(edge: readonly EdgePoint[], at: number): number {
  const behind = edge.findIndex((point) => point.at >= at);
  const [a, b] = [edge[Math.max(0, behind - 1)], edge[behind < 0 ? edge.length - 1 : behind]];
  if (!a || !b) return 0;
  return b.at === a.at ? b.reach : a.reach + ((b.reach - a.reach) * (at - a.at)) / (b.at - a.at);
}

/** Points of the edge within the width of a bracket, its corners included. */
const pointsWithin = (edge: readonly EdgePoint[], along: number): readonly EdgePoint[] =>
  [-along / 2, ...edge.map(({ at }) => at).filter((at) => Math.abs(at) < along / 2 - 1e-6), along / 2].map((at) => ({
    at,
    reach: reachAt(edge, at),
  }));

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

/** How far an arm runs on beyond its mount, in its own width. */
const BEYOND = 0.5;

/** An arm laid flat: a side, the top, the other side; the end at the rail follows its web. */
function armPartsFlat(
  bracket: Extract<Bracket, { form: 'arm' }>,
  { edge, seat, reach }: MountingOutcome,
  rules: Rulebook,
): readonly Made[] {
  const { make, thickness: t, along, deep, tip, radius, fixing } = bracket;
  const beyond = BEYOND * along;
  const weldLength = fixing.by === 'weld' ? 2 * deep + along : 0;
  const foot = fixing.by === 'bolts' ? [footPlate(bracket, fixing)] : [];
  const [front, rear] = [reachAt(edge(), -along / 2), reachAt(edge(), along / 2)];
  const length = Math.max(front, rear) + beyond;
  if (make === 'tube') {
    return [
      {
        name: 'arm of tube',
        stock: `rectangular tube, ${deep.toFixed(0)} × ${along.toFixed(0)} mm`,
        thickness: t,
        flat: {
          // Seen from above: its end follows the web.
          outline: [
            [-along / 2, length - beyond - front],
            [along / 2, length - beyond - rear],
            [along / 2, length],
            [-along / 2, length],
          ],
          holes: holeAt([0, length - beyond], seat.mount.hole),
          lines: [],
        },
        weldLength,
        note: 'seen from above; the end that follows the web goes to the rail',
      },
      ...foot,
    ];
  }
  // Across the flat: side, bend, top, bend, side. Along it: outward from the rail.
  const bend = bendOf(t, radius, rules);
  const strip = bentStrip([deep, along, deep], [RIGHT_ANGLE, RIGHT_ANGLE], bend);
  const middle = strip.length / 2;
  const topHalf = middle - (strip.zones[0]?.[1] ?? 0);
  const sideEnd = (high: number) => bentStrip([high, along, high], [RIGHT_ANGLE, RIGHT_ANGLE], bend).length / 2;
  const at = (share: number) => length - beyond - (front + (rear - front) * share);
  const outline: readonly DrawnPoint[] = [
    [at(0), -sideEnd(deep)],
    [length, -sideEnd(tip)],
    [length, sideEnd(tip)],
    [at(1), sideEnd(deep)],
    [at(1), topHalf],
    [at(0), -topHalf],
  ];
  const zones = strip.zones.map(([a, b]) => [a - middle, b - middle] as const);
  const folded: Made = {
    name: 'arm, flat',
    stock: 'plate',
    thickness: t,
    flat: {
      outline,
      holes: holeAt([length - beyond, 0], seat.mount.hole),
      lines: bendLines(zones, Math.min(at(0), at(1)), length),
    },
    weldLength,
    note: 'two bends of 90° down; its deep end goes to the rail',
  };
  if (make === 'folded') return [folded, ...foot];
  const under = Math.hypot(reach + beyond, deep - tip);
  return [
    folded,
    {
      name: 'underside of the arm',
      stock: 'plate',
      thickness: t,
      flat: { outline: box(under, along - 2 * t, 0), holes: [], lines: [] },
      weldLength: 2 * under,
      note: 'closes it from below',
    },
    ...foot,
  ];
}

/** How far a foot plate stands out beside an arm, times the bolts' diameter on each side. */
const FOOT_BESIDE = 3;

/** The plate that a bolted arm is welded to: an upper and a lower row of bolts, half of them on each side. */
function footPlate(
  { along, deep, thickness }: Extract<Bracket, { form: 'arm' }>,
  { diameter, count }: { readonly diameter: number; readonly count: number },
): Made {
  const beside = FOOT_BESIDE * diameter;
  const wide = along + 2 * beside;
  const row = count / 2;
  const xs = Array.from({ length: row }, (_, at) =>
    row === 1 ? wide / 2 : beside / 2 + ((wide - beside) * at) / (row - 1),
  );
  return {
    name: 'foot plate',
    stock: 'plate',
    thickness,
    flat: {
      outline: box(wide, deep, 0),
      holes: [0.25, 0.75].flatMap((share) =>
        xs.map((x) => ({ at: [x, share * deep] as DrawnPoint, diameter, what: 'bolt' as const })),
      ),
      lines: [],
    },
    weldLength: 2 * (along + deep),
    note: 'the arm is welded to it; drill through its holes into the web',
  };
}

/** An L laid flat: the leg on the web, the bend, the leg under the body. */
function angleParts(
  { thickness, along, upright, radius, fixing }: Extract<Bracket, { form: 'angle' }>,
  { seat, reach }: MountingOutcome,
  rules: Rulebook,
): readonly Made[] {
  const shelf = reach + BEYOND * along;
  const strip = bentStrip([upright, shelf], [RIGHT_ANGLE], bendOf(thickness, radius, rules));
  const bolts =
    fixing.by === 'bolts'
      ? [0.25, 0.75].flatMap((share) =>
          Array.from({ length: fixing.count / 2 }, (_, at) => ({
            at: [((at + 0.5) * along) / (fixing.count / 2) - along / 2, share * upright] as DrawnPoint,
            diameter: fixing.diameter,
            what: 'bolt' as const,
          })),
        )
      : [];
  return [
    {
      name: 'angle, flat',
      stock: 'plate',
      thickness,
      flat: {
        outline: box(along, strip.length, -along / 2),
        holes: [...holeAt([0, strip.length - BEYOND * along], seat.mount.hole), ...bolts],
        lines: bendLines(strip.zones, -along / 2, along / 2),
      },
      weldLength: fixing.by === 'weld' ? 2 * upright + along : 0,
      note: 'one bend of 90°; its first leg goes on the web',
    },
  ];
}

function partsOf(outcome: MountingOutcome, rules: Rulebook, show: (mm: number) => string): readonly Made[] {
  const { bracket } = outcome.mounting;
  switch (bracket.form) {
    case 'none':
      return [];
    case 'perch':
      return perchParts(bracket, outcome, rules);
    case 'arm':
      return armPartsFlat(bracket, outcome, rules);
    case 'angle':
      return angleParts(bracket, outcome, rules);
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
