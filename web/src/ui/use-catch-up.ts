import { useEffect, useState } from 'react';
import { lag } from '../client/lag.ts';

/**
 * The value itself, or while `hurried` that of the moment when the hand last rested, or of a while ago at most.
 *
 * @param most How far behind it may be, ms.
 */
export function useCatchUp<T>(value: T, hurried: boolean, most: number): T {
  const [late, setLate] = useState(value);
  const [lagging] = useState(() => lag(setLate, most));
  useEffect(() => lagging.tell(value), [lagging, value]);
  useEffect(() => lagging.forget, [lagging]);
  return hurried ? late : value;
}
