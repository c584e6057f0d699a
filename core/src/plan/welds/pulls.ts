import { SIDES, type Vec3 } from '../../frame/index.ts';
import { type JoinedWall, type Pull, pulled, pullOf } from '../../weld/index.ts';
import { shrinkageAcross, wallParts } from '../../splice/index.ts';
import { type Section, sectionProperties, widthOf } from '../../sections/index.ts';
import type { SpliceJoint } from '../splices/joints-to-make.ts';
import { type ControlPrediction, controlReading } from '../control.ts';
import type { Seam, WeldedFrame } from './seam.ts';
import type { Preset } from './welding.ts';

/** How welding a joint of the rails pulls what is behind it. */
export interface JointPull {
  readonly joint: SpliceJoint;
  readonly pull: Pull;
}

/** The walls of one rail in its own axes: middle and size, mm. */
function wallsIn(section: Section) {
  if (section.kind !== 'round')
    return wallParts(section).map(([wall, { y, z, width, height }]) => ({
      wall,
      area: width * height,
      y: y + width / 2,
      z: z + height / 2,
      wide: width,
      deep: height,
    }));
  const { area, iy } = sectionProperties(section);
  // A ring has the second moment of a square whose side is √(12 I / A).
  const side = Math.sqrt((12 * iy) / area);
  return [{ wall: 'all' as const, area, y: widthOf(section) / 2, z: section.depth / 2, wide: side, deep: side }];
}

/**
 * How each joint of the rails pulls, front to rear; of joints that nothing is welded through none. Members that run through
 * beside the rails and plates are left out: they hold back a little.
 *
 * @param result What the plan gives.
 * @param seams All seams.
 * @param factor How much more the shop's joints pull than the textbook says, times.
 */
export function pullsOf(
  result: Pick<WeldedFrame, 'splices'>,
  seams: readonly Seam[],
  factor: number,
): readonly JointPull[] {
  return result.splices.flatMap(({ joint, rails }): JointPull[] => {
    const butts = seams.filter((seam) => seam.joint.id === joint.id && seam.layer === 'butt');
    const walls = SIDES.flatMap((side): JoinedWall[] => {
      const one = rails.find(({ rail }) => rail === side);
      const own = butts.filter(({ rail }) => rail === side);
      const [anchor] = own;
      const at = anchor?.stretches[0];
      if (!one || !at || !anchor) return [];
      const { section } = one.steel;
      const flat = originOf(own, section);
      return wallsIn(section).map(({ wall, area, y, z, wide, deep }) => {
        const seam = own.find((each) => each.wall === wall);
        const thick = seam?.weld.kind === 'groove' ? seam.weld.wall : section.thickness;
        return {
          area,
          y: flat.y + (side === 'left' ? y : -y),
          z: flat.z + z,
          wide,
          deep,
          shrinkage: seam ? factor * shrinkageAcross(seam.area, thick) : 0,
        };
      });
    });
    return walls.length > 0 && butts.some(({ area }) => area > 0) ? [{ joint, pull: pullOf(walls) }] : [];
  });
}

/** Where the outside of the web and the underside of a rail are on the frame, from its seams: the outermost and the lowest. */
function originOf(seams: readonly Seam[], section: Section): { readonly y: number; readonly z: number } {
  const points = seams.flatMap(({ stretches }) => stretches.flatMap(({ start, end }) => [start, end]));
  const outermost = points.reduce((most, { y }) => (Math.abs(y) > Math.abs(most) ? y : most), 0);
  const highest = points.reduce((most, { z }) => Math.max(most, z), -Infinity);
  const lowest = points.reduce((least, { z }) => Math.min(least, z), Infinity);
  // A flange that is not cut has no seam: then the other one tells where the section lies.
  return { y: outermost, z: highest - lowest >= section.depth - 1e-6 ? lowest : highest - section.depth };
}

/** Less than this nobody can set, mm. */
const LEAST_PRESET = 0.05;

/** What a control reading changes by as the joints are welded: mm. */
export interface ReadingChange {
  readonly control: ControlPrediction;
  readonly change: number;
}

/**
 * Where a point of the frame goes as all joints are welded.
 *
 * @param pulls How each joint pulls, front to rear.
 * @param point The point of the built frame.
 */
const pulledByAll = (pulls: readonly JointPull[], point: Vec3): Vec3 =>
  // The last joint first: what is ahead of it then carries all of it along.
  pulls
    .toSorted((a, b) => b.joint.builtX - a.joint.builtX)
    .reduce((at, { joint, pull }) => pulled(pull, joint.builtX, at), point);

/**
 * What every control reading is expected to change by from tacked to fully welded, mm; of a measurement with an end on steel
 * that is taken out nothing is expected.
 *
 * @param controls The measurements with what the plan gives.
 * @param pulls How each joint pulls.
 */
export const readingChanges = (
  controls: readonly ControlPrediction[],
  pulls: readonly JointPull[],
): readonly ReadingChange[] =>
  controls.flatMap((control): ReadingChange[] => {
    const { built } = control.ends;
    if (!built || control.predicted === null) return [];
    const after = built.map((point) => pulledByAll(pulls, point));
    return [
      { control, change: controlReading(control.measurement, after) - controlReading(control.measurement, built) },
    ];
  });

/**
 * What every control measurement has to be set beyond the plan, so that the pull of the welds brings it there.
 *
 * @param changes What the welds change every reading by.
 */
export const presetFor = (changes: readonly ReadingChange[]): readonly Preset[] =>
  changes.flatMap(({ control, change }) =>
    Math.abs(change) < LEAST_PRESET ? [] : [{ measurement: control.measurement.id, mm: -change }],
  );

/**
 * How far fit-up is off what the welds pull now, where it is set for them, mm.
 *
 * @param preset What is set.
 * @param changes What the welds change every reading by.
 */
export function presetOff(preset: readonly Preset[], changes: readonly ReadingChange[]): number {
  const set = new Map(preset.map(({ measurement, mm }) => [measurement, mm]));
  const now = new Map(presetFor(changes).map(({ measurement, mm }) => [measurement, mm]));
  const all = new Set([...set.keys(), ...now.keys()]);
  return Math.max(0, ...[...all].map((id) => Math.abs((set.get(id) ?? 0) - (now.get(id) ?? 0))));
}
