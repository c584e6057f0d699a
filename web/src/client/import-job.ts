import type { Attachment } from '@splay/core';
import { JOB_FILE_LIMIT } from '../shared/archive-names.ts';
import { type api as Server, api, type Answer, type SavedJob } from './api.ts';
import { freshId } from './fresh-id.ts';

const AGAIN_AFTER = [500, 1500, 4000];

/** Asks again where the connection drops. */
export async function untilReached<T>(ask: () => Promise<Answer<T>>): Promise<Answer<T>> {
  for (const wait of AGAIN_AFTER) {
    const answer = await ask();
    if (answer.ok || answer.reason !== 'offline') return answer;
    await new Promise((resolve) => setTimeout(resolve, wait));
  }
  return ask();
}

/** What a job is sent by. */
export type SendsJobs = Pick<typeof Server, 'importJob' | 'sendPicture'>;

/**
 * Sends a job file, and again where the connection drops: under one key, so that no second job is made. The pictures of one
 * that is larger than the server takes go ahead of it, one by one.
 *
 * @param text The file.
 * @param key Of this import: 8 to 80 letters, digits, dashes or underscores.
 * @param server Where it goes.
 */
export async function importJob(
  text: string,
  key: string = freshId('import'),
  server: SendsJobs = api,
): Promise<Answer<SavedJob>> {
  const send = (file: string) => untilReached(() => server.importJob(file, key));
  if (new Blob([text]).size <= JOB_FILE_LIMIT) return send(text);
  const { attachments = [], ...job } = JSON.parse(text) as { readonly attachments?: readonly Attachment[] };
  for (const { type, data } of attachments) {
    const bytes = Uint8Array.from(atob(data), (sign) => sign.charCodeAt(0));
    const answer = await untilReached(() => server.sendPicture(new Blob([bytes], { type })));
    if (!answer.ok) return answer;
  }
  return send(JSON.stringify({ ...job, attachments: [] }));
}
