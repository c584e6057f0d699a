/** Something a builder must know about a plan, with its place, the reason, and ways out. */
export interface Conflict {
  readonly code: string;
  /** `stop`: must not be done as it stands; `warn`: needs a decision; `note`: follows from it. */
  readonly severity: 'stop' | 'warn' | 'note';
  /** The operation it comes from, if one. */
  readonly operation: string | null;
  /** Where it is, mm: on the donor and on the built frame; null where it has no single place there. */
  readonly donorX: number | null;
  readonly builtX: number | null;
  /** The feature, crossmember, group or joint it is about. */
  readonly about: string | null;
  readonly message: string;
  readonly waysOut: readonly string[];
}

export const SEVERITIES = ['stop', 'warn', 'note'] as const;

/** The place of a conflict that has none. */
export const NOWHERE = { operation: null, donorX: null, builtX: null, about: null } as const;
