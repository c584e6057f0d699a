/** What stands under a picture, and beside the line between before and planned. */
export interface PictureWords {
  readonly shop: string;
  readonly job: string;
  readonly plan: string;
  readonly date: string;
  /** How much of the width from the left shows the frame before, 0 to 1. */
  readonly before: number;
}

const STRIP = 0.09;
const [PAPER, INK] = ['#f4f1e8', '#1d1c1a'];

/**
 * The view in space as a picture with the shop and the job under it.
 *
 * @param view What was just drawn.
 * @param words The words in the strip and beside the line.
 */
export function pictureOf(view: HTMLCanvasElement, words: PictureWords): HTMLCanvasElement {
  const { width, height } = view;
  const strip = Math.round(height * STRIP);
  const picture = document.createElement('canvas');
  [picture.width, picture.height] = [width, height + strip];
  const pen = picture.getContext('2d');
  if (!pen) return picture;
  pen.fillStyle = PAPER;
  pen.fillRect(0, 0, width, height + strip);
  pen.drawImage(view, 0, 0);
  pen.fillStyle = INK;
  const say = (text: string, x: number, y: number, share: number, weight: number, align: CanvasTextAlign = 'left') => {
    pen.font = `${weight} ${Math.round(strip * share)}px "Sofia Sans", sans-serif`;
    pen.textAlign = align;
    pen.fillText(text, x, y, width * 0.48);
  };
  if (words.before > 0 && words.before < 1) {
    const at = width * words.before;
    pen.fillRect(at - 1, 0, 2, height);
    say('before', at - strip * 0.2, strip * 0.6, 0.34, 700, 'right');
    say('planned', at + strip * 0.2, strip * 0.6, 0.34, 700);
  }
  pen.fillRect(0, height, width, 2);
  const side = strip * 0.35;
  say(words.shop, side, height + strip * 0.46, 0.36, 700);
  say(`${words.job} · ${words.plan}`, side, height + strip * 0.84, 0.28, 400);
  say(words.date, width - side, height + strip * 0.46, 0.28, 400, 'right');
  say('A picture of a plan, not an approval.', width - side, height + strip * 0.84, 0.28, 400, 'right');
  return picture;
}

/**
 * Hands a picture to the person as a PNG file.
 *
 * @param picture The picture.
 * @param name Name of the file, without its ending.
 */
export function savePicture(picture: HTMLCanvasElement, name: string): void {
  picture.toBlob((blob) => {
    if (!blob) return;
    const address = URL.createObjectURL(blob);
    const link = document.createElement('a');
    link.href = address;
    link.download = `${name.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'frame'}.png`;
    link.click();
    URL.revokeObjectURL(address);
  }, 'image/png');
}
