import { type ComponentType, lazy } from 'react';

/** Loads everything that is loaded later: for tests, which do not wait for it. */
const loads = new Set<() => Promise<unknown>>();
export const loadAllLater = (): Promise<unknown> => Promise.all([...loads].map((load) => load()));

/** What could not be fetched is asked for again so often, ms. */
const AGAIN = 2000;
/** How browsers say that they could not fetch code: what was fetched and fails is a fault of the program. */
const NOT_FETCHED = /dynamically imported module|module script/i;

/** Asks until it is there: a connection that drops leaves a part of the screen waiting, and nothing is lost. */
async function untilHere<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch (error) {
      if (!(error instanceof Error && NOT_FETCHED.test(error.message))) throw error;
      await new Promise((resolve) => setTimeout(resolve, AGAIN));
    }
  }
}

/**
 * A part of the screen whose code is loaded when it is first shown; drawn at once where it is here. To be put into a
 * `Suspense` of its own.
 *
 * @param load Loads it.
 */
export function later<Props extends object>(load: () => Promise<ComponentType<Props>>): ComponentType<Props> {
  let here: ComponentType<Props> | undefined;
  const ask = async () => (here ??= await untilHere(load));
  loads.add(ask);
  return lazy(() => {
    if (!here) return ask().then((part) => ({ default: part }));
    const part = { default: here };
    // React looks for what was loaded as soon as it has asked.
    return { then: (hear: (loaded: typeof part) => void) => hear(part) } as Promise<typeof part>;
  });
}
