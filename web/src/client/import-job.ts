import { api, type Answer, type SavedJob } from './api.ts';
import { freshId } from './fresh-id.ts';

const AGAIN_AFTER = [500, 1500, 4000];

/** Sends a job file, and again where the connection drops: under one key, so that no second job is made. */
export async function importJob(text: string): Promise<Answer<SavedJob>> {
  const key = freshId('import');
  for (const wait of AGAIN_AFTER) {
    const answer = await api.importJob(text, key);
    if (answer.ok || answer.reason !== 'offline') return answer;
    await new Promise((resolve) => setTimeout(resolve, wait));
  }
  return api.importJob(text, key);
}
