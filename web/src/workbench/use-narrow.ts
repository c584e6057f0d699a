import { useSyncExternalStore } from 'react';

/** Narrower than this a screen is held at the frame, not stood on a desk. */
const NARROW = '(max-width: 767px)';

const subscribe = (changed: () => void) => {
  const query = window.matchMedia(NARROW);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
};

/** True on a phone or a small tablet held upright. */
export const useNarrow = (): boolean => useSyncExternalStore(subscribe, () => window.matchMedia(NARROW).matches);
