import { type ControlMeasurement, type ControlPoint, SIDES } from '../frame/index.ts';

/**
 * Every width and height, and lengths and both diagonals between neighbors and from first to last.
 *
 * @param points Left and right pairs, in any order.
 */
export function usualMeasurements(points: readonly ControlPoint[]): ControlMeasurement[] {
  const inOrder = [...points].sort((a, b) => a.x - b.x);
  const [first, last] = [inOrder[0], inOrder.at(-1)];
  const neighbors = inOrder.slice(1).map((point, index) => [inOrder[index] as ControlPoint, point] as const);
  const pairs = first && last && inOrder.length > 2 ? [...neighbors, [first, last] as const] : neighbors;
  const end = (point: ControlPoint, side: 'left' | 'right') => ({ point: point.id, side });
  const tape = (id: string, from: ReturnType<typeof end>, to: ReturnType<typeof end>): ControlMeasurement => ({
    id,
    kind: 'tape',
    from,
    to,
  });
  return [
    ...inOrder.map((point) => tape(`${point.id}-width`, end(point, 'left'), end(point, 'right'))),
    ...pairs.flatMap(([a, b]) => [
      tape(`${a.id}-${b.id}-left`, end(a, 'left'), end(b, 'left')),
      tape(`${a.id}-${b.id}-right`, end(a, 'right'), end(b, 'right')),
      tape(`${a.id}-left-${b.id}-right`, end(a, 'left'), end(b, 'right')),
      tape(`${a.id}-right-${b.id}-left`, end(a, 'right'), end(b, 'left')),
    ]),
    ...inOrder.flatMap((point) =>
      SIDES.map((side): ControlMeasurement => ({
        id: `${point.id}-height-${side}`,
        kind: 'height',
        at: end(point, side),
      })),
    ),
  ];
}
