import { type Joint, letterOf } from './joint.ts';
import { frontSpine, frontTop, type Piece, rearSpine, rearTop } from './piece.ts';
import type { FrozenLetter } from './operation.ts';
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
 * What a free end keeps its letter by.
 *
 * @param cutEnd The end.
 */
const endId = ({ operation, end }: Pick<CutEnd, 'operation' | 'end'>): string => `${operation}/${end}`;

/**
 * Letters joints and free ends together, front to rear: those that are frozen keep theirs, the others take the first that none
 * has or had.
 *
 * @param joints Joints, front to rear.
 * @param ends Free ends that the plan cuts.
 * @param frozen Letters that stay.
 */
export function lettered(
  joints: readonly Omit<Joint, 'letter'>[],
  ends: readonly Omit<CutEnd, 'letter'>[],
  frozen: readonly FrozenLetter[] = [],
) {
  const kept = new Map(frozen.map(({ id, letter }) => [id, letter]));
  const used = new Set(frozen.map(({ letter }) => letter));
  const idOf = (mark: Omit<Joint, 'letter'> | Omit<CutEnd, 'letter'>) => ('id' in mark ? mark.id : endId(mark));
  const letters = new Map<string, string>();
  let count = 0;
  for (const mark of [...joints, ...ends].sort((a, b) => a.builtX - b.builtX)) {
    const own = kept.get(idOf(mark));
    while (own === undefined && used.has(letterOf(count))) count += 1;
    letters.set(idOf(mark), own ?? letterOf(count));
    if (own === undefined) count += 1;
  }
  const letter = (id: string): string => letters.get(id) as string;
  return {
    joints: joints.map((joint): Joint => ({ ...joint, letter: letter(joint.id) })),
    cutEnds: ends.map((end): CutEnd => ({ ...end, letter: letter(endId(end)) })),
  };
}

/**
 * The letters of a plan as they stand, to be kept: those that were frozen before stay, also of what is cut no more.
 *
 * @param result What the plan gives.
 * @param frozen Letters that were frozen before.
 */
export function lettersToKeep(
  { joints, cutEnds }: { readonly joints: readonly Joint[]; readonly cutEnds: readonly CutEnd[] },
  frozen: readonly FrozenLetter[] = [],
): readonly FrozenLetter[] {
  const known = new Set(frozen.map(({ id }) => id));
  const now = [
    ...joints.map(({ id, letter }): FrozenLetter => ({ id, letter })),
    ...cutEnds.map((end): FrozenLetter => ({ id: endId(end), letter: end.letter })),
  ];
  return [...frozen, ...now.filter(({ id }) => !known.has(id))];
}
