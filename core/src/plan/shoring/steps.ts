import { partingsOf } from '../cut-moment.ts';
import { lazy } from '../../lazy.ts';
import { offAt, type Shore, type Shoring } from '../../shoring/index.ts';
import type { Standing } from '../measures.ts';
import { dotted, type Operation, operationName } from '../operations/index.ts';
import type { Outcomes } from '../outcomes.ts';
import { frontSpine } from '../piece.ts';
import type { PlanStep } from '../plan-result.ts';
import { bearingsOf, ladenPieces, standingBefore, weightlessOn } from './bearings.ts';
import { type Bodies, cutsInOrder, type ShoringCut } from './cuts.ts';
import { type HeldPart, heldPart, type LadenPiece, pieceOver } from './held.ts';

/** A unit that stands on both sides of a cut. */
interface Spanning {
  readonly unit: string;
  readonly name: string;
  readonly ahead: readonly string[];
  readonly behind: readonly string[];
  /** Counted on to hold both. */
  readonly holds: boolean;
}

/**
 * One operation of the plan, from the frame that stands to its parts that lie apart: how they stand is worked out when it is
 * first asked for.
 */
export interface ShoringStep {
  readonly operation: Operation;
  readonly name: string;
  readonly letters: readonly string[];
  /** The pieces at the moment of the cut, front to rear, where they stood. */
  readonly pieces: readonly LadenPiece[];
  /** The frame before the cut. */
  readonly whole: HeldPart;
  readonly cuts: readonly ShoringCut[];
  /** What is loose when all its cuts are through, front to rear; what is tied together is one. */
  readonly loose: readonly HeldPart[];
  readonly spanning: readonly Spanning[];
  /** Names of units on the frame that nobody has given a weight: nothing of them is in the figures. */
  readonly weightless: readonly string[];
  /** Stands with nothing over them at this step. */
  readonly idle: readonly Shore[];
}

/** Names of the partings of a step: its letters, and which line where one joint has two. */
function namesOf(step: PlanStep, letters: readonly string[], behinds: readonly number[]): ReadonlyMap<number, string> {
  const joint = letters.length > 0 ? dotted(letters) : operationName(step.outcome.operation);
  return new Map(
    behinds.map((behind, index) => [
      behind,
      behinds.length === 1
        ? joint
        : letters.length === behinds.length
          ? (letters[index] as string)
          : behinds.length === 2
            ? `${joint}, ${index === 0 ? 'front' : 'rear'} line`
            : `${joint}, line ${index + 1}`,
    ]),
  );
}

/** A part by where it lies: `A` and `B` are what was cut ahead of it and behind it. */
function partName(first: number, last: number, { pieces, names }: Bodies): string {
  const [ahead, behind] = [names.get(first - 1), names.get(last)];
  const cutOut = pieces.slice(first, last + 1).every(({ removed }) => removed);
  if (cutOut) return 'What is cut out';
  if (!ahead && !behind) return 'Whole frame';
  if (!ahead) return 'Front part';
  if (!behind) return 'Rear part';
  return `Part from ${ahead} to ${behind}`;
}

function spanningAt(
  standing: Standing,
  bodies: Bodies,
  behinds: readonly number[],
  off: ReadonlySet<string>,
  holding: ReadonlySet<string>,
): { readonly spanning: readonly Spanning[]; readonly over: (behind: number) => readonly string[] } {
  const begin = (index: number) => frontSpine((bodies.pieces[index] as LadenPiece).piece).x;
  const sides = standing.units.flatMap(({ unit, mounts }) => {
    if (off.has(unit.id)) return [];
    return behinds.flatMap((behind) => {
      const x = begin(behind + 1);
      const there = mounts.filter(({ built }) => built !== null);
      const ahead = there.filter(({ built }) => (built?.x ?? 0) < x).map(({ name }) => name);
      const after = there.filter(({ built }) => (built?.x ?? 0) >= x).map(({ name }) => name);
      return ahead.length > 0 && after.length > 0
        ? [{ at: behind, unit: unit.id, name: unit.name, ahead, behind: after, holds: holding.has(unit.id) }]
        : [];
    });
  });
  const seen = new Set<string>();
  return {
    spanning: sides.flatMap(({ at: _, ...each }) => (seen.has(each.unit) ? [] : (seen.add(each.unit), [each]))),
    over: (behind) => sides.flatMap(({ at, name, holds }) => (at === behind && holds ? [name] : [])),
  };
}

/**
 * How a frame stands on its shores at each operation that cuts through its rails, before the cut and when it is through.
 *
 * @param outcomes The second stage of an evaluation.
 * @param shoring What holds the frame.
 */
export function shoringSteps(outcomes: Outcomes, shoring: Shoring): ShoringStep[] {
  const { context, prepared, steps, joints, cutEnds } = outcomes;
  const { shores: all, level, holding } = shoring;
  return steps.flatMap((step, at): ShoringStep[] => {
    const { operation, status } = step.outcome;
    const behinds = status === 'done' ? partingsOf(step) : [];
    if (behinds.length === 0) return [];
    const before = steps[at - 1]?.state ?? prepared.state;
    const off = offAt(shoring, operation.id);
    const standing = standingBefore(outcomes, before);
    const pieces = ladenPieces(step, bearingsOf(standing, off, prepared.carriers), context);
    const letters = [...joints, ...cutEnds]
      .filter((mark) => mark.operation === operation.id)
      .map(({ letter }) => letter)
      .sort();
    const shores = all.filter((shore) => shore.step === null || shore.step === operation.id);
    const bodies: Bodies = { step, pieces, shores, names: namesOf(step, letters, behinds), context };
    const { spanning, over } = spanningAt(standing, bodies, behinds, off, new Set(holding));
    const last = pieces.length - 1;
    const part = (first: number, end: number) =>
      heldPart(partName(first, end, bodies), [first, end], pieces, shores, level, context);
    const whole = lazy(() => part(0, last));
    const cuts = lazy(() => cutsInOrder(bodies, behinds, over));
    const loose = lazy(() => {
      const parted = behinds.filter((behind) => cuts().find((cut) => cut.behind === behind)?.tied.length === 0);
      const begins = [0, ...parted.map((behind) => behind + 1)];
      return begins.map((first, index) => part(first, (begins[index + 1] ?? last + 1) - 1));
    });
    return [
      {
        operation,
        name: operationName(operation),
        letters,
        pieces,
        get whole() {
          return whole();
        },
        get cuts() {
          return cuts();
        },
        get loose() {
          return loose();
        },
        spanning,
        weightless: weightlessOn(standing, off, prepared.carriers),
        idle: shores.filter(({ x }) => pieceOver(pieces, x) < 0),
      },
    ];
  });
}
