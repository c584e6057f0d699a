import { type Joint, letterOf } from './joint.ts';
import { frontSpine, frontTop, type Piece, rearSpine, rearTop } from './piece.ts';
import type { PlanState } from './state.ts';

/** A free end that the plan cut, lettered along with the joints. */
export interface CutEnd {
  readonly letter: string;
  readonly operation: string;
  readonly end: 'front' | 'rear';
  readonly builtX: number;
  readonly donorX: number | null;
}

/**
 * Free ends of the chain that an operation cut.
 *
 * @param state The frame in work.
 */
export function cutEndsOf(state: PlanState): Omit<CutEnd, 'letter'>[] {
  const [first, last] = [state.pieces[0] as Piece, state.pieces[state.pieces.length - 1] as Piece];
  const donorX = (piece: Piece, x: number) => (piece.source === 'donor' ? x : null);
  return [
    ...(first.front.operation && first.front.operation !== first.source
      ? [
          {
            operation: first.front.operation,
            end: 'front' as const,
            builtX: frontSpine(first).x,
            donorX: donorX(first, frontTop(first)),
          },
        ]
      : []),
    ...(last.rear.operation && last.rear.operation !== last.source
      ? [
          {
            operation: last.rear.operation,
            end: 'rear' as const,
            builtX: rearSpine(last).x,
            donorX: donorX(last, rearTop(last)),
          },
        ]
      : []),
  ];
}

/**
 * Letters joints and free ends together, front to rear.
 *
 * @param joints Joints, front to rear.
 * @param ends Free ends that the plan cuts.
 */
export function lettered(joints: readonly Omit<Joint, 'letter'>[], ends: readonly Omit<CutEnd, 'letter'>[]) {
  const inOrder = [...joints, ...ends].sort((a, b) => a.builtX - b.builtX);
  const letter = (mark: (typeof inOrder)[number]): string => letterOf(inOrder.indexOf(mark));
  return {
    joints: joints.map((joint): Joint => ({ ...joint, letter: letter(joint) })),
    cutEnds: ends.map((end): CutEnd => ({ ...end, letter: letter(end) })),
  };
}
