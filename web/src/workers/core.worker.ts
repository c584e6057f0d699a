import { expose } from 'comlink';
import { workerApi } from './worker-api.ts';

expose(workerApi);
