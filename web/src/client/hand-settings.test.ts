import { beforeEach, expect, it, vi } from 'vitest';
import { handSettings, setHandSettings, showHandSettings, signalVerdict } from './hand-settings.ts';

const vibrate = vi.fn();
beforeEach(() => {
  localStorage.clear();
  delete document.documentElement.dataset.glove;
  vibrate.mockReset();
  Object.defineProperty(navigator, 'vibrate', { value: vibrate, configurable: true });
});

it('is kept on the device, and sets the page in glove size', () => {
  expect(handSettings()).toEqual({ glove: false, signal: false });
  setHandSettings({ glove: true, signal: false });
  expect(handSettings()).toEqual({ glove: true, signal: false });
  expect(document.documentElement.dataset.glove).toBe('');
  setHandSettings({ glove: false, signal: false });
  expect(document.documentElement.dataset.glove).toBeUndefined();
});

it('is as usual where what is kept cannot be read', () => {
  localStorage.setItem('splay/hand', '{');
  showHandSettings();
  expect(handSettings()).toEqual({ glove: false, signal: false });
});

it('lets a verdict be felt only where somebody asked for it, a bad one longer than a good one', () => {
  signalVerdict('bad');
  expect(vibrate).not.toHaveBeenCalled();
  setHandSettings({ glove: false, signal: true });
  signalVerdict('good');
  signalVerdict('bad');
  const [good, bad] = vibrate.mock.calls.map(([felt]: readonly number[][]) => felt!.reduce((a, b) => a + b, 0));
  expect(bad).toBeGreaterThan(good!);
});
