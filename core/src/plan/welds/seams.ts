import { SIDES, type Side, sideSign, type Vec3 } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import { isClosed, type RailWall, type SplicePart, wallLength, wallsOf } from '../../splice/index.ts';
import { filletArea, passesFor, type WallPlace } from '../../weld/index.ts';
import { railEnd } from '../piece.ts';
import { capSides } from '../splices/cap-sides.ts';
import { sideOf } from '../splices/cut-part.ts';
import type { RailSpliceOutcome, SpliceOutcome } from '../splices/splice-outcome.ts';
import { wallWeldArea } from '../splices/weld-work.ts';
import {
  placeBetween,
  type Seam,
  type SeamStretch,
  type WeldedFrame,
  type WeldLayer,
  type WeldPosition,
} from './seam.ts';
import { type FlatSection, flatSection, placeOnFlat } from './unfolded-walls.ts';

/** How the frame lies while it is welded: on its wheels' side, or rolled over. */
export const FRAME_POSES = ['upright', 'rolled-over'] as const;
export type FramePose = (typeof FRAME_POSES)[number];

/** Where the rail of a seam lies at its joint. */
interface RailHere {
  readonly one: RailSpliceOutcome;
  readonly flat: FlatSection;
  /** From the section's own axes to the frame. */
  readonly place: (local: { readonly y: number; readonly z: number }, x: number) => Vec3;
}

/** Where a joint lies on each rail; of a joint in a member nothing is known but its station. */
function placeAt(result: WeldedFrame, { joint }: SpliceOutcome, one: RailSpliceOutcome): RailHere['place'] {
  const of = result.joints.find(({ id }) => id === joint.id);
  const piece = of && result.pieces[of.piece];
  const side = sideOf(one.rail);
  const end = piece && (SIDES as readonly string[]).includes(one.rail) ? railEnd(piece, side as Side, 'rear') : null;
  const top = end?.point.z ?? 0;
  const out = Math.abs(end?.point.y ?? 0);
  return ({ y, z }, x) => ({
    x: joint.builtX + x,
    y: sideSign(side) * (out - y),
    z: top - one.steel.section.depth + z,
  });
}

/** What the walls of a section are called in a shop, open or closed. */
export function wallName(section: Section, wall: RailWall): string {
  const open = section.kind === 'channel';
  const names: Readonly<Record<RailWall, string>> = {
    top: open ? 'top flange' : 'top',
    bottom: open ? 'bottom flange' : 'bottom',
    outer: open ? 'web' : 'outer wall',
    inner: section.kind === 'closed-channel' ? 'closing plate' : 'inner wall',
  };
  return names[wall];
}

/** How a weld on a wall lies: what looks up when the frame stands looks down when it is rolled over. */
function positionOn(wall: RailWall | 'all', runs: 'along' | 'across', pose: FramePose): WeldPosition {
  if (wall === 'outer' || wall === 'inner') return runs === 'along' ? 'horizontal' : 'vertical';
  const up = (wall === 'top') === (pose === 'upright');
  // A round tube is welded all round: what lies underneath decides.
  return wall === 'all' || !up ? 'overhead' : 'flat';
}

/** Into how many straight stretches a weld round a tube is parted. */
const ROUND_PARTS = 8;

const INWARD_FACES = ['web-inside'];

/** The butt weld through each wall of a rail. */
function wallSeams(here: RailHere, joint: SpliceOutcome['joint'], pose: FramePose, rules: Rulebook): readonly Seam[] {
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

/** The wall that each cap stands for; the others stand for the inner one. */
const CAPPED: Readonly<Record<string, RailWall>> = { 'cap, web': 'outer', 'cap, top': 'top', 'cap, bottom': 'bottom' };

/** The caps over a stretch that a sleeve alone carries: welded across both ends, upright ones along both of their corners too. */
function capSeams(here: RailHere, joint: SpliceOutcome['joint'], pose: FramePose, rules: Rulebook): readonly Seam[] {
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

/** Which wall a part lies on, and in which layer it is welded. */
function lies({ splice, steel }: RailSpliceOutcome, name: string, at: number): { wall: RailWall; layer: WeldLayer } {
  const plate = splice.plates[at];
  if (plate) {
    const layer = INWARD_FACES.includes(plate.face) ? 'inside' : 'outside';
    const walls = {
      'web-inside': 'outer',
      'web-outside': 'outer',
      'inner-side': 'inner',
      'top-flange': 'top',
      'bottom-flange': 'bottom',
    } as const;
    return { wall: walls[plate.face], layer };
  }
  const layer = splice.sleeve?.kind === 'outer' ? 'outside' : 'sleeve';
  const wall = (['top', 'bottom', 'inner'] as const).find((each) => name.includes(`${each} wall`)) ?? 'outer';
  return { wall: wall === 'inner' && !isClosed(steel.section) ? 'outer' : wall, layer };
}

/** The place along the seam of something across a wall: a height on an upright one, a distance inward on a flange. */
function alongSeam(flat: FlatSection, wall: RailWall, section: Section, across: number): number {
  const found = flat.walls.find((each) => each.wall === wall);
  // A plate over the open side of a channel is welded to the edges of its flanges.
  if (!found) return across > section.depth / 2 ? flat.around : 0;
  const axis = wall === 'top' || wall === 'bottom' ? 'y' : 'z';
  const run = found.end[axis] - found.start[axis];
  const share = run === 0 ? 0 : (across - found.start[axis]) / run;
  return found.from + Math.min(1, Math.max(0, share)) * (found.to - found.from);
}

/** An end of a seam: along the rail from the joint, and across its wall, mm. */
interface SeamEnd {
  readonly x: number;
  readonly across: number;
}

/** The fillets and plugs of a plate or of one wall of a sleeve. */
function partSeams(
  here: RailHere,
  part: SplicePart,
  at: number,
  joint: SpliceOutcome['joint'],
  pose: FramePose,
  rules: Rulebook,
): readonly Seam[] {
  const { one, flat, place } = here;
  const { section } = one.steel;
  const { wall, layer } = lies(one, part.name, at);
  const [slice] = part.slices;
  const upright = wall === 'outer' || wall === 'inner';
  const mean = (range: readonly [number, number]) => (range[0] + range[1]) / 2;
  const local = (across: number) =>
    upright
      ? { y: slice ? mean(slice.y) : 0, z: across }
      : { y: Math.min(widthOf(section), Math.max(0, across)), z: slice ? mean(slice.z) : 0 };
  const boxed = one.splice.plates.some(({ face }) => face === 'inner-side');
  const common = {
    joint,
    rail: one.rail,
    part: part.name,
    wall,
    layer,
    closedOffBy: layer === 'inside' && boxed ? 'the boxing plate' : layer === 'sleeve' ? 'the weld over it' : null,
  } as const;
  const onePass = ruleValue(rules, 'weld/one-pass');
  const stretch = (from: SeamEnd, to: SeamEnd, length: number): SeamStretch => ({
    length,
    from: { x: from.x, s: alongSeam(flat, wall, section, from.across) },
    to: { x: to.x, s: alongSeam(flat, wall, section, to.across) },
    start: place(local(from.across), from.x),
    end: place(local(to.across), to.x),
  });
  const middleOf = mean(upright ? (slice?.z ?? [0, 0]) : (slice?.y ?? [0, 0]));
  const fillets = part.fillets.map(({ role, from, to, leg }, index): Seam => {
    const length = Math.hypot(to.x - from.x, to.across - from.across);
    const area = filletArea(leg);
    const high = (from.across + to.across) / 2 > middleOf;
    const edge = upright ? (high ? 'upper edge' : 'lower edge') : high ? 'inner edge' : 'outer edge';
    const end = (from.x + to.x) / 2 < 0 ? 'front end' : 'rear end';
    const alike = part.fillets.filter(
      (other, before) => before < index && sameEdge(other, part.fillets[index]!, middleOf),
    );
    const where = `${role === 'end' ? end : edge}${alike.length > 0 ? ` ${alike.length + 1}` : ''}`;
    return {
      ...common,
      id: `${joint.id}:${one.rail}:${part.name}:${where}`,
      where,
      weld: { kind: 'fillet', leg },
      length,
      area,
      passes: passesFor(area, onePass),
      position: positionOn(wall, role === 'end' ? 'across' : 'along', pose),
      stretches: [stretch(from, to, length)],
    };
  });
  const [first] = part.plugs;
  if (!first) return fillets;
  const round = Math.PI * first.diameter;
  const area = filletArea(part.plugs[0] ? Math.min(plugLeg(one, part), first.diameter / 2) : 0);
  const plugs: Seam = {
    ...common,
    id: `${joint.id}:${one.rail}:${part.name}:plugs`,
    where: 'plugs',
    weld: { kind: 'plug', diameter: first.diameter, count: part.plugs.length },
    length: round * part.plugs.length,
    area,
    passes: passesFor(area, onePass),
    position: positionOn(wall, 'across', pose),
    stretches: part.plugs.map((plug) => stretch(plug, plug, round)),
  };
  return [...fillets, plugs];
}

/** A plug is laid as a fillet round its hole, as high as the part is thick. */
function plugLeg({ steel }: RailSpliceOutcome, { slices, fed }: SplicePart): number {
  const [slice] = slices;
  if (!slice) return steel.section.thickness;
  const [a, b] = fed === 'as-web' ? slice.y : slice.z;
  return Math.min(Math.abs(b - a), 2 * steel.section.thickness);
}

const sameEdge = (a: SplicePart['fillets'][number], b: SplicePart['fillets'][number], middle: number): boolean => {
  const high = (fillet: typeof a) => (fillet.from.across + fillet.to.across) / 2 > middle;
  const rear = (fillet: typeof a) => (fillet.from.x + fillet.to.x) / 2 >= 0;
  return a.role === b.role && (a.role === 'end' ? rear(a) === rear(b) : high(a) === high(b));
};

/**
 * Every seam of the joints of a plan, front to rear, the rails before the members; of a joint that cannot be calculated none.
 *
 * @param result What the plan gives.
 * @param pose How the frame lies while it is welded.
 * @param rules The shop's rulebook.
 */
export function seamsOf(result: WeldedFrame, pose: FramePose, rules: Rulebook): readonly Seam[] {
  return result.splices.flatMap((splice) =>
    splice.rails.flatMap((one): readonly Seam[] => {
      const made = one.made.splice;
      if (!made) return [];
      const here: RailHere = { one, flat: flatSection(one.steel.section), place: placeAt(result, splice, one) };
      // A sleeve that runs on from the joint ahead is welded there.
      const own = made.parts.filter(({ name }) => splice.sleeveFrom === null || !name.startsWith('sleeve'));
      return [
        ...wallSeams(here, splice.joint, pose, rules),
        ...capSeams(here, splice.joint, pose, rules),
        ...own.flatMap((part) => partSeams(here, part, made.parts.indexOf(part), splice.joint, pose, rules)),
      ];
    }),
  );
}
