import { finer, latestReadings } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { Length } from '../../ui/length.tsx';
import { useWelding } from './use-welding.ts';

/** Every control reading: plan, what it is set to until it is welded, what the welds are expected to change, what they did. */
export function PullTable(bench: BenchProps) {
  const { job, readings } = bench;
  const { welding } = useWelding(bench);
  const format = finer(job.display);
  const [tacked, welded] = [latestReadings(readings, 'tacked'), latestReadings(readings, 'welded')];
  if (welding.changes.length === 0)
    return <p className="p-3 text-pencil">No control measurements yet: add them on the bench Donor.</p>;
  // What changes most stands first.
  const ordered = welding.changes.toSorted((a, b) => Math.abs(b.change) - Math.abs(a.change));
  return (
    <table className="w-full border-collapse text-[0.92rem]">
      <caption className="sr-only">How the welds change every control reading</caption>
      <thead className="sticky top-0 z-10 bg-sheet">
        <tr className="border-b border-graphite text-sm text-pencil">
          <th scope="col" className="py-1 text-left font-normal">
            Measurement
          </th>
          <th scope="col" className="figures font-normal">
            plan
          </th>
          <th scope="col" className="figures font-normal">
            at fit-up
          </th>
          <th scope="col" className="figures font-normal">
            welds change
          </th>
          <th scope="col" className="figures font-normal">
            they changed
          </th>
        </tr>
      </thead>
      <tbody>
        {ordered.map(({ control, change }) => {
          const { id } = control.measurement;
          const [before, after] = [tacked.get(id), welded.get(id)];
          return (
            <tr key={id} className="border-b border-rule/60">
              <th scope="row" className="py-1 text-left font-normal">
                {control.name}
              </th>
              <td className="figures">
                {control.predicted !== null && <Length mm={control.predicted} format={format} />}
              </td>
              <td className="figures">
                {control.predicted !== null && <Length mm={control.predicted + control.preset} format={format} />}
              </td>
              <td className="figures">
                <Length mm={change} format={format} signed />
              </td>
              <td className="figures font-semibold">
                {before && after ? <Length mm={after.value - before.value} format={format} signed /> : 'not read'}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
