import { type RailId, type Side, SIDES, extentOf } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import {
  cornerRadiusOf,
  edgesOf,
  type Fitting,
  insideOf,
  isOnWeb,
  type Plate,
  type SpliceSleeve,
  wedgeSleeve,
} from '../../splice/index.ts';
import { InputError } from '../../input-error.ts';
import type { FeatureOutcome } from '../feature-outcome.ts';
import { topLength } from '../new-rail.ts';
import type { DrawnPoint } from '../outline.ts';
import { type Context, contextOf } from '../context.ts';
import { railEnd } from '../piece.ts';
import type { PlanInput, PlanResult } from '../plan-result.ts';
import type { RailSpliceOutcome, SpliceJoint } from './splice-outcome.ts';
import { plateMass, sleeveMass, weldOn } from './steel.ts';

/** A part laid flat, mm: its front end at 0, x to the rear as seen from outside the rail, y up or inward. */
export interface FlatShape {
  readonly outline: readonly DrawnPoint[];
  readonly holes: readonly {
    readonly at: DrawnPoint;
    readonly diameter: number;
    readonly what: 'plug' | 'bolt' | 'kept';
  }[];
  readonly lines: readonly {
    readonly from: DrawnPoint;
    readonly to: DrawnPoint;
    readonly what: 'joint' | 'bend' | 'cut';
  }[];
}

/** A part to cut for a joint. mm, kg. */
export interface CutPart {
  /** Letter of its joint, a number, and L or R: `A1L`. */
  readonly mark: string;
  readonly name: string;
  readonly joint: SpliceJoint;
  readonly rail: RailId;
  /** What it is cut from, in words. */
  readonly stock: string;
  readonly thickness: number;
  readonly length: number;
  readonly width: number;
  readonly flat: FlatShape;
  readonly mass: number;
  /** Fillets along it and round its plugs, mm. */
  readonly weldLength: number;
  /** What else is to be known to make it. */
  readonly note: string;
  /** Steel that came out of the frame which it can be cut from; null where none serves. */
  readonly offcut: string | null;
}

const sideOf = (rail: RailId): Side => (rail.endsWith('left') ? 'left' : 'right');

/** Where a point of a plate comes to when the part behind the joint is turned up about the joint, mm. */
function turned(x: number, y: number, turn: number): DrawnPoint {
  if (x <= 0 || turn === 0) return [x, y];
  return [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
}

/** The outline of a plate about its own middle: over a kink its halves meet on the line that halves the angle. */
function outlineOf(plate: Plate, section: Section, turn: number): readonly DrawnPoint[] {
  const edges = edgesOf(plate, section);
  const middle = isOnWeb(plate.face) ? section.depth / 2 : 0;
  const bent = isOnWeb(plate.face) ? turn : 0;
  const half = Math.tan(bent / 2);
  const line = (of: 'low' | 'high'): DrawnPoint[] =>
    edges.flatMap((corner, at): DrawnPoint[] => {
      const y = corner[of] - middle;
      const next = edges[at + 1];
      const here: DrawnPoint[] = corner.x === 0 ? [[-y * half, y]] : [turned(corner.x, y, bent)];
      if (bent === 0 || !next || corner.x >= 0 || next.x <= 0) return here;
      const share = -corner.x / (next.x - corner.x);
      const across = corner[of] + (next[of] - corner[of]) * share - middle;
      return [...here, [-across * half, across]];
    });
  const points = [...line('low'), ...line('high').reverse()];
  // A pointed end has its corner once.
  return points.filter((point, at) => {
    const before = points[(at + points.length - 1) % points.length];
    return !before || Math.hypot(point[0] - before[0], point[1] - before[1]) > 1e-6;
  });
}

/** Holes of the frame that a plate goes round, from the joint, mm. */
function keptHoles(
  plate: Plate,
  one: RailSpliceOutcome,
  joint: SpliceJoint,
  features: readonly FeatureOutcome[],
  rules: Rulebook,
) {
  const { section } = one.steel;
  const clear = ruleValue(rules, 'splice/cut-out');
  if (!isOnWeb(plate.face) || joint.of === 'member') return [];
  return features.flatMap(({ feature, places }) => {
    const built = places[sideOf(one.rail)]?.built;
    if (!built || feature.attachment !== 'hole' || feature.diameter <= 0) return [];
    if (feature.face !== 'web-inside' && feature.face !== 'web-outside') return [];
    const { from, to } = extentOf(feature);
    const x = built.x - joint.builtX;
    const z = section.depth - feature.down;
    const [start, end] = [x - (feature.x - from), x + (to - feature.x)];
    if (end < -plate.ahead || start > plate.behind) return [];
    const edges = edgesOf(plate, section);
    if (!edges.some(({ low, high }) => z > low - feature.diameter / 2 && z < high + feature.diameter / 2)) return [];
    return [{ x, y: z - section.depth / 2, diameter: feature.diameter + 2 * clear }];
  });
}

/** The shape moved so that its front end is at 0, and turned over for the right rail: seen from outside, its front is right. */
function laidOut(shape: FlatShape, side: Side): FlatShape {
  const flip = side === 'left' ? 1 : -1;
  const least = Math.min(...shape.outline.map(([x]) => x * flip));
  const lowest = Math.min(...shape.outline.map(([, y]) => y));
  const put = ([x, y]: DrawnPoint): DrawnPoint => [x * flip - least, y - lowest];
  return {
    outline: shape.outline.map(put),
    holes: shape.holes.map((hole) => ({ ...hole, at: put(hole.at) })),
    lines: shape.lines.map((line) => ({ ...line, from: put(line.from), to: put(line.to) })),
  };
}

const sizeOf = ({ outline }: FlatShape) => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  return { length: Math.max(...xs) - Math.min(...xs), width: Math.max(...ys) - Math.min(...ys) };
};

type Made = Omit<CutPart, 'mark' | 'joint' | 'rail' | 'offcut' | 'weldLength'>;

function platePart(
  plate: Plate,
  one: RailSpliceOutcome,
  joint: SpliceJoint,
  result: PlanResult,
  rules: Rulebook,
): Made {
  const { section, material } = one.steel;
  const bent = isOnWeb(plate.face) ? one.turn : 0;
  const middle = isOnWeb(plate.face) ? section.depth / 2 : 0;
  const at = ({ x, across }: { readonly x: number; readonly across: number }): DrawnPoint =>
    turned(x, across - middle, bent);
  const ys = edgesOf(plate, section).flatMap(({ low, high }) => [low - middle, high - middle]);
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const flat = laidOut(
    {
      outline: outlineOf(plate, section, one.turn),
      holes: [
        ...plate.plugs.map((plug) => ({ at: at(plug), diameter: plug.diameter, what: 'plug' as const })),
        ...plate.bolts.map((bolt) => ({
          at: at(bolt),
          diameter: bolt.diameter + ruleValue(rules, 'bolt/hole'),
          what: 'bolt' as const,
        })),
        ...keptHoles(plate, one, joint, result.features, rules).map(({ x, y, diameter }) => ({
          at: turned(x, y, bent),
          diameter,
          what: 'kept' as const,
        })),
      ],
      lines: [{ from: [-low * Math.tan(bent / 2), low], to: [-high * Math.tan(bent / 2), high], what: 'joint' }],
    },
    sideOf(one.rail),
  );
  return {
    name: plate.name,
    stock: 'plate',
    thickness: plate.thickness,
    flat,
    ...sizeOf(flat),
    mass: plateMass(plate, section, material.density),
    note: '',
  };
}

const box = (length: number, width: number, from: number): readonly DrawnPoint[] => [
  [from, 0],
  [from + length, 0],
  [from + length, width],
  [from, width],
];

/**
 * Width of the flat that a channel is folded from, mm, and where its two bends are: inside radius as thick as the wall, its
 * length along the neutral line.
 *
 * @param size Outside height and width of the channel and its wall, mm.
 * @param neutral Where the neutral line lies, as a share of the wall from inside.
 */
export function foldedFlat(
  { height, width, wall }: Pick<SpliceSleeve, 'height' | 'width' | 'wall'>,
  neutral: number,
): { readonly width: number; readonly bends: readonly [number, number] } {
  const corner = 2 * wall;
  const bend = (Math.PI / 2) * (wall + neutral * wall);
  const flange = width - corner;
  const web = height - 2 * corner;
  return { width: 2 * flange + 2 * bend + web, bends: [flange + bend / 2, flange + bend + web + bend / 2] };
}

function sleeveParts(
  sleeve: SpliceSleeve,
  one: RailSpliceOutcome,
  through: number,
  rules: Rulebook,
  show: (mm: number) => string,
): readonly Made[] {
  const { density } = one.steel.material;
  const length = sleeve.ahead + through + sleeve.behind;
  const mass = sleeveMass(sleeve, density, through);
  const side = sideOf(one.rail);
  const common = { thickness: sleeve.wall, mass };
  const joint = (width: number) => [
    { from: [0, 0] as DrawnPoint, to: [0, width] as DrawnPoint, what: 'joint' as const },
  ];
  const tube = `tube ${[sleeve.height, sleeve.width, sleeve.wall].map(show).join(' × ')}`;
  if (sleeve.kind === 'folded') {
    const { width, bends } = foldedFlat(sleeve, ruleValue(rules, 'sleeve/bend'));
    const flat = laidOut(
      {
        outline: box(length, width, -sleeve.ahead),
        holes: [],
        lines: [
          ...joint(width),
          ...bends.map((y) => ({
            from: [-sleeve.ahead, y] as DrawnPoint,
            to: [sleeve.behind, y] as DrawnPoint,
            what: 'bend' as const,
          })),
        ],
      },
      side,
    );
    const inside = `folded to ${show(sleeve.height)} × ${show(sleeve.width)} outside, inside radius ${show(sleeve.wall)}`;
    return [{ ...common, name: 'folded channel', stock: sleeve.stock, flat, ...sizeOf(flat), note: inside }];
  }
  if (sleeve.kind === 'wedge') return wedgeParts(sleeve, one, tube, rules, show);
  const flat = laidOut(
    { outline: box(length, sleeve.height, -sleeve.ahead), holes: [], lines: joint(sleeve.height) },
    side,
  );
  return [
    {
      ...common,
      name: sleeve.kind === 'outer' ? 'outer sleeve' : 'inner sleeve',
      stock: tube,
      flat,
      ...sizeOf(flat),
      note: `its weld seam and corners of ${show(sleeve.cornerRadius)} dressed where they lie against the rail`,
    },
  ];
}

/** A wedge sleeve's tube with its cut from corner to corner, and the strip that fills the rail's width beside it. */
function wedgeParts(
  sleeve: SpliceSleeve,
  one: RailSpliceOutcome,
  tube: string,
  rules: Rulebook,
  show: (mm: number) => string,
): readonly Made[] {
  const { section, material } = one.steel;
  const room = insideOf(section, cornerRadiusOf(section));
  const wedge = wedgeOf(sleeve, section, rules);
  if (!room || !wedge) return [];
  const { wedgeLength: length, height } = sleeve;
  const flat = laidOut(
    {
      outline: box(length, height, 0),
      holes: [],
      lines: [{ from: [0, 0], to: [length, height], what: 'cut' }],
    },
    sideOf(one.rail),
  );
  const strip = room.width - sleeve.width;
  const { density } = material;
  const halves = {
    name: 'wedge sleeve',
    stock: tube,
    thickness: sleeve.wall,
    flat,
    ...sizeOf(flat),
    mass: (sleeveMass(sleeve, density) / (sleeve.ahead + sleeve.behind)) * length,
    note: `cut corner to corner, the halves slid ${show(wedge.slide)} on each other: they then fill ${show(room.height)} and overlap over ${show(wedge.overlap)}`,
  };
  if (strip < 0.5) return [halves];
  const packing = laidOut({ outline: box(wedge.overlap, room.height, 0), holes: [], lines: [] }, sideOf(one.rail));
  return [
    halves,
    {
      name: 'packing strip',
      stock: 'flat bar',
      thickness: strip,
      flat: packing,
      ...sizeOf(packing),
      mass: wedge.overlap * room.height * strip * density,
      note: 'fills the rail beside the sleeve',
    },
  ];
}

/** Length of the welds on a part: those of a plate by its name, those of a sleeve on all of its walls, mm. */
function weldAlong(name: string, { made }: RailSpliceOutcome): number {
  const isSleeve = name.includes('sleeve') || name === 'folded channel';
  const parts = made.splice?.parts.filter((part) => (isSleeve ? part.name.startsWith('sleeve') : part.name === name));
  return (parts ?? []).reduce((sum, part) => sum + weldOn(part), 0);
}

/** The caps that cover a stretch that is made of a sleeve alone, one for each flat side of the rail. */
function capParts(one: RailSpliceOutcome, length: number): readonly Made[] {
  const { section, material } = one.steel;
  const sides: readonly (readonly [name: string, width: number])[] = [
    ['cap, web', section.depth],
    ['cap, top', widthOf(section)],
    ['cap, bottom', widthOf(section)],
    ...(section.kind === 'channel' ? [] : [['cap, inner side', section.depth] as const]),
  ];
  return sides.map(([name, width]) => {
    const flat = laidOut({ outline: box(length, width, 0), holes: [], lines: [] }, sideOf(one.rail));
    return {
      name,
      stock: 'plate',
      thickness: section.thickness,
      flat,
      ...sizeOf(flat),
      mass: length * width * section.thickness * material.density,
      note: 'restores the outside between the joints; counts for nothing in strength',
    };
  });
}

/** A corner plate: two edges square to each other, and the long one. */
const triangle = (along: number, up: number): readonly DrawnPoint[] => [
  [0, 0],
  [along, 0],
  [0, up],
];

/** An end plate over the open end of one rail, standing out all round. */
function endPlate(
  fitting: Extract<Fitting, { kind: 'end-plate' }>,
  section: Section,
  side: Side,
): Pick<CutPart, 'flat' | 'length' | 'width'> {
  const [wide, high] = [widthOf(section) + 2 * fitting.over, section.depth + 2 * fitting.over];
  const { along = 0, rows = 0, diameter = 0 } = fitting.holes ?? {};
  const flat = laidOut(
    {
      outline: box(wide, high, 0),
      holes: Array.from({ length: along * rows }, (_, at) => ({
        at: [(wide * ((at % along) + 0.5)) / along, (high * (Math.floor(at / along) + 0.5)) / rows] as DrawnPoint,
        diameter,
        what: 'bolt' as const,
      })),
      lines: [],
    },
    side,
  );
  return { flat, ...sizeOf(flat) };
}

const UNCOUNTED = 'counts for nothing in strength';

/** End plates and gussets, for left and right; of joints and ends that are not there any more none. */
function fittingParts(
  result: PlanResult,
  fittings: readonly Fitting[],
  { section, density }: Pick<Context, 'section' | 'density'>,
): readonly CutPart[] {
  return fittings.flatMap((fitting, index) =>
    SIDES.flatMap((side): CutPart[] => {
      const common = { rail: side, stock: 'plate', thickness: fitting.thickness, offcut: null } as const;
      const markOf = (letter: string) => `${letter}F${index + 1}${side === 'left' ? 'L' : 'R'}`;
      if (fitting.kind === 'gusset') {
        const joint = result.splices.find((splice) => splice.joint.id === fitting.on)?.joint;
        if (!joint) return [];
        const flat = laidOut({ outline: triangle(fitting.along, fitting.up), holes: [], lines: [] }, side);
        const mass = (fitting.along * fitting.up * fitting.thickness * density) / 2;
        const name = fitting.count > 1 ? `gusset, ${fitting.count} of them` : 'gusset';
        return [
          {
            ...common,
            mark: markOf(joint.letter),
            name,
            joint,
            flat,
            ...sizeOf(flat),
            mass: mass * fitting.count,
            weldLength: 2 * fitting.count * (fitting.along + fitting.up),
            note: UNCOUNTED,
          },
        ];
      }
      const end = result.cutEnds.find(({ operation }) => operation === fitting.on);
      const piece = end && result.pieces[end.end === 'front' ? 0 : result.pieces.length - 1];
      if (!end || !piece) return [];
      const shape = endPlate(fitting, section(railEnd(piece, side, end.end).section), side);
      const { letter, operation, builtX, donorX } = end;
      return [
        {
          ...common,
          ...shape,
          mark: markOf(letter),
          name: 'end plate',
          joint: { id: operation, letter, operation, builtX, donorX, of: 'rails' },
          mass: shape.length * shape.width * fitting.thickness * density,
          weldLength: 2 * (shape.length + shape.width),
          note: `over the open end, welded all round; ${UNCOUNTED}`,
        },
      ];
    }),
  );
}

/**
 * How the halves of a wedge sleeve lie; null where the tube cannot come to the height of the rail's inside.
 *
 * @param sleeve The sleeve.
 * @param section The rail.
 * @param rules The shop's rulebook: the kerf.
 */
export function wedgeOf(sleeve: SpliceSleeve, section: Section, rules: Rulebook) {
  const room = insideOf(section, cornerRadiusOf(section));
  if (!room || sleeve.wedgeLength <= 0) return null;
  try {
    return wedgeSleeve(
      { height: sleeve.height, length: sleeve.wedgeLength },
      ruleValue(rules, 'cut/kerf'),
      room.height,
    );
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** Steel of the donor that came out and that a plate can be cut from the web of. */
function offcutFor(part: Made, one: RailSpliceOutcome, result: PlanResult): string | null {
  const { section } = one.steel;
  const flat = section.depth - 2 * (section.thickness + cornerRadiusOf(section));
  if (part.stock !== 'plate' || Math.abs(part.thickness - section.thickness) > 0.1 || part.width > flat) return null;
  const piece = result.removed.find(
    (each) => each.source === 'donor' && SIDES.every((side) => topLength(each, side) >= part.length),
  );
  if (!piece) return null;
  const letters = result.operations.find(({ operation }) => operation.id === piece.operation)?.letters ?? [];
  return `web of the rail that comes out${letters.length > 0 ? ` at ${letters.join('·')}` : ''}`;
}

/**
 * Every part to cut for the joints of a plan and its cut ends, for left and right, front to rear; of joints that cannot be
 * reckoned none.
 *
 * @param result What the plan gives.
 * @param input Donor, plan and rules; validated.
 */
export function spliceParts(result: PlanResult, input: PlanInput): readonly CutPart[] {
  const { rules } = input;
  const context = contextOf(input);
  const ofJoints = result.splices.flatMap(({ joint, rails, decided, next, sleeveFrom }) =>
    rails.flatMap((one): CutPart[] => {
      if (decided === null || one.made.problems.length > 0) return [];
      const { sleeve } = one.splice;
      const through = sleeve?.through ? (next?.distance ?? 0) : 0;
      const made = [
        ...one.made.plates.map((plate) => platePart(plate, one, joint, result, rules)),
        ...(sleeve && sleeveFrom === null ? sleeveParts(sleeve, one, through, rules, context.show) : []),
        ...(sleeve?.caps && sleeveFrom === null && through > 0 ? capParts(one, through) : []),
      ];
      return made.map((part, at) => ({
        ...part,
        weldLength: weldAlong(part.name, one),
        mark: `${joint.of === 'rails' ? joint.letter : `${joint.letter} `}${at + 1}${sideOf(one.rail) === 'left' ? 'L' : 'R'}`,
        joint,
        rail: one.rail,
        offcut: offcutFor(part, one, result),
      }));
    }),
  );
  return [...ofJoints, ...fittingParts(result, input.plan.fittings, context)];
}
