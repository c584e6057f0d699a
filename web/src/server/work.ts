import { runWorker } from './queue/worker.ts';

/** The process that does what takes long, beside the one that serves (`main.ts`). */
await runWorker();
