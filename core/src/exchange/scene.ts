import { type Frame, sectionLookup, type Side, SIDES, type SixFaces, type Station, type Vec3 } from '../frame/index.ts';
import { type BodyPose, onFrame, type ProfilePoint, type WheelOpening } from '../body/index.ts';
import polygonClipping, { type Pair, type Polygon, type Ring } from 'polygon-clipping';
import {
  endCrossing,
  insideEdge,
  type MountingOutcome,
  type Piece,
  place,
  type PlanResult,
  type SeatOutcome,
  stationsOf,
} from '../plan/index.ts';
import { type Part, partsOf, type Section, widthOf } from '../sections/index.ts';
import { boxOf, drawnOut, ringAbout, swept, tire, type Triangles } from './scene-shapes.ts';

/** What a scene is made of, each to be shown or left away. */
export const SCENE_LAYERS = [
  'rails',
  'new rail',
  'crossmembers',
  'members',
  'brackets',
  'body',
  'keep clear',
  'clashes',
  'tires',
  'takes up room',
] as const;
export type SceneLayer = (typeof SCENE_LAYERS)[number];

/** Triangles of one layer that move together, mm; `piece` counts from the front where the frame can be opened there. */
export interface SceneMesh extends Triangles {
  readonly layer: SceneLayer;
  readonly piece: number | null;
}

/** How wide a tire is drawn, mm: nobody measures it. */
const TIRE_WIDTH = 220;

const { difference } = polygonClipping;

type Put = (layer: SceneLayer, piece: number | null, shape: Triangles) => void;

/** Corners of a rectangle of a section at a station of a rail, going round. */
function cornersAt(
  piece: Piece,
  side: Side,
  station: Station,
  section: Section,
  part: Extract<Part, { shape: 'rectangle' }>,
  end: 'front' | 'rear' | null,
): [Vec3, Vec3, Vec3, Vec3] {
  const corner = (inward: number, up: number): Vec3 => {
    const down = section.depth - up;
    const x = end === null ? station.x : endCrossing(piece, side, end, () => down);
    return place(piece, side, x, station.halfWidth - inward, station.top - down);
  };
  const { y, z, width, height } = part;
  return [corner(y, z), corner(y + width, z), corner(y + width, z + height), corner(y, z + height)];
}

/** The walls of both rails of a piece, each in one go for as long as the section stays, its ends cut as they lean. */
function railShapes(piece: Piece, sectionOf: (id: string) => Section, put: (shape: Triangles) => void): void {
  for (const side of SIDES) {
    const stations = stationsOf(piece, side);
    const last = stations.length - 1;
    // A section holds from its station to the next that has another.
    const begins = stations.flatMap(({ section }, at) =>
      at < last && (at === 0 || section !== stations[at - 1]?.section) ? [at] : [],
    );
    begins.forEach((from, index) => {
      const to = begins[index + 1] ?? last;
      const section = sectionOf((stations[from] as Station).section);
      const along = stations.slice(from, to + 1);
      for (const part of partsOf(section)) {
        if (part.shape === 'ring') {
          const middles = along.map(({ x, halfWidth, top }) =>
            place(piece, side, x, halfWidth - part.y, top - section.depth + part.z),
          );
          const [first, second] = [middles[0] as Vec3, middles[1] as Vec3];
          const axis = { x: second.x - first.x, y: second.y - first.y, z: second.z - first.z };
          put(swept(middles.map((middle) => ringAbout(middle, axis, part.outer))));
        } else
          put(
            swept(
              along.map((station, at) => {
                const end = from + at === 0 ? 'front' : from + at === last ? 'rear' : null;
                return cornersAt(piece, side, station, section, part, end);
              }),
            ),
          );
      }
    });
  }
}

/** A straight bar between two points in space, so wide and so deep, level across. */
function bar(from: Vec3, to: Vec3, width: number, depth: number): Triangles {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const run = Math.hypot(dx, dy) || 1;
  const [nx, ny] = [(-dy / run) * (width / 2), (dx / run) * (width / 2)];
  const end = ({ x, y, z }: Vec3): [Vec3, Vec3, Vec3, Vec3] => [
    { x: x - nx, y: y - ny, z: z - depth / 2 },
    { x: x + nx, y: y + ny, z: z - depth / 2 },
    { x: x + nx, y: y + ny, z: z + depth / 2 },
    { x: x - nx, y: y - ny, z: z + depth / 2 },
  ];
  return swept([end(from), end(to)]);
}

/** A box of a body where that sits. */
function bodyBox(pose: BodyPose, box: SixFaces): Triangles {
  const corner = (x: number, y: number, z: number): Vec3 => ({ ...onFrame(pose, { x, z }), y });
  const end = (x: number): [Vec3, Vec3, Vec3, Vec3] => [
    corner(x, box.left, box.low),
    corner(x, box.right, box.low),
    corner(x, box.right, box.high),
    corner(x, box.left, box.high),
  ];
  return swept([end(box.front), end(box.rear)]);
}

/** How thick a floor is drawn that nobody drew walls on, mm. */
const FLOOR = 10;

/** The room of a wheel in the side of a body: an opening has nothing below its middle either; null where nobody measured it. */
function roomOfWheel({ x, z, radius, outline }: WheelOpening, low: number): Ring | null {
  if (outline && outline.length > 2) return ringOf(outline);
  if (z === undefined || radius === undefined) return null;
  const arc = Array.from({ length: 25 }, (_, at): Pair => {
    const turn = Math.PI * (1 - at / 24);
    return [x + radius * Math.cos(turn), z + radius * Math.sin(turn)];
  });
  const foot = Math.min(low, z) - 1;
  return [[x - radius, foot], ...arc, [x + radius, foot]];
}

const ringOf = (points: readonly ProfilePoint[]): Ring => points.map(({ x, z }): Pair => [x, z]);

/** The side of a body with the room of its wheels cut out, in as many parts as that leaves. */
function sidesOf({ outline, openings }: SeatOutcome['body']): readonly (readonly ProfilePoint[])[] {
  if (outline.length < 3) return [];
  const low = Math.min(...outline.map(({ z }) => z));
  const cut = openings.flatMap((opening): Polygon[] => {
    const room = roomOfWheel(opening, low);
    return room ? [[room]] : [];
  });
  // The clipper ends each ring where it began.
  return difference([ringOf(outline)], ...cut).map(([outer]) => (outer ?? []).slice(1).map(([x, z]) => ({ x, z })));
}

/** A body as a closed shape: its outline drawn out over its width, and its floor where nobody drew an outline. */
function bodyShapes({ body, pose, mounts, clashes }: SeatOutcome, put: Put): void {
  const widest = Math.max(...mounts.map(({ at }) => Math.abs(at.y)), 400) + 60;
  const half = (body.width ?? 2 * widest) / 2;
  const sides = sidesOf(body);
  for (const side of sides)
    put(
      'body',
      null,
      drawnOut(
        side.map((point) => onFrame(pose, point)),
        -half,
        half,
      ),
    );
  const floor = sides.length > 0 ? [] : body.underside;
  if (floor.length > 1)
    put(
      'body',
      null,
      swept(
        floor.map(({ x, z }): Vec3[] => {
          const [low, high] = [onFrame(pose, { x, z }), onFrame(pose, { x, z: z + FLOOR })];
          return [
            { ...low, y: -half },
            { ...low, y: half },
            { ...high, y: half },
            { ...high, y: -half },
          ];
        }),
      ),
    );
  const hit = new Set(clashes.map(({ part }) => part.id));
  for (const box of body.boxes) put(hit.has(box.id) ? 'clashes' : 'keep clear', null, bodyBox(pose, box));
}

/** The bracket of a mount as a plain block where it stands. */
function bracketShape({ seat, rail, top, height, mounting, contact, reach }: MountingOutcome): Triangles | null {
  const { bracket } = mounting;
  if (!rail || height === null || bracket.form === 'none') return null;
  const out = Math.abs(seat.at.y);
  const sign = Math.sign(seat.at.y) || 1;
  const half = bracket.along / 2;
  const arm = bracket.form === 'arm' || bracket.form === 'angle';
  const from = arm ? (seat.sideways < 0 ? out + reach : rail.outer) : rail.inner;
  const to = arm ? (seat.sideways < 0 ? out - half : out + half) : rail.outer;
  const low = arm ? Math.min(top, rail.top - contact.height) : top - height;
  const [a, b] = [sign * from, sign * to];
  if (Math.abs(a - b) < 1 || Math.abs(top - low) < 1) return null;
  return boxOf(
    { x: seat.at.x - half, y: Math.min(a, b), z: Math.min(low, top) },
    { x: seat.at.x + half, y: Math.max(a, b), z: Math.max(low, top) },
  );
}

/** Shapes of one layer and piece as one mesh. */
function merged(
  shapes: ReadonlyMap<string, { readonly layer: SceneLayer; readonly piece: number | null; readonly all: Triangles[] }>,
) {
  return [...shapes.values()].map(({ layer, piece, all }): SceneMesh => {
    const [positions, indices]: [number[], number[]] = [[], []];
    for (const shape of all) {
      const base = positions.length / 3;
      for (const value of shape.positions) positions.push(value);
      for (const index of shape.indices) indices.push(base + index);
    }
    return { layer, piece, positions, indices };
  });
}

/**
 * A frame in space, mm: rails cut as they are, what hangs between and beside them, wheels, what takes up room, and the
 * bodies on it, each layer of each piece as one mesh. For looking: bolts, rivets and welds are left out.
 *
 * @param frame The donor, for its sections.
 * @param result What a plan gives, or the donor alone.
 */
export function sceneOf(frame: Pick<Frame, 'sections'>, result: PlanResult): readonly SceneMesh[] {
  const sectionOf = sectionLookup(frame as Frame);
  const shapes = new Map<string, { layer: SceneLayer; piece: number | null; all: Triangles[] }>();
  const put: Put = (layer, piece, shape) => {
    const key = `${layer} ${piece}`;
    const known = shapes.get(key) ?? { layer, piece, all: [] };
    known.all.push(shape);
    shapes.set(key, known);
  };
  const last = Math.max(0, result.pieces.length - 1);
  const pieceAt = (x: number): number => {
    const behind = result.joints.filter(({ builtX }) => builtX < x).length;
    return Math.min(behind, last);
  };
  result.pieces.forEach((piece, index) =>
    railShapes(piece, sectionOf, (shape) => put(piece.source === 'donor' ? 'rails' : 'new rail', index, shape)),
  );
  for (const { crossmember, built, piece } of result.crossmembers) {
    const carrier = piece === null ? undefined : result.pieces[piece];
    if (!built || !carrier) continue;
    const { length, depth, x } = crossmember;
    const [left, right] = [insideEdge(carrier, 'left', x, sectionOf), insideEdge(carrier, 'right', x, sectionOf)];
    put(
      'crossmembers',
      piece,
      boxOf(
        { x: built.x - length / 2, y: Math.min(left, right), z: built.z - depth },
        { x: built.x + length / 2, y: Math.max(left, right), z: built.z },
      ),
    );
  }
  for (const { member, copies } of result.members) {
    const section = sectionOf(member.section);
    for (const { built } of copies)
      for (const { points, piece, isNew } of built)
        points.slice(1).forEach((to, at) => {
          put(isNew ? 'new rail' : 'members', piece, bar(points[at] as Vec3, to, widthOf(section), section.depth));
        });
  }
  for (const { brace, built } of result.braces)
    if (built) {
      const section = sectionOf(brace.section);
      put('members', pieceAt(built.from.x), bar(built.from, built.to, widthOf(section), section.depth));
    }
  for (const { item, built } of result.axles)
    if (built)
      for (const sign of [-1, 1])
        put('tires', null, tire({ ...built, y: (sign * item.track) / 2 }, item.tireRadius, TIRE_WIDTH));
  for (const { stations } of result.obstacles.rooms) {
    const [front, rear] = [stations[0], stations.at(-1)];
    if (front && rear)
      put(
        'takes up room',
        pieceAt((front.x + rear.x) / 2),
        boxOf({ x: front.x, y: front.y[0], z: front.low }, { x: rear.x, y: front.y[1], z: front.top }),
      );
  }
  for (const outcome of result.mountings) {
    const shape = outcome.decided ? bracketShape(outcome) : null;
    if (shape) put('brackets', pieceAt(outcome.seat.at.x), shape);
  }
  for (const seat of result.seats) bodyShapes(seat, put);
  return merged(shapes);
}
