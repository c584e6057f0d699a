import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from './api.ts';
import { importJob } from './import-job.ts';

const fetched = vi.fn<(path: string, asked: { readonly headers: Record<string, string> }) => Promise<Response>>();
beforeEach(() => {
  fetched.mockReset();
  vi.stubGlobal('fetch', fetched);
  vi.useFakeTimers();
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});
const answers = (status: number, body: unknown = {}) =>
  fetched.mockResolvedValueOnce(new Response(typeof body === 'string' ? body : JSON.stringify(body), { status }));

describe('what an answer means', () => {
  it.each([
    [502, 'offline'],
    [503, 'offline'],
    [504, 'offline'],
    [408, 'offline'],
    [500, 'refused'],
    [400, 'refused'],
    [413, 'refused'],
    [422, 'refused'],
    [429, 'refused'],
    [401, 'signed-out'],
    [409, 'stale'],
  ])('%i is %s: only what passes is worth sending again', async (status, reason) => {
    answers(status, { detail: 'said so' });
    expect(await api.revisions('x')).toMatchObject({ ok: false, reason });
  });

  it('words of a proxy, or none, are a refusal and no endless waiting', async () => {
    answers(400, '<html>Bad Request</html>');
    expect(await api.revisions('x')).toMatchObject({ ok: false, reason: 'refused', detail: 'The server refused.' });
    fetched.mockRejectedValueOnce(new TypeError('fetch failed'));
    expect(await api.revisions('x')).toMatchObject({ ok: false, reason: 'offline' });
  });

  it('records beside one that is in conflict are taken', async () => {
    const added = { records: [], refused: [{ id: 'a', message: 'taken', theirs: {} }] };
    answers(409, added);
    expect(await api.sendRecords('x', [])).toEqual({ ok: true, value: added });
  });
});

describe('a job file', () => {
  it('is sent again where the connection drops, under the same key', async () => {
    fetched.mockRejectedValueOnce(new TypeError('fetch failed'));
    answers(503);
    answers(201, { id: 'made' });
    const sent = importJob('{}');
    await vi.runAllTimersAsync();
    expect(await sent).toMatchObject({ ok: true, value: { id: 'made' } });
    const keys = fetched.mock.calls.map(([, { headers }]) => headers['idempotency-key']);
    expect(keys).toHaveLength(3);
    expect(new Set(keys).size).toBe(1);
    expect(keys[0]).toMatch(/^[\w-]{8,80}$/);
  });

  it('that is refused is not', async () => {
    answers(422, { detail: 'no' });
    expect(await importJob('{}')).toMatchObject({ ok: false, reason: 'refused' });
    expect(fetched).toHaveBeenCalledTimes(1);
  });
});
