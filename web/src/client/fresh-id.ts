/**
 * An id that nothing had before or will have: `feature-3k9x2m7q`. Made of chance and not by counting, so that what is
 * deleted, undone or made on two devices at once never shares one.
 */
export function freshId(prefix: string): string {
  const bytes = crypto.getRandomValues(new Uint8Array(8));
  return `${prefix}-${Array.from(bytes, (byte) => (byte % 36).toString(36)).join('')}`;
}
