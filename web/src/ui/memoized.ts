import { type FunctionComponent, memo } from 'react';

/** Figures that differ by less are the same on the screen, and what rounding leaves is no change: px, mm, degrees. */
const NOISE = 1e-6;

/** True for figures that are the same on the screen. */
export const near = (a: number, b: number): boolean => Math.abs(a - b) < NOISE;

/**
 * True for plain data of the same shape whose figures differ by no more than rounding leaves. Functions and classes are
 * the same only as the very same thing.
 */
export function alike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a === 'number' && typeof b === 'number') return near(a, b);
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a)) return Array.isArray(b) && a.length === b.length && a.every((each, at) => alike(each, b[at]));
  if (Object.getPrototypeOf(a) !== Object.prototype || Object.getPrototypeOf(b) !== Object.prototype) return false;
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(left);
  return keys.length === Object.keys(right).length && keys.every((key) => key in right && alike(left[key], right[key]));
}

/**
 * A part of the screen that is drawn again only when what it shows has changed, by value: while a cut is dragged the
 * plan is evaluated again for every frame, but most of what it says stays the same. Its props are plain data and
 * functions that stay the same.
 */
export const memoized = <Props extends object>(drawing: FunctionComponent<Props>) => memo(drawing, alike);
