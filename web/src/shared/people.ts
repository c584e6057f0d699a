import type { Role } from './roles.ts';

/** Somebody of the shop. An e-mail address and sessions are there for oneself, and for owners. */
export interface ListedPerson {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly email?: string;
  readonly sessions?: number;
}

/** A one-time link as it is given out: shown once, and mailed where that was asked for and can be done. */
export interface GivenLink {
  readonly path: string;
  readonly mailed: {
    /** The address, where the mail server took it. */
    readonly to: string | null;
    /** True where it was to go out and did not: it has to be handed over. */
    readonly failed: boolean;
  };
}

/** A one-time link that was given out and not used yet; the link itself is shown once, when it is made. */
export interface OpenLink {
  readonly id: string;
  readonly kind: 'invitation' | 'password';
  readonly role: Role | null;
  /** Whose new password. */
  readonly name: string | null;
  readonly expiresAt: string;
}
