/** The call itself is not right. */
export class UsageError extends Error {}

/** What a command gives. */
export interface Result {
  readonly code: 0 | 1 | 2;
  readonly output: string;
  readonly problems?: string;
}
