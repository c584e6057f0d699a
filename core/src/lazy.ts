/**
 * Works something out when it is first asked for, and only once.
 *
 * @param work Works it out; pure.
 */
export function lazy<T>(work: () => T): () => T {
  let known: { readonly value: T } | undefined;
  return () => (known ??= { value: work() }).value;
}
