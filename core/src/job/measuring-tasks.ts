import { factsOf, type Feature, type Frame, type Origin, type Rail, railOf, SIDES, unitOf } from '../frame/index.ts';
import { controlKind } from '../plan/index.ts';
import { inches } from '../units/index.ts';

/** One thing to measure on the donor: where, and which answers wait for it. */
export interface MeasuringTask {
  readonly id: string;
  readonly what: string;
  /** Where to put the tape, or what is there already. */
  readonly where: string;
  /** What cannot be told without it. */
  readonly answers: string;
  readonly state: 'there' | 'partly' | 'missing';
  /** The part of the donor it is entered in. */
  readonly part: 'stations' | 'features' | 'crossmembers' | 'lines' | 'controls' | 'frame' | 'body';
}

/** Longest stretch of rail that is taken as straight without a station on it, mm. */
const LONG_STRETCH = inches(60);

/**
 * The datum hole: which it is, and whether its place is known.
 *
 * @param donor The donor frame; validated.
 */
export function datumTask(donor: Frame): MeasuringTask {
  const datum = donor.features.find(({ id }) => id === donor.datum);
  return {
    id: 'datum',
    what: 'Level the frame on stands and pick a datum hole',
    where: !datum
      ? 'a hole that stays, the same on both rails'
      : datum.origin === 'assumed'
        ? 'its place is only assumed: measure it, or pick another hole'
        : `${datum.name}, on ${datum.side === 'both' ? 'both rails' : `the ${datum.side} rail`}`,
    answers: 'every mark is given from it',
    state: datum?.kind === 'hole' && datum.origin !== 'assumed' ? 'there' : 'missing',
    part: 'frame',
  };
}

/** The longest stretch between two stations of either rail. */
function longestStretch(donor: Frame): { readonly from: number; readonly to: number } {
  const stretches = SIDES.flatMap((side) => {
    const rail: Rail = railOf(donor.rails, side);
    return rail.slice(1).map((station, index) => ({ from: rail[index]?.x ?? station.x, to: station.x }));
  });
  return stretches.reduce((a, b) => (b.to - b.from > a.to - a.from ? b : a), { from: 0, to: 0 });
}

/**
 * The stations of both rails: how many are measured, and where they lie too far from each other.
 *
 * @param donor The donor frame; validated.
 * @param at Writes a station as it is said, from the datum hole; takes mm.
 * @param show Writes a length as it is said; takes mm.
 */
export function stationsTask(donor: Frame, at: (x: number) => string, show: (mm: number) => string): MeasuringTask {
  const measured = (side: 'left' | 'right') => railOf(donor.rails, side).filter(({ origin }) => origin !== 'assumed');
  const fewest = Math.min(...SIDES.map((side) => measured(side).length));
  const assumed = Math.max(...SIDES.map((side) => railOf(donor.rails, side).length - measured(side).length));
  const { from, to } = longestStretch(donor);
  const long = to - from > LONG_STRETCH;
  return {
    id: 'stations',
    what: 'Stations: half-width and height where the rail bends, tapers or changes',
    where: long
      ? `${assumed > 0 ? `${assumed} only assumed; ` : ''}nothing between ${at(from)} and ${at(to)} from the datum hole: measure at ${at((from + to) / 2)}`
      : `${fewest} measured a side${assumed > 0 ? `, ${assumed} only assumed` : ''}, none more than ${show(to - from)} from the next`,
    answers: 'whether two ends meet after a cut',
    state: fewest < 4 ? 'missing' : long || assumed > 0 ? 'partly' : 'there',
    part: 'stations',
  };
}

/**
 * The axles: where they stand, and what each may carry.
 *
 * @param donor The donor frame; validated.
 */
export function axlesTask(donor: Frame): MeasuringTask {
  const unrated = donor.axles.filter(({ rating }) => rating === undefined);
  const assumed = assumedOf(donor.axles);
  return {
    id: 'axles',
    what: 'Axles: station, height, tire, rating',
    where:
      assumed.length > 0
        ? onlyAssumed(assumed)
        : unrated.length > 0
          ? `no rating yet: ${unrated.map(({ name }) => name).join(', ')}`
          : `${donor.axles.length} entered`,
    answers: 'wheelbase, clearance, angles, axle loads',
    state: assumed.length > 0 ? 'missing' : unrated.length > 0 ? 'partly' : 'there',
    part: 'frame',
  };
}

/**
 * How far a list is there: measured enough, some of it only assumed, or missing.
 *
 * @param things The list.
 * @param enough How many measured ones are enough.
 */
export function stateOf(things: readonly { readonly origin?: Origin }[], enough: number): MeasuringTask['state'] {
  const measured = things.filter(({ origin }) => origin !== 'assumed').length;
  if (measured < enough) return things.length > measured ? 'partly' : 'missing';
  return measured < things.length ? 'partly' : 'there';
}

/** Names of what has only been assumed to be where it stands. */
const assumedOf = (things: readonly Pick<Feature, 'name' | 'origin'>[]): readonly string[] =>
  things.flatMap(({ name, origin }) => (origin === 'assumed' ? [name] : []));

/**
 * Names of what is only assumed, as they are said.
 *
 * @param names Names; the first three are said.
 */
export const onlyAssumed = (names: readonly string[]): string => `only assumed so far: ${names.slice(0, 3).join(', ')}`;

/**
 * The sections that the rails have, and whether a caliper has been on them.
 *
 * @param donor The donor frame; validated.
 */
export function sectionsTask({ sections, rails }: Frame): MeasuringTask {
  const used = new Set(SIDES.flatMap((side) => railOf(rails, side).map(({ section }) => section)));
  const own = sections.filter(({ id }) => used.has(id));
  const assumed = own.filter(({ origin }) => origin === 'assumed').length;
  return {
    id: 'sections',
    what: 'Section and wall of the rails',
    where:
      own.length === 0 || assumed > 0
        ? `at a clean edge or a hole, with a caliper; both walls where they differ${assumed > 0 ? '. Only picked from a list so far' : ''}`
        : `${own.length === 1 ? 'one section' : `${own.length} sections`} entered`,
    answers: 'strength, sleeves, weld settings, mass',
    state: stateOf(own, own.length || 1),
    part: 'frame',
  };
}

/**
 * Brackets that hold an axle, and whether each is under its suspension.
 *
 * @param brackets Brackets that hold an axle.
 * @param donor The donor frame; validated.
 * @param at Writes a station as it is said, from the datum hole; takes mm.
 */
export function suspensionTask(brackets: readonly Feature[], donor: Frame, at: (x: number) => string): MeasuringTask {
  const loose = brackets.filter(({ id }) => !unitOf(donor, id));
  const assumed = assumedOf(brackets);
  return {
    id: 'suspension',
    what: 'Spring, link and shock brackets, each under its suspension',
    where:
      brackets.length === 0
        ? 'every bracket that holds an axle'
        : loose.length > 0
          ? `under no unit: ${loose
              .map(({ name, x }) => `${name} at ${at(x)}`)
              .slice(0, 3)
              .join(', ')}`
          : assumed.length > 0
            ? onlyAssumed(assumed)
            : `${brackets.length} brackets, all under their suspensions`,
    answers: 'whether a cut would pull a suspension apart',
    state: brackets.length === 0 ? 'missing' : loose.length > 0 || assumed.length > 0 ? 'partly' : 'there',
    part: 'features',
  };
}

/**
 * Something that is there or not: where, or how many of it.
 *
 * @param id Id of what is asked.
 * @param what What is asked for, in words.
 * @param found The features that answer it.
 * @param at Writes a station as it is said, from the datum hole; takes mm.
 * @param answers What cannot be told without it.
 */
export function presence(
  id: string,
  what: string,
  found: readonly Feature[],
  at: (x: number) => string,
  answers: string,
): MeasuringTask {
  const [first] = found;
  const assumed = assumedOf(found);
  const entered = first && found.length === 1 ? `at ${at(first.x)}` : `${found.length} entered`;
  return {
    id,
    what,
    where: !first ? 'not entered yet' : assumed.length > 0 ? onlyAssumed(assumed) : entered,
    answers,
    state: !first ? 'missing' : assumed.length > 0 ? 'partly' : 'there',
    part: 'features',
  };
}

/**
 * What stands on what: without it a cut between two mounts goes unseen.
 *
 * @param donor The donor frame; validated.
 */
export function unitsTask(donor: Frame): MeasuringTask {
  // Mounts of a body may be left over from one that is gone.
  const standsOn = ({ kind }: Feature) => factsOf(kind).unit !== undefined && factsOf(kind).unit !== 'body';
  const loose = donor.features.filter((feature) => standsOn(feature) && !unitOf(donor, feature.id));
  const bare = donor.units.filter(({ mounts }) => mounts.length === 0);
  return {
    id: 'units',
    what: 'What stands on which mounts: cab, engine, springs, tank, body',
    where:
      donor.units.length === 0
        ? 'put the mounts of each under it'
        : bare.length > 0
          ? `stands on nothing yet: ${bare.map(({ name }) => name).join(', ')}`
          : loose.length > 0
            ? `under no unit: ${loose
                .map(({ name }) => name)
                .slice(0, 3)
                .join(', ')}`
            : `${donor.units.length} units on their mounts`,
    answers: 'which mounts a cut leaves behind, and by how much',
    state: donor.units.length === 0 ? 'missing' : bare.length + loose.length > 0 ? 'partly' : 'there',
    part: 'features',
  };
}

/**
 * The two ends of the drive line, and where the shaft points at each.
 *
 * @param donor The donor frame; validated.
 */
export function driveLineTask(donor: Frame): MeasuringTask {
  const ends = (['output-flange', 'pinion'] as const).map((kind) => donor.points.find((point) => point.kind === kind));
  const [flange, pinion] = ends;
  const missing = [...(flange ? [] : ['transmission flange']), ...(pinion ? [] : ['pinion'])];
  const undirected = ends.filter((end) => end && end.pitch === undefined);
  return {
    id: 'drive-line',
    what: 'Transmission flange and pinion: place, and where the shaft points',
    where:
      missing.length > 0
        ? `not entered: ${missing.join(', ')}`
        : undirected.length > 0
          ? 'put the angle finder on both flanges'
          : 'both entered with their angles',
    answers: 'shaft length and working angles',
    state: missing.length > 0 ? 'missing' : undirected.length > 0 ? 'partly' : 'there',
    part: 'lines',
  };
}

/**
 * Control points on both rails, and the measurements chosen between them.
 *
 * @param donor The donor frame; validated.
 * @param at Writes a station as it is said, from the datum hole; takes mm.
 */
export function controlsTask(donor: Frame, at: (x: number) => string): MeasuringTask {
  const kinds = new Set(donor.controlMeasurements.map(controlKind));
  const lacking = (['width', 'length', 'diagonal', 'height'] as const).filter((kind) => !kinds.has(kind));
  const xs = donor.controlPoints.map(({ x }) => x);
  return {
    id: 'controls',
    what: 'Control points punched on both rails: widths, lengths, diagonals, heights',
    where:
      donor.controlPoints.length < 2
        ? 'a pair near each end, and a pair ahead of and behind every cut'
        : lacking.length > 0
          ? `no ${lacking.join(', no ')} chosen yet`
          : `${donor.controlPoints.length} pairs from ${at(Math.min(...xs))} to ${at(Math.max(...xs))}`,
    answers: 'after the cut only they tell how the halves lie',
    state: donor.controlPoints.length < 2 ? 'missing' : lacking.length > 0 ? 'partly' : 'there',
    part: 'controls',
  };
}
