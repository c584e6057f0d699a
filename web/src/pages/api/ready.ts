import type { APIRoute } from 'astro';
import { sql } from 'drizzle-orm';
import { database } from '../../server/db/database.ts';
import { json, notAllowed, problemOf } from '../../server/http/problem.ts';

/** Answers when the server can serve: its database does too. For whoever sends it requests. */
export const GET: APIRoute = async () => {
  try {
    await database().execute(sql`select 1`);
    return json({ ok: true });
  } catch (error) {
    return problemOf(error, 'ready');
  }
};

export const ALL = notAllowed('GET');
