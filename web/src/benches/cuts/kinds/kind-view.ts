import type { LengthFormat, Operation } from '@splay/core';
import type { ReactNode } from 'react';
import type { Fields } from '../field-props.ts';
import type { SketchOf } from '../sketches/sketch-figure.tsx';

/** What the bench shows of one kind of operation. */
export interface KindView<K extends Operation['kind']> {
  readonly Fields: (props: Fields<K>) => ReactNode;
  /** Its geometry with its figures; nothing where there is none to draw. */
  readonly Sketch: (props: SketchOf<K>) => ReactNode;
  /** The figure that it is remembered by in the list. */
  readonly figure: (operation: Extract<Operation, { kind: K }>, display: LengthFormat) => string;
}
