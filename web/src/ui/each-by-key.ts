/**
 * Things, each with a name that stays its own while others come and go: what is open of it stays open, and what is being
 * typed into it stays. Things of the same key are told apart by their order.
 *
 * @param things What is listed.
 * @param keyOf What names one of them, whatever its figures are.
 */
export function eachByKey<T>(
  things: readonly T[],
  keyOf: (thing: T) => string,
): readonly (readonly [name: string, thing: T])[] {
  const seen = new Map<string, number>();
  return things.map((thing) => {
    const key = keyOf(thing);
    const before = seen.get(key) ?? 0;
    seen.set(key, before + 1);
    return [`${key} ${before}`, thing];
  });
}
