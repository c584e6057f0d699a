import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const css = readFileSync(new URL('./app.css', import.meta.url), 'utf8');

type Colors = ReadonlyMap<string, string>;

const colorsIn = (block: string): Colors =>
  new Map([...block.matchAll(/--color-([a-z-]+):\s*(#[0-9a-f]{6})/g)].map(([, name = '', hex = '']) => [name, hex]));
const blockOf = (start: string): string => {
  const from = css.indexOf(start);
  return css.slice(from, css.indexOf('}', from));
};
const day = colorsIn(blockOf('@theme'));
const night: Colors = new Map([...day, ...colorsIn(blockOf("[data-theme='night']"))]);

const channels = (hex: string): readonly number[] => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));

/** Relative luminance (WCAG 2.1). */
function luminance(rgb: readonly number[]): number {
  const [r = 0, g = 0, b = 0] = rgb.map((value) => {
    const share = value / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Contrast of one color, at an opacity, on another (WCAG 2.1). */
function contrast(colors: Colors, over: string, under: string, opacity = 1): number {
  const of = (name: string) => {
    const hex = colors.get(name);
    if (!hex) throw new Error(`There is no color ${name}.`);
    return channels(hex);
  };
  const below = of(under);
  const shown = of(over).map((value, at) => value * opacity + (below[at] ?? 0) * (1 - opacity));
  const [a, b] = [luminance(shown), luminance(below)];
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

const GROUNDS = ['paper', 'sheet', 'bench', 'layout-wash', 'oxide-wash', 'ochre-wash', 'passed-wash', 'steel'] as const;

/** Words: what is written in which ink on which ground, and how opaque. */
type Words = readonly [ink: string, ground: string, opacity: number];
const WORDS: readonly Words[] = [
  ...(['graphite', 'pencil'] as const).flatMap((ink) =>
    GROUNDS.filter((ground) => ground !== 'steel' || ink === 'graphite').map((ground): Words => [ink, ground, 1]),
  ),
  ...(['layout', 'oxide', 'ochre', 'passed'] as const).flatMap((ink) =>
    ['paper', 'sheet', 'bench', `${ink}-wash`].map((ground): Words => [ink, ground, 1]),
  ),
  ...['layout', 'oxide', 'graphite', 'ochre'].map((ground): Words => ['sheet', ground, 1]),
  ['paper', 'graphite', 1],
  ...['night', 'oxide-deep', 'passed-deep'].map((ground) => ['on-night', ground, 0.85] as Words),
];

/** Lines that say something, and the ring round what has the focus. */
const LINES: readonly (readonly [ink: string, ground: string])[] = [
  ...(['graphite', 'pencil', 'layout', 'oxide', 'ochre', 'passed'] as const).flatMap((ink) =>
    ['paper', 'sheet', 'bench'].map((ground) => [ink, ground] as const),
  ),
  ['graphite', 'steel'],
  ['on-night', 'night'],
  ['on-night', 'oxide-deep'],
  ['on-night', 'passed-deep'],
];

describe.each([
  ['by day', day],
  ['by night', night],
] as const)('the colors %s', (_, colors) => {
  it.each(WORDS)('words in %s on %s', (ink, ground, opacity) => {
    expect(contrast(colors, ink, ground, opacity)).toBeGreaterThanOrEqual(4.5);
  });

  it.each(LINES)('lines in %s on %s', (ink, ground) => {
    expect(contrast(colors, ink, ground)).toBeGreaterThanOrEqual(3);
  });
});

it('knows black on white', () => {
  const plain = new Map([
    ['black', '#000000'],
    ['white', '#ffffff'],
  ]);
  expect(contrast(plain, 'black', 'white')).toBeCloseTo(21, 6);
});

it('writes nothing smaller than 12 px', () => {
  const rems = [...css.matchAll(/font-size:\s*([\d.]+)rem/g)].map(([, size]) => Number(size) * 15);
  for (const px of rems) expect(px).toBeGreaterThanOrEqual(11.9);
});
