import { parseLength } from '@splay/core';
import { expect, it } from 'vitest';
import { pressKey } from './keypad.tsx';

const typed = (...keys: readonly string[]) => keys.reduce(pressKey, '');

it.each([
  [['6', '9', '3/8'], '69 3/8'],
  [['6', '9', '3/8', '7/16'], '69 7/16'],
  [['3/4'], '3/4'],
  [['minus', '1/8'], '-1/8'],
  [['4', '1/4', 'minus'], '-4 1/4'],
  [['6', '9', '3/8', 'back'], '69'],
  [['6', '9', 'back'], '6'],
  [['6', 'back', 'back'], ''],
  [['6', '3/8', '1'], '6 3/8'],
  [['3', '1', '.', '4'], '31.4'],
  [['6', '3/16', '+1/32'], '6 7/32'],
  [['6', '15/16', '+1/32', '+1/32'], '7'],
  [['+1/32'], '1/32'],
  [['4', 'minus', '+1/32'], '-4 1/32'],
  [['4', '1/8', '+1/32', '3/8'], '4 3/8'],
])('%j reads %s', (keys, text) => {
  expect(typed(...keys)).toBe(text);
  if (text !== '' && !text.includes('.')) expect(parseLength(text, 'in').ok).toBe(true);
});
