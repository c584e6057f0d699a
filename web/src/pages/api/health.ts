import type { APIRoute } from 'astro';
import { sql } from 'drizzle-orm';
import { database } from '../../server/db/database.ts';
import { json, notAllowed, problemOf } from '../../server/http/problem.ts';

/** Answers when the server and its database both do. */
export const GET: APIRoute = async () => {
  try {
    await database().execute(sql`select 1`);
    return json({ ok: true });
  } catch (error) {
    return problemOf(error, 'health');
  }
};

export const ALL = notAllowed('GET');
