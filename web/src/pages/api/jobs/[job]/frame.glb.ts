import { endpoint } from '../../../../server/http/endpoint.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { inThread } from '../../../../server/threads/pool.ts';
import { readJob } from '../../../../server/services/jobs.ts';

/** The frame as planned with its bodies, in space, as binary glTF: meters, y up. */
export const GET = endpoint(async ({ member, job: id }) => {
  const { job } = await readJob(member, id);
  return download(await inThread('glb', job), 'model/gltf-binary', job.name, 'glb');
});

export const ALL = notAllowed('GET');
