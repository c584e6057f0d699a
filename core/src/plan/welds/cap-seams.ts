import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { widthOf } from '../../sections/index.ts';
import type { RailWall } from '../../splice/index.ts';
import { passesFor } from '../../weld/index.ts';
import { capSides } from '../splices/cap-sides.ts';
import type { SpliceOutcome } from '../splices/splice-outcome.ts';
import { wallWeldArea } from '../splices/weld-work.ts';
import { alongSeam, type FramePose, positionOn, type RailHere, type SeamEnd } from './rail-here.ts';
import type { Seam } from './seam.ts';

/** The wall that each cap stands for; the others stand for the inner one. */
const CAPPED: Readonly<Record<string, RailWall>> = { 'cap, web': 'outer', 'cap, top': 'top', 'cap, bottom': 'bottom' };

/**
 * The caps over a stretch that a sleeve alone carries: welded across both ends, upright ones along both of their corners too.
 *
 * @param here Where the rail lies at the joint.
 * @param joint The joint.
 * @param pose How the frame lies while it is welded.
 * @param rules The shop's rulebook.
 */
export function capSeams(
  here: RailHere,
  joint: SpliceOutcome['joint'],
  pose: FramePose,
  rules: Rulebook,
): readonly Seam[] {
  const { one, flat, place } = here;
  const { section } = one.steel;
  const made = one.made.splice;
  // The stretch begins at the joint whose sleeve it is: there its caps are counted.
  if (made?.joint.form !== 'gap' || made.joint.from !== 0 || one.splice.sleeve?.caps !== true) return [];
  const { from, to } = made.joint;
  return capSides(section).flatMap(({ name, width, thickness }): readonly Seam[] => {
    const wall = CAPPED[name] ?? 'inner';
    const upright = wall === 'outer' || wall === 'inner';
    const low = upright ? 0 : section.thickness;
    const on = ({ x, across }: SeamEnd) =>
      place(
        upright
          ? { y: wall === 'outer' ? 0 : widthOf(section), z: across }
          : { y: across, z: wall === 'top' ? section.depth : 0 },
        x,
      );
    const area = wallWeldArea(thickness, 'on-backing', rules);
    const line = (where: string, a: SeamEnd, b: SeamEnd, length: number): Seam => ({
      id: `${joint.id}:${one.rail}:${name}:${where}`,
      joint,
      rail: one.rail,
      part: name,
      wall,
      where,
      weld: { kind: 'groove', wall: thickness, way: 'on-backing' },
      layer: 'outside',
      length,
      area,
      passes: passesFor(area, ruleValue(rules, 'weld/one-pass')),
      position: positionOn(wall, a.x === b.x ? 'across' : 'along', pose),
      stretches: [
        {
          length,
          from: { x: a.x, s: alongSeam(flat, wall, section, a.across) },
          to: { x: b.x, s: alongSeam(flat, wall, section, b.across) },
          start: on(a),
          end: on(b),
        },
      ],
      closedOffBy: null,
    });
    const end = (where: string, x: number) => line(where, { x, across: low }, { x, across: low + width }, width);
    const edge = (where: string, across: number) => line(where, { x: from, across }, { x: to, across }, to - from);
    return [
      end('front end', from),
      end('rear end', to),
      ...(upright ? [edge('lower edge', low), edge('upper edge', low + width)] : []),
    ];
  });
}
