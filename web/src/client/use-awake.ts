import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/**
 * False in the page as the server sends it, true once it answers: a button pressed before that would do nothing, so it
 * is dimmed until it does.
 */
export const useAwake = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
