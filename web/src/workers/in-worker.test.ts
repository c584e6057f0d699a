import { readFileSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import {
  checkJob,
  InputError,
  newJob,
  type Operation,
  type Plan,
  parseJobFile,
  summaryOf,
  evaluatePlan,
  whereToCut,
} from '@splay/core';
// @ts-expect-error: comes without types
import nodeEndpointUntyped from 'comlink/dist/esm/node-adapter.mjs';
import type { Endpoint } from 'comlink';
import { describe, expect, it } from 'vitest';
import { largeFrame, manyOperations } from '../../../core/test/large.ts';
import { inputOf } from '../../../core/test/frames.ts';
import { apiOf, inWorker, type Thread, WorkerStopped } from './in-worker.ts';

const nodeEndpoint = nodeEndpointUntyped as (worker: Worker) => Endpoint;

/** The same worker in a thread of Node.js. */
function nodeThread(): Thread {
  const worker = new Worker(new URL('./node-thread.test-helper.mjs', import.meta.url));
  return {
    api: apiOf(nodeEndpoint(worker)),
    end: () => void worker.terminate(),
    onBroken: (broken) => void worker.on('error', (error: Error) => broken(error.message)),
  };
}

/** A job the size of the fuzz test's: 200 stations a side, 300 features, and plans of twenty operations. */
const input = inputOf(largeFrame(200, 300), ...manyOperations(20));
const job = {
  ...newJob({
    name: 'Large',
    donor: 'Large',
    display: input.display,
    wheelbase: 3000,
    ahead: 500,
    behind: 500,
    outsideWidth: 800,
    tireRadius: 300,
    section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 },
    cab: null,
  }),
  ...input,
};
const plan = (count: number): Plan => ({
  ...input.plan,
  name: `Plan ${count}`,
  operations: input.plan.operations.map((operation): Operation =>
    operation.kind === 'lengthen' ? { ...operation, length: 60 + count } : operation,
  ),
});

describe('a task in a worker', () => {
  it('gives what it gives on the page, and tells how far it has come', async () => {
    const plans = [1, 2, 3, 4].map(plan);
    const shares: number[] = [];
    const onProgress = (share: number) => void shares.push(share);
    const summaries = await inWorker('summarise', [job, plans], { onProgress, start: nodeThread }).done;
    expect(summaries).toEqual(plans.map((each) => summaryOf(evaluatePlan({ ...job, plan: each }))));
    expect(shares).toEqual([0, 0.25, 0.5, 0.75]);
  });

  it('leaves the page awake meanwhile', async () => {
    const plans = Array.from({ length: 60 }, (_, count) => plan(count));
    const { done } = inWorker('summarise', [job, plans], { start: nodeThread });
    let beats = 0;
    const beat = setInterval(() => (beats += 1), 5);
    await done;
    clearInterval(beat);
    // A task on the page's own thread would let no timer run until it is done.
    expect(beats).toBeGreaterThan(3);
  });

  it('is ended at once when nobody waits for it, and after its time', async () => {
    const plans = Array.from({ length: 2000 }, (_, count) => plan(count));
    const running = inWorker('summarise', [job, plans], { start: nodeThread });
    setTimeout(running.cancel, 300);
    await expect(running.done).rejects.toMatchObject({ code: 'worker/cancelled' });
    const late = inWorker('summarise', [job, plans], { start: nodeThread, timeout: 300 });
    await expect(late.done).rejects.toMatchObject({ code: 'worker/timeout' });
  });

  it('a search for places gives what it gives on the page, and is ended while it runs', async () => {
    const sprayer = parseJobFile(
      readFileSync(new URL('../../../demo/orchard-sprayer.json', import.meta.url), 'utf8'),
    ).job;
    const ask = { of: 'wheelbase', by: -600.075 } as const;
    const shares: number[] = [];
    const onProgress = (share: number) => void shares.push(share);
    const found = await inWorker('whereToCut', [sprayer, ask], { onProgress, start: nodeThread }).done;
    expect(found).toEqual(whereToCut(sprayer, ask));
    expect(shares.length).toBeGreaterThan(4);
    expect(shares.at(-1)).toBe(1);
    let begun: () => void = () => undefined;
    const under = new Promise<void>((resolve) => (begun = resolve));
    const running = inWorker('whereToCut', [sprayer, ask], { onProgress: () => begun(), start: nodeThread });
    await under;
    running.cancel();
    await expect(running.done).rejects.toMatchObject({ code: 'worker/cancelled' });
  });

  it('is asked again and again, long after what was asked first is forgotten', async () => {
    const thread = nodeThread();
    const kept: Thread = { ...thread, end: () => undefined };
    for (let turn = 0; turn < 4; turn += 1) {
      const summaries = await inWorker('summarise', [job, [plan(turn)]], { start: () => kept }).done;
      expect(summaries).toHaveLength(1);
      (globalThis as { gc?: () => void }).gc?.();
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    thread.end();
  });

  it('refuses bad input with the same problems as the page does', async () => {
    const error: unknown = await inWorker('checkJobFile', ['{"format": "something"}'], {
      start: nodeThread,
    }).done.catch((reason: unknown) => reason);
    expect(error).toBeInstanceOf(InputError);
    expect((error as InputError).problems).toMatchObject([{ code: 'file/not-a-job', path: 'format' }]);
    expect(() => checkJob({})).toThrow(InputError);
  });

  it('says so when the task itself breaks', async () => {
    const broken = inWorker('summarise', [null as never, [plan(1)]], { start: nodeThread });
    await expect(broken.done).rejects.toBeInstanceOf(WorkerStopped);
    await expect(broken.done).rejects.toMatchObject({ code: 'worker/failed' });
  });
});
