import { type CutPart, type PlanInput, type PlanResult, spliceParts, type SpliceOutcome } from '../plan/index.ts';
import { contextOf } from '../plan/index.ts';
import { type Assumption, assumptionsOf, type Rulebook, type RuleId } from '../rules/index.ts';
import { edgesOf, isOnWeb, type JointWeld } from '../splice/index.ts';
import { finer, type LengthFormat } from '../units/index.ts';
import type { SheetNote, SplicePartMark } from './marks.ts';

/** Where a part lies: ahead of and behind its joint, and how high its lower edge. */
function placeOf(part: CutPart, result: PlanResult): Pick<SplicePartMark, 'ahead' | 'behind' | 'up'> {
  const one = result.splices
    .find(({ joint }) => joint.id === part.joint.id)
    ?.rails.find(({ rail }) => rail === part.rail);
  const plate = one?.made.plates.find(({ name }) => name === part.name);
  if (one && plate) {
    const lowest = Math.min(...edgesOf(plate, one.steel.section).map(({ low }) => low));
    return { ahead: plate.ahead, behind: plate.behind, up: isOnWeb(plate.face) ? lowest : null };
  }
  const sleeve = one?.splice.sleeve;
  // A cap lies over the stretch behind its joint, edge on edge with the rails.
  if (part.name.startsWith('cap,')) return { ahead: 0, behind: part.length, up: null };
  return { ahead: sleeve?.ahead ?? 0, behind: sleeve?.behind ?? 0, up: null };
}

/**
 * The parts to cut for the joints, and where each goes on.
 *
 * @param input Donor, plan and rules; validated.
 * @param result What the plan gives.
 */
export const splicePartMarks = (input: PlanInput, result: PlanResult): SplicePartMark[] =>
  spliceParts(result, input).map((part) => ({ part, ...placeOf(part, result) }));

const WAYS = {
  'both-sides': 'through from both sides',
  'on-backing': 'from one side on a backing',
  'one-side': 'from one side only',
} as const;
/** Walls that are welded otherwise, in words. */
const wallWords = ({ walls = [] }: JointWeld): string =>
  walls.map(({ wall, way }) => `, the ${wall} wall ${way === 'not-welded' ? 'not at all' : WAYS[way]}`).join('');
const TESTS = { dye: 'checked with dye', visual: 'looked at' } as const;

/** How much longer than planned the frame comes out of a joint: what the gap adds, less what the weld pulls, mm. */
export const longerBy = ({ worst: { weld }, decided }: SpliceOutcome): number =>
  decided ? weld.gap - weld.shrinkage : 0;

/**
 * What is said of each joint's weld: how it is made, how far apart its ends are set, and what that asks of the cut.
 *
 * @param input Donor, plan and rules; validated.
 * @param result What the plan gives.
 */
export function weldNotes(input: PlanInput, result: PlanResult): SheetNote[] {
  const { show } = contextOf({ ...input, display: finer(input.display) });
  const fresh = new Set(result.pieces.map(({ source }) => source));
  return result.splices.flatMap((outcome): SheetNote[] => {
    const { joint, decided, worst } = outcome;
    if (!decided)
      return [{ letters: joint.letter, text: 'How this joint is made is not decided: no gap is in its lengths.' }];
    const { splice, weld } = worst;
    if (splice.form.form === 'bolted')
      return [
        {
          letters: joint.letter,
          text: 'Bolted, not welded: ends set close, holes drilled through plate and rail together.',
        },
      ];
    const longer = longerBy(outcome);
    const made = fresh.has(joint.operation)
      ? 'The new rail is cut shorter by the difference'
      : longer > 0
        ? `Take ${show(longer)} more off the rear end, or the frame comes out so much longer`
        : 'The cut needs no change for it';
    return [
      {
        letters: joint.letter,
        text: `Weld ${WAYS[splice.weld.way]}${wallWords(splice.weld)}, ${TESTS[splice.weld.test]}${splice.weld.flush ? ', ground flush lengthwise' : ''}. Set the ends ${show(weld.gap)} apart; the weld is expected to draw them ${show(weld.shrinkage)} together. ${made}.`,
      },
    ];
  });
}

/** The rules that every splice is calculated with. */
const ALWAYS: readonly RuleId[] = ['weld/electrode', 'weld/allowed', 'weld/gap', 'weld/groove', 'splice/fed-edge'];

/**
 * The factors that the strength of a plan's joints rests on, each with its value and source.
 *
 * @param result What the plan gives.
 * @param rules The shop's rulebook.
 * @param format How lengths are written.
 */
export function spliceAssumptions(
  { splices }: Pick<PlanResult, 'splices'>,
  rules: Rulebook,
  format: LengthFormat,
): readonly Assumption[] {
  const made = splices.flatMap(({ rails }) => rails.map(({ splice }) => splice));
  const used = new Set<RuleId>([
    ...made.flatMap(({ form, weld }): RuleId[] => (form.form === 'bolted' ? [] : [`weld/${weld.way}-${weld.test}`])),
    ...ALWAYS,
    ...(made.some(({ form }) => form.form === 'angled') ? (['weld/band'] as const) : []),
    ...(made.some(({ plates }) => plates.some(({ fastening }) => fastening.by === 'bolts'))
      ? (['bolt/shear', 'bolt/bearing', 'bolt/hole'] as const)
      : []),
    'fatigue/range',
  ]);
  return assumptionsOf([...used], rules, format);
}
