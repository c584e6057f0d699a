import { describe, expect, it } from 'vitest';
import { beach, on, sprayer, tour, van } from '../../test/joints.ts';
import type { Job } from '../job/index.ts';
import { compareForms, contextOf, evaluatePlan, PLAIN_BUTT, spliceParts } from '../plan/index.ts';
import { drawParts } from './part-drawing.ts';

const partsOf = (job: Job) => spliceParts(evaluatePlan(job), job);
const ways = compareForms(PLAIN_BUTT, {
  ...on(van),
  material: van.donor.material,
  context: contextOf(van),
  aheadOfHanger: false,
});
const rails = ways.find(({ id }) => id === 'bolted')!.splice;
const bolted: Job = {
  ...van,
  name: 'a bolted joint',
  plan: { ...van.plan, splices: [{ joint: 'stretch/1', rails, others: [] }] },
};

/** The box of a shape's points, mm. */
function boxOf(points: readonly (readonly [number, number])[]) {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}

describe.each([van, sprayer, tour, beach, bolted])('the parts of $name in the flat', (job) => {
  const parts = partsOf(job);
  const shapes = drawParts(parts);
  const outlines = shapes.flatMap((shape) => (shape.kind === 'outline' ? [boxOf(shape.points)] : []));

  it('are each in real size, in the order of the list', () => {
    expect(outlines.map(({ left, right, low, high }) => [right - left, high - low])).toEqual(
      parts.map(({ length, width }) => [expect.toBeNear(length, 1e-6), expect.toBeNear(width, 1e-6)]),
    );
  });

  it('stand clear of each other, one above the other', () => {
    for (const [at, { low }] of outlines.slice(0, -1).entries())
      expect(low - outlines[at + 1]!.high).toBeGreaterThanOrEqual(40 - 1e-6);
  });

  it('have all their holes and lines inside, and each on its layer', () => {
    const layers = new Set(shapes.map(({ layer }) => layer));
    for (const layer of layers) expect(['PARTS', 'PART_HOLES', 'PART_LINES', 'TEXT']).toContain(layer);
    const holes = shapes.filter(({ kind }) => kind === 'circle');
    expect(holes).toHaveLength(parts.reduce((sum, { flat }) => sum + flat.holes.length, 0));
    for (const shape of shapes) {
      const inside = (x: number, y: number, by: number) =>
        outlines.some(
          ({ left, right, low, high }) =>
            x - by >= left - 1e-6 && x + by <= right + 1e-6 && y - by >= low - 1e-6 && y + by <= high + 1e-6,
        );
      if (shape.kind === 'circle') expect(inside(...shape.center, shape.radius)).toBe(true);
      if (shape.kind === 'line') expect(inside(...shape.from, 0) && inside(...shape.to, 0)).toBe(true);
    }
  });

  it('say their marks, and how thick they are, over themselves', () => {
    const texts = shapes.flatMap((shape) => (shape.kind === 'text' ? [shape] : []));
    for (const [at, { mark, thickness }] of parts.entries()) {
      expect(texts[at]!.text).toMatch(new RegExp(`^${mark} .* t=${Number(thickness.toFixed(2))}$`));
      expect(texts[at]!.at[1]).toBeGreaterThan(outlines[at]!.high);
    }
  });
});

it('a bolted joint has holes to drill in every plate', () => {
  const parts = partsOf(bolted);
  expect(parts.length).toBeGreaterThan(0);
  for (const { flat } of parts) expect(flat.holes.length).toBeGreaterThanOrEqual(8);
});

it('nothing is drawn where there is nothing to cut', () => {
  expect(drawParts([])).toEqual([]);
});
