import { formatLength, type LengthFormat } from '@splay/core';
import { CanvasTexture, SRGBColorSpace } from 'three';

/** A name with a length as it is written on the drawings, as a picture to be hung up in space. */
export interface SpaceLabel {
  readonly texture: CanvasTexture;
  /** How wide it is for its height. */
  readonly aspect: number;
}

const SIZE = 64;
const SMALL = 0.68;
const font = (size: number, weight = 700) => `${weight} ${size}px "Sofia Sans", sans-serif`;

/** The face that labels are written in, loaded before the first is drawn: a picture is not drawn again when it comes. */
export const labelFace = (): Promise<unknown> => document.fonts.load(font(SIZE), 'WCBAOverall 0123456789⁄');

/**
 * Draws a label: `WB 155 3/4`, the fraction small and raised over its line.
 *
 * @param name What it is.
 * @param mm The length, mm.
 * @param format How lengths are written.
 */
export function spaceLabel(name: string, mm: number, format: LengthFormat): SpaceLabel {
  const { sign, whole, fraction, unit } = formatLength(mm, format);
  const [over = '', under = ''] = fraction.split('/');
  /** What stands one behind the other: text, size, how far it is raised, and the room ahead of it. */
  const parts: readonly (readonly [text: string, size: number, up: number, ahead: number])[] = [
    [name, SIZE * 0.8, 0, 0],
    [sign + whole, SIZE, 0, 18],
    ...(fraction
      ? ([
          [over, SIZE * SMALL, SIZE * 0.26, 8],
          ['⁄', SIZE * 0.9, 0, 0],
          [under, SIZE * SMALL, -SIZE * 0.06, 0],
        ] as const)
      : []),
    [unit, SIZE * 0.7, 0, 12],
  ];
  const canvas = document.createElement('canvas');
  const pen = canvas.getContext('2d');
  if (!pen) return { texture: new CanvasTexture(canvas), aspect: 1 };
  const widths = parts.map(([text, size, , ahead]) => {
    pen.font = font(size);
    return pen.measureText(text).width + ahead;
  });
  const [padding, height] = [22, SIZE * 1.5];
  canvas.width = Math.ceil(widths.reduce((sum, width) => sum + width, 2 * padding));
  canvas.height = height;
  pen.fillStyle = '#fffdf6';
  pen.fillRect(0, 0, canvas.width, height);
  pen.strokeStyle = '#33322e';
  pen.lineWidth = 4;
  pen.strokeRect(2, 2, canvas.width - 4, height - 4);
  pen.fillStyle = '#1d1c1a';
  parts.reduce((x, [text, size, up, ahead], index) => {
    pen.font = font(size);
    pen.fillText(text, x + ahead, height * 0.7 - up);
    return x + (widths[index] ?? 0);
  }, padding);
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  return { texture, aspect: canvas.width / height };
}
