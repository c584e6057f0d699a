import { sql } from 'drizzle-orm';
import { escapeLiteral } from 'pg';
import { database, inTransaction, type Transaction } from './database.ts';
import type { Role } from '../../shared/roles.ts';

/** Somebody signed in, in the shop they work in. */
export interface Member {
  readonly userId: string;
  readonly name: string;
  readonly shopId: string;
  readonly shopName: string;
  readonly role: Role;
}

/** The role that row-level security holds for when the server connects as one that it does not. */
export const WALLED_ROLE = 'splay_walled';

let passesWalls: Promise<boolean> | undefined;

/** True when the connecting role ignores row-level security (a superuser, as a hosted DATABASE_URL may give). */
function rolePassesWalls(): Promise<boolean> {
  passesWalls ??= database()
    .execute<{ passes: boolean }>(
      sql`select rolsuper or rolbypassrls as passes from pg_roles where rolname = current_user`,
    )
    .then(({ rows }) => rows[0]?.passes ?? true)
    .catch((error: unknown) => {
      passesWalls = undefined;
      throw error;
    });
  return passesWalls;
}

/**
 * Runs queries that see and change the rows of one shop only. The one way to a shop's rows: without it row-level
 * security shows none, whatever a query forgets to ask.
 */
export async function withShop<T>(shopId: string, run: (tx: Transaction) => Promise<T>): Promise<T> {
  const walled = await rolePassesWalls();
  const role = walled ? `; set local role ${WALLED_ROLE}` : '';
  return inTransaction(run, `set local splay.shop = ${escapeLiteral(shopId)}${role}`);
}
