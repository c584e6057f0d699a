import { inches } from '../units/index.ts';
import type { Section } from './section.ts';

/** A section that steel yards commonly carry. */
export interface StockSection {
  readonly name: string;
  readonly section: Section;
}

const tube = (depth: number, width: number, wall: number, name: string): StockSection => {
  const thickness = inches(wall);
  return {
    name: `tube ${name}`,
    section: { kind: 'tube', depth: inches(depth), width: inches(width), thickness, inner: thickness },
  };
};

const channel = (depth: number, flange: number, wall: number, name: string): StockSection => ({
  name: `formed channel ${name}`,
  section: { kind: 'channel', depth: inches(depth), flange: inches(flange), thickness: inches(wall) },
});

/** Outside sizes of tubes, depth × width, and the walls that each is carried in, in. */
const TUBES: readonly (readonly [depth: number, width: number, name: string, walls: readonly number[]])[] = [
  [2, 2, '2 × 2', [1 / 8, 3 / 16, 1 / 4]],
  [3, 2, '3 × 2', [1 / 8, 3 / 16, 1 / 4]],
  [3, 3, '3 × 3', [3 / 16, 1 / 4]],
  [4, 2, '4 × 2', [1 / 8, 3 / 16, 1 / 4]],
  [4, 3, '4 × 3', [3 / 16, 1 / 4]],
  [4, 4, '4 × 4', [3 / 16, 1 / 4]],
  [5, 2, '5 × 2', [3 / 16, 1 / 4]],
  [5, 3, '5 × 3', [3 / 16, 1 / 4]],
  [6, 2, '6 × 2', [3 / 16, 1 / 4]],
  [6, 2.5, '6 × 2 1/2', [0.2]],
  [6, 3, '6 × 3', [3 / 16, 1 / 4]],
  [6, 4, '6 × 4', [3 / 16, 1 / 4]],
  [7, 2, '7 × 2', [3 / 16]],
  [8, 2, '8 × 2', [3 / 16, 1 / 4]],
  [8, 4, '8 × 4', [3 / 16, 1 / 4]],
];

/** Outside sizes of formed channels, depth × flange, and their walls, in. */
const CHANNELS: readonly (readonly [depth: number, flange: number, name: string, walls: readonly number[]])[] = [
  [4, 2, '4 × 2', [1 / 8, 3 / 16]],
  [5, 2.5, '5 × 2 1/2', [1 / 8, 3 / 16]],
  [6, 2.25, '6 × 2 1/4', [3 / 16, 1 / 4]],
  [6, 2.5, '6 × 2 1/2', [3 / 16, 1 / 4]],
  [7, 2.5, '7 × 2 1/2', [3 / 16, 1 / 4]],
  [7.375, 2.625, '7 3/8 × 2 5/8', [3 / 16, 1 / 4]],
  [8, 2.75, '8 × 2 3/4', [3 / 16, 1 / 4]],
  [9, 3, '9 × 3', [1 / 4, 5 / 16]],
  [10, 3.5, '10 × 3 1/2', [1 / 4, 5 / 16, 3 / 8]],
  [12, 3.5, '12 × 3 1/2', [5 / 16, 3 / 8]],
];

const WALL_NAMES: ReadonlyMap<number, string> = new Map([
  [1 / 8, '1/8'],
  [3 / 16, '3/16'],
  [0.2, '0.2'],
  [1 / 4, '1/4'],
  [5 / 16, '5/16'],
  [3 / 8, '3/8'],
]);

const each = (
  sizes: typeof TUBES,
  make: (depth: number, width: number, wall: number, name: string) => StockSection,
): StockSection[] =>
  sizes.flatMap(([depth, width, name, walls]) =>
    walls.map((wall) => make(depth, width, wall, `${name} × ${WALL_NAMES.get(wall)}`)),
  );

/** Common yard and frame sizes in inches; nominal, with sharp corners. A shop adds its own rack to these. */
export const STOCK_SECTIONS: readonly StockSection[] = [...each(TUBES, tube), ...each(CHANNELS, channel)];

/** The size that a new frame begins with: a light truck's channel. */
export const USUAL_SECTION = STOCK_SECTIONS.findIndex(({ name }) => name === 'formed channel 7 3/8 × 2 5/8 × 3/16');
