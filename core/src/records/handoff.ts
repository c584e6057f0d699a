import { inOrderOfTime, type ShopRecord, standing } from './record.ts';

/**
 * The handoff that waits: the last one that nobody has taken up; null where there is none.
 *
 * @param records Records of the job, in any order.
 */
export function handoffIn(records: readonly ShopRecord[]): ShopRecord<'handoff'> | null {
  const last = standing(inOrderOfTime(records), 'handoff').at(-1);
  return last && !last.body.done ? last : null;
}
