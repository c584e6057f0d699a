import { startTransition, useEffect, useState } from 'react';

/** False until what was drawn first is on the screen: what is beside it follows then, and does not hold it up. */
export function useStands(): boolean {
  const [stands, setStands] = useState(false);
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
