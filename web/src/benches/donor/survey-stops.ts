import {
  type ControlPoint,
  type Crossmember,
  datumStation,
  endsOf,
  type Feature,
  type Frame,
  inches,
  newCrossmember,
  newHole,
  type Rail,
  railAt,
  railOf,
  type Side,
  type Station,
} from '@splay/core';
import { freshId } from '../../client/fresh-id.ts';
import type { SurveyFigure, SurveyStop } from '../../ui/survey-walk.tsx';

/** What is walked along at the frame, one thing at a time; `stations` are those of both rails where they mirror. */
export type SurveyList = 'stations' | Side | 'crossmembers' | 'features' | 'controls';

type Figure = SurveyFigure<Frame>;
type Stop = SurveyStop<Frame>;

/** The lists of a frame, by what they are called. */
export function surveyLists({ rails }: Frame): readonly (readonly [list: SurveyList, name: string])[] {
  return [
    ...(rails.kind === 'mirrored'
      ? ([['stations', 'Stations, both rails alike']] as const)
      : ([
          ['left', 'Stations, left rail'],
          ['right', 'Stations, right rail'],
        ] as const)),
    ['crossmembers', 'Crossmembers'],
    ['features', 'Brackets, holes, marks'],
    ['controls', 'Control points'],
  ];
}

function withRail(frame: Frame, list: SurveyList, rail: Rail): Frame {
  if (frame.rails.kind === 'mirrored') return { ...frame, rails: { kind: 'mirrored', stations: rail } };
  return { ...frame, rails: { ...frame.rails, [list]: rail } };
}

const railFor = (frame: Frame, list: SurveyList): Rail => railOf(frame.rails, list === 'right' ? 'right' : 'left');

/** A list with one entry put in another's place, or taken out. */
const swapped = <T>(list: readonly T[], old: T, next: T | null): T[] =>
  list.flatMap((entry) => (entry === old ? (next === null ? [] : [next]) : [entry]));

/** An entry without the word that its figures are assumed: one of them is typed now. */
function typed<T extends { readonly origin?: unknown }>(entry: T): T {
  const { origin, ...rest } = entry;
  return origin === 'assumed' ? (rest as T) : entry;
}

/** The figures of an entry by the keys that hold them; `x` counts from the datum hole. */
function figuresOf<T extends { readonly x: number; readonly origin?: unknown }>(
  entry: T,
  names: readonly (readonly [key: keyof T & string, name: string, signed?: boolean])[],
  datum: number,
  put: (next: T) => Frame,
): Figure[] {
  return names.map(([key, name, signed = key === 'x']) => {
    const zero = key === 'x' ? datum : 0;
    return {
      name,
      signed,
      mm: (entry[key] as number) - zero,
      put: (mm) => put({ ...typed(entry), [key]: mm + zero }),
    };
  });
}

/** Everything of a list, from the front. */
export function surveyStops(frame: Frame, list: SurveyList): Stop[] {
  const datum = datumStation(frame);
  switch (list) {
    case 'crossmembers': {
      const put = (old: Crossmember, next: Crossmember | null): Frame => ({
        ...frame,
        crossmembers: swapped(frame.crossmembers, old, next),
      });
      const names = [
        ['x', 'From datum'],
        ['below', 'Below top'],
        ['depth', 'Depth'],
        ['length', 'Wide, along the rail'],
      ] as const;
      return inOrder(frame.crossmembers).map((member) => ({
        id: member.id,
        name: member.name,
        x: member.x,
        figures: figuresOf(member, names, datum, (next) => put(member, next)),
        without: () => put(member, null),
      }));
    }
    case 'controls': {
      const put = (old: ControlPoint, next: ControlPoint | null): Frame => ({
        ...frame,
        controlPoints: swapped(frame.controlPoints, old, next),
        // A measurement from a point that is taken out goes with it.
        controlMeasurements: next
          ? frame.controlMeasurements
          : frame.controlMeasurements.filter((each) => endsOf(each).every(({ point }) => point !== old.id)),
      });
      const names = [
        ['x', 'From datum'],
        ['inboard', 'Inboard'],
        ['down', 'Below top'],
      ] as const;
      return inOrder(frame.controlPoints).map((point) => ({
        id: point.id,
        name: point.name,
        x: point.x,
        figures: figuresOf(point, names, datum, (next) => put(point, next)),
        without: () => put(point, null),
      }));
    }
    case 'features': {
      const put = (old: Feature, next: Feature | null): Frame => ({
        ...frame,
        features: swapped(frame.features, old, next),
      });
      return inOrder(frame.features).map((feature) => {
        // The datum hole itself is 0 from the datum hole: its own place is told from the front axle.
        const isDatum = feature.id === frame.datum;
        const names = [
          ['x', isDatum ? 'From axle' : 'From datum'],
          ['down', 'Below top'],
          ['ahead', 'Reach ahead'],
          ['behind', 'Reach behind'],
          ['diameter', 'Hole'],
        ] as const;
        return {
          id: feature.id,
          name: feature.side === 'both' ? feature.name : `${feature.name}, ${feature.side}`,
          x: feature.x,
          figures: figuresOf(feature, names, isDatum ? 0 : datum, (next) => put(feature, next)),
          without: () => put(feature, null),
        };
      });
    }
    default: {
      const rail = railFor(frame, list);
      const put = (old: Station, next: Station | null) => withRail(frame, list, swapped(rail, old, next));
      const names = [
        ['x', 'From datum'],
        ['halfWidth', 'Half-width'],
        ['top', 'Top height', true],
      ] as const;
      return rail.map((station, index) => ({
        id: `station-${index + 1}`,
        name: `Station ${index + 1}`,
        x: station.x,
        figures: figuresOf(station, names, datum, (next) => put(station, next)),
        without: () => put(station, null),
      }));
    }
  }
}

const inOrder = <T extends { readonly x: number }>(list: readonly T[]): T[] => [...list].sort((a, b) => a.x - b.x);

/** How far behind the last of a list a new one is taken to be until its station is typed, mm. */
const STRIDE = inches(12);

/**
 * The frame with one more in a list, behind the stop at `index`, and that one's id: half-way to the next, or a foot
 * behind the last. Sizes are a start, to be typed over.
 */
export function withOneMore(
  frame: Frame,
  list: SurveyList,
  index: number,
): { readonly frame: Frame; readonly id: string } {
  const stops = surveyStops(frame, list);
  const [here, next] = [stops[index]?.x ?? datumStation(frame), stops[index + 1]?.x];
  const x = next === undefined ? here + STRIDE : (here + next) / 2;
  if (list === 'crossmembers') {
    const id = freshId('crossmember');
    const member = { ...newCrossmember(id, x, frame), id, name: `Crossmember ${frame.crossmembers.length + 1}` };
    return { id, frame: { ...frame, crossmembers: [...frame.crossmembers, member] } };
  }
  if (list === 'features') {
    const id = freshId('feature');
    const feature = { ...newHole(id, x), id, name: `Hole ${frame.features.length + 1}` };
    return { id, frame: { ...frame, features: [...frame.features, feature] } };
  }
  if (list === 'controls') {
    const id = freshId('point');
    const point = { id, name: `Point ${frame.controlPoints.length + 1}`, x, inboard: 0, down: 0 };
    return { id, frame: { ...frame, controlPoints: inOrder([...frame.controlPoints, point]) } };
  }
  const rail = railFor(frame, list);
  const at = railAt(rail, x);
  // Its figures are those of the line between its neighbors: assumed, until one of them is typed.
  const station: Station = { x, halfWidth: at.halfWidth, top: at.top, section: at.section, origin: 'assumed' };
  const place = rail.filter((other) => other.x < x).length;
  return { id: `station-${place + 1}`, frame: withRail(frame, list, rail.toSpliced(place, 0, station)) };
}
