import type { Seam, Stitch } from '@splay/core';

/** “Left rail”, “right leg”: whose weld it is. */
export const railWords = (rail: string): string =>
  rail === 'left' || rail === 'right' ? `${rail} rail` : rail.replace('/', ', ');

/** “web”, “plate inside the web, upper edge”: what is welded. */
export const seamWords = ({ part, where }: Seam): string => (part === 'rail' ? where : `${part}, ${where}`);

/** “tack”, “root”, “pass 2”. */
export const passWords = ({ pass }: Pick<Stitch, 'pass'>): string =>
  pass === 0 ? 'tack' : pass === 1 ? 'root' : `pass ${pass}`;

/** “2 min 40 s”. */
export function timeWords(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds - 1e-9));
  const [minutes, left] = [Math.floor(whole / 60), whole % 60];
  return minutes === 0 ? `${left} s` : `${minutes} min${left > 0 ? ` ${left} s` : ''}`;
}
