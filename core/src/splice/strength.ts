import { InputError } from '../input-error.ts';
import { resistingMoment, type Section, sectionProperties } from '../sections/index.ts';
import { type Band, type JointForm, weldAt, weldReach } from './joint-form.ts';
import type { RailWall } from './rail-splice.ts';
import { fedFrom, reachOfPart, sliceAt, type SplicePart, type WeldMetal } from './part.ts';
import { ofRectangle, ofSlice, sumOf, wall, type WallContact, type Weighted } from './weighted.ts';

/** A hole through one wall of a rail; on the web so high over the underside, mm. */
export interface SpliceHole {
  readonly x: number;
  readonly in: 'web' | 'top-flange' | 'bottom-flange';
  readonly z: number;
  readonly diameter: number;
}

/** A joint of one rail with all that is welded over it. */
export interface Splice {
  readonly section: Section;
  /** Yield stress of the rail, MPa. */
  readonly yieldStress: number;
  readonly joint: JointForm;
  /** Share of the wall's strength that its weld has, by how it is made and inspected; 0 where it is not welded, at most 1. */
  readonly efficiency: number;
  /** The same of walls that are welded otherwise. */
  readonly byWall?: Partial<Readonly<Record<RailWall, number>>>;
  /** Share of the yield stress that the heat leaves the wall that is in weld; above 0, at most 1. */
  readonly heatAffected: number;
  readonly metal: WeldMetal;
  readonly parts: readonly SplicePart[];
  /** Holes drilled for it through the rail, which nothing fills. */
  readonly holes: readonly SpliceHole[];
  /** The edge that the bending moment is taken to: the rail's own, or that of every part that is fed in full too. */
  readonly edge: 'rail' | 'fed-parts';
  /** How the walls of the two ends lie on each other; whole where not said. */
  readonly contact?: WallContact;
  /** The flange that a pie cut folds about: it is never cut, and is not in weld. */
  readonly uncut?: 'top' | 'bottom' | null;
}

/** How much of a part acts at a station. Forces N, moments N·mm. */
export interface PartShare {
  readonly name: string;
  /** What its welds must bring in before all of it acts, and what they can: as a force and, on the web, as a moment. */
  readonly force: { readonly asked: number; readonly fed: number };
  readonly moment: { readonly asked: number; readonly fed: number } | null;
  /** 0 to 1. */
  readonly share: number;
}

/** The rail with what acts of its parts, at one station. mm, mm², mm⁴; moment N·mm. */
export interface EffectiveSection {
  readonly x: number;
  /** Heights between which the wall is in weld there. */
  readonly inWeld: Band | null;
  readonly parts: readonly PartShare[];
  readonly area: number;
  readonly centroidZ: number;
  readonly iy: number;
  /** From the centroid to the edge that the moment is taken to. */
  readonly edge: number;
  readonly resisting: number;
  /** To the bare rail's resisting moment; may be above 1. */
  readonly ratio: number;
}

/** What a splice is worth beside the bare rail. */
export interface SpliceStrength {
  /** Of the bare rail, N·mm. */
  readonly parent: number;
  /** Front to rear, from just outside one end of all that is welded to just outside the other. */
  readonly curve: readonly EffectiveSection[];
  /** The least along the curve; the bare rail beside the joint belongs to it, so that it is never above 1. */
  readonly ratio: number;
  /** The least where the weld itself is; may be above 1. */
  readonly ratioAtWeld: number;
  /** Where the least is, mm; empty where nothing is weaker than the bare rail. */
  readonly weakest: readonly number[];
  readonly limitedBy: 'rail' | 'weld' | 'feeding';
  /** Names of the parts that their welds do not feed in full at the weakest station. */
  readonly underfed: readonly string[];
}

/** The steel that holes take out of the wall at a station. */
function drilled({ holes, section }: Splice, x: number, factor: number): readonly Weighted[] {
  const web = 'thickness' in section ? section.thickness : 0;
  return holes.flatMap((hole) => {
    const chord = Math.sqrt(Math.max(0, hole.diameter ** 2 / 4 - (x - hole.x) ** 2));
    if (chord <= 0) return [];
    if (hole.in === 'web') return [ofRectangle(web, hole.z - chord, hole.z + chord, -factor)];
    const under = hole.in === 'top-flange' ? section.depth - web : 0;
    return [ofRectangle(2 * chord, under, under + web, -factor)];
  });
}

/** A part at a station that it covers: its slice, and what its welds can bring in from the worse of its sides. */
function presentAt(splice: Splice, x: number) {
  return splice.parts.flatMap((part) => {
    const slice = sliceAt(part, x);
    if (!slice || slice.y[1] <= slice.y[0] || slice.z[1] <= slice.z[0]) return [];
    const axis = part.fed === 'as-web' ? (slice.z[0] + slice.z[1]) / 2 : (slice.y[0] + slice.y[1]) / 2;
    const [front, rear] = [fedFrom(part, splice.metal, x, 'front', axis), fedFrom(part, splice.metal, x, 'rear', axis)];
    const fed = { force: Math.min(front.force, rear.force), moment: Math.min(front.moment, rear.moment) };
    const [thick, high] = [slice.y[1] - slice.y[0], slice.z[1] - slice.z[0]];
    const whole = part.yieldStress * thick * high;
    return [{ part, slice, fed, whole, bending: (part.yieldStress * thick * high ** 2) / 6 }];
  });
}

/** The heights in weld, less the flange that is never cut. */
function cutBand({ section, uncut }: Splice, band: Band | null): Band | null {
  if (!band || !uncut || !('thickness' in section)) return band;
  const [low, high] = band;
  return uncut === 'top'
    ? [low, Math.min(high, section.depth - section.thickness)]
    : [Math.max(low, section.thickness), high];
}

const shareOf = (fed: number, asked: number): number => (asked <= 0 ? 1 : Math.min(1, fed / asked));

/**
 * The section that acts at a station of a splice, and its resisting moment.
 *
 * A web plate's share is that of its own moment first; where the centroid that this gives lies off its axis, its force
 * must be fed too, and the smaller share counts.
 *
 * @param splice The splice.
 * @param x The station, mm.
 * @param parent The bare rail's resisting moment, N·mm; worked out where it is not given.
 */
export function effectiveSection(splice: Splice, x: number, parent = bareRail(splice)): EffectiveSection {
  const { section, yieldStress, efficiency, heatAffected } = splice;
  const inWeld = cutBand(splice, weldAt(splice.joint, section.depth, x));
  const others = Object.fromEntries(
    Object.entries(splice.byWall ?? {}).map(([name, share]) => [name, share * heatAffected]),
  );
  const steel = wall(section, inWeld, efficiency * heatAffected, splice.contact, others);
  const present = presentAt(splice, x);
  const sum = (shares: readonly number[], less: readonly Weighted[] = []) =>
    sumOf([
      ...steel,
      ...less,
      ...present.map(({ part, slice }, at) => ofSlice(slice, ((shares[at] ?? 0) * part.yieldStress) / yieldStress)),
    ]);
  const first = present.map(({ part, fed, whole, bending }) =>
    part.fed === 'as-web' ? shareOf(fed.moment, bending) : shareOf(fed.force, whole),
  );
  const before = sum(first);
  const farther = (centroid: number) => Math.max(centroid, section.depth - centroid);
  const parts = present.map(({ part, slice, fed, whole, bending }, at): PartShare => {
    if (part.fed === 'as-flange')
      return { name: part.name, force: { asked: whole, fed: fed.force }, moment: null, share: first[at] ?? 0 };
    const off = Math.abs((slice.z[0] + slice.z[1]) / 2 - before.centroidZ);
    const asked = (whole * off) / farther(before.centroidZ);
    return {
      name: part.name,
      force: { asked, fed: fed.force },
      moment: { asked: bending, fed: fed.moment },
      share: Math.min(first[at] ?? 0, shareOf(fed.force, asked)),
    };
  });
  const acting = parts.map(({ share }) => share);
  const { area, centroidZ, iy } = sum(acting);
  const edgeFrom = (centroid: number) =>
    Math.max(
      farther(centroid),
      ...present.flatMap(({ slice }, at) =>
        splice.edge === 'fed-parts' && parts[at]?.share === 1
          ? [Math.abs(slice.z[0] - centroid), Math.abs(slice.z[1] - centroid)]
          : [],
      ),
    );
  const edge = edgeFrom(centroidZ);
  const whole = (yieldStress * iy) / edge;
  const less = drilled(splice, x, inWeld ? efficiency * heatAffected : 1);
  // Beside a part off the centroid a hole may bring the centroid nearer the edge: that is not counted in its favor.
  const around = less.length > 0 ? sum(acting, less) : null;
  const resisting = around ? Math.min(whole, (yieldStress * around.iy) / edgeFrom(around.centroidZ)) : whole;
  const left = around ?? { area, centroidZ, iy };
  return { x, inWeld, parts, ...left, edge: edgeFrom(left.centroidZ), resisting, ratio: resisting / parent };
}

/** The bare rail's resisting moment, N·mm. */
const bareRail = ({ section, yieldStress }: Pick<Splice, 'section' | 'yieldStress'>): number =>
  resistingMoment(sectionProperties(section), yieldStress);

/** How far outside the last weld the curve begins and ends, and how near to a plug it is looked at, mm. */
const OUTSIDE = 1;
const BESIDE = 1e-6;
/** Stations looked at between the ends beside those where something begins or ends. */
const SAMPLES = 60;
/** Ratios nearer to each other than this are equally weak. */
const ALIKE = 1e-9;

/** Every station that a splice is looked at, front to rear. */
function stationsOf({ joint, parts, section, holes }: Splice): readonly number[] {
  const weld = weldReach(joint);
  const xs = [...weld];
  if (joint.form === 'angled') {
    // Where the band leaves a flange, as well as where it comes in at the edges of the rail.
    const { undersideX, topX, band } = joint;
    const wallAt = 'thickness' in section ? section.thickness / section.depth : 0;
    for (const share of [0, wallAt, 1 - wallAt, 1])
      for (const side of [-1, 1]) xs.push(undersideX + (topX - undersideX) * share + (side * band) / 2);
  }
  for (const part of parts) {
    xs.push(...part.slices.map(({ x }) => x));
    for (const { from, to } of part.fillets) xs.push(from.x, to.x);
    for (const { x } of [...part.plugs, ...part.bolts]) xs.push(x - BESIDE, x, x + BESIDE);
  }
  for (const { x, diameter } of holes) xs.push(x - diameter / 2, x, x + diameter / 2);
  const [from, to] = [Math.min(...xs) - OUTSIDE, Math.max(...xs) + OUTSIDE];
  // Nothing changes between the ends of a weld square across a rail that nothing is laid over.
  const samples = joint.form !== 'angled' && parts.length === 0 && holes.length === 0 ? 1 : SAMPLES;
  const even = Array.from({ length: samples + 1 }, (_, at) => from + ((to - from) * at) / samples);
  return [...new Set([...xs, ...even])].sort((a, b) => a - b);
}

/** Stations looked at beside the weakest, on each side of it, and how often. */
const CLOSER = 3;

/** The curve with more stations about its weakest one. */
function refined(
  curve: readonly EffectiveSection[],
  at: (x: number) => EffectiveSection,
  times = 4,
): readonly EffectiveSection[] {
  if (times === 0) return curve;
  const index = curve.reduce((low, { ratio }, here) => (ratio < (curve[low]?.ratio ?? Infinity) ? here : low), 0);
  const here = curve[index] as EffectiveSection;
  const [before, after] = [curve[index - 1], curve[index + 1]];
  const between = (a: number, b: number) =>
    Array.from({ length: CLOSER }, (_, step) => at(a + ((b - a) * (step + 1)) / (CLOSER + 1)));
  const ahead = before ? between(before.x, here.x) : [];
  const behind = after ? between(here.x, after.x) : [];
  // Where nothing near is weaker, the weakest station is known.
  if (![...ahead, ...behind].some(({ ratio }) => ratio < here.ratio)) return curve;
  return refined([...curve.slice(0, index), ...ahead, here, ...behind, ...curve.slice(index + 1)], at, times - 1);
}

/**
 * The strength of a splice along all that it covers, beside the bare rail's.
 *
 * @param splice The splice.
 * @throws InputError for factors outside 0 to 1, and for parts without a length.
 */
export function spliceStrength(splice: Splice): SpliceStrength {
  const problems = [
    ...(['efficiency', 'heatAffected'] as const).flatMap((path) =>
      splice[path] >= 0 && splice[path] <= 1 ? [] : [{ code: 'splice/factor', path, message: 'must be from 0 to 1' }],
    ),
    ...splice.parts.flatMap((part, index) => {
      const [from, to] = reachOfPart(part);
      return to > from ? [] : [{ code: 'splice/no-length', path: `parts[${index}]`, message: 'must have a length' }];
    }),
  ];
  if (problems.length > 0) throw new InputError(problems);
  const parent = bareRail(splice);
  const curve = refined(
    stationsOf(splice).map((x) => effectiveSection(splice, x, parent)),
    (x) => effectiveSection(splice, x, parent),
  );
  const [weldFrom, weldTo] = weldReach(splice.joint);
  const atWeld = curve.filter(({ x, inWeld }) => inWeld !== null && x >= weldFrom && x <= weldTo);
  const least = (sections: readonly EffectiveSection[]) => Math.min(...sections.map(({ ratio }) => ratio));
  const lowest = least(curve);
  const weak = lowest < 1 - ALIKE ? curve.filter(({ ratio }) => ratio - lowest < ALIKE) : [];
  const underfed = [
    ...new Set(weak.flatMap(({ parts }) => parts.filter(({ share }) => share < 1).map(({ name }) => name))),
  ];
  return {
    parent,
    curve,
    ratio: weak.length === 0 ? 1 : lowest,
    ratioAtWeld: least(atWeld),
    weakest: weak.map(({ x }) => x),
    limitedBy: weak.length === 0 ? 'rail' : underfed.length > 0 ? 'feeding' : 'weld',
    underfed,
  };
}
