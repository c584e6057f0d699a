import type { BracketMark, CutLine } from './marks.ts';
import { type Fit, onPaper, sizeAt } from './rail-on-paper.ts';
import type { SheetItem, SheetPoint } from './sheet-drawing.ts';
import type { OnRail, RailPlace, UnfoldedRail } from './unfolded-rail.ts';

/** Width of the hatched side of a line, mm on paper. */
const WASTE = 2.2;
/** A hole is drawn as large as this at least, mm on paper. */
const LEAST_RADIUS = 0.7;

/**
 * Where a line runs over the unfolded rail, on the paper.
 *
 * @param line A line to scribe.
 * @param rail The rail that it is on, laid flat.
 * @param fit How that rail lies on the paper.
 */
export function scribePath(line: CutLine, rail: UnfoldedRail, fit: Fit): SheetPoint[] {
  const { x, edge, down } = onPaper(fit);
  const { from, part, height, to, runsOut } = line;
  const at = from.top ?? from.web ?? from.bottom ?? from.level;
  const place = sizeAt(rail, at);
  const step = down(place, place.depth - (height ?? 0));
  switch (part) {
    case 'across': {
      const upper: SheetPoint[] =
        from.top === null
          ? []
          : [
              [x(from.top), edge(place, 0)],
              [x(from.top), edge(place, 1)],
            ];
      const lower: SheetPoint[] =
        from.bottom === null
          ? []
          : [
              [x(from.bottom), edge(place, 2)],
              [x(from.bottom), edge(place, 3)],
            ];
      const out: SheetPoint[] = runsOut === null ? [] : [[x(from.top ?? from.bottom ?? at), down(place, runsOut)]];
      return from.top === null ? [...out, ...lower] : [...upper, ...out, ...lower];
    }
    case 'upper vertical':
      return [
        [x(at), edge(place, 0)],
        [x(at), step],
      ];
    case 'horizontal':
      return [
        [x(from.web ?? at), step],
        [x(to ?? at), step],
      ];
    case 'lower vertical':
      return [
        [x(at), step],
        [x(at), edge(place, 3)],
      ];
  }
}

/**
 * A line, with the side that the saw goes on hatched where one side is waste.
 *
 * @param line A line to scribe.
 * @param rail The rail that it is on, laid flat.
 * @param fit How that rail lies on the paper.
 */
export function lineItems(line: CutLine, rail: UnfoldedRail, fit: Fit): SheetItem[] {
  const points = scribePath(line, rail, fit);
  const side = line.kerf === 'ahead' ? -1 : line.kerf === 'behind' ? 1 : 0;
  const off: SheetPoint[] = points.map(([right, at]) =>
    line.part === 'horizontal' ? [right, at + WASTE] : [right + side * WASTE, at],
  );
  return [
    ...(side === 0 || line.part === 'horizontal'
      ? []
      : [{ kind: 'path', ink: 'waste', closed: true, points: [...points, ...off.toReversed()] } as const]),
    { kind: 'path', ink: 'scribe', closed: false, points },
  ];
}

/** How far down an unfolded rail something on it is, on the paper; on a flange that nobody measured, in its middle. */
function downOf(
  { face, down, inboard }: Pick<OnRail, 'face' | 'down' | 'inboard'>,
  place: RailPlace,
  fit: Fit,
): number {
  const { edge } = onPaper(fit);
  const across = (inboard ?? place.flange / 2) / fit.scale;
  if (face === 'top') return edge(place, 1) - across;
  if (face === 'bottom') return edge(place, 2) + across;
  return edge(place, 1) + down / fit.scale;
}

/**
 * Where something on the rail already is on the paper.
 *
 * @param thing Something on the rail already.
 * @param rail The rail that it is on, laid flat.
 * @param fit How that rail lies on the paper.
 */
export const placeOfThing = (thing: OnRail, rail: UnfoldedRail, fit: Fit): SheetPoint => [
  onPaper(fit).x(thing.along),
  downOf(thing, sizeAt(rail, thing.along), fit),
];

/**
 * Where something that the plan fixes, moves or takes off is on the paper.
 *
 * @param rail The rail that it is on, laid flat.
 * @param fit How that rail lies on the paper.
 */
export const placeOfWork = ({ web, face, down, across }: BracketMark, rail: UnfoldedRail, fit: Fit): SheetPoint => [
  onPaper(fit).x(web),
  downOf({ face, down, inboard: across }, sizeAt(rail, web), fit),
];

/**
 * Something on the rail already: a hole as wide as it is, a bracket as far as it reaches.
 *
 * @param thing Something on the rail already.
 * @param rail The rail that it is on, laid flat.
 * @param fit How that rail lies on the paper.
 */
export function thingItems(thing: OnRail, rail: UnfoldedRail, fit: Fit): SheetItem[] {
  return spotItems(placeOfThing(thing, rail, fit), thing, fit.scale, 'thing');
}

/** A spot on the steel: its hole, and its reach. */
function spotItems(
  [right, at]: SheetPoint,
  { diameter, ahead, behind }: Pick<OnRail, 'diameter' | 'ahead' | 'behind'>,
  scale: number,
  ink: 'thing' | 'work',
): SheetItem[] {
  const radius = Math.max(LEAST_RADIUS, diameter / 2 / scale);
  const reach: SheetPoint[] = [
    [right - ahead / scale, at - 2 * LEAST_RADIUS],
    [right + behind / scale, at - 2 * LEAST_RADIUS],
    [right + behind / scale, at + 2 * LEAST_RADIUS],
    [right - ahead / scale, at + 2 * LEAST_RADIUS],
  ];
  return [
    ...(ahead + behind > 0 ? [{ kind: 'path', ink, closed: true, points: reach } as const] : []),
    ...(diameter > 0 || ahead + behind === 0 ? [{ kind: 'circle', ink, at: [right, at], radius } as const] : []),
  ];
}

/** Work on donor steel is on the drawing; work on new rail is measured from the end of its piece, and is in the tables. */
export const isOnDonor = ({ origin }: BracketMark): boolean => origin.on === 'donor';

/**
 * Something that the plan fixes, moves or takes off.
 *
 * @param mark Something that the plan fixes, moves or takes off.
 * @param rail The rail that it is on, laid flat.
 * @param fit How that rail lies on the paper.
 */
export function workItems(mark: BracketMark, rail: UnfoldedRail, fit: Fit): SheetItem[] {
  return spotItems(placeOfWork(mark, rail, fit), mark, fit.scale, 'work');
}
