import { type Frame, railOf, SIDES } from '../frame/index.ts';
import {
  acceptedText,
  contextOf,
  dotted,
  type Operation,
  operationName,
  type PlanInput,
  type PlanResult,
} from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import { crossChecks, cutLines } from './cut-lines.ts';
import type { BracketMark, MarkSheet, SheetNote } from './marks.ts';
import { measurerOf } from './measure.ts';
import { memberMarks } from './member-marks.ts';
import { newPiecesOf } from './new-pieces.ts';
import { mountMarks } from './mount-marks.ts';
import { spliceAssumptions, splicePartMarks, weldNotes } from './splice-marks.ts';
import { bracketMarks, crossmemberMarks, reworkMarks } from './work-marks.ts';

/** What the shop wrote beside operations that are carried out. */
function notesOf({ operations }: PlanResult): SheetNote[] {
  return operations.flatMap(({ operation, status, letters }): SheetNote[] => {
    const text = operation.note.trim();
    return status === 'done' && text !== ''
      ? [{ letters: letters.length > 0 ? dotted(letters) : operationName(operation), text }]
      : [];
  });
}

/** What of the donor the marks rest on and is only assumed to be where it stands. */
function assumedOf({ rails, features, crossmembers, datum }: Frame): string[] {
  const things = [...features, ...crossmembers].filter(({ origin }) => origin === 'assumed');
  return [
    ...SIDES.flatMap((side) => {
      const stations = railOf(rails, side);
      const assumed = stations.filter(({ origin }) => origin === 'assumed').length;
      if (assumed === 0 || (side === 'right' && rails.kind === 'mirrored')) return [];
      const name = rails.kind === 'mirrored' ? 'the rails' : `the ${side} rail`;
      return [`${assumed} of ${stations.length} stations of ${name}`];
    }),
    ...things.map(({ id, name }) => (id === datum ? `${name}, from which everything is measured` : name)),
  ];
}

/** On each rail front to rear. */
const inOrder = (marks: readonly BracketMark[]): readonly BracketMark[] =>
  SIDES.flatMap((side) => marks.filter((mark) => mark.side === side).toSorted((a, b) => a.web - b.web));

/**
 * The marks for a plan: what to scribe, drill and fix on both rails of the donor, and the new steel to cut.
 *
 * @param input Donor, body, plan and rules; validated.
 * @param result What the plan gives.
 */
export function markSheet(input: PlanInput, result: PlanResult): MarkSheet {
  const { donor: frame, plan, rules } = input;
  const measurer = measurerOf(frame);
  const operations = new Map(plan.operations.map((operation): [string, Operation] => [operation.id, operation]));
  const lines = cutLines(result, operations, measurer);
  return {
    datum: frame.features.find((feature) => feature.id === frame.datum)?.name ?? 'front axle',
    stops: result.conflicts.filter(({ severity }) => severity === 'stop').map(({ message }) => message),
    accepted: result.conflicts.flatMap(({ accepted, message }) =>
      accepted ? [`${message} ${acceptedText(accepted)}`] : [],
    ),
    assumed: assumedOf(frame),
    lines,
    brackets: inOrder([...bracketMarks(result, measurer), ...mountMarks(result, measurer, frame)]),
    crossmembers: crossmemberMarks(result, measurer),
    members: memberMarks(result),
    reworks: reworkMarks(result, measurer),
    parts: splicePartMarks(input, result),
    checks: crossChecks(lines, measurer),
    newPieces: newPiecesOf(result, operations, contextOf(input), ruleValue(rules, 'cut/kerf')),
    notes: notesOf(result),
    welds: weldNotes(input, result),
    assumptions: result.joints.length > 0 ? spliceAssumptions(result, rules, input.display) : [],
  };
}
