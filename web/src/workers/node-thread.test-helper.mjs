// The worker as a thread of Node.js, for its test: TypeScript is read by tsx.
import { parentPort } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

register();
const { expose } = await import('comlink');
const { default: nodeEndpoint } = await import('comlink/dist/esm/node-adapter.mjs');
const { workerApi } = await import('./worker-api.ts');
expose(workerApi, nodeEndpoint(parentPort));
