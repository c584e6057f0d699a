import { endpoint } from '../../../../server/http/endpoint.ts';
import { notAllowed } from '../../../../server/http/problem.ts';
import { issueMarks } from '../../../../server/services/sheets.ts';

/** Gives the marks sheet of the newest revision its number, or the one that it has. */
export const POST = endpoint(async ({ member, job }) => Response.json(await issueMarks(member, job)));

export const ALL = notAllowed('POST');
