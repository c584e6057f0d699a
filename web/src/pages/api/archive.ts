import { downloadZip } from 'client-zip';
import { endpoint } from '../../server/http/endpoint.ts';
import { notAllowed } from '../../server/http/problem.ts';
import { mustManage } from '../../server/services/errors.ts';
import { archiveOf } from '../../server/services/archive.ts';

/** The shop's whole work as one archive of open files: each job with its records and pictures, each item of the library. */
export const GET = endpoint(async ({ member }) => {
  mustManage(member);
  const { headers, body } = downloadZip(archiveOf(member));
  const day = new Date().toISOString().slice(0, 10);
  return new Response(body, {
    headers: {
      'content-type': headers.get('content-type') ?? 'application/zip',
      'content-disposition': `attachment; filename="splay-${day}.zip"`,
      'cache-control': 'no-store',
    },
  });
});

export const ALL = notAllowed('GET');
