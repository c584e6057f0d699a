import { sectionLookup, type Vec3 } from '../frame/index.ts';
import {
  type DrawnPoint,
  emptyPlan,
  evaluatePlan,
  insideEdge,
  type Piece,
  planOutline,
  type PlanInput,
  type PlanResult,
  ribbon,
  sideOutline,
} from '../plan/index.ts';
import { widthOf } from '../sections/index.ts';

export const DRAWING_LAYERS = [
  'DONOR',
  'BUILT',
  'NEW',
  'CUT_AWAY',
  'CROSSMEMBERS',
  'MEMBERS',
  'FEATURES',
  'AXLES',
  'CUTS',
  'PARTS',
  'PART_HOLES',
  'PART_LINES',
  'TEXT',
] as const;
export type DrawingLayer = (typeof DRAWING_LAYERS)[number];

/** A shape of a drawing, mm, y up. */
export type Shape =
  | { readonly kind: 'outline'; readonly layer: DrawingLayer; readonly points: readonly DrawnPoint[] }
  | { readonly kind: 'line'; readonly layer: DrawingLayer; readonly from: DrawnPoint; readonly to: DrawnPoint }
  | { readonly kind: 'circle'; readonly layer: DrawingLayer; readonly center: DrawnPoint; readonly radius: number }
  | {
      readonly kind: 'text';
      readonly layer: DrawingLayer;
      readonly at: DrawnPoint;
      readonly height: number;
      readonly text: string;
    };

export type DrawingView = 'side' | 'plan';

/** Smallest mark for a feature without a diameter, mm. */
const MARK_RADIUS = 6;

/** The plan drawing has the left rail on top, as the board: its y is turned over. */
const turned = (points: readonly DrawnPoint[]): DrawnPoint[] => points.map(([x, y]) => [x, -y]);

/**
 * A view of a job in real size: the donor before, the frame as built, what is new and what is cut away.
 *
 * @param job Donor, body, plan and rules; validated.
 * @param view From the side, or from above.
 * @param result What the plan gives; evaluated where not given.
 */
export function drawingOf(job: PlanInput, view: DrawingView, result: PlanResult = evaluatePlan(job)): Shape[] {
  const section = sectionLookup(job.donor);
  const donor = evaluatePlan({ ...job, plan: emptyPlan(job.plan.name) });
  const outlines = (piece: Piece): DrawnPoint[][] =>
    view === 'side'
      ? [sideOutline(piece, 'left', section)]
      : (['left', 'right'] as const).map((side) => turned(planOutline(piece, side, section)));
  const steel = (pieces: readonly Piece[], layer: (piece: Piece) => DrawingLayer): Shape[] =>
    pieces.flatMap((piece) =>
      outlines(piece).map((points): Shape => ({ kind: 'outline', layer: layer(piece), points })),
    );

  const crossmembers = result.crossmembers.flatMap(({ crossmember, built, piece }): Shape[] => {
    const carrier = result.pieces[piece ?? -1];
    if (!built || !carrier) return [];
    const [a, b] = [built.x - crossmember.length / 2, built.x + crossmember.length / 2];
    const [low, high] =
      view === 'side'
        ? [built.z - crossmember.depth, built.z]
        : [insideEdge(carrier, 'left', crossmember.x, section), insideEdge(carrier, 'right', crossmember.x, section)];
    return [
      {
        kind: 'outline',
        layer: 'CROSSMEMBERS',
        points: [
          [a, low],
          [b, low],
          [b, high],
          [a, high],
        ],
      },
    ];
  });
  const drawn = (points: readonly Vec3[], of: string): Shape => {
    const { depth } = section(of);
    const outline = ribbon(points, view === 'side' ? depth : widthOf(section(of)), view);
    return { kind: 'outline', layer: 'MEMBERS', points: view === 'side' ? outline : turned(outline) };
  };
  const members = [
    ...result.members.flatMap(({ member, copies }) =>
      copies.flatMap(({ built }) => built.map(({ points }) => drawn(points, member.section))),
    ),
    ...result.braces.flatMap(({ brace, built }) => (built ? [drawn([built.from, built.to], brace.section)] : [])),
  ];
  const features = result.features.flatMap(({ feature, places }): Shape[] =>
    (view === 'side' ? (['left'] as const) : (['left', 'right'] as const)).flatMap((side): Shape[] => {
      const at = places[side]?.built ?? (view === 'side' ? places.right?.built : null);
      if (!at) return [];
      const center: DrawnPoint = view === 'side' ? [at.x, at.z] : [at.x, -at.y];
      return [
        {
          kind: 'circle',
          layer: 'FEATURES',
          center,
          radius: Math.max(feature.diameter / 2, feature.diameter > 0 ? 0 : MARK_RADIUS),
        },
      ];
    }),
  );
  const axles = result.axles.flatMap(({ item, built }): Shape[] => {
    if (!built) return [];
    if (view === 'side')
      return [{ kind: 'circle', layer: 'AXLES', center: [built.x, built.z], radius: item.tireRadius }];
    return [{ kind: 'line', layer: 'AXLES', from: [built.x, -item.track / 2], to: [built.x, item.track / 2] }];
  });
  const marks = [...result.joints, ...result.cutEnds].flatMap((mark): Shape[] => {
    const reach = view === 'side' ? 300 : 700;
    return [
      { kind: 'line', layer: 'CUTS', from: [mark.builtX, -reach], to: [mark.builtX, reach] },
      { kind: 'text', layer: 'TEXT', at: [mark.builtX + 8, reach - 40], height: 40, text: mark.letter },
    ];
  });
  return [
    ...steel(donor.pieces, () => 'DONOR'),
    ...steel(result.removed, () => 'CUT_AWAY'),
    ...steel(result.pieces, (piece) => (piece.source === 'donor' ? 'BUILT' : 'NEW')),
    ...crossmembers,
    ...members,
    ...features,
    ...axles,
    ...marks,
  ];
}
