import { ATTACHMENT_LIMIT } from '@splay/core';

/** A picture as it is kept: no larger than can be looked at, and small enough to be sent from a shop floor. */
export interface ShrunkPicture {
  readonly picture: Blob;
  /** px. */
  readonly width: number;
  readonly height: number;
}

/** The longest side that is kept, px; smaller where the bytes would still be too many. */
const LONGEST = 1600;
const SMALLEST = 400;

/** The size of a picture whose longest side is `longest` px at most. */
export function fitted(width: number, height: number, longest: number) {
  const share = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * share)), height: Math.max(1, Math.round(height * share)) };
}

const asJpeg = (canvas: HTMLCanvasElement): Promise<Blob | null> =>
  new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.82));

/** A picture from a file of this device, made small here before it is sent; null where it is no picture. */
export async function shrinkPicture(file: File): Promise<ShrunkPicture | null> {
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return null;
  try {
    for (let longest = LONGEST; longest >= SMALLEST; longest /= 2) {
      const size = fitted(bitmap.width, bitmap.height, longest);
      const canvas = Object.assign(document.createElement('canvas'), size);
      canvas.getContext('2d')?.drawImage(bitmap, 0, 0, size.width, size.height);
      const picture = await asJpeg(canvas);
      if (picture && picture.size <= ATTACHMENT_LIMIT) return { picture, ...size };
    }
    return null;
  } finally {
    bitmap.close();
  }
}
