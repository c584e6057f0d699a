import { type LengthFormat, lengthText, ratioText, type SpliceStrength } from '@splay/core';
import { memo } from 'react';

interface StrengthTableProps {
  readonly letter: string;
  readonly curve: SpliceStrength['curve'];
  readonly format: LengthFormat;
}

/** The curve in figures, for those who do not see it: where anything changes on it. */
export const StrengthTable = memo(function StrengthTable({ letter, curve, format }: StrengthTableProps) {
  const told = curve.filter(
    ({ ratio }, at) => at === 0 || at === curve.length - 1 || Math.abs(ratio - (curve[at - 1]?.ratio ?? ratio)) > 0.01,
  );
  return (
    <table className="sr-only">
      <caption>What joint {letter} carries of the bare rail, along the rail</caption>
      <thead>
        <tr>
          <th scope="col">From the joint</th>
          <th scope="col">Ratio</th>
        </tr>
      </thead>
      <tbody>
        {told.map(({ x, ratio }, at) => (
          <tr key={at}>
            <td>{lengthText(x, format, true)}</td>
            <td>{ratioText(ratio)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
});
