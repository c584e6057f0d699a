import { IDBFactory } from 'fake-indexeddb';
import 'fake-indexeddb/auto';
import { vi } from 'vitest';

/**
 * The little of a browser that the client's state needs: a window with events, and storage that outlives a page. Its clock
 * is the test's; its database answers in its own time: see `atRest`.
 */
export function fakeBrowser() {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval', 'Date'] });
  // Each browser has a database of its own, and what is under test opens it again.
  vi.stubGlobal('indexedDB', new IDBFactory());
  const stored = new Map<string, string>();
  const events = new EventTarget();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => void stored.set(key, value),
    removeItem: (key: string) => void stored.delete(key),
    key: (at: number) => [...stored.keys()][at] ?? null,
    get length() {
      return stored.size;
    },
  });
  vi.stubGlobal('window', {
    addEventListener: events.addEventListener.bind(events),
    removeEventListener: events.removeEventListener.bind(events),
  });
  return {
    stored,
    online: () => events.dispatchEvent(new Event('online')),
    focus: () => events.dispatchEvent(new Event('focus')),
  };
}

type Answer = { readonly status: number; readonly body: unknown } | 'no connection';

/** A server that answers what it is told to, and remembers what it was asked. */
export function fakeServer(answer: (method: string, path: string, body: unknown) => Answer | Promise<Answer>) {
  const asked: { readonly method: string; readonly path: string; readonly body: unknown }[] = [];
  vi.stubGlobal('fetch', async (path: string, { method, body }: { method: string; body: string | null }) => {
    const sent: unknown = body === null ? null : JSON.parse(body);
    asked.push({ method, path, body: sent });
    const given = await answer(method, path, sent);
    if (given === 'no connection') throw new TypeError('failed to fetch');
    return { ok: given.status < 400, status: given.status, json: () => Promise.resolve(given.body) };
  });
  return asked;
}

/** When the browser's database has done what it was asked, and what hung on it went on. */
export async function atRest(): Promise<void> {
  for (let turn = 0; turn < 40; turn += 1) await new Promise((resolve) => setImmediate(resolve));
}

/** Lets time pass, ms. */
export async function pass(ms: number): Promise<void> {
  await atRest();
  await vi.advanceTimersByTimeAsync(ms);
  await atRest();
}
