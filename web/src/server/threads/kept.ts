import { LRUCache } from 'lru-cache';

/** Files that were made, so that asking again costs nothing: what they are made of never changes, a revision being one. */
const files = new LRUCache<string, string | Uint8Array>({
  maxSize: 64 * 1024 * 1024,
  sizeCalculation: (file) => file.length || 1,
});

/**
 * A file as it was made before, or made now and kept.
 *
 * @param key All that it is made of: what, of which revision, how.
 * @param make Makes it; null is not kept.
 */
export async function kept<T extends string | Uint8Array | null>(
  key: string,
  make: () => Promise<T>,
): Promise<string | Uint8Array | Extract<T, null>> {
  const found = files.get(key);
  if (found !== undefined) return found;
  const made = await make();
  if (made === null) return made as Extract<T, null>;
  files.set(key, made);
  return made;
}
