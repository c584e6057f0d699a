import { quantityText, spliceAssumptions } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';

/** What is calculated with, and what is left out, in so many words. */
const LEFT_OUT = [
  'Bending up and down only; twist, side bending and leaning axes of one-sided plates are left out.',
  'Elastic, at the yield stress; each part counts with the share that its welds can feed it, nothing changes place.',
  'The wall beside fillets and plugs keeps its full strength; the wall that is itself in weld has the heat-affected share of the material.',
  'Inside corners of the rail are taken as round as its wall is thick, since nobody has measured them.',
  'Holes that the donor has count neither in the rail nor in the joint.',
];

/** Every factor that the strength of the joints rests on: value, source, and whether the shop has changed it. */
export function AssumptionsDrawer({ job, result }: BenchProps) {
  const rows = spliceAssumptions(result, job.rules, job.display);
  const { material } = job.donor;
  return (
    <div className="p-4">
      <table className="w-full max-w-5xl text-sm">
        <caption className="sr-only">Factors that the strength of the joints rests on</caption>
        <thead className="text-left text-pencil">
          <tr className="border-b border-graphite">
            <th scope="col" className="py-1 pr-4 font-normal">
              Factor
            </th>
            <th scope="col" className="pr-4 font-normal">
              Value
            </th>
            <th scope="col" className="font-normal">
              Source
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ rule, what, value, source, changed }) => (
            <tr key={rule} className="border-b border-rule align-baseline">
              <th scope="row" className="py-1.5 pr-4 text-left font-normal">
                {what}
              </th>
              <td className="pr-4 font-semibold whitespace-nowrap">{value}</td>
              <td>{changed ? 'set by the shop' : source}</td>
            </tr>
          ))}
          <tr className="border-b border-rule align-baseline">
            <th scope="row" className="py-1.5 pr-4 text-left font-normal">
              Rail: {material.name}
            </th>
            <td className="pr-4 font-semibold whitespace-nowrap">
              {quantityText('stress', material.yieldStress, job.display.unit)},{' '}
              {quantityText('share', material.heatAffected, job.display.unit)} beside a weld
            </td>
            <td>{material.source}</td>
          </tr>
        </tbody>
      </table>
      <ul className="mt-3 max-w-3xl list-disc pl-5 text-sm text-pencil">
        {LEFT_OUT.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-pencil">
        All of it can be changed in the rulebook. A planning figure, never an approval: local code, a licensed engineer
        and a qualified welder decide.
      </p>
    </div>
  );
}
