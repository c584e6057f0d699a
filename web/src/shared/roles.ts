/** Owners also manage people; welders add records and change nothing else; reviewers look. */
export const ROLES = ['owner', 'fabricator', 'welder', 'reviewer'] as const;
export type Role = (typeof ROLES)[number];

/** Whether a role changes jobs. */
export const mayWrite = (role: Role): boolean => role === 'owner' || role === 'fabricator';

/** Whether a role adds records: readings, notes, photos. */
export const mayRecord = (role: Role): boolean => role !== 'reviewer';

/** What each may do, in a few words. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'everything, and manages people',
  fabricator: 'plans and measures',
  welder: 'adds readings, notes and photos',
  reviewer: 'looks at everything',
};
