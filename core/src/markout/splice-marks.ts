import { type Side, SIDES } from '../frame/index.ts';
import { type CutPart, type PlanInput, type PlanResult, spliceParts, type SpliceOutcome } from '../plan/index.ts';
import { contextOf } from '../plan/index.ts';
import { type Assumption, assumptionsOf, type Rulebook, type RuleId } from '../rules/index.ts';
import { edgesOf, isOnWeb } from '../splice/index.ts';
import { finer, type LengthFormat } from '../units/index.ts';
import type { Measurer } from './measure.ts';
import type { SheetNote, SpliceLine, SplicePartMark } from './marks.ts';

/** A line of a form before it is measured from the datum: so far from the joint along the top edge, web or bottom edge. */
interface FormLine {
  readonly what: string;
  readonly off: number;
  readonly to: number | null;
  readonly height: number | null;
}

/** What is scribed besides the line of a square cut. */
function formLines({ splice: { form }, steel: { section } }: SpliceOutcome['rails'][number]): readonly FormLine[] {
  switch (form.form) {
    case 'butt':
    case 'bolted':
      return [];
    case 'angled':
      return [
        { what: 'angled cut, at the top edge', off: form.run / 2, to: null, height: section.depth },
        { what: 'angled cut, at the bottom edge', off: -form.run / 2, to: null, height: 0 },
      ];
    case 'step': {
      const upper = (form.upper === 'ahead' ? -1 : 1) * (form.length / 2);
      return [
        { what: 'step, upper vertical and across the top flange', off: upper, to: null, height: null },
        { what: 'step, lower vertical and across the bottom flange', off: -upper, to: null, height: null },
        { what: 'step, horizontal', off: -form.length / 2, to: form.length / 2, height: form.height },
      ];
    }
  }
}

/** Two lines that are one on the steel: both sides of a cut are kept. */
const sameLine = (a: SpliceLine, b: SpliceLine): boolean =>
  a.side === b.side &&
  a.what === b.what &&
  Math.abs(a.from.web - b.from.web) < 0.01 &&
  Math.abs((a.to ?? 0) - (b.to ?? 0)) < 0.01;

/**
 * The lines of steps and angled cuts on both rails of the donor, from the datum hole; where one cut makes two joints, once.
 *
 * @param result What the plan gives.
 * @param measurer Measures along the donor's rails.
 */
export function spliceLines(result: PlanResult, measurer: Measurer): SpliceLine[] {
  const at = (side: Side, x: number) => measurer.from(side, { top: x, web: x, bottom: x });
  const all = SIDES.flatMap((side) =>
    result.splices.flatMap(({ joint, rails, decided }): SpliceLine[] => {
      const one = rails.find(({ rail }) => rail === side);
      const { donorX } = joint;
      if (!decided || !one || donorX === null) return [];
      return formLines(one).map(({ what, off, to, height }) => ({
        letters: joint.letter,
        side,
        what,
        from: at(side, donorX + off),
        to: to === null ? null : at(side, donorX + to).web,
        height,
        radius: one.splice.form.form === 'step' ? one.splice.form.radius : 0,
      }));
    }),
  );
  return all.reduce<SpliceLine[]>((lines, line) => {
    const twin = lines.findIndex((other) => sameLine(other, line));
    const known = lines[twin];
    if (!known) return [...lines, line];
    return lines.with(twin, { ...known, letters: `${known.letters} ${line.letters}` });
  }, []);
}

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
        text: `Weld ${WAYS[splice.weld.way]}, ${TESTS[splice.weld.test]}${splice.weld.flush ? ', ground flush lengthwise' : ''}. Set the ends ${show(weld.gap)} apart; the weld is expected to draw them ${show(weld.shrinkage)} together. ${made}.`,
      },
    ];
  });
}

/** The rules that every splice is reckoned with. */
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
