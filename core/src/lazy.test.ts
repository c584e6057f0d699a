import { expect, it, vi } from 'vitest';
import { lazy } from './lazy.ts';

it('works something out when it is first asked for, and only once', () => {
  const work = vi.fn(() => undefined);
  const asked = lazy(work);
  expect(work).not.toHaveBeenCalled();
  expect([asked(), asked()]).toEqual([undefined, undefined]);
  expect(work).toHaveBeenCalledTimes(1);
});

it('asks again for what could not be worked out', () => {
  const work = vi.fn<() => number>().mockImplementationOnce(() => {
    throw new Error('not yet');
  });
  work.mockReturnValue(3);
  const asked = lazy(work);
  expect(asked).toThrow('not yet');
  expect(asked()).toBe(3);
});
