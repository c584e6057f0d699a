import type { SheetItem, SheetPoint } from './sheet-drawing.ts';
import type { RailPlace, UnfoldedRail } from './unfolded-rail.ts';

/** How a stretch of a rail lies on the paper. */
export interface Fit {
  /** The stretch, mm along the rail from the datum hole. */
  readonly from: number;
  readonly to: number;
  /** mm of steel to a mm of paper. */
  readonly scale: number;
  /** Where `from` lies on the paper, and the outer edge of the top flange, mm. */
  readonly left: number;
  readonly top: number;
}

/**
 * The rail at a place along it: the last size that begins at or ahead of it.
 *
 * @param along From the datum hole, mm.
 */
export const sizeAt = ({ places }: UnfoldedRail, along: number): RailPlace =>
  (places.findLast((place) => place.along <= along + 1e-6) ?? places[0]) as RailPlace;

/** The front end of a rail, mm along it from the datum hole. */
export const frontOf = ({ places }: UnfoldedRail): number => places[0]?.along ?? 0;
/** The rear end of a rail, mm along it from the datum hole. */
export const rearOf = ({ places }: UnfoldedRail): number => places.at(-1)?.along ?? 0;
/** The tallest that a rail is laid flat: both flanges and the web, mm. */
export const tallest = ({ places }: UnfoldedRail): number =>
  Math.max(...places.map(({ depth, flange }) => depth + 2 * flange));

/** Places on the paper of a rail that is laid flat. Widths of flanges and heights vary with the section. */
export interface OnPaper {
  readonly x: (along: number) => number;
  /** 0: outer edge of the top flange, 1: top edge of the web, 2: its bottom edge, 3: outer edge of the bottom flange. */
  readonly edge: (place: RailPlace, edge: 0 | 1 | 2 | 3) => number;
  readonly down: (place: RailPlace, mm: number) => number;
}

/** Where places along and across a rail that is laid flat are on the paper, mm. */
export const onPaper = ({ from, scale, left, top }: Fit): OnPaper => {
  const edge: OnPaper['edge'] = ({ depth, flange }, at) =>
    top + (at === 0 ? 0 : at === 1 ? flange : at === 2 ? flange + depth : 2 * flange + depth) / scale;
  return {
    x: (along) => left + (along - from) / scale,
    edge,
    down: (place, mm) => edge(place, 1) + mm / scale,
  };
};

/** The four edges of a stretch of rail as polylines on the paper, front to rear. */
function edgesOf(rail: UnfoldedRail, fit: Fit): readonly (readonly SheetPoint[])[] {
  const { x, edge } = onPaper(fit);
  const within = rail.places.filter(({ along }) => along > fit.from && along < fit.to);
  const stops: readonly (readonly [along: number, place: RailPlace])[] = [
    [fit.from, sizeAt(rail, fit.from)],
    ...within.flatMap((place, index): (readonly [number, RailPlace])[] => {
      const before = index === 0 ? sizeAt(rail, fit.from) : (within[index - 1] as RailPlace);
      return [
        [place.along, before],
        [place.along, place],
      ];
    }),
    [fit.to, within.at(-1) ?? sizeAt(rail, fit.from)],
  ];
  return ([0, 1, 2, 3] as const).map((at) => stops.map(([along, place]): SheetPoint => [x(along), edge(place, at)]));
}

/**
 * The steel of a stretch: filled, with the corners of its web.
 *
 * @param rail The rail that it is on, laid flat.
 * @param fit How that rail lies on the paper.
 */
export function steelItems(rail: UnfoldedRail, fit: Fit): SheetItem[] {
  const [outer, upper, lower, under] = edgesOf(rail, fit) as [
    readonly SheetPoint[],
    readonly SheetPoint[],
    readonly SheetPoint[],
    readonly SheetPoint[],
  ];
  const end = (at: number, isEnd: boolean): SheetItem[] =>
    isEnd
      ? []
      : [
          {
            kind: 'path',
            ink: 'break',
            closed: false,
            points: breakLine(at, (outer[0] as SheetPoint)[1], (under[0] as SheetPoint)[1]),
          },
        ];
  return [
    { kind: 'path', ink: 'steel', closed: true, points: [...outer, ...under.toReversed()] },
    { kind: 'path', ink: 'fold', closed: false, points: upper },
    { kind: 'path', ink: 'fold', closed: false, points: lower },
    ...end(fit.left, fit.from <= frontOf(rail) + 1e-6),
    ...end(fit.left + (fit.to - fit.from) / fit.scale, fit.to >= rearOf(rail) - 1e-6),
  ];
}

/** A wavy line down the paper where a drawing breaks off. */
const breakLine = (x: number, from: number, to: number): SheetPoint[] => {
  const waves = 6;
  return Array.from({ length: 2 * waves + 1 }, (_, at) => [
    x + (at % 2 === 0 ? 0 : at % 4 === 1 ? 0.9 : -0.9),
    from + ((to - from) * at) / (2 * waves),
  ]);
};
