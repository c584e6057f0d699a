import { planOf, sceneOf, writeGlb } from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { download } from '../../../../server/http/problem.ts';
import { readJob } from '../../../../server/services/jobs.ts';

/** The frame as planned with its bodies, in space, as binary glTF: metres, y up. */
export const GET = endpoint(async ({ member, job: id }) => {
  const { job } = await readJob(member, id);
  return download(await writeGlb(sceneOf(job.donor, planOf(job)), job.name), 'model/gltf-binary', job.name, 'glb');
});
