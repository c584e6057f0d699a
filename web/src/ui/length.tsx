import { formatLength, type LengthFormat, otherUnitText } from '@splay/core';

interface LengthProps {
  readonly mm: number;
  readonly format: LengthFormat;
  readonly unit?: boolean;
  /** Show a plus before lengths above 0. */
  readonly signed?: boolean;
  readonly className?: string;
}

/**
 * A length in the job's unit, with a real fraction, *scant* or *full* where it is, and the other unit on hover. In the
 * cells of a table sign, whole, fraction and nuance stand each in a column of their own, so that figures can be compared
 * down the page.
 */
export function Length({ mm, format, unit = false, signed = false, className }: LengthProps) {
  const shown = formatLength(mm, format);
  const sign = shown.sign || (signed && mm > 0 ? '+' : '');
  const [whole, decimals] = shown.whole.split('.');
  return (
    <span className={`whitespace-nowrap ${className ?? ''}`} title={otherUnitText(mm, format)}>
      <span className="length-sign">{sign}</span>
      <span className="length-whole">{whole}</span>
      <span className="length-rest">
        {decimals && `.${decimals}`}
        {/* A real space and a real fraction slash: what is copied and read out is what is written. */}
        {shown.whole && shown.fraction && <span className="fraction-space"> </span>}
        {shown.fraction && <span className="fraction">{shown.fraction.replace('/', '⁄')}</span>}
      </span>
      {unit && <span className="font-normal"> {shown.unit}</span>}
      <span className="length-nuance">{shown.nuance && <span className="nuance"> {shown.nuance}</span>}</span>
    </span>
  );
}
