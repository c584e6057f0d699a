import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { lag } from './lag.ts';

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance'] }));
afterEach(() => void vi.useRealTimers());

describe('what lags', () => {
  it('passes on the last of a burst once it rests', () => {
    const heard: number[] = [];
    const lagging = lag<number>((value) => heard.push(value));
    for (const value of [1, 2, 3]) {
      lagging.tell(value);
      vi.advanceTimersByTime(100);
    }
    expect(heard).toEqual([]);
    vi.advanceTimersByTime(51);
    expect(heard).toEqual([3]);
  });

  it('passes on one now and then while they keep coming, as old as was said at most', () => {
    const heard: { readonly value: number; readonly at: number }[] = [];
    const begun = performance.now();
    const lagging = lag<number>((value) => heard.push({ value, at: performance.now() - begun }), 400);
    for (let value = 0; value < 100; value += 1) {
      lagging.tell(value);
      vi.advanceTimersByTime(16);
    }
    expect(heard.length).toBeGreaterThanOrEqual(3);
    expect(heard.length).toBeLessThanOrEqual(4);
    let last = 0;
    for (const { value, at } of heard) {
      expect(at - last).toBeLessThanOrEqual(400 + 16);
      expect(at - value * 16).toBeLessThanOrEqual(16);
      last = at;
    }
  });

  it('passes on nothing that it was told to forget, and begins again after', () => {
    const heard: number[] = [];
    const lagging = lag<number>((value) => heard.push(value));
    lagging.tell(1);
    lagging.forget();
    vi.advanceTimersByTime(5000);
    expect(heard).toEqual([]);
    lagging.tell(2);
    vi.advanceTimersByTime(149);
    expect(heard).toEqual([]);
    vi.advanceTimersByTime(1);
    expect(heard).toEqual([2]);
  });
});
