import { formatLength, type LengthFormat } from '@splay/core';

/** A length inside an SVG text, with a real fraction. */
export function SvgLength({
  mm,
  format,
  signed = false,
}: {
  readonly mm: number;
  readonly format: LengthFormat;
  readonly signed?: boolean;
}) {
  const { sign, whole, fraction } = formatLength(mm, format);
  return (
    <>
      {sign || (signed && mm > 0 ? '+' : '')}
      {whole}
      {whole && fraction && ' '}
      {fraction && <tspan className="fraction">{fraction.replace('/', '⁄')}</tspan>}
    </>
  );
}

/** About how wide a length is drawn at a font size, px: digits of the condensed face, fractions narrower. */
export function lengthWidth(mm: number, format: LengthFormat, size: number, extra = 0): number {
  const { sign, whole, fraction } = formatLength(mm, format);
  return (sign.length + whole.length) * size * 0.5 + fraction.length * size * 0.34 + extra * size * 0.46 + 4;
}
