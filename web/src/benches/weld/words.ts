import { lengthText, type LengthFormat, type Seam, type Section, type Stitch, stitchPlace } from '@splay/core';

/** “Left rail”, “right leg”: whose weld it is. */
export const railWords = (rail: string): string =>
  rail === 'left' || rail === 'right' ? `${rail} rail` : rail.replace('/', ', ');

/** “web”, “plate inside the web, upper edge”: what is welded. */
export const seamWords = ({ part, where }: Seam): string => (part === 'rail' ? where : `${part}, ${where}`);

/** “butt, 3/16 wall”, “fillet, 3/16 leg”, “4 plugs of 5/8”. */
export function weldWords({ weld }: Seam, format: LengthFormat): string {
  const show = (mm: number) => lengthText(mm, format, true);
  switch (weld.kind) {
    case 'groove':
      return `butt, wall ${show(weld.wall)}`;
    case 'fillet':
      return `fillet, leg ${show(weld.leg)}`;
    case 'plug':
      return `${weld.count} ${weld.count === 1 ? 'plug' : 'plugs'} of ${show(weld.diameter)}`;
  }
}

/** “5 1/4 to 1 3/8 below the top edge”: where a stitch begins and ends. */
export function placeWords(stitch: Stitch, section: Section, format: LengthFormat): string {
  const { from, to, measured } = stitchPlace(stitch, section);
  const show = (mm: number) => lengthText(mm, format, true);
  if (stitch.pass === 0 || Math.abs(to - from) < 1e-9) return `${show(from)} ${measured}`;
  if (measured !== 'behind the joint' || (from >= 0 && to >= 0)) return `${show(from)} to ${show(to)} ${measured}`;
  if (from <= 0 && to <= 0) return `${show(-from)} to ${show(-to)} ahead of the joint`;
  return `${show(Math.abs(from))} ${from < 0 ? 'ahead of' : 'behind'} to ${show(Math.abs(to))} ${to < 0 ? 'ahead of' : 'behind'} the joint`;
}

/** “tack”, “root”, “pass 2”. */
export const passWords = ({ pass }: Pick<Stitch, 'pass'>): string =>
  pass === 0 ? 'tack' : pass === 1 ? 'root' : `pass ${pass}`;

/** “2 min 40 s”. */
export function timeWords(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds - 1e-9));
  const [minutes, left] = [Math.floor(whole / 60), whole % 60];
  return minutes === 0 ? `${left} s` : `${minutes} min${left > 0 ? ` ${left} s` : ''}`;
}
