import { endpoint } from '../../../../server/http/endpoint.ts';
import { notAllowed } from '../../../../server/http/problem.ts';
import { listen } from '../../../../server/live.ts';
import { countRecords, listRecords, someRecords } from '../../../../server/services/records.ts';

/** A sign of life this often keeps proxies from closing a quiet stream, ms. */
const BEAT = 20_000;

/** New records of a job as they are added, as server-sent events: `count`, how many there are when the stream begins; then `records` with a list of each that are new. */
export const GET = endpoint(async ({ member, job, request }) => {
  // Whoever may not see the job is told so before the stream begins.
  await countRecords(member, job);
  const text = new TextEncoder();
  let stop: () => void = () => undefined;
  const stream = new ReadableStream({
    async start(controller) {
      const send = (line: string) => {
        try {
          controller.enqueue(text.encode(line));
        } catch {
          stop();
        }
      };
      const beat = setInterval(() => send(': still here\n\n'), BEAT);
      const unlisten = await listen(job, (ids) => {
        void (ids.length > 0 ? someRecords(member, job, ids) : listRecords(member, job))
          .then((records) => send(`event: records\ndata: ${JSON.stringify(records)}\n\n`))
          .catch(() => stop());
      });
      stop = () => {
        clearInterval(beat);
        unlisten();
        try {
          controller.close();
        } catch {
          // Closed already.
        }
      };
      request.signal.addEventListener('abort', () => stop());
      // Counted once the stream hears of new ones, so that none falls between.
      send(`event: count\ndata: ${await countRecords(member, job)}\n\n`);
    },
    cancel: () => stop(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  });
});

export const ALL = notAllowed('GET');
