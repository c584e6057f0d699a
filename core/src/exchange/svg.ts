import type { DrawingLayer, Shape } from './drawing.ts';

const INK: Readonly<Record<DrawingLayer, string>> = {
  DONOR: 'fill="none" stroke="#8a8273" stroke-dasharray="16 12"',
  BUILT: 'fill="#dcd7ce" stroke="#35322b"',
  NEW: 'fill="#dbe5f2" stroke="#1f4e90"',
  CUT_AWAY: 'fill="none" stroke="#9c3b26" stroke-dasharray="24 8"',
  CROSSMEMBERS: 'fill="none" stroke="#6a6252"',
  MEMBERS: 'fill="none" stroke="#6a6252"',
  FEATURES: 'fill="none" stroke="#35322b"',
  AXLES: 'fill="none" stroke="#6a6252" stroke-dasharray="6 10"',
  CUTS: 'fill="none" stroke="#9c3b26"',
  PARTS: 'fill="none" stroke="#35322b" stroke-width="0.5"',
  PART_HOLES: 'fill="none" stroke="#1f4e90" stroke-width="0.5"',
  PART_LINES: 'fill="none" stroke="#9c3b26" stroke-width="0.5" stroke-dasharray="6 3"',
  TEXT: 'fill="#35322b" font-family="sans-serif"',
};

const MARGIN = 60;

function extentOf(shape: Shape): readonly (readonly [number, number])[] {
  switch (shape.kind) {
    case 'outline':
      return shape.points;
    case 'line':
      return [shape.from, shape.to];
    case 'circle': {
      const [x, y] = shape.center;
      return [
        [x - shape.radius, y - shape.radius],
        [x + shape.radius, y + shape.radius],
      ];
    }
    case 'text':
      return [shape.at];
  }
}

const escaped = (text: string) => text.replace(/[&<>"]/g, (mark) => `&#${mark.charCodeAt(0)};`);
const n = (value: number): string => String(Number(value.toFixed(3)));

function element(shape: Shape): string {
  const ink = INK[shape.layer];
  switch (shape.kind) {
    case 'outline':
      return `<path class="${shape.layer}" d="${shape.points.map(([x, y], index) => `${index ? 'L' : 'M'}${n(x)} ${n(-y)}`).join('')}Z" ${ink}/>`;
    case 'line':
      return `<path class="${shape.layer}" d="M${n(shape.from[0])} ${n(-shape.from[1])}L${n(shape.to[0])} ${n(-shape.to[1])}" ${ink}/>`;
    case 'circle':
      return `<circle class="${shape.layer}" cx="${n(shape.center[0])}" cy="${n(-shape.center[1])}" r="${n(shape.radius)}" ${ink}/>`;
    case 'text':
      return `<text x="${n(shape.at[0])}" y="${n(-shape.at[1])}" font-size="${n(shape.height)}" ${ink}>${escaped(shape.text)}</text>`;
  }
}

/**
 * A drawing as SVG text, real size in millimeters.
 *
 * @param shapes What is drawn, mm.
 * @param title What the drawing is of, for screen readers.
 */
export function writeSvg(shapes: readonly Shape[], title: string): string {
  const points = shapes.flatMap(extentOf);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => -y);
  const [left, top] = [Math.min(...xs) - MARGIN, Math.min(...ys) - MARGIN];
  const [width, height] = [Math.max(...xs) - left + MARGIN, Math.max(...ys) - top + MARGIN];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="${n(left)} ${n(top)} ${n(width)} ${n(height)}" stroke-width="3">`,
    `<title>${escaped(title)}</title>`,
    ...shapes.map(element),
    '</svg>',
    '',
  ].join('\n');
}
