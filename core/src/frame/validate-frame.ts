import type { InputProblem } from '../input-error.ts';
import { materialProblems } from '../materials/index.ts';
import { type Section, widthOf } from '../sections/index.ts';
import { lengthText, type LengthFormat } from '../units/index.ts';
import { acrossFlange, type ControlEnd, endsOf, type Frame, type Rail, railOf, SIDES } from './frame.ts';
import { railEnds } from './rail.ts';
import { carrierProblems, memberProblems, unitProblems } from './validate-riders.ts';

/** The most stations, features and so on that a frame may hold. */
const MOST = 2000;

/**
 * Everything about a frame that cannot be, each with its place in the document and what would be right.
 * Shape and types are the schema's business; this looks at the meaning. Lengths in messages are in `format`.
 *
 * @param frame The donor; validated.
 * @param format Unit and division that lengths are written in.
 * @param path Where that is in the document: problems are named from there.
 */
export function frameProblems(frame: Frame, format: LengthFormat, path = 'donor'): InputProblem[] {
  const show = (mm: number) => lengthText(mm, format, true);
  // Messages count stations as their cells do: from the datum hole.
  const zero = frame.features.find(({ id }) => id === frame.datum)?.x ?? 0;
  const at = (x: number) => show(x - zero);
  const problems: InputProblem[] = [];
  const add = (code: string, place: string, message: string) =>
    problems.push({ code: `frame/${code}`, path: `${path}.${place}`, message });

  const sectionIds = new Set(frame.sections.map((named) => named.id));
  problems.push(...materialProblems(frame.material, `${path}.material`));

  for (const [list, entries] of Object.entries({
    sections: frame.sections,
    crossmembers: frame.crossmembers,
    features: frame.features,
    units: frame.units,
    members: frame.members,
    braces: frame.braces,
    axles: frame.axles,
    points: frame.points,
    lines: frame.lines,
    rooms: frame.rooms,
    controlPoints: frame.controlPoints,
    controlMeasurements: frame.controlMeasurements,
  })) {
    if (entries.length > MOST) add('too-many', list, `There are ${entries.length}; at most ${MOST} are allowed.`);
  }

  frame.sections.forEach(({ section }, index) => {
    const message = sectionProblem(section, show);
    if (message) add('section-walls', `sections[${index}].section`, message);
  });

  const railKeys = frame.rails.kind === 'mirrored' ? (['stations'] as const) : SIDES;
  for (const key of railKeys) {
    const rail = railOf(frame.rails, key === 'stations' ? 'left' : key);
    const place = `rails.${key}`;
    if (rail.length < 2)
      add('rail-too-short', place, 'A rail needs two stations at least: its front end and its rear end.');
    if (rail.length > MOST) add('too-many', place, `There are ${rail.length} stations; at most ${MOST} are allowed.`);
    rail.forEach((station, index) => {
      const here = `${place}[${index}]`;
      const before = rail[index - 1];
      if (before && station.x <= before.x)
        add(
          'stations-order',
          `${here}.x`,
          `Station ${index + 1} (${at(station.x)}) must lie behind the one above it (${at(before.x)}).`,
        );
      if (station.halfWidth <= 0)
        add(
          'rails-cross',
          `${here}.halfWidth`,
          `At ${at(station.x)} the rails cross: the half-width must be more than 0.`,
        );
      if (!sectionIds.has(station.section))
        add(
          'unknown-section',
          `${here}.section`,
          `Station ${index + 1} names section “${station.section}”, which is not in the list of sections.`,
        );
    });
  }

  const reach = commonReach(frame);
  const off = (x: number) => reach !== undefined && (x < reach[0] || x > reach[1]);
  const offMessage = (name: string, x: number) =>
    `${name} at ${at(x)} is off the rail, which runs from ${at(reach?.[0] ?? 0)} to ${at(reach?.[1] ?? 0)}, counted from the datum hole.`;
  frame.features.forEach((feature, index) => {
    const place = `features[${index}]`;
    const ends = [feature.x - feature.ahead, feature.x + feature.behind];
    const negative = (['ahead', 'behind', 'diameter', 'mass'] as const).find((key) => feature[key] < 0);
    if (negative) add('negative', `${place}.${negative}`, `${feature.name}: this must be 0 or more.`);
    else if (ends.some(off)) add('off-the-rail', `${place}.x`, offMessage(feature.name, ends.find(off) ?? feature.x));
    const across = acrossFlange(feature);
    const widest = Math.max(...frame.sections.map(({ section }) => widthOf(section)));
    if (across !== null && (across < 0 || across > widest))
      add(
        'off-the-flange',
        `${place}.inboard`,
        `${feature.name} lies beside the flange: from the outside of the web in to its middle it must be from 0 to the width of the rail.`,
      );
  });
  frame.crossmembers.forEach((crossmember, index) => {
    if (off(crossmember.x))
      add('off-the-rail', `crossmembers[${index}].x`, offMessage(crossmember.name, crossmember.x));
    if (crossmember.section !== undefined && !sectionIds.has(crossmember.section))
      add(
        'unknown-section',
        `crossmembers[${index}].section`,
        `${crossmember.name} names section “${crossmember.section}”, which is not in the list of sections.`,
      );
    if (crossmember.length <= 0 || crossmember.depth <= 0)
      add('negative', `crossmembers[${index}]`, `${crossmember.name} needs a length and a depth above 0.`);
  });
  frame.controlPoints.forEach((point, index) => {
    if (off(point.x)) add('off-the-rail', `controlPoints[${index}].x`, offMessage(point.name, point.x));
  });
  frame.lines.forEach((line, index) => {
    if (line.to <= line.from) add('line-order', `lines[${index}].to`, `${line.name} must end behind where it begins.`);
  });
  frame.rooms.forEach(({ name, front, rear, left, right, low, high }, index) => {
    if (rear <= front) add('room', `rooms[${index}].rear`, `${name} must end behind where it begins.`);
    if (right <= left)
      add('room', `rooms[${index}].right`, `${name} must reach farther right than its left side: left is below 0.`);
    if (high <= low) add('room', `rooms[${index}].high`, `${name} must be higher than its underside.`);
  });

  problems.push(...carrierProblems(frame, path), ...unitProblems(frame, path), ...memberProblems(frame, path, at));

  const datum = frame.features.find((feature) => feature.id === frame.datum);
  if (!datum)
    add(
      'unknown-datum',
      'datum',
      `The datum hole “${frame.datum}” is not in the list of features: pick a hole that stays on the frame.`,
    );
  problems.push(...axleProblems(frame, path, show));
  const pointIds = new Set(frame.controlPoints.map((point) => point.id));
  frame.controlMeasurements.forEach((measurement, index) => {
    for (const { point } of endsOf(measurement))
      if (!pointIds.has(point))
        add('unknown-point', `controlMeasurements[${index}]`, `There is no control point “${point}”.`);
    if (measurement.kind !== 'height' && sameEnd(measurement.from, measurement.to))
      add(
        'same-point',
        `controlMeasurements[${index}].to`,
        'What is measured between two points needs two different ends.',
      );
  });
  return problems;
}

const sameEnd = (a: ControlEnd, b: ControlEnd): boolean => a.point === b.point && a.side === b.side;

function commonReach(frame: Frame): readonly [number, number] | undefined {
  const rails: Rail[] = SIDES.map((side) => railOf(frame.rails, side));
  if (rails.some((rail) => rail.length < 2)) return undefined;
  const ends = rails.map(railEnds);
  return [Math.max(...ends.map(([front]) => front)), Math.min(...ends.map(([, rear]) => rear))];
}

/**
 * What is impossible about a section's walls, as a sentence; undefined when it can be.
 *
 * @param section The section; its walls validated.
 * @param show Writes a length, mm, in the job’s unit.
 */
export function sectionProblem(section: Section, show: (mm: number) => string): string | undefined {
  const { depth, thickness } = section;
  const width = widthOf(section);
  if (![depth, thickness, width].every((mm) => mm > 0)) return 'Depth, width and wall must be more than 0.';
  if (2 * thickness >= depth) return `Two walls of ${show(thickness)} are thicker than the depth of ${show(depth)}.`;
  const across =
    section.kind === 'tube' ? thickness + section.inner : section.kind === 'hat' ? 2 * thickness : thickness;
  if (section.kind === 'closed-channel' && section.plateDepth !== undefined) {
    const { plateDepth } = section;
    if (plateDepth > depth) return `The closing plate (${show(plateDepth)}) is higher than the rail (${show(depth)}).`;
    // A weld bridges a wall on each side, no more.
    if (plateDepth < depth - 4 * thickness)
      return `A closing plate of ${show(plateDepth)} leaves the rail open: between the flanges it is ${show(depth - 2 * thickness)}.`;
  }
  const room = section.kind === 'hat' ? section.crown : section.kind === 'closed-channel' ? section.flange : width;
  if (across >= room) return `Walls of ${show(across)} together are thicker than the width of ${show(room)}.`;
  if (section.kind === 'hat' && section.brim <= thickness) return 'The brim must be wider than its wall.';
  if ((section.kind === 'tube' && section.inner <= 0) || (section.kind === 'closed-channel' && section.plate <= 0))
    return 'The inner wall must be thicker than 0.';
  return undefined;
}

function axleProblems(frame: Frame, path: string, show: (mm: number) => string): InputProblem[] {
  const front = frame.axles.filter((axle) => axle.role === 'front');
  const rear = frame.axles.filter((axle) => axle.role === 'rear');
  const at = `${path}.axles`;
  if (front.length === 0 || rear.length === 0)
    return [{ code: 'frame/axle-missing', path: at, message: 'A frame needs a front axle and a rear axle.' }];
  const lastFront = Math.max(...front.map((axle) => axle.x));
  const firstRear = Math.min(...rear.map((axle) => axle.x));
  if (lastFront >= firstRear)
    return [
      {
        code: 'frame/axle-order',
        path: at,
        message: `The rear axle (${show(firstRear)}) must lie behind the front axle (${show(lastFront)}).`,
      },
    ];
  return frame.axles.flatMap((axle, index) =>
    axle.tireRadius > 0 && axle.track > 0 && (axle.rating ?? 1) > 0
      ? []
      : [
          {
            code: 'frame/negative',
            path: `${at}[${index}]`,
            message: `${axle.name} needs a tire radius, a track and a rating above 0.`,
          },
        ],
  );
}
