import { useEffect, useRef, useState } from 'react';

/** The hand rests: what it did is caught up with, ms. */
const REST_MS = 150;
/** While it goes on, figures are renewed so often, ms: faster they cannot be read, and each time costs a frame. */
const MOST_MS = 1000;

/**
 * The value itself, or while `hurried` that of the moment when the hand last rested, or of a while ago at most.
 *
 * @param most How far behind it may be, ms.
 */
export function useCatchUp<T>(value: T, hurried: boolean, most = MOST_MS): T {
  const [late, setLate] = useState(value);
  const since = useRef<number | null>(null);
  useEffect(() => {
    const now = performance.now();
    since.current ??= now;
    const timer = setTimeout(
      () => {
        since.current = null;
        setLate(value);
      },
      Math.max(0, Math.min(REST_MS, since.current + most - now)),
    );
    return () => clearTimeout(timer);
  }, [value, most]);
  return hurried ? late : value;
}
