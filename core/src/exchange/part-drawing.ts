import type { FlatPart, DrawnPoint } from '../plan/index.ts';
import type { Shape } from './drawing.ts';

/** Between one part and the next, and the height of their marks, mm. */
const GAP = 40;
const LETTERS = 12;

/**
 * The flat shapes of parts in real size, one above the other, each with its mark: outline and holes to cut, lines to bend or
 * scribe by.
 *
 * @param parts The parts, from the top.
 */
export function drawParts(parts: readonly FlatPart[]): Shape[] {
  let base = 0;
  return parts.flatMap(({ mark, name, flat, thickness, width }): Shape[] => {
    base -= width + GAP;
    const put = ([x, y]: DrawnPoint): DrawnPoint => [x, y + base];
    return [
      { kind: 'outline', layer: 'PARTS', points: flat.outline.map(put) },
      ...flat.holes.map(({ at, diameter }): Shape => ({
        kind: 'circle',
        layer: 'PART_HOLES',
        center: put(at),
        radius: diameter / 2,
      })),
      ...flat.lines.map(({ from, to }): Shape => ({ kind: 'line', layer: 'PART_LINES', from: put(from), to: put(to) })),
      {
        kind: 'text',
        layer: 'TEXT',
        at: put([0, width + 8]),
        height: LETTERS,
        text: `${mark} ${name} t=${Number(thickness.toFixed(2))}`,
      },
    ];
  });
}
