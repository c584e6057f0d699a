import { type ComponentType, createContext, type ReactNode, use, useEffect, useReducer } from 'react';

/** Loads everything that is loaded later: for tests, which do not wait for it. */
const loads = new Set<() => Promise<unknown>>();
let all = false;
export async function loadAllLater(): Promise<void> {
  await Promise.allSettled([...loads].map((load) => load()));
  all = true;
}
/** Whether everything is here already, so that nothing follows what is drawn first. */
export const isAllLoaded = (): boolean => all;

/** What stands where a part will be until its code is here. */
export const PlaceOfLazy = createContext<ReactNode>(null);

/**
 * A part of the screen whose code is loaded when it is first shown; drawn at once where it is here. To be put into a
 * `Waits` of its own. React's own way of waiting would hold back what has come for a third of a second.
 *
 * @param load Loads it.
 */
export function lazyComponent<Props extends object>(load: () => Promise<ComponentType<Props>>): ComponentType<Props> {
  let here: ComponentType<Props> | undefined;
  let failed: { readonly error: unknown } | undefined;
  let asked: Promise<void> | undefined;
  const ask = () =>
    (asked ??= load().then(
      (part) => {
        here = part;
      },
      (error: unknown) => {
        failed = { error };
      },
    ));
  loads.add(ask);
  return function Later(props: Props) {
    const place = use(PlaceOfLazy);
    const [, drawAgain] = useReducer((count: number) => count + 1, 0);
    const isHere = here !== undefined;
    if (!isHere && !failed) void ask();
    useEffect(() => {
      if (isHere) return;
      let gone = false;
      void ask().then(() => {
        if (!gone) drawAgain();
      });
      return () => {
        gone = true;
      };
    }, [isHere]);
    if (failed) throw failed.error;
    const Part = here;
    return Part ? <Part {...props} /> : place;
  };
}
