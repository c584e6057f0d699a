import type { Side } from '../frame/index.ts';
import type { DrawnPoint } from './outline.ts';

/** A part laid flat, mm: its front end at 0, x to the rear as seen from outside the rail, y up or inward. */
export interface FlatShape {
  readonly outline: readonly DrawnPoint[];
  readonly holes: readonly {
    readonly at: DrawnPoint;
    readonly diameter: number;
    readonly what: 'plug' | 'bolt' | 'kept' | 'mount';
  }[];
  readonly lines: readonly {
    readonly from: DrawnPoint;
    readonly to: DrawnPoint;
    readonly what: 'joint' | 'bend' | 'cut';
  }[];
}

/** A part to cut, laid flat. mm, kg. */
export interface FlatPart {
  /** What it is marked with: `A1L`. */
  readonly mark: string;
  readonly name: string;
  /** What it is cut from, in words. */
  readonly stock: string;
  readonly thickness: number;
  readonly length: number;
  readonly width: number;
  readonly flat: FlatShape;
  readonly mass: number;
  /** Fillets along it and round its plugs, mm. */
  readonly weldLength: number;
  /** What else is to be known to make it. */
  readonly note: string;
  /** Steel that came out of the frame which it can be cut from; null where none serves. */
  readonly offcut: string | null;
}

/**
 * The shape moved so that its front end is at 0, and turned over for the right rail: seen from outside, its front is right.
 *
 * @param shape The shape as it lies on the left.
 * @param side Left or right, as seated.
 */
export function laidOut(shape: FlatShape, side: Side): FlatShape {
  const flip = side === 'left' ? 1 : -1;
  const least = Math.min(...shape.outline.map(([x]) => x * flip));
  const lowest = Math.min(...shape.outline.map(([, y]) => y));
  const put = ([x, y]: DrawnPoint): DrawnPoint => [x * flip - least, y - lowest];
  return {
    outline: shape.outline.map(put),
    holes: shape.holes.map((hole) => ({ ...hole, at: put(hole.at) })),
    lines: shape.lines.map((line) => ({ ...line, from: put(line.from), to: put(line.to) })),
  };
}

/** How long and wide a flat shape is, mm. */
export const sizeOf = ({ outline }: FlatShape) => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  return { length: Math.max(...xs) - Math.min(...xs), width: Math.max(...ys) - Math.min(...ys) };
};

/**
 * A rectangle, mm.
 *
 * @param length Along the rail.
 * @param width Across it.
 * @param from Its front end.
 */
export const box = (length: number, width: number, from: number): readonly DrawnPoint[] => [
  [from, 0],
  [from + length, 0],
  [from + length, width],
  [from, width],
];
