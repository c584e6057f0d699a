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

/** General yard sizes in inches; nominal, with sharp corners. A shop adds its own rack to these. */
export const STOCK_SECTIONS: readonly StockSection[] = [
  tube(2, 2, 3 / 16, '2 × 2 × 3/16'),
  tube(3, 2, 3 / 16, '3 × 2 × 3/16'),
  tube(4, 2, 3 / 16, '4 × 2 × 3/16'),
  tube(5, 2, 3 / 16, '5 × 2 × 3/16'),
  tube(5, 3, 3 / 16, '5 × 3 × 3/16'),
  tube(6, 2, 3 / 16, '6 × 2 × 3/16'),
  tube(6, 2.5, 0.2, '6 × 2 1/2 × 0.2'),
  tube(7, 2, 3 / 16, '7 × 2 × 3/16'),
  channel(5, 2.5, 3 / 16, '5 × 2 1/2 × 3/16'),
  channel(6, 2.5, 3 / 16, '6 × 2 1/2 × 3/16'),
  channel(7.375, 2.625, 3 / 16, '7 3/8 × 2 5/8 × 3/16'),
  channel(8, 2.75, 1 / 4, '8 × 2 3/4 × 1/4'),
];
