import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { followCards } from './follow-cards.ts';

const page = (rows: string) => `<!doctype html><main><ul id="jobs">${rows}</ul></main>`;
const waiting = '<li>Van <p data-outdated="">being computed</p></li>';

beforeEach(() => {
  vi.useFakeTimers();
  document.body.innerHTML = `<ul id="jobs">${waiting}</ul>`;
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const list = () => document.getElementById('jobs')!;
const asked = (...answers: readonly (string | null)[]) => {
  let turn = 0;
  const fetched = vi.fn(() => {
    const rows = answers[Math.min(turn++, answers.length - 1)];
    return rows === null ? Promise.reject(new Error('down')) : Promise.resolve(new Response(page(rows ?? '')));
  });
  vi.stubGlobal('fetch', fetched);
  return fetched;
};

it('asks again until every row is the present one, and then no more', async () => {
  const fetched = asked(waiting, '<li>Van, 155 3/4</li>');
  followCards(list());
  await vi.advanceTimersByTimeAsync(30_000);
  expect(list().textContent).toBe('Van, 155 3/4');
  expect(fetched).toHaveBeenCalledTimes(2);
});

it('leaves the list as it is while the server cannot be reached, and goes on after', async () => {
  asked(null, null, '<li>Van</li>');
  followCards(list());
  await vi.advanceTimersByTimeAsync(3000);
  expect(list().innerHTML).toBe(waiting);
  await vi.advanceTimersByTimeAsync(30_000);
  expect(list().textContent).toBe('Van');
});

it('takes nothing away from under a hand that is on the list', async () => {
  document.body.innerHTML = `<ul id="jobs">${waiting}<button>Archive</button></ul>`;
  asked('<li>Van</li>');
  list().querySelector('button')!.focus();
  followCards(list());
  await vi.advanceTimersByTimeAsync(5000);
  expect(list().querySelector('button')).not.toBeNull();
});

it('asks for nothing where no row waits', async () => {
  document.body.innerHTML = '<ul id="jobs"><li>Van</li></ul>';
  const fetched = asked('<li>Van</li>');
  followCards(list());
  await vi.advanceTimersByTimeAsync(10_000);
  expect(fetched).not.toHaveBeenCalled();
});
