import { dequal } from 'dequal/lite';
import { type FunctionComponent, memo } from 'react';

/**
 * A part of the screen that is drawn again only when what it shows has changed, by value: while a cut is dragged the
 * plan is evaluated anew for every frame, but most of what it says stays the same. Its props are plain data and
 * functions that stay the same.
 */
export const still = <Props extends object>(drawing: FunctionComponent<Props>) => memo(drawing, dequal);
