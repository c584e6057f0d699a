import { type LengthFormat, lengthText, ratioText } from '@splay/core';
import type { AtHand } from './at-hand.ts';

/** The curve in figures, for those who do not see it: where anything changes on it. */
export function StrengthTable({
  hand: { outcome, one },
  format,
}: {
  readonly hand: AtHand;
  readonly format: LengthFormat;
}) {
  const curve = one.strength?.curve ?? [];
  const told = curve.filter(
    ({ ratio }, at) => at === 0 || at === curve.length - 1 || Math.abs(ratio - (curve[at - 1]?.ratio ?? ratio)) > 0.01,
  );
  return (
    <table className="sr-only">
      <caption>What joint {outcome.joint.letter} carries of the bare rail, along the rail</caption>
      <thead>
        <tr>
          <th scope="col">From the joint</th>
          <th scope="col">Ratio</th>
        </tr>
      </thead>
      <tbody>
        {told.map(({ x, ratio }) => (
          <tr key={x}>
            <td>{lengthText(x, format, true)}</td>
            <td>{ratioText(ratio)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
