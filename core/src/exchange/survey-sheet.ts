import { datumStation, type Frame, railOf, type Side } from '../frame/index.ts';
import type { PlanInput } from '../plan/index.ts';
import { drawingOf, type Shape } from './drawing.ts';

/** A line of a survey sheet: something to walk up to, and what is to be filled in there. */
export interface SurveyRow {
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
        entry('station', station, `Station ${index + 1}`, side),
      ),
    ),
    ...crossmembers.map((member) => entry('crossmember', member, member.name)),
    ...features.map((feature) => entry('feature', feature, feature.name, feature.side)),
    ...axles.map((axle) => entry('axle', axle, axle.name)),
  ].sort((a, b) => a.x - b.x);
}

/** Size of the numbers, how far the first row of them is off the frame, and the least room from one to the next, mm. */
const [TALL, OFF, ROOM] = [80, 110, 1.5];

/** Numbers over and under the frame in turn, each in the first row where it meets no other, with a line to its place. */
function numbersOf(rows: readonly (SurveyRow & { readonly x: number })[], low: number, high: number): readonly Shape[] {
  const ends = { over: [] as number[], under: [] as number[] };
  return rows.flatMap(({ number, x }): Shape[] => {
    const where = number % 2 === 1 ? 'over' : 'under';
    const width = String(number).length * TALL * 0.6;
    const from = x - width / 2;
    const free = ends[where].findIndex((end) => end + TALL * (ROOM - 1) <= from);
    const row = free < 0 ? ends[where].length : free;
    ends[where][row] = from + width;
    const out = OFF + row * TALL * ROOM;
    const [edge, foot] = where === 'over' ? [high, high + out] : [low, low - out - TALL];
    return [
      { kind: 'line', layer: 'CROSSMEMBERS', from: [x, edge], to: [x, where === 'over' ? foot : foot + TALL] },
      { kind: 'text', layer: 'TEXT', at: [from, foot + TALL * 0.1], height: TALL, text: String(number) },
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
  const numbers = numbersOf(numbered, Math.min(0, ...heights), Math.max(0, ...heights));
  return { outline: [...drawn, ...numbers], rows: numbered.map(({ x: _, ...row }) => row) };
}
