import { type ComponentType, lazy } from 'react';

/** Loads everything that is loaded later: for tests, which do not wait for it. */
const loads = new Set<() => Promise<unknown>>();
let all = false;
export async function loadAllLater(): Promise<void> {
  await Promise.allSettled([...loads].map((load) => load()));
  all = true;
}
/** Whether everything is here already, so that nothing follows what is drawn first. */
export const isAllLoaded = (): boolean => all;

/**
 * A part of the screen whose code is loaded when it is first shown; drawn at once where it is here. To be put into a
 * `Waits` of its own.
 *
 * @param load Loads it.
 */
export function later<Props extends object>(load: () => Promise<ComponentType<Props>>): ComponentType<Props> {
  let here: ComponentType<Props> | undefined;
  const ask = async () => (here ??= await load());
  loads.add(ask);
  return lazy(() => {
    if (!here) return ask().then((part) => ({ default: part }));
    const part = { default: here };
    // React looks for what was loaded as soon as it has asked.
    return { then: (hear: (loaded: typeof part) => void) => hear(part) } as Promise<typeof part>;
  });
}
