import { type Rulebook, type RuleId, ruleValue } from '../../rules/index.ts';
import { cyclesToCompare, edgesOf, isOnWeb, type Plate, type RailSplice, type RailSteel } from '../../splice/index.ts';

/** A detail of a joint that cracks could begin at, and how it compares. */
export interface FatigueDetail {
  readonly rule: RuleId;
  /** The part it is on; empty for the joint's own weld. */
  readonly where: string;
  /** Its class (FAT), MPa at two million cycles. */
  readonly detailClass: number;
  /** The stress range where it is, MPa: less than in the flange where it lies nearer the middle. */
  readonly range: number;
  /** Cycles at that range: for comparing, never promised; null at a range of 0. */
  readonly cycles: number | null;
}

const WELD_RULES = {
  'both-sides': 'fatigue/butt',
  'on-backing': 'fatigue/butt-backing',
  'one-side': 'fatigue/butt-one-side',
} as const satisfies Readonly<Record<RailSplice['weld']['way'], RuleId>>;

/**
 * The details of a joint that cracks could begin at, the worst first: the one that lasts the fewest cycles.
 *
 * @param splice How the rail is made there.
 * @param plates Its plates as they are laid on.
 * @param steel The rail.
 * @param rules The shop's rulebook: classes, and the stress range in the flange.
 */
export function fatigueDetails(
  splice: RailSplice,
  plates: readonly Plate[],
  { section }: RailSteel,
  rules: Rulebook,
): readonly FatigueDetail[] {
  const inFlange = ruleValue(rules, 'fatigue/range');
  const half = section.depth / 2;
  const detail = (rule: RuleId, where: string, lever = 1): FatigueDetail => {
    const detailClass = ruleValue(rules, rule);
    const range = inFlange * lever;
    return { rule, where, detailClass, range, cycles: range > 0 ? cyclesToCompare(detailClass, range) : null };
  };
  const { weld, form, sleeve } = splice;
  const rule = weld.way === 'both-sides' && weld.flush ? 'fatigue/butt-flush' : WELD_RULES[weld.way];
  const ends = plates.flatMap((plate, at): FatigueDetail[] => {
    const laid = splice.plates[at];
    if (laid?.fastening.by === 'bolts') return [detail('fatigue/bolts', plate.name, leverOf(plate, half, section))];
    const tapered = plate.outline.shape !== 'rectangle';
    return [detail(tapered ? 'fatigue/tapered-end' : 'fatigue/plate-end', plate.name, leverOf(plate, half, section))];
  });
  return [
    ...(form.form === 'bolted' ? [] : [detail(rule, '')]),
    ...ends,
    ...(sleeve ? [detail(sleeve.endLeg > 0 ? 'fatigue/plate-end' : 'fatigue/fillet', 'sleeve')] : []),
  ].sort((a, b) => (a.cycles ?? Infinity) - (b.cycles ?? Infinity));
}

/** How far from the middle the end of a plate reaches, as a share of the way to the flange: bending stress goes with it. */
function leverOf(plate: Plate, half: number, section: RailSteel['section']): number {
  if (!isOnWeb(plate.face)) return 1;
  const ends = [edgesOf(plate, section)[0], edgesOf(plate, section).at(-1)];
  return Math.min(
    1,
    Math.max(...ends.flatMap((end) => (end ? [Math.abs(end.low - half), Math.abs(end.high - half)] : []))) / half,
  );
}
