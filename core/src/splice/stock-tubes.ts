import { inches } from '../units/index.ts';
import type { StockTube } from './sleeve.ts';

/** Outside sizes of rectangular and square tube that steel yards commonly carry, inches, and the walls they come in. */
const SIZES: readonly (readonly [height: number, width: number, walls: readonly number[]])[] = [
  [2, 1, [1 / 8]],
  [2, 1.5, [1 / 8, 3 / 16]],
  [2, 2, [1 / 8, 3 / 16, 1 / 4]],
  [2.5, 1.5, [1 / 8, 3 / 16]],
  [3, 1.5, [1 / 8, 3 / 16]],
  [3, 2, [1 / 8, 3 / 16, 1 / 4]],
  [3.5, 2.5, [3 / 16]],
  [4, 2, [1 / 8, 3 / 16, 1 / 4]],
  [4, 2.5, [3 / 16]],
  [4, 3, [3 / 16, 1 / 4]],
  [5, 2, [1 / 8, 3 / 16]],
  [5, 2.5, [3 / 16]],
  [5, 3, [1 / 8, 3 / 16, 1 / 4]],
  [6, 2, [1 / 8, 3 / 16, 1 / 4]],
  [6, 3, [3 / 16, 1 / 4]],
  [6, 4, [3 / 16, 1 / 4]],
  [7, 2, [3 / 16]],
  [7, 3, [3 / 16, 1 / 4]],
  [8, 2, [3 / 16, 1 / 4]],
  [8, 3, [3 / 16, 1 / 4]],
  [8, 4, [3 / 16, 1 / 4]],
];

const FRACTIONS: Readonly<Record<string, string>> = { '0.125': '1/8', '0.1875': '3/16', '0.25': '1/4', '0.5': '1/2' };

const written = (size: number): string => {
  const rest = FRACTIONS[String(size % 1)];
  const whole = Math.floor(size);
  return [whole > 0 ? String(whole) : '', rest ?? ''].filter((part) => part !== '').join(' ');
};

/**
 * Tube as yards commonly carry it. Corners are taken to be twice as round outside as the wall is thick, which cold-formed
 * tube usually is at most: measure yours.
 */
export const STOCK_TUBES: readonly StockTube[] = SIZES.flatMap(([height, width, walls]) =>
  walls.map((wall) => ({
    name: `tube ${[height, width, wall].map(written).join(' × ')}`,
    height: inches(height),
    width: inches(width),
    wall: inches(wall),
    cornerRadius: 2 * inches(wall),
  })),
);
