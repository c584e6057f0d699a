import { startTransition, useEffect, useState } from 'react';
import { isAllLoaded } from '../client/lazy-component.tsx';

/**
 * False until what was drawn first is on the screen: what is beside it follows then, and does not hold it up.
 *
 * @param already Whether nothing has to follow.
 */
export function useStands(already = isAllLoaded()): boolean {
  const [stands, setStands] = useState(already);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    // A timer that is set in a frame runs once that frame was painted.
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => startTransition(() => setStands(true)));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, []);
  return stands;
}
