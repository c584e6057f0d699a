import { useEffect, useRef, useState } from 'react';

/** How often what catches up does so, ms: a figure that changes faster cannot be read. */
const EVERY_MS = 400;

/** The value itself, or while `hurried` the value of some moments ago, renewed a few times a second. */
export function useCatchUp<T>(value: T, hurried: boolean): T {
  const [late, setLate] = useState(value);
  const latest = useRef(value);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => {
    latest.current = value;
    timer.current ??= setTimeout(() => {
      timer.current = undefined;
      setLate(latest.current);
    }, EVERY_MS);
  }, [value]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return hurried ? late : value;
}
