import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { deserialize, serialize } from 'node:v8';
import { and, eq, lt, sql } from 'drizzle-orm';
import PgBoss from 'pg-boss';
import { Channel } from '../db/channel.ts';
import { database, type Transaction } from '../db/database.ts';
import { longTasks as rows } from '../db/schema.ts';
import { type Member, withShop } from '../db/shop.ts';
import { env } from '../env.ts';
import { logError } from '../log.ts';
import { AnsweredElsewhere, Busy } from '../services/errors.ts';
import { Fair } from '../threads/fair.ts';
import { QUEUE } from './queue-name.ts';
import { type AskedTask, doTask, type LongTaskArgs, type LongTaskName, type LongTaskResult } from './long-tasks.ts';

/**
 * Long tasks wait in one queue on the database that every web process fills and every worker empties. Somebody's own wait
 * behind each other in the web process first; of a shop only a few are in the queue at once, whatever it asks for and of
 * whichever process.
 */

/** What goes first among what waits: what people bring in, what they print, what they take away. */
const PRIORITY: Readonly<Record<LongTaskName, number>> = {
  importJob: 3,
  marksPdf: 2,
  standsPdf: 2,
  partsFile: 2,
  exportJob: 1,
};
/** In the queue at once, at most: of a person, of a shop. */
const [OF_PERSON, OF_SHOP] = [2, 4];
/** A worker that has a task for longer was killed over it: another takes it up, s. */
const LOST_AFTER = 30;
/** A request waits this long at most, ms: two workers may have been killed over its task. */
const LONGEST_WAIT = 90_000;
/** How often it is looked for an answer that no notice told of, ms. */
const LOOK = 2000;
/** How long the shop's lane is full before it is looked again, ms. */
const FULL = 150;
/** An answer that nobody read is thrown away after so long. */
const UNREAD = sql`now() - interval '10 minutes'`;

/** What is in the queue: whose it is, and the row that holds the rest. */
export interface QueuedTask {
  readonly task: string;
  readonly shop: string;
  readonly person: string;
}

/** What came of it: a value, or the answer to the error that it ended with. */
export type TaskAnswer =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly status: number; readonly headers: [string, string][]; readonly body: string };

type Notice = { readonly todo: true } | { readonly done: string };

const waiting = new Map<string, () => void>();
let onTodo: (() => void) | undefined;

const channel = new Channel(
  'splay_tasks',
  (payload) => {
    const notice = JSON.parse(payload) as Notice;
    if ('done' in notice) waiting.get(notice.done)?.();
    else onTodo?.();
  },
  () => {
    for (const look of waiting.values()) look();
    onTodo?.();
  },
);

/** Calls a function whenever something was put in the queue. */
export async function onQueued(call: () => void): Promise<void> {
  onTodo = call;
  await channel.open();
}

const pooled = { executeSql: (text: string, values: unknown[]) => database().$client.query(text, values) };

/** The queue over the server's own connections; its tables are made by whoever migrates. */
export const newBoss = (options: { readonly supervise: boolean }): PgBoss => {
  const boss = new PgBoss({
    db: pooled,
    migrate: false,
    schedule: false,
    ...options,
    maintenanceIntervalSeconds: 5,
    archiveCompletedAfterSeconds: 60,
    deleteAfterSeconds: 3600,
  });
  boss.on('error', (error) => logError(error, 'queue'));
  return boss;
};

let sender: Promise<PgBoss> | undefined;
function opened(): Promise<PgBoss> {
  sender ??= newBoss({ supervise: false }).start();
  sender.catch(() => {
    sender = undefined;
  });
  return sender;
}

/** Somebody's tasks wait behind each other, in this process, before they are put in the queue. */
const lanes = new Fair(64);

/**
 * Has a worker do what takes long, and waits for it. Where none is to be had (`SPLAY_WORKERS`), does it here.
 *
 * @throws What the task throws; Busy where it is not done in time.
 */
export async function doLong<N extends LongTaskName>(
  member: Member,
  name: N,
  ...args: LongTaskArgs<N>
): Promise<LongTaskResult<N>> {
  if (!env.workers) return doTask({ name, member, args }) as Promise<LongTaskResult<N>>;
  const answer = await lanes.run(() => ask(member, { name, member, args }), PRIORITY[name]);
  if (!answer.ok) throw new AnsweredElsewhere(answer.status, answer.headers, answer.body);
  return answer.value as LongTaskResult<N>;
}

async function ask(member: Member, asked: AskedTask): Promise<TaskAnswer> {
  const id = randomUUID();
  const until = Date.now() + LONGEST_WAIT;
  await Promise.all([channel.open(), opened()]);
  let told: () => void = () => undefined;
  try {
    waiting.set(id, () => told());
    const kept = serialize(asked);
    while (!(await withShop(member.shopId, (tx) => put(tx, member, id, kept, asked.name)))) {
      if (Date.now() > until) throw new Busy();
      await wait(FULL);
    }
    while (Date.now() < until) {
      // Told of before it is looked for: an answer between the two is not missed.
      const notice = new Promise<void>((resolve) => {
        told = resolve;
      });
      const answer = await withShop(member.shopId, (tx) => take(tx, id));
      if (answer) return answer;
      const stop = new AbortController();
      await Promise.race([notice, wait(LOOK, undefined, { signal: stop.signal }).catch(() => undefined)]);
      stop.abort();
    }
    throw new Busy();
  } finally {
    waiting.delete(id);
  }
}

/** Puts a task in the queue; false where as many of the person or the shop are in it as may. */
async function put(tx: Transaction, member: Member, id: string, asked: Buffer, name: LongTaskName): Promise<boolean> {
  const { userId: person, shopId: shop } = member;
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`long tasks of ${shop}`}))`);
  const { rows: found } = await tx.execute<{ of_person: number; of_shop: number }>(sql`
    select count(*)::int as of_shop, (count(*) filter (where data->>'person' = ${person}))::int as of_person
    from pgboss.job where name = ${QUEUE} and state < 'completed' and data->>'shop' = ${shop}`);
  const { of_person: ofPerson = 0, of_shop: ofShop = 0 } = found[0] ?? {};
  if (ofPerson >= OF_PERSON || ofShop >= OF_SHOP) return false;
  await tx.delete(rows).where(lt(rows.madeAt, UNREAD));
  await tx.insert(rows).values({ id, shopId: shop, asked });
  const within = { executeSql: (text: string, values: unknown[]) => tx.$client.query(text, values) };
  const data: QueuedTask = { task: id, shop, person };
  const boss = await opened();
  await boss.send(QUEUE, data, {
    id,
    db: within,
    priority: PRIORITY[name],
    retryLimit: 2,
    expireInSeconds: LOST_AFTER,
  });
  await channel.tell(tx, { todo: true } satisfies Notice);
  return true;
}

/** The answer to a task, if there is one: it is read once. */
async function take(tx: Transaction, id: string): Promise<TaskAnswer | null> {
  const [row] = await tx.select({ answer: rows.answer }).from(rows).where(eq(rows.id, id));
  // The shop is gone, or it waited for longer than anybody waits.
  if (!row) throw new Busy();
  if (!row.answer) return null;
  await tx.delete(rows).where(eq(rows.id, id));
  return deserialize(row.answer) as TaskAnswer;
}

/** What a queued task is; null where nobody waits for it any more, or it is answered. */
export async function askedOf({ task, shop }: QueuedTask): Promise<AskedTask | null> {
  const [row] = await withShop(shop, (tx) =>
    tx
      .select({ asked: rows.asked })
      .from(rows)
      .where(and(eq(rows.id, task), sql`${rows.answer} is null`)),
  );
  return row ? (deserialize(row.asked) as AskedTask) : null;
}

/** Stores what came of a task, and tells whoever waits for it. */
export const answerTask = ({ task, shop }: QueuedTask, answer: TaskAnswer): Promise<void> =>
  withShop(shop, async (tx) => {
    await tx
      .update(rows)
      .set({ answer: serialize(answer) })
      .where(eq(rows.id, task));
    await channel.tell(tx, { done: task } satisfies Notice);
  });

/** Lets go of the queue. */
export async function closeQueue(): Promise<void> {
  await channel.close();
  const boss = await sender?.catch(() => undefined);
  sender = undefined;
  await boss?.stop({ graceful: false });
}
