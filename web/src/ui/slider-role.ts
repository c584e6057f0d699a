import { type LengthFormat, lengthText } from '@splay/core';

/**
 * What makes a handle of a drawing a slider to whoever does not see it: its name, and where it stands, spoken again after each
 * arrow key.
 *
 * @param name What is moved.
 * @param mm Where it stands, as it is written: a station from the datum hole, or a length.
 */
export const sliderRole = (name: string, mm: number, format: LengthFormat) =>
  ({
    role: 'slider',
    tabIndex: 0,
    'aria-label': name,
    'aria-valuenow': Math.round(mm),
    'aria-valuetext': lengthText(mm, format, true),
  }) as const;
