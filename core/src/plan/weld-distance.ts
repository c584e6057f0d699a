import type { Feature } from '../frame/index.ts';
import type { Section } from '../sections/index.ts';
import type { SpliceForm } from '../splice/index.ts';
import type { Span } from '../units/index.ts';

/** A straight stretch of the weld of a joint in the web: along the rail from the joint, and over the underside, mm. */
interface Seam {
  readonly from: readonly [x: number, z: number];
  readonly to: readonly [x: number, z: number];
}

/** The weld of a joint in the web. */
function seamsOf(form: SpliceForm, depth: number): readonly Seam[] {
  switch (form.form) {
    case 'butt':
    case 'bolted':
      return [{ from: [0, 0], to: [0, depth] }];
    case 'angled':
      return [{ from: [-form.run / 2, 0], to: [form.run / 2, depth] }];
    case 'step': {
      const upper = (form.upper === 'ahead' ? -1 : 1) * (form.length / 2);
      return [
        { from: [-upper, 0], to: [-upper, form.height] },
        { from: [-upper, form.height], to: [upper, form.height] },
        { from: [upper, form.height], to: [upper, depth] },
      ];
    }
  }
}

/** How far a point is from a box that is so long along the rail and so high, mm; 0 inside it. */
const fromBox = (x: number, z: number, span: Span, low: number, high: number): number =>
  Math.hypot(Math.max(span.from - x, 0, x - span.to), Math.max(low - z, 0, z - high));

/** Halvings that find the nearest point of a straight seam: the distance to a box falls, then rises along it. */
const HALVINGS = 60;

function fromSeam({ from, to }: Seam, span: Span, low: number, high: number): number {
  // Along the rail or straight up it is a box of its own: how far the two are apart along and in height.
  if (from[0] === to[0] || from[1] === to[1]) {
    const [front, rear] = [Math.min(from[0], to[0]), Math.max(from[0], to[0])];
    const [under, over] = [Math.min(from[1], to[1]), Math.max(from[1], to[1])];
    return Math.hypot(Math.max(span.from - rear, 0, front - span.to), Math.max(low - over, 0, under - high));
  }
  const at = (share: number): number =>
    fromBox(from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1]), span, low, high);
  let [a, b] = [0, 1];
  for (let step = 0; step < HALVINGS; step += 1) {
    const [left, right] = [a + (b - a) / 3, b - (b - a) / 3];
    if (at(left) < at(right)) b = right;
    else a = left;
  }
  return Math.min(at(0), at((a + b) / 2), at(1));
}

/**
 * The distance of something on a rail from the weld of a joint in the same face, mm; 0 where it touches it. In the web it is the
 * distance to the weld as it runs; on a flange, that along the rail.
 *
 * @param form How the joint is cut.
 * @param section The rail’s section.
 * @param feature What is on the rail: its face, how far below the top, and its hole.
 * @param span What it takes up along the rail, from the middle of the joint, mm.
 */
export function weldDistance(
  form: SpliceForm,
  { depth }: Section,
  { face, down, diameter }: Pick<Feature, 'face' | 'down' | 'diameter'>,
  span: Span,
): number {
  const seams = seamsOf(form, depth);
  if (face === 'top' || face === 'bottom') {
    const end = face === 'top' ? seams.at(-1)?.to : seams[0]?.from;
    const x = end?.[0] ?? 0;
    return Math.max(0, span.from - x, x - span.to);
  }
  const middle = depth - down;
  return Math.min(...seams.map((seam) => fromSeam(seam, span, middle - diameter / 2, middle + diameter / 2)));
}
