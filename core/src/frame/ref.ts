/** The kinds of things that can be picked, named by a conflict, or carry something. */
export const REF_KINDS = [
  'feature',
  'crossmember',
  'brace',
  'member',
  'axle',
  'point',
  'unit',
  'line',
  'control-point',
  'measurement',
  'operation',
  'joint',
] as const;
export type RefKind = (typeof REF_KINDS)[number];

/** One thing of a job. Ids are unique in the job; the kind says in which list it is. */
export interface Ref<K extends RefKind = RefKind> {
  readonly kind: K;
  readonly id: string;
}

/**
 * Whether two references name the same thing.
 *
 * @param a One reference.
 * @param b The other.
 */
export const sameRef = (a: Ref, b: Ref): boolean => a.kind === b.kind && a.id === b.id;

/** A reference as one word, such as `feature/m4`: for a key, an attribute or a choice. */
export const refKey = ({ kind, id }: Ref): string => `${kind}/${id}`;

/**
 * The reference that a word of `refKey` stands for; undefined for any other word.
 *
 * @param key A word as `refKey` writes it; any other gives undefined.
 */
export function refOf(key: string): Ref | undefined {
  const at = key.indexOf('/');
  const kind = REF_KINDS.find((candidate) => candidate === key.slice(0, at));
  return kind && at + 1 < key.length ? { kind, id: key.slice(at + 1) } : undefined;
}
