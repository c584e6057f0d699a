import { type Hung, OperationRefused } from '../state.ts';

/**
 * The list with the entry called `id` changed.
 *
 * @param list What hangs on the frame.
 * @param id Its id.
 * @param change What becomes of it.
 * @throws OperationRefused when it is not on the frame any more.
 */
export function changed<H extends { readonly item: { readonly id: string }; readonly change: string }>(
  list: readonly H[],
  id: string,
  change: (hung: H) => H,
): H[] {
  const found = list.some((hung) => hung.item.id === id && hung.change !== 'removed');
  if (!found)
    throw new OperationRefused('operation/not-on-the-frame', `“${id}” is not on the frame.`, [
      'Pick one from the list, or switch this operation off.',
    ]);
  return list.map((hung) => (hung.item.id === id ? change(hung) : hung));
}

/**
 * The list with one more.
 *
 * @param list What hangs on the frame.
 * @param hung What is to hang on it too.
 * @throws OperationRefused when its id is on the frame already.
 */
export function added<T extends { readonly id: string; readonly name: string }>(
  list: readonly Hung<T>[],
  hung: Hung<T>,
): Hung<T>[] {
  if (list.some((other) => other.item.id === hung.item.id))
    throw new OperationRefused('operation/same-id', `“${hung.item.name}” is on the frame already.`, [
      'Give it another id.',
    ]);
  return [...list, hung];
}
