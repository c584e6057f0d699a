import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { widthOf } from '../../sections/index.ts';
import { isClosed, type RailWall, type SplicePart } from '../../splice/index.ts';
import { filletArea, passesFor } from '../../weld/index.ts';
import type { RailSpliceOutcome, SpliceOutcome } from '../splices/splice-outcome.ts';
import { alongSeam, type FramePose, positionOn, type RailHere, type SeamEnd } from './rail-here.ts';
import type { Seam, SeamStretch, WeldLayer } from './seam.ts';

/** Which wall a part lies on, and in which layer it is welded. */
function lies({ splice, steel }: RailSpliceOutcome, name: string, at: number): { wall: RailWall; layer: WeldLayer } {
  const plate = splice.plates[at];
  if (plate) {
    const layer = plate.face === 'web-inside' ? 'inside' : 'outside';
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

/**
 * The fillets and plugs of a plate or of one wall of a sleeve.
 *
 * @param here Where the rail lies at the joint.
 * @param part The part.
 * @param at Its place among the parts of the joint.
 * @param joint The joint.
 * @param pose How the frame lies while it is welded.
 * @param rules The shop's rulebook.
 */
export function partSeams(
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
  const fillets = part.fillets.map((fillet, index): Seam => {
    const { role, from, to, leg } = fillet;
    const length = Math.hypot(to.x - from.x, to.across - from.across);
    const area = filletArea(leg);
    const high = (from.across + to.across) / 2 > middleOf;
    const edge = upright ? (high ? 'upper edge' : 'lower edge') : high ? 'inner edge' : 'outer edge';
    const end = (from.x + to.x) / 2 < 0 ? 'front end' : 'rear end';
    const alike = part.fillets.slice(0, index).filter((other) => isSameEdge(other, fillet, middleOf)).length;
    const where = `${role === 'end' ? end : edge}${alike > 0 ? ` ${alike + 1}` : ''}`;
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

const isSameEdge = (a: SplicePart['fillets'][number], b: SplicePart['fillets'][number], middle: number): boolean => {
  const high = (fillet: typeof a) => (fillet.from.across + fillet.to.across) / 2 > middle;
  const rear = (fillet: typeof a) => (fillet.from.x + fillet.to.x) / 2 >= 0;
  return a.role === b.role && (a.role === 'end' ? rear(a) === rear(b) : high(a) === high(b));
};
