import { isMet } from '../units/index.ts';
import { axleLoads } from './axle-conflicts.ts';
import { advise, type Finding, NOWHERE } from './conflict.ts';
import { statusesOfCrossmembers } from './crossmember-conflicts.ts';
import { driveLine } from './drive-line-conflicts.ts';
import { statusesOfFeatures } from './feature-conflicts.ts';
import type { Finder } from './findings.ts';
import { joints, nearJoints, transitions } from './joint-conflicts.ts';
import { lineRun } from './line-run.ts';
import { loosePieces } from './loose-conflicts.ts';
import { frontTop, rearTop } from './piece.ts';
import { bodyConflicts } from './match/body-conflicts.ts';
import { roomConflicts } from './match/room-conflicts.ts';
import { mountConflicts } from './mounts/mount-conflicts.ts';
import { memberConflicts } from './member-conflicts.ts';
import { weakNotches } from './notch-conflicts.ts';
import { lostRiders } from './rider-conflicts.ts';
import { schools } from './school-conflicts.ts';
import { sleeveRuns } from './splices/sleeve-run.ts';
import { overlappingParts, spliceConflicts, underPlates } from './splices/splice-conflicts.ts';
import { builtOf } from './tape.ts';
import { unitConflicts } from './unit-conflicts.ts';

const overlaps: Finder = ({ state }) =>
  state.removed
    .filter((piece) => piece.source !== 'donor' && piece.source !== piece.operation)
    .map((piece) => ({
      ...NOWHERE,
      operation: piece.operation,
      code: 'operations-overlap',
      severity: 'warn' as const,
      about: piece.source,
      message: 'This operation takes out steel that an earlier operation put in.',
      fixes: advise('Make one operation of the two.', 'Move one of them.'),
    }));

/** Boxing plates and notches that a later cut runs through or takes away. */
const cutReworks: Finder = ({ state, tape }) =>
  state.reworks.flatMap(({ operation, source, from, to }): Finding[] => {
    const left = state.pieces.filter(
      (piece) => piece.source === source && frontTop(piece) < to - 1e-6 && rearTop(piece) > from + 1e-6,
    );
    const whole = left.some((piece) => frontTop(piece) <= from + 1e-6 && rearTop(piece) >= to - 1e-6);
    if (whole) return [];
    const what = operation.kind === 'box' ? 'boxing plate' : 'notch';
    const middle = (from + to) / 2;
    return [
      {
        ...NOWHERE,
        operation: operation.id,
        donorX: source === 'donor' ? middle : null,
        builtX: source === 'donor' ? builtOf(tape, middle) : null,
        code: 'rework-cut',
        severity: 'warn',
        message:
          left.length === 0
            ? `The ${what} is on steel that a later cut takes out.`
            : `A later cut runs through the ${what}.`,
        fixes: advise(
          operation.kind === 'box'
            ? 'Box the rail after the cut, each side of the joint for itself.'
            : 'Notch the rail after the cut.',
        ),
      },
    ];
  });

const lines: Finder = ({ frame, tape }, { show }) =>
  frame.lines.flatMap((line): Finding[] => {
    const now = lineRun(line, tape);
    const change = now === null ? null : now - (line.to - line.from);
    if (change !== null && isMet(change)) return [];
    const at = { ...NOWHERE, donorX: (line.from + line.to) / 2, about: line.id, code: 'line-length' };
    if (change === null)
      return [
        {
          ...at,
          severity: 'note',
          message: `${line.name} ends on steel that is taken out: reroute it.`,
          fixes: advise('Replace it.'),
        },
      ];
    const fits = change > 0 && change <= line.slack;
    return [
      {
        ...at,
        severity: 'note',
        message:
          change < 0
            ? `${line.name} is ${show(-change)} too long.`
            : `${line.name} must reach ${show(change)} farther; its slack is ${show(line.slack)}.`,
        fixes: advise(
          change < 0
            ? 'Shorten it, or lay what is over in a loop.'
            : fits
              ? 'Use the slack.'
              : 'Join a piece in, or replace it.',
        ),
      },
    ];
  });

const FINDERS: readonly Finder[] = [
  statusesOfFeatures,
  statusesOfCrossmembers,
  lostRiders,
  unitConflicts,
  memberConflicts,
  joints,
  transitions,
  nearJoints,
  schools,
  spliceConflicts,
  underPlates,
  overlappingParts,
  sleeveRuns,
  overlaps,
  cutReworks,
  weakNotches,
  loosePieces,
  lines,
  axleLoads,
  bodyConflicts,
  roomConflicts,
  mountConflicts,
  driveLine,
];

/**
 * Everything a builder must know about an evaluated plan besides its refused operations.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const findConflicts: Finder = (findings, context) => FINDERS.flatMap((find) => find(findings, context));
