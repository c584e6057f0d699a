import { memberOf } from '../../../../server/auth.ts';
import type { Member } from '../../../../server/db/shop.ts';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { notAllowed, problem } from '../../../../server/http/problem.ts';
import { comeIn, listen, type Notice, sayHere, stillHere, whoIsHere } from '../../../../server/live.ts';
import { newestRevision } from '../../../../server/services/revisions.ts';
import { countRecords, listRecords, someRecords } from '../../../../server/services/records.ts';

/** A sign of life this often keeps proxies from closing a quiet stream, ms. */
const BEAT = 20_000;

/** Streams that a person may hold, with all windows of all devices; and how many each holds in this process. */
const MOST_STREAMS = 24;
const held = new Map<string, number>();
function hold(person: string): () => void {
  held.set(person, (held.get(person) ?? 0) + 1);
  return () => {
    const left = (held.get(person) ?? 1) - 1;
    if (left > 0) held.set(person, left);
    else held.delete(person);
  };
}

/** What a notice is as events; read as the member of that moment, who may have lost a right since the stream began. */
async function eventsOf(notice: Notice, member: Member, job: string): Promise<readonly (readonly [string, unknown])[]> {
  if ('here' in notice) return [['here', whoIsHere(job)]];
  if ('revision' in notice) return [['revision', await newestRevision(member, job)]];
  if ('records' in notice) return [['records', await someRecords(member, job, notice.records)]];
  return [
    ['records', await listRecords(member, job)],
    ['revision', await newestRevision(member, job)],
  ];
}

/**
 * What is new of a job, as server-sent events, for as long as the session lasts and the shop has its member: `count`, how many records
 * there are when the stream begins; `revision`, the newest, then and when there is another; `records`, those that are new; `here`,
 * who has the job open. Before each of them, and at each beat, the session is asked for; when it has ended the stream is closed.
 */
export const GET = endpoint(async ({ member, job, request, session }) => {
  // Whoever may not see the job is told so before the stream begins.
  await countRecords(member, job);
  if ((held.get(member.userId) ?? 0) >= MOST_STREAMS)
    return problem(
      429,
      'live/too-many',
      `You have ${MOST_STREAMS} windows open that hear of news already: close some.`,
    );
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
      const tell = (event: string, data: unknown) => send(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
      /** Who the session is of now; the stream is closed where that is nobody, or somebody of another shop. */
      const still = async (): Promise<Member | null> => {
        const now = await memberOf(session);
        if (now?.shopId === member.shopId) return now;
        tell('ended', 'The session has ended.');
        stop();
        return null;
      };
      let last = Promise.resolve();
      /** One after the other, so that nothing overtakes what came before it. */
      const inTurn = (work: () => Promise<void>) => {
        last = last.then(work).catch(() => stop());
      };
      const leave = comeIn(job, member.name);
      const letGo = hold(member.userId);
      const beat = setInterval(
        () =>
          inTurn(async () => {
            if (!(await still())) return;
            send(': still here\n\n');
            await stillHere(job);
          }),
        BEAT,
      );
      const unlisten = await listen(job, (notice) =>
        inTurn(async () => {
          const now = await still();
          if (!now) return;
          for (const [event, data] of await eventsOf(notice, now, job)) tell(event, data);
        }),
      );
      stop = () => {
        stop = () => undefined;
        clearInterval(beat);
        unlisten();
        leave();
        letGo();
        try {
          controller.close();
        } catch {
          // Closed already.
        }
      };
      request.signal.addEventListener('abort', () => stop());
      // Counted once the stream hears of new ones, so that none falls between.
      tell('count', await countRecords(member, job));
      tell('revision', await newestRevision(member, job));
      await sayHere(job);
      tell('here', whoIsHere(job));
    },
    cancel: () => stop(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  });
});

export const ALL = notAllowed('GET');
