/**
 * An angle in degrees with at most `places` decimals and a true minus, such as `−3.8°`; `fixed` keeps them all, for
 * columns of figures.
 *
 * @param radians The angle, radians.
 * @param places Decimals of a degree.
 * @param fixed Whether zeros at the end are kept.
 */
export function angleText(radians: number, places = 1, fixed = true): string {
  const rounded = Number(((radians * 180) / Math.PI).toFixed(places));
  const size = fixed && rounded !== 0 ? Math.abs(rounded).toFixed(places) : String(Math.abs(rounded));
  return `${rounded < 0 ? '−' : ''}${size}°`;
}
