import { datumStation, type Frame, railOf, type Side } from '../frame/index.ts';
import type { PlanInput } from '../plan/index.ts';
import { drawingOf, type Shape } from './drawing.ts';

/** A line of a survey sheet: something to walk up to, and what is to be filled in there. */
interface SurveyRow {
  /** Its number on the outline, from the front. */
  readonly number: number;
  readonly what: string;
  readonly side: Side | 'both';
  /** Where it is known or taken to be, from the datum hole, mm. */
  readonly from: number;
  readonly assumed: boolean;
  /** What is measured there besides its place. */
  readonly blanks: readonly string[];
}

/** A survey sheet: the outline of the donor from the side with numbers at everything on it, and a line for each. */
export interface SurveySheet {
  readonly outline: readonly Shape[];
  readonly rows: readonly SurveyRow[];
}

const BLANKS = {
  station: ['half-width left', 'half-width right', 'top height left', 'top height right'],
  'station of a rail': ['half-width', 'top height', 'depth', 'wall'],
  crossmember: ['wide along the rail', 'deep', 'below the top', 'fixed by'],
  feature: ['down from the top', 'reach ahead', 'reach behind', 'hole'],
  axle: ['height of its middle', 'tire radius', 'track', 'axle rating'],
} as const;

type Entry = Omit<SurveyRow, 'number' | 'from'> & { readonly x: number };

/** Everything on a frame that is walked up to, front to rear. */
function entriesOf({ rails, crossmembers, features, axles }: Frame): readonly Entry[] {
  const entry = (
    kind: keyof typeof BLANKS,
    { x, origin }: { readonly x: number; readonly origin?: unknown },
    what: string,
    side: Side | 'both' = 'both',
  ): Entry => ({ x, what, side, assumed: origin === 'assumed', blanks: BLANKS[kind] });
  const sides = rails.kind === 'mirrored' ? (['both'] as const) : (['left', 'right'] as const);
  return [
    ...sides.flatMap((side) =>
      railOf(rails, side === 'right' ? 'right' : 'left').map((station, index) =>
        entry(side === 'both' ? 'station' : 'station of a rail', station, `Station ${index + 1}`, side),
      ),
    ),
    ...crossmembers.map((member) => entry('crossmember', member, member.name)),
    ...features.map((feature) => entry('feature', feature, feature.name, feature.side)),
    ...axles.map((axle) => entry('axle', axle, axle.name)),
  ].sort((a, b) => a.x - b.x);
}

/** Size of the numbers where there is room for them, and where there is little; how far off the frame they stand, mm. */
const [TALL, LEAST, OFF] = [80, 45, 130];
/** Room that a number takes for each of its digits, and beside the next, as a share of its size. */
const [DIGIT, APART] = [0.6, 0.5];

/** Numbers over and under the frame in turn, each beside the one before it, with a line to its place. */
function numbersOf(
  rows: readonly (SurveyRow & { readonly x: number })[],
  { low, high, long }: { readonly low: number; readonly high: number; readonly long: number },
): readonly Shape[] {
  const wide = (number: number) => String(number).length * DIGIT;
  const room = rows.reduce((sum, { number }) => sum + wide(number) + APART, 0) / 2;
  const size = Math.max(LEAST, Math.min(TALL, long / Math.max(room, 1)));
  const ends = { over: -Infinity, under: -Infinity };
  return rows.flatMap(({ number, x }): Shape[] => {
    const where = number % 2 === 1 ? 'over' : 'under';
    const width = wide(number) * size;
    const from = Math.max(x - width / 2, ends[where] + APART * size);
    ends[where] = from + width;
    const [edge, foot] = where === 'over' ? [high, high + OFF] : [low, low - OFF];
    const at = where === 'over' ? foot + size * 0.15 : foot - size * 0.9;
    return [
      { kind: 'line', layer: 'CROSSMEMBERS', from: [x, edge], to: [from + width / 2, foot] },
      { kind: 'text', layer: 'TEXT', at: [from, at], height: size, text: String(number) },
    ];
  });
}

/**
 * What a frame is measured with on paper: its outline from the side with a number at everything that is on it, and a line with
 * blanks for each, in the order in which one walks past. Places are those that are known or assumed, to find them by.
 *
 * @param job The job; its plan is left out.
 */
export function surveySheet(job: PlanInput): SurveySheet {
  const datum = datumStation(job.donor);
  const numbered = entriesOf(job.donor).map((entry, index) => ({ ...entry, number: index + 1, from: entry.x - datum }));
  const drawn = drawingOf({ ...job, bodies: [], plan: { ...job.plan, operations: [] } }, 'side').filter(
    ({ kind, layer }) => kind !== 'text' && layer !== 'DONOR',
  );
  const heights = drawn.flatMap((shape) => (shape.kind === 'outline' ? shape.points.map(([, z]) => z) : []));
  const xs = drawn.flatMap((shape) => (shape.kind === 'outline' ? shape.points.map(([x]) => x) : []));
  const numbers = numbersOf(numbered, {
    low: Math.min(...heights),
    high: Math.max(...heights),
    long: Math.max(...xs) - Math.min(...xs),
  });
  return { outline: [...drawn, ...numbers], rows: numbered.map(({ x: _, ...row }) => row) };
}
