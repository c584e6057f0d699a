import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import {
  type EndFit,
  flangeLength,
  type MadeSplice,
  type RailSplice,
  type SpliceForm,
  shrinkageAcross,
  type SplicePart,
  wallLength,
  wallsOf,
  type WeldWay,
} from '../../splice/index.ts';
import { grooveArea } from '../../weld/index.ts';
import { capWeld } from './cap-sides.ts';
import { weldOn } from './steel.ts';

/** What welding a joint takes. */
export interface WeldWork {
  /** Cross-section of the weld in the wall, mm². */
  readonly area: number;
  /** All of it: through the wall, round plates and sleeve, in plugs, mm. */
  readonly length: number;
  /** Put in, kJ. */
  readonly heat: number;
  /** How far the ends are set apart, and how much the weld pulls them together, mm. */
  readonly gap: number;
  readonly shrinkage: number;
}

/** Length of the weld through the wall, mm: longer where the cut slants or steps, without a flange that is not cut. */
function wallWeld({ form, weld }: RailSplice, section: Section, uncut: EndFit['uncut']): number {
  const left = (weld.walls ?? [])
    .filter(({ way }) => way === 'not-welded')
    .reduce((sum, { wall }) => sum + (wallsOf(section)[wall] ?? 0), 0);
  return Math.max(0, allWalls(form, section, uncut) - left);
}

function allWalls(form: SpliceForm, section: Section, uncut: EndFit['uncut']): number {
  if (uncut && form.form === 'butt') return wallLength(section) - flangeLength(section);
  switch (form.form) {
    case 'bolted':
      return 0;
    case 'butt':
      return wallLength(section);
    case 'angled':
      return wallLength(section) + websOf(section) * (Math.hypot(section.depth, form.run) - section.depth);
    case 'step':
      return wallLength(section) + websOf(section) * form.length;
  }
}

const websOf = ({ kind }: Section): number => (kind === 'channel' ? 1 : kind === 'round' ? 0 : 2);

/**
 * Cross-section of the weld through a wall, mm². From both sides the groove is a double one, with a cap on each.
 *
 * @param wall Thickness of the wall, mm.
 * @param way From which sides it is welded.
 * @param rules The rulebook: gap, bevel, land and cap.
 */
export function wallWeldArea(wall: number, way: WeldWay, rules: Rulebook): number {
  const side = (half: 1 | 2) =>
    grooveArea({
      wall: wall / half,
      gap: ruleValue(rules, 'weld/gap'),
      land: ruleValue(rules, 'weld/land') / half,
      bevel: ruleValue(rules, 'weld/groove') / 2,
      beveledEdges: 2,
      cap: { width: ruleValue(rules, 'weld/band'), height: ruleValue(rules, 'weld/cap') },
    });
  return way === 'both-sides' ? 2 * side(2) : side(1);
}

/**
 * What welding a joint takes.
 *
 * @param splice How the rail is made there.
 * @param made What `spliceOf` makes of it.
 * @param section The rail's section.
 * @param rules The rulebook.
 * @param at How far its sleeve runs through from the joint ahead or to the one behind, mm, and a flange that is not cut.
 */
export function weldWork(
  splice: RailSplice,
  made: MadeSplice,
  section: Section,
  rules: Rulebook,
  { span, uncut }: { readonly span: readonly [number, number]; readonly uncut: EndFit['uncut'] } = {
    span: [0, 0],
    uncut: null,
  },
): WeldWork {
  const { weld, form } = splice;
  const t = section.thickness;
  const welded = form.form !== 'bolted';
  const gap = welded ? ruleValue(rules, 'weld/gap') : 0;
  const area = welded ? wallWeldArea(t, weld.way, rules) : 0;
  // A sleeve that runs on from the joint ahead is welded once, and counted there; its caps are welded to the rails at both.
  const isOurs = ({ name }: SplicePart): boolean => span[0] === 0 || !name.startsWith('sleeve');
  const capped = splice.sleeve?.caps === true && span[1] > span[0];
  const caps = capped && span[0] === 0 ? capWeld(section, span[1]) : 0;
  const wallIn = capped ? 0 : wallWeld(splice, section, uncut);
  const parts = (made.splice?.parts ?? []).filter(isOurs).reduce((sum, part) => sum + weldOn(part), 0);
  const length = wallIn + parts + caps;
  return { area, length, heat: length * ruleValue(rules, 'weld/heat'), gap, shrinkage: shrinkageAcross(area, t) };
}
