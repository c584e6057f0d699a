/** A place on the screen as drawings say it, px: to a hundredth, which is finer than any screen. */
export const drawnPx = (px: number): number => Math.round(px * 100) / 100;

/**
 * A line through points on the screen as an SVG path; nothing for no point.
 *
 * @param points Where it goes, px.
 */
export function linePath(points: readonly (readonly [x: number, y: number])[]): string {
  let path = '';
  for (const [x, y] of points) path += `${path ? 'L' : 'M'}${drawnPx(x)} ${drawnPx(y)}`;
  return path;
}
