import DxfParser from 'dxf-parser';
import {
  type ControlPoint,
  datumStation,
  type Feature,
  type Frame,
  type Rail,
  railAt,
  railEnds,
  railOf,
  sectionLookup,
  type Side,
  SIDES,
  type Station,
} from '../frame/index.ts';
import { InputError, type InputProblem } from '../input-error.ts';
import { checkJob, type Job } from '../job/index.ts';
import { newHole } from '../plan/index.ts';
import { inches, lengthText } from '../units/index.ts';
import { readTable, type TableColumn } from './table.ts';

/** What a point that was measured elsewhere is. */
const LISTED_KINDS = ['station', 'hole', 'point'] as const;
export type ListedKind = (typeof LISTED_KINDS)[number];

/** A point of a list: x from the datum hole to the rear, y from the center line with left below 0, z over the datum plane, mm. */
export interface ListedPoint {
  readonly kind: ListedKind;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  /** null where the list has no heights: its height is unknown. */
  readonly z: number | null;
  /** Of a hole, mm; 0 where the list does not say. */
  readonly diameter: number;
  /** Where it stands in the file, for error messages. */
  readonly line: string;
}

const COLUMNS: readonly TableColumn[] = [
  { key: 'name', kind: 'text' },
  { key: 'what', kind: 'text', optional: true },
  { key: 'x', kind: 'length' },
  { key: 'y', kind: 'length' },
  { key: 'z', kind: 'length', optional: true },
  { key: 'diameter', kind: 'length', optional: true },
];

const isKind = (what: string): what is ListedKind => LISTED_KINDS.some((kind) => kind === what);

/**
 * The points of a CSV list: `name, what, x, y, z, diameter`, each length with its unit in its heading.
 *
 * @param text The file.
 * @throws InputError with every problem, each with its line.
 */
export function pointsOfCsv(text: string): readonly ListedPoint[] {
  const problems: InputProblem[] = [];
  const points = readTable(COLUMNS, text).map((row, index): ListedPoint => {
    const what = String(row.what ?? '') || 'point';
    const line = `line ${index + 2}`;
    if (!isKind(what))
      problems.push({
        code: 'points/kind',
        path: `${line}, what`,
        message: `“${what}” is none of ${LISTED_KINDS.join(', ')}: write one of these, or leave it empty for a point.`,
      });
    return {
      kind: isKind(what) ? what : 'point',
      name: String(row.name),
      x: row.x as number,
      y: row.y as number,
      z: row.z === undefined ? null : (row.z as number),
      diameter: (row.diameter as number | undefined) ?? 0,
      line,
    };
  });
  if (problems.length > 0) throw new InputError(problems);
  return points;
}

/** What a unit of a DXF file is, mm, by the number that its header names it with. */
const DXF_UNITS: Readonly<Record<number, number>> = { 1: inches(1), 2: inches(12), 4: 1, 5: 10, 6: 1000 };

interface Entity {
  readonly type: string;
  readonly layer?: string;
  readonly position?: { readonly x: number; readonly y: number; readonly z?: number };
  readonly center?: { readonly x: number; readonly y: number; readonly z?: number };
  readonly radius?: number;
}

/**
 * The points of a DXF drawing: a circle is a hole, a point on a layer whose name has “station” in it is a station, any other point
 * is a control point. Everything else in it is left alone.
 *
 * @param text The file.
 * @throws InputError where it is no DXF, does not say its unit, or has no points.
 */
export function pointsOfDxf(text: string): readonly ListedPoint[] {
  const refuse = (code: string, message: string): never => {
    throw new InputError([{ code, path: '', message }]);
  };
  const drawing =
    parsedDxf(text) ?? refuse('points/dxf', 'This is not a DXF file that can be read: save it as ASCII DXF.');
  const size = DXF_UNITS[Number(drawing.header?.$INSUNITS)];
  if (size === undefined)
    return refuse(
      'points/unit',
      'The drawing does not say what its unit is: save it with inches or millimeters as its unit.',
    );
  const points = (drawing.entities as readonly Entity[]).flatMap((entity, index): ListedPoint[] => {
    const at = entity.type === 'CIRCLE' ? entity.center : entity.type === 'POINT' ? entity.position : undefined;
    if (!at) return [];
    const layer = entity.layer ?? '';
    const kind = entity.type === 'CIRCLE' ? 'hole' : /station/i.test(layer) ? 'station' : 'point';
    return [
      {
        kind,
        name: `${layer || kind} ${index + 1}`,
        x: at.x * size,
        y: at.y * size,
        z: at.z === undefined ? null : at.z * size,
        diameter: 2 * (entity.radius ?? 0) * size,
        line: `${entity.type.toLowerCase()} ${index + 1}`,
      },
    ];
  });
  return points.length > 0 ? points : refuse('points/none', 'There is no point and no circle in this drawing.');
}

function parsedDxf(text: string): ReturnType<DxfParser['parseSync']> {
  try {
    return new DxfParser().parseSync(text);
  } catch {
    return null;
  }
}

/** Stations nearer to a listed one than this are the same, measured again, mm. */
const SAME = inches(1);

/** A rail with the stations of a list: each takes the place of the one that is there already, or stands between two. */
function withStations(rail: Rail, listed: readonly ListedPoint[], datum: number): Rail {
  const added = listed.map(({ x, y, z }): Station => {
    const at = railAt(rail, x + datum);
    return { x: x + datum, halfWidth: Math.abs(y), top: z ?? at.top, section: at.section };
  });
  const kept = rail.filter((station) => added.every(({ x }) => Math.abs(x - station.x) > SAME));
  return [...kept, ...added].sort((a, b) => a.x - b.x);
}

const sideOf = ({ y }: Pick<ListedPoint, 'y'>): Side => (y < 0 ? 'left' : 'right');

/**
 * A job with the points of a list: stations on their rails, holes and control points beside those that are there. Rails that mirror
 * stay so where the list has stations of one side only.
 *
 * @param job The job; validated.
 * @param points The points, at least one.
 * @param newId Gives an id that no other thing has.
 * @throws InputError with every point that lies on no rail, or what else the job would have wrong.
 */
export function withPoints(job: Job, points: readonly ListedPoint[], newId: (kind: ListedKind) => string): Job {
  const { donor, display } = job;
  const datum = datumStation(donor);
  const beyond = points.flatMap((point): InputProblem[] => {
    const [front, rear] = railEnds(railOf(donor.rails, sideOf(point)));
    const x = point.x + datum;
    if (x >= front && x <= rear) return [];
    const ends = [front, rear].map((end) => lengthText(end - datum, display, true)).join(' to ');
    return [
      {
        code: 'points/beyond',
        path: point.line,
        message: `${point.name} lies on no rail: the rails run from ${ends} of the datum hole. Count x from there, to the rear.`,
      },
    ];
  });
  if (beyond.length > 0) throw new InputError(beyond);
  const of = (kind: ListedKind) => points.filter((point) => point.kind === kind);
  const rails = withListedStations(donor.rails, of('station'), datum);
  const frame = { ...donor, rails };
  const section = sectionLookup(frame as Frame);
  const rail = (point: ListedPoint) => railAt(railOf(rails, sideOf(point)), point.x + datum);
  const holes = of('hole').map((point): Feature => {
    const { top, section: id } = rail(point);
    const down = point.z === null ? section(id).depth / 2 : top - point.z;
    const { diameter: usual, ...hole } = newHole(newId('hole'), point.x + datum);
    return {
      ...hole,
      name: point.name,
      side: sideOf(point),
      down,
      diameter: point.diameter || usual,
      ...(point.diameter > 0 ? {} : { usual: ['diameter'] }),
      ...(point.z === null ? { origin: 'assumed' } : {}),
    };
  });
  const controls = of('point').map((point): ControlPoint => {
    const { top, halfWidth } = rail(point);
    return {
      id: newId('point'),
      name: point.name,
      x: point.x + datum,
      inboard: halfWidth - Math.abs(point.y),
      // On the top edge, where a tape is mostly hooked.
      down: point.z === null ? 0 : top - point.z,
      ...(point.z === null ? { origin: 'assumed' } : {}),
    };
  });
  return checkJob({
    ...job,
    donor: {
      ...frame,
      features: [...donor.features, ...holes],
      controlPoints: [...donor.controlPoints, ...controls].sort((a, b) => a.x - b.x),
    },
  });
}

function withListedStations(rails: Frame['rails'], listed: readonly ListedPoint[], datum: number): Frame['rails'] {
  const on = (side: Side) => listed.filter((point) => sideOf(point) === side);
  const both = SIDES.every((side) => on(side).length > 0);
  if (rails.kind === 'mirrored' && !both)
    return { kind: 'mirrored', stations: withStations(rails.stations, listed, datum) };
  const made = (side: Side) => withStations(railOf(rails, side), on(side), datum);
  return { kind: 'measured', left: made('left'), right: made('right') };
}
