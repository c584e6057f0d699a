import { SIDES } from '../frame/index.ts';
import { evaluateGeometry, jointsOf, type Operation } from '../plan/index.ts';
import { inputWith } from './goal.ts';
import { endsParts } from './ends.ts';
import { type Part, partsAt } from './ground.ts';
import { type JudgeContext, onceEach } from './judge.ts';
import { outOfPlace } from './out-of-place.ts';
import { gapsOf, jointsOfOption } from './option-cuts.ts';
import type { Reason } from './reason.ts';

/** What a single cut at a place says of itself without the judgment of its plan: enough to be asked of every place. */
export interface Quick {
  readonly parts: readonly Part[];
  /** Why it cannot be: its ends cannot meet, or it has no room. */
  readonly refusals: readonly Omit<Reason, 'says'>[];
  readonly joints: number;
}

/**
 * The part of a judgment that changes from place to place, from where the steel goes alone.
 *
 * @param operations The option's operations.
 * @param judgeContext What options are judged with.
 */
export function quickOf(operations: readonly Operation[], { base, ground }: JudgeContext): Quick {
  const { rules } = base.input;
  const { state, context, steps } = evaluateGeometry(inputWith(base, operations));
  const byId = new Map(steps.map(({ outcome: { operation } }) => [operation.id, operation]));
  const joints = jointsOf(state, (id) => byId.get(id), [], context).filter(({ operation }) =>
    operations.some(({ id }) => id === operation),
  );
  const parts = onceEach([...endsParts(joints, rules), ...gapsOf(operations).flatMap((gap) => partsAt(ground, gap))]);
  const cannot = joints.some((joint) => SIDES.some((side) => joint.sides[side].verdict === 'cannot'));
  return {
    parts,
    refusals: [
      ...outOfPlace(operations, ground, () => ''),
      ...(cannot ? [{ code: 'ends-cannot', lane: 'taper' as const, about: null }] : []),
    ],
    joints: jointsOfOption(operations),
  };
}
