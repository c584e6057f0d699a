import { useState } from 'react';

/** A value, or while `hold` the one it had before: what a picture is laid out by must not move under the hand. */
export function useHeld<T>(value: T, hold: boolean): T {
  const [held, setHeld] = useState(value);
  if (hold) return held;
  if (held !== value) setHeld(value);
  return value;
}
