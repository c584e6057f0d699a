import { beforeEach, expect, it, vi } from 'vitest';
import { touchSettings, setTouchSettings, showTouchSettings, signalVerdict } from './touch-settings.ts';

const vibrate = vi.fn();
beforeEach(() => {
  localStorage.clear();
  delete document.documentElement.dataset.glove;
  vibrate.mockReset();
  Object.defineProperty(navigator, 'vibrate', { value: vibrate, configurable: true });
});

it('is kept on the device, and sets the page in glove size', () => {
  expect(touchSettings()).toEqual({ glove: false, signal: false });
  setTouchSettings({ glove: true, signal: false });
  expect(touchSettings()).toEqual({ glove: true, signal: false });
  expect(document.documentElement.dataset.glove).toBe('');
  setTouchSettings({ glove: false, signal: false });
  expect(document.documentElement.dataset.glove).toBeUndefined();
});

it('is as usual where what is kept cannot be read', () => {
  localStorage.setItem('splay/hand', '{');
  showTouchSettings();
  expect(touchSettings()).toEqual({ glove: false, signal: false });
});

it('lets a verdict be felt only where somebody asked for it, a bad one longer than a good one', () => {
  signalVerdict('bad');
  expect(vibrate).not.toHaveBeenCalled();
  setTouchSettings({ glove: false, signal: true });
  signalVerdict('good');
  signalVerdict('bad');
  const [good, bad] = vibrate.mock.calls.map(([felt]: readonly number[][]) => felt!.reduce((a, b) => a + b, 0));
  expect(bad).toBeGreaterThan(good!);
});
