import { useSyncExternalStore } from 'react';

/** Narrower than this a screen is held at the frame, not stood on a desk. */
const NARROW = '(max-width: 767px)';

let query: MediaQueryList | undefined;
const narrow = (): MediaQueryList => (query ??= window.matchMedia(NARROW));

const subscribe = (changed: () => void) => {
  narrow().addEventListener('change', changed);
  return () => narrow().removeEventListener('change', changed);
};

/** True on a phone or a small tablet held upright. */
export const useNarrow = (): boolean => useSyncExternalStore(subscribe, () => narrow().matches);
