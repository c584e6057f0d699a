import type { APIRoute } from 'astro';
import { json, notAllowed } from '../../server/http/problem.ts';

/** Answers as long as the process lives. For whoever starts it again when it does not. */
export const GET: APIRoute = () => json({ ok: true });

export const ALL = notAllowed('GET');
