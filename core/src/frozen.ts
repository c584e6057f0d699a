let freezing = false;

/**
 * Has documents frozen as they are taken in, or not: in development and tests, where a change in place is a mistake
 * that should show at once.
 *
 * @param yes Whether from now on.
 */
export const freezeDocuments = (yes: boolean): void => {
  freezing = yes;
};

/** Freezes plain data all the way down; what is frozen already is not walked again. */
function deepFreeze(value: unknown): void {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return;
  Object.freeze(value);
  for (const item of Object.values(value)) deepFreeze(item);
}

/**
 * A document as it was given, frozen where documents are.
 *
 * @param document Plain data.
 */
export function guarded<T>(document: T): T {
  if (freezing) deepFreeze(document);
  return document;
}
