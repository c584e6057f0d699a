import { onFrame } from '../body/index.ts';
import { railAt, type Side, SIDES, sideSign, type Vec3 } from '../frame/index.ts';
import {
  crossmemberStretch,
  endCrossing,
  type PlanInput,
  type PlanResult,
  type RailSpliceOutcome,
  type SpliceOutcome,
} from '../plan/index.ts';
import { closingPlate, type Section, widthOf } from '../sections/index.ts';
import {
  cornerRadiusOf,
  edgesOf,
  insideOf,
  isOnWeb,
  type Plate,
  type PlateFace,
  type SpliceSleeve,
} from '../splice/index.ts';
import { isAt } from '../units/index.ts';
import { bracketSolids, tireSolids } from './fittings.ts';
import type { FrameSolid } from './frame-solid.ts';
import { hull, type Manifold, type Workshop } from './kernel.ts';
import { posedSolid, railSteel } from './steel.ts';

const around = (at: Vec3, wide: number, high: number, dx = 0): Vec3[] =>
  [-1, 1].flatMap((a) => [-1, 1].map((b) => ({ x: at.x + dx, y: at.y + (a * wide) / 2, z: at.z + (b * high) / 2 })));

/** A straight bar between two points, so wide and so deep, a little shorter at each end than where it is fastened. */
function bar(workshop: Workshop, from: Vec3, to: Vec3, wide: number, high: number, short: number): Manifold | null {
  const long = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
  if (long <= 2 * short) return null;
  const at = (share: number): Vec3 => ({
    x: from.x + share * (to.x - from.x),
    y: from.y + share * (to.y - from.y),
    z: from.z + share * (to.z - from.z),
  });
  const [a, b] = [at(short / long), at(1 - short / long)];
  // A bar across the frame is wide along it.
  const across = Math.abs(to.y - from.y) > Math.abs(to.x - from.x);
  const ends = [a, b].flatMap((point) =>
    across
      ? around({ x: point.y, y: point.x, z: point.z }, wide, high).map(({ x, y, z }) => ({ x: y, y: x, z }))
      : around(point, wide, high),
  );
  return hull(workshop, ends);
}

const cornersOf = (x: readonly [number, number], y: readonly [number, number], z: readonly [number, number]): Vec3[] =>
  x.flatMap((px) => y.flatMap((py) => z.map((pz) => ({ x: px, y: py, z: pz }))));

/** Where parts of a splice are placed: along the rail of one of the pieces at the joint, in that piece's own coordinates. */
interface Seat {
  readonly joint: SpliceOutcome['joint'];
  readonly index: number;
  readonly side: Side;
  readonly section: Section;
}

/** A point of a part in the rail’s own coordinates: so far behind the joint, inward and over the underside. */
function seatPoint(
  result: PlanResult,
  { index, side, section }: Seat,
  end: 'front' | 'rear',
  x: number,
  inward: number,
  up: number,
): Vec3 {
  const piece = result.pieces[index] as PlanResult['pieces'][number];
  const rail = piece.rails[side];
  const origin = endCrossing(piece, side, end, () => 0);
  const here = railAt(rail, origin, end === 'front' ? 'rear' : 'front');
  const out = here.halfWidth + here.widthSlope * x + piece.spread - inward;
  return {
    x: origin + x,
    y: sideSign(side) * out,
    z: here.top + here.topSlope * x - section.depth + up,
  };
}

/** A plate over a joint: each half along the rail on its side of the joint. */
function plateSolid(workshop: Workshop, result: PlanResult, seat: Seat, plate: Plate): Manifold | null {
  const { section } = seat;
  const web = isOnWeb(plate.face);
  const wall = section.thickness;
  const inner = plate.face === 'web-inside' ? wall : plate.face === 'inner-side' ? widthOf(section) : -plate.thickness;
  const under = plate.face === 'top-flange' ? section.depth : -plate.thickness;
  const edges = edgesOf(plate, section);
  const halves = [
    { index: seat.index, end: 'rear' as const, from: -plate.ahead, to: 0 },
    { index: seat.index + 1, end: 'front' as const, from: 0, to: plate.behind },
  ].flatMap(({ index, end, from, to }) => {
    if (to - from < 1 || !result.pieces[index]) return [];
    const at = (x: number) => {
      const next = Math.max(
        1,
        edges.findIndex((corner) => corner.x >= x - 1e-9),
      );
      const [a, b] = [edges[next - 1] as (typeof edges)[number], edges[next] as (typeof edges)[number]];
      const share = b.x === a.x ? 0 : Math.min(1, Math.max(0, (x - a.x) / (b.x - a.x)));
      return [a.low + share * (b.low - a.low), a.high + share * (b.high - a.high)] as const;
    };
    const xs = [...new Set([from, ...edges.map(({ x }) => x).filter((x) => x > from && x < to), to])].sort(
      (p, q) => p - q,
    );
    return xs.slice(1).map((rear, step) => {
      const front = xs[step] as number;
      const corners = [front, rear].flatMap((x) => {
        const [low, high] = at(x);
        const [us, vs] = web
          ? [
              [inner, inner + plate.thickness],
              [low, high],
            ]
          : [
              [low, high],
              [under, under + plate.thickness],
            ];
        return us.flatMap((u) => vs.map((v) => seatPoint(result, { ...seat, index }, end, x, u, v)));
      });
      const local = hull(workshop, corners);
      return posedSolid(workshop, local, (result.pieces[index] as PlanResult['pieces'][number]).pose);
    });
  });
  return halves.length === 0 ? null : workshop.own(workshop.kernel.Manifold.union(halves));
}

/** A sleeve as a straight tube along the rail ahead of its joint. */
function sleeveSolid(
  workshop: Workshop,
  result: PlanResult,
  seat: Seat,
  sleeve: SpliceSleeve,
  through: number,
): Manifold | null {
  const { section } = seat;
  const room = insideOf(section, cornerRadiusOf(section));
  const height = sleeve.kind === 'wedge' ? (room?.height ?? sleeve.height) : sleeve.height;
  const outer = sleeve.kind === 'outer';
  const spare = { y: (room?.width ?? sleeve.width) - sleeve.width, z: (room?.height ?? height) - height };
  const u = outer ? (widthOf(section) - sleeve.width) / 2 : section.thickness + (room?.closed ? spare.y / 2 : 0);
  const v = outer ? (section.depth - height) / 2 : section.thickness + spare.z / 2;
  const shape = (grow: number, inner = grow) =>
    hull(
      workshop,
      [-sleeve.ahead, through + sleeve.behind].flatMap((x) =>
        [u + grow, u + sleeve.width - inner].flatMap((inward) =>
          [v + grow, v + height - grow].map((up) => seatPoint(result, seat, 'rear', x, inward, up)),
        ),
      ),
    );
  const tube = workshop.own(shape(0).subtract(shape(sleeve.wall, sleeve.inner)));
  return posedSolid(workshop, tube, (result.pieces[seat.index] as PlanResult['pieces'][number]).pose);
}

/** The direction from a plate to the steel it lies on, outward and up. */
const TOWARD_STEEL: Readonly<Record<PlateFace, readonly [outward: number, up: number]>> = {
  'web-inside': [1, 0],
  'web-outside': [-1, 0],
  'inner-side': [1, 0],
  'top-flange': [0, -1],
  'bottom-flange': [0, 1],
};

/** Whether a plate lies on a wall with all of its face: over the open side of a channel it touches the edges of the flanges only. */
function liesOnWall(face: PlateFace, section: Section): boolean {
  if (face !== 'inner-side') return true;
  if (section.kind !== 'closed-channel') return section.kind === 'tube';
  const { y, width, height } = closingPlate(section);
  return isAt(y + width, widthOf(section)) && isAt(height, section.depth);
}

/** Plates and sleeves of the joints of the rails. */
function spliceSolids(workshop: Workshop, result: PlanResult): readonly FrameSolid[] {
  return result.splices.flatMap(({ joint, rails, decided, next, sleeveFrom }) => {
    const index = result.joints.find(({ id }) => id === joint.id)?.piece;
    if (decided === null || index === undefined || joint.of === 'member') return [];
    return rails.flatMap(({ rail, made, splice, steel }: RailSpliceOutcome): FrameSolid[] => {
      if ((rail !== 'left' && rail !== 'right') || made.problems.length > 0) return [];
      const seat: Seat = { joint, index, side: rail, section: steel.section };
      const common = { id: joint.id, side: rail, piece: index, stretched: 1 };
      const plates = made.plates.flatMap((plate): FrameSolid[] => {
        const solid = plateSolid(workshop, result, seat, plate);
        return solid
          ? [
              {
                ...common,
                kind: 'plate',
                name: `${plate.name} of joint ${joint.letter}`,
                solid,
                ...(liesOnWall(plate.face, steel.section) ? { toward: TOWARD_STEEL[plate.face] } : {}),
              },
            ]
          : [];
      });
      const { sleeve } = splice;
      if (!sleeve || sleeveFrom !== null) return plates;
      const solid = sleeveSolid(workshop, result, seat, sleeve, sleeve.through ? (next?.distance ?? 0) : 0);
      return solid
        ? [...plates, { ...common, kind: 'sleeve', name: `sleeve of joint ${joint.letter}`, solid }]
        : plates;
    });
  });
}

/**
 * Everything on a frame as solids: rails with their true ends and notches, crossmembers, members, braces, plates, sleeves, brackets of mounts, tires,
 * what takes up room, and what of the bodies must stay clear.
 *
 * @param workshop Holds what is made.
 * @param input Donor, bodies, plan and rules; validated.
 * @param result What the plan gives.
 */
export function frameSolids(workshop: Workshop, input: PlanInput, result: PlanResult): readonly FrameSolid[] {
  const sections = new Map(input.donor.sections.map(({ id, section }) => [id, section]));
  const sectionOf = (id: string): Section => sections.get(id) as Section;
  const rails = result.pieces.flatMap((piece, index) =>
    SIDES.flatMap((side) =>
      railSteel(workshop, piece, side, sectionOf, result.reworks).map(({ solid, stretched }): FrameSolid => ({
        kind: 'rail',
        id: null,
        name: `${side} rail`,
        side,
        piece: index,
        solid: posedSolid(workshop, solid, piece.pose),
        stretched,
      })),
    ),
  );
  const plain = { side: null, piece: null, stretched: 1 } as const;
  const crossmembers = result.crossmembers.flatMap((outcome): FrameSolid[] => {
    const stretch = crossmemberStretch(outcome, result, sectionOf);
    if (!stretch) return [];
    const [a, b] = stretch;
    const { id, name } = outcome.crossmember;
    const solid = hull(workshop, cornersOf([a.x, b.x], a.y, [a.low, a.top]));
    return [{ ...plain, kind: 'crossmember', id, name, piece: outcome.piece, solid }];
  });
  const members = result.members.flatMap(({ member, copies }) => {
    const section = sectionOf(member.section);
    const wide = widthOf(section);
    return copies.flatMap(({ built, side }) =>
      built.flatMap(({ points }) =>
        points.slice(1).flatMap((to, at): FrameSolid[] => {
          const solid = bar(workshop, points[at] as Vec3, to, wide, section.depth, wide);
          return solid ? [{ ...plain, kind: 'member', id: member.id, name: member.name, side, solid }] : [];
        }),
      ),
    );
  });
  const braces = result.braces.flatMap(({ brace, built }): FrameSolid[] => {
    const section = sectionOf(brace.section);
    const wide = widthOf(section);
    const solid = built && bar(workshop, built.from, built.to, wide, section.depth, wide);
    return solid ? [{ ...plain, kind: 'member', id: brace.id, name: brace.name, solid }] : [];
  });
  const rooms = result.obstacles.rooms.flatMap(({ id, name, stations }): FrameSolid[] => {
    const [a, b] = [stations[0], stations.at(-1)];
    if (!a || !b) return [];
    const solid = hull(workshop, cornersOf([a.x, b.x], a.y, [a.low, a.top]));
    return [{ ...plain, kind: 'box', id, name, solid }];
  });
  const bodies = result.seats.flatMap(({ body, pose }) =>
    body.boxes.map(({ name, front, rear, left, right, low, high }): FrameSolid => ({
      ...plain,
      kind: 'body',
      id: body.id,
      name: `${name} of ${body.name}`,
      solid: hull(
        workshop,
        cornersOf([front, rear], [left, right], [low, high]).map((corner) => onFrame(pose, corner)),
      ),
    })),
  );
  return [
    ...rails,
    ...crossmembers,
    ...members,
    ...braces,
    ...spliceSolids(workshop, result),
    ...bracketSolids(workshop, result),
    ...tireSolids(workshop, input, result),
    ...rooms,
    ...bodies,
  ];
}
