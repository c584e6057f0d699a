/** Any origin serves: only whether a path leaves it is looked at. */
const HERE = 'http://here.invalid';

/**
 * A path of this program out of an address that somebody sent; `/` for anything else. It is read as a browser reads it,
 * which takes out tabs and line breaks and turns backslashes.
 *
 * @param asked What came in the address, if anything.
 */
export function ownPath(asked: string | null): string {
  if (!asked?.startsWith('/') || !URL.canParse(asked, HERE)) return '/';
  const { origin, pathname, search, hash } = new URL(asked, HERE);
  return origin === HERE && !pathname.startsWith('//') ? pathname + search + hash : '/';
}
