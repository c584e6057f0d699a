import { type Rail, SIDES, type Side, type Station, type Vec3 } from '../frame/index.ts';
import { type Section, sectionProperties } from '../sections/index.ts';
import { type CutFace, facesOf } from './face.ts';
import { perCut } from './per-cut.ts';
import { type Piece, place } from './piece.ts';
import { type Layer, layersOf } from './section-layers.ts';

/** A mass and where it balances: kg, mm. */
export interface Lump {
  readonly mass: number;
  readonly at: Vec3;
  /** The straight line that its weight is spread along evenly; without one it is at one place, or as `run` says. */
  readonly line?: readonly [Vec3, Vec3];
}

/** The steel of one straight stretch of a rail: its weight is spread evenly over its run along the frame, mm. */
export interface RailLump extends Lump {
  readonly run: number;
}

/** A stretch of rail between two stations, as lines in x: z = top + slope·x and outward = half + spread·x. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly slope: number;
  readonly half: number;
  readonly flare: number;
}

/** A face in a stretch: at `down` below the top edge it is at x = at + per·down. */
interface Edge {
  readonly at: number;
  readonly per: number;
}

function edgeIn({ top, slope }: Stretch, face: CutFace): Edge {
  const turn = 1 - face.lean * slope;
  return { at: (face.x + face.lean * (top - face.z)) / turn, per: -face.lean / turn };
}

/** Moments of a solid of density 1: volume, and volume times x, outward and z. */
interface Moments {
  readonly volume: number;
  readonly x: number;
  readonly outward: number;
  readonly z: number;
}

/** The faces in a stretch between which its steel is: behind all of the front ones and ahead of all of the rear ones. */
interface Between {
  readonly front: readonly Edge[];
  readonly rear: readonly Edge[];
}

/** Depths between `from` and `to` at which a leaning edge meets an end of the stretch, or another edge. */
function breaks(stretch: Stretch, { front, rear }: Between, from: number, to: number): number[] {
  const all = [...front, ...rear];
  const meet = (edge: Edge, x: number) => (x - edge.at) / edge.per;
  const at = all.flatMap((edge) => (edge.per === 0 ? [] : [meet(edge, stretch.from), meet(edge, stretch.to)]));
  all.forEach((a, index) => {
    for (const b of all.slice(index + 1)) if (a.per !== b.per) at.push((b.at - a.at) / (a.per - b.per));
  });
  return [from, ...at.filter((down) => down > from && down < to).sort((p, q) => p - q), to];
}

/** Exact for what is straight between breaks: Simpson's rule over integrands of the second degree. */
function momentsOf(stretch: Stretch, between: Between, layer: Layer): Moments {
  const sum = { volume: 0, x: 0, outward: 0, z: 0 };
  const at = breaks(stretch, between, layer.from, layer.to);
  const xOf = (down: number) => (edge: Edge) => edge.at + edge.per * down;
  for (let index = 0; index + 1 < at.length; index += 1) {
    const [low, high] = [at[index] as number, at[index + 1] as number];
    for (const [down, share] of [
      [low, 1 / 6],
      [(low + high) / 2, 4 / 6],
      [high, 1 / 6],
    ] as const) {
      const begins = Math.max(stretch.from, ...between.front.map(xOf(down)));
      const rear = Math.min(stretch.to, ...between.rear.map(xOf(down)));
      const front = Math.min(begins, rear);
      const weight = share * (high - low) * layer.width;
      const [long, moment] = [rear - front, (rear * rear - front * front) / 2];
      sum.volume += weight * long;
      sum.x += weight * moment;
      sum.outward += weight * ((stretch.half - layer.middle) * long + stretch.flare * moment);
      sum.z += weight * ((stretch.top - down) * long + stretch.slope * moment);
    }
  }
  return sum;
}

/** The stretches of a rail; the first and the last are carried on straight, for faces that lie beyond its ends. */
function stretchesOf(rail: Rail): readonly (Stretch & { readonly section: string })[] {
  const known = stretchesKnown.get(rail);
  if (known) return known;
  const stretches = rail.slice(1).map((next, index) => {
    const station = rail[index] as Station;
    const run = next.x - station.x;
    const [slope, flare] = [(next.top - station.top) / run, (next.halfWidth - station.halfWidth) / run];
    return {
      from: index === 0 ? -Infinity : station.x,
      to: index === rail.length - 2 ? Infinity : next.x,
      top: station.top - slope * station.x,
      slope,
      half: station.halfWidth - flare * station.x,
      flare,
      section: station.section,
    };
  });
  stretchesKnown.set(rail, stretches);
  return stretches;
}

/** All pieces of one steel keep its whole rails: their stretches are worked out once. */
const stretchesKnown = new WeakMap<Rail, readonly (Stretch & { readonly section: string })[]>();

/** The steel of one stretch in the rail's own coordinates: volume along the slope, mm³, its run, and where it balances. */
interface LocalLump {
  readonly volume: number;
  /** How far it reaches along x: between square faces, or as if its ends were. */
  readonly run: number;
  readonly x: number;
  readonly outward: number;
  readonly z: number;
}

/** How much longer a stretch is along its slope and flare than along the frame. */
const stretched = ({ slope, flare }: Stretch): number => Math.sqrt(1 + slope ** 2 + flare ** 2);

/** The steel of a stretch between two square faces: it balances at the centroid half-way between them. */
function squareLump(stretch: Stretch, from: number, to: number, section: Section): LocalLump {
  const { area, centroidY, centroidZ } = sectionProperties(section);
  const x = (from + to) / 2;
  return {
    volume: area * (to - from) * stretched(stretch),
    run: to - from,
    x,
    outward: stretch.half + stretch.flare * x - centroidY,
    z: stretch.top + stretch.slope * x - (section.depth - centroidZ),
  };
}

const wholeKnown = new WeakMap<Stretch, { readonly section: Section; readonly lump: LocalLump }>();

/** The steel of a whole stretch: the same in every piece that keeps it, donor and built. */
function wholeLump(stretch: Stretch, section: Section): LocalLump {
  const known = wholeKnown.get(stretch);
  if (known?.section === section) return known.lump;
  const lump = squareLump(stretch, stretch.from, stretch.to, section);
  wholeKnown.set(stretch, { section, lump });
  return lump;
}

/** The steel of both rails of a piece in its own coordinates. */
const localLumps = perCut(({ rails: { left, right }, front, rear }, section) => {
  const ofLeft = lumpsOf(left, front, rear, section);
  return { left: ofLeft, right: left === right ? ofLeft : lumpsOf(right, front, rear, section) };
});

const lumpsOf = (rail: Rail, front: CutFace, rear: CutFace, section: (id: string) => Section): readonly LocalLump[] => {
  // What a square face leaves out needs no closer look.
  const [ahead, behind] = [front.lean === 0 ? front.x : -Infinity, rear.lean === 0 ? rear.x : Infinity];
  const [begins, ends] = [facesOf(front), facesOf(rear)];
  const lumps: LocalLump[] = [];
  for (const stretch of stretchesOf(rail)) {
    if (stretch.to <= ahead || stretch.from >= behind) continue;
    const used = section(stretch.section);
    const begin = begins.map((face) => edgeIn(stretch, face));
    const end = ends.map((face) => edgeIn(stretch, face));
    if (end.some((edge) => rearReach(edge, used.depth) <= stretch.from)) continue;
    if (begin.some((edge) => frontReach(edge, used.depth) >= stretch.to)) continue;
    // A stretch that no face touches is square at both ends, wherever the faces lean.
    const isWhole =
      begin.every((edge) => rearReach(edge, used.depth) <= stretch.from) &&
      end.every((edge) => frontReach(edge, used.depth) >= stretch.to);
    if (isWhole) lumps.push(wholeLump(stretch, used));
    else if ([...begin, ...end].every(({ per }) => per === 0))
      lumps.push(
        squareLump(
          stretch,
          Math.max(stretch.from, ...begin.map(({ at }) => at)),
          Math.min(stretch.to, ...end.map(({ at }) => at)),
          used,
        ),
      );
    else lumps.push(leaningLump(stretch, { front: begin, rear: end }, used));
  }
  return lumps.filter(({ volume }) => volume > 1e-9);
};

/** The front and the rear station of an edge over a depth, mm. */
const frontReach = ({ at, per }: Edge, depth: number): number => Math.min(at, at + per * depth);
const rearReach = ({ at, per }: Edge, depth: number): number => Math.max(at, at + per * depth);

/** The steel of a stretch between two faces of which one leans at least; of no volume, it balances nowhere. */
function leaningLump(stretch: Stretch, between: Between, section: Section): LocalLump {
  const total = { volume: 0, x: 0, outward: 0, z: 0 };
  for (const layer of layersOf(section)) {
    const part = momentsOf(stretch, between, layer);
    total.volume += part.volume;
    total.x += part.x;
    total.outward += part.outward;
    total.z += part.z;
  }
  return {
    volume: total.volume * stretched(stretch),
    run: total.volume / sectionProperties(section).area,
    x: total.x / total.volume,
    outward: total.outward / total.volume,
    z: total.z / total.volume,
  };
}

/**
 * The steel of one rail of a piece between its faces, true to leaning ends: a lump for each stretch. The wall is taken
 * upright across the rail and its area square to it, as everywhere. `density` in kg/mm³.
 *
 * @param piece The piece; its own coordinates are those of its steel.
 * @param side Left or right, as seated.
 * @param section Looks a section up by its id.
 * @param density kg/mm³.
 */
export const railLumps = (piece: Piece, side: Side, section: (id: string) => Section, density: number): RailLump[] =>
  localLumps(piece, section)[side].map(({ volume, run, x, outward, z }) => ({
    mass: volume * density,
    run,
    at: place(piece, side, x, outward, z),
  }));

/**
 * The steel of both rails of some pieces. `density` in kg/mm³.
 *
 * @param pieces Pieces, front to rear.
 * @param section Looks a section up by its id.
 * @param density kg/mm³.
 */
export const steelLumps = (pieces: readonly Piece[], section: (id: string) => Section, density: number): RailLump[] =>
  pieces.flatMap((piece) => SIDES.flatMap((side) => railLumps(piece, side, section, density)));

/**
 * The mass of one rail of a piece, kg.
 *
 * @param piece The piece.
 * @param side Left or right.
 * @param section Looks a section up by its id.
 * @param density kg/mm³.
 */
export const railMass = (piece: Piece, side: Side, section: (id: string) => Section, density: number): number =>
  massOf(railLumps(piece, side, section, density));

/**
 * The mass of some lumps together, kg.
 *
 * @param lumps kg and mm.
 */
export const massOf = (lumps: readonly Lump[]): number => lumps.reduce((sum, { mass }) => sum + mass, 0);
