import { endpoint } from '../../server/http/endpoint.ts';
import { notAllowed } from '../../server/http/problem.ts';
import { backUpNow } from '../../server/services/backup-now.ts';

/** Makes a backup of everything now, and says how that went. */
export const POST = endpoint(async ({ member }) => Response.json(await backUpNow(member)));

export const ALL = notAllowed('POST');
