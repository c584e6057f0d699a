import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { type RailWall, wallLength, wallsOf } from '../../splice/index.ts';
import { passesFor, type WallPlace } from '../../weld/index.ts';
import type { SpliceOutcome } from '../splices/splice-outcome.ts';
import { wallWeldArea } from '../splices/weld-work.ts';
import { type FramePose, positionOn, type RailHere, wallName } from './rail-here.ts';
import { placeBetween, type Seam } from './seam.ts';
import { placeOnFlat } from './unfolded-walls.ts';

/** Into how many straight stretches a weld round a tube is parted. */
const ROUND_PARTS = 8;

/**
 * The butt weld through each wall of a rail.
 *
 * @param here Where the rail lies at the joint.
 * @param joint The joint.
 * @param pose How the frame lies while it is welded.
 * @param rules The shop's rulebook.
 */
export function wallSeams(
  here: RailHere,
  joint: SpliceOutcome['joint'],
  pose: FramePose,
  rules: Rulebook,
): readonly Seam[] {
  const { one, flat, place } = here;
  const { section } = one.steel;
  const { form, weld, plates, sleeve } = one.splice;
  const made = one.made.splice;
  if (form.form === 'bolted' || !made || made.joint.form === 'gap') return [];
  const lengths = wallsOf(section);
  const overlaid = (wall: RailWall): string | null => {
    const plate = plates.find(({ face }) =>
      wall === 'outer'
        ? face === 'web-outside'
        : wall === 'inner'
          ? face === 'inner-side'
          : face === (wall === 'top' ? 'top-flange' : 'bottom-flange'),
    );
    if (plate) return 'the plate over it';
    return sleeve?.kind === 'outer' ? 'the sleeve over it' : null;
  };
  const seam = (
    wall: RailWall | 'all',
    name: string,
    [from, to]: readonly [WallPlace, WallPlace],
    length: number,
    thickness: number,
  ): Seam => {
    const way = weld.walls?.find((other) => other.wall === wall)?.way ?? weld.way;
    const area = way === 'not-welded' ? 0 : wallWeldArea(thickness, way, rules);
    const on = ({ x, s }: WallPlace) => place(placeOnFlat(section, flat, s), x);
    // A round tube has no straight walls: an eighth of a turn is as good as straight.
    const parts = wall === 'all' ? ROUND_PARTS : 1;
    return {
      id: `${joint.id}:${one.rail}:rail:${name}`,
      joint,
      rail: one.rail,
      part: 'rail',
      wall,
      where: name,
      weld: { kind: 'groove', wall: thickness, way: way === 'not-welded' ? 'one-side' : way },
      layer: 'butt',
      length,
      area,
      passes: passesFor(area, ruleValue(rules, 'weld/one-pass')),
      position: positionOn(wall, 'across', pose),
      stretches: Array.from({ length: parts }, (_, at) => {
        const [a, b] = [placeBetween(from, to, at / parts), placeBetween(from, to, (at + 1) / parts)];
        return { length: length / parts, from: a, to: b, start: on(a), end: on(b) };
      }),
      closedOffBy: wall === 'all' ? null : overlaid(wall),
    };
  };
  if (section.kind === 'round') {
    const ends = [
      { x: 0, s: 0 },
      { x: 0, s: flat.around },
    ] as const;
    return [seam('all', 'all round', ends, wallLength(section), section.thickness)];
  }
  /** Where the cut is along the rail at a height. */
  const xAt = (z: number): number => {
    if (form.form === 'angled') return form.run * (z / section.depth - 0.5);
    if (form.form !== 'step') return 0;
    const ahead = form.upper === 'ahead' ? -1 : 1;
    return (z >= form.height ? ahead : -ahead) * (form.length / 2);
  };
  const brims = section.kind === 'hat';
  return flat.walls.flatMap(({ wall, from, to, thickness, start, end }, at) => {
    if (made.uncut === wall || weld.walls?.some((other) => other.wall === wall && other.way === 'not-welded'))
      return [];
    const upright = wall === 'outer' || wall === 'inner';
    const nominal = (lengths[wall] ?? 0) / (brims && wall === 'bottom' ? 2 : 1);
    const length =
      upright && form.form === 'angled'
        ? nominal + Math.hypot(section.depth, form.run) - section.depth
        : upright && form.form === 'step'
          ? nominal + form.length
          : nominal;
    const name = `${wallName(section, wall)}${brims && wall === 'bottom' ? (at === 0 ? ', outer brim' : ', inner brim') : ''}`;
    const ends = [
      { x: xAt(start.z), s: from },
      { x: xAt(end.z), s: to },
    ] as const;
    return [seam(wall, name, ends, length, thickness)];
  });
}
