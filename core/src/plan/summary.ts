import type { Conflict } from './conflict.ts';
import type { PlanResult } from './plan-result.ts';
import type { AttachmentStatus } from './attachment-status.ts';
import { type Joint, JOINT_VERDICTS } from './joint.ts';
import { frontTop, type Piece, rearTop } from './piece.ts';

/** What a plan costs, to hold one against another. Lengths along the frame, mm, one rail. */
export interface PlanSummary {
  /** Operations that are carried out. */
  readonly operations: number;
  readonly joints: number;
  /** The joint that asks for most work; null without joints. */
  readonly worstJoint: Joint | null;
  readonly newRail: number;
  readonly cutAway: number;
  /** Names of what hangs on the frame and goes, and of what must be drilled or welded again elsewhere. */
  readonly gone: readonly string[];
  readonly remade: readonly string[];
  readonly stops: readonly Conflict[];
  readonly decisions: readonly Conflict[];
}

const GONE: readonly AttachmentStatus[] = ['lost', 'cut-through', 'removed'];
const REMADE: readonly AttachmentStatus[] = ['re-drill', 're-weld'];

/**
 * The joint that asks for most work, the front one of equals.
 *
 * @param joints Joints, front to rear.
 */
export const worstJointOf = (joints: readonly Joint[]): Joint | null =>
  joints.reduce<Joint | null>(
    (worst, joint) =>
      !worst || JOINT_VERDICTS.indexOf(joint.verdict) > JOINT_VERDICTS.indexOf(worst.verdict) ? joint : worst,
    null,
  );

const along = (pieces: readonly Piece[]): number =>
  pieces.reduce((sum, piece) => sum + Math.abs(rearTop(piece) - frontTop(piece)), 0);

/** What a plan costs. */
export function summaryOf({
  operations,
  joints,
  pieces,
  removed,
  features,
  crossmembers,
  conflicts,
}: PlanResult): PlanSummary {
  const hung = [
    ...features.map(({ feature, status }) => ({ name: feature.name, status })),
    ...crossmembers.map(({ crossmember, status }) => ({ name: crossmember.name, status })),
  ];
  const named = (statuses: readonly AttachmentStatus[]) =>
    hung.filter(({ status }) => statuses.includes(status)).map(({ name }) => name);
  return {
    operations: operations.filter(({ status }) => status === 'done').length,
    joints: joints.length,
    worstJoint: worstJointOf(joints),
    newRail: along(pieces.filter(({ source }) => source !== 'donor')),
    cutAway: along(removed.filter(({ source }) => source === 'donor')),
    gone: named(GONE),
    remade: named(REMADE),
    stops: conflicts.filter(({ severity }) => severity === 'stop'),
    decisions: conflicts.filter(({ severity }) => severity === 'warn'),
  };
}

/**
 * Ids of the operations that cut, front to rear.
 *
 * @param result What a plan gives.
 */
export function cutsAlong({ joints, cutEnds }: Pick<PlanResult, 'joints' | 'cutEnds'>): readonly string[] {
  const marks = [...joints, ...cutEnds].sort((a, b) => a.builtX - b.builtX);
  return [...new Set(marks.map(({ operation }) => operation))];
}
