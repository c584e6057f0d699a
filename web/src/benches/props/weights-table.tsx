import type { BenchProps } from '../../client/bench-props.ts';
import { Quantity } from '../../ui/quantity.tsx';
import { hold } from './at-hand.ts';

interface Weighing {
  readonly id: string;
  readonly name: string;
  readonly what: string;
  readonly mass: number;
}

/** Everything that weighs on the frame besides its rails, and whether it is still on it when the saw starts. */
export function WeightsTable({ store, job, donor, canWrite }: BenchProps) {
  const off = new Set(job.plan.propping.off);
  const carried = new Set(donor.points.flatMap(({ item, carrier }) => (item.mass > 0 && carrier ? [carrier.id] : [])));
  const rows: Weighing[] = [
    // A unit without a weight can be said to be off; one with a weight is its weight.
    ...donor.units.flatMap(({ unit }) =>
      carried.has(unit.id) ? [] : [{ id: unit.id, name: unit.name, what: 'no weight given', mass: 0 }],
    ),
    ...donor.points.flatMap(({ item }) =>
      item.mass > 0 ? [{ id: item.id, name: item.name, what: 'weight', mass: item.mass }] : [],
    ),
    ...donor.crossmembers.flatMap(({ crossmember, mass }) =>
      mass > 0 ? [{ id: crossmember.id, name: crossmember.name, what: 'crossmember', mass }] : [],
    ),
    ...donor.features.flatMap(({ feature, places }) =>
      feature.mass > 0
        ? [
            {
              id: feature.id,
              name: feature.name,
              what: 'on the rail',
              mass: feature.mass * Object.keys(places).length,
            },
          ]
        : [],
    ),
    ...donor.members.flatMap(({ member, mass }) =>
      mass > 0 ? [{ id: member.id, name: member.name, what: 'member', mass }] : [],
    ),
  ].toSorted((a, b) => b.mass - a.mass);
  const put = (row: Weighing, on: boolean) =>
    hold(store, on ? `${row.name} is on the frame` : `${row.name} is off the frame`, (old) => ({
      ...old,
      off: on ? old.off.filter((id) => id !== row.id) : [...old.off, row.id],
    }));
  return (
    <table className="w-full max-w-3xl border-collapse">
      <caption className="pb-2 text-left text-sm text-pencil">
        What is still on the frame when it is cut: each stands in the weights and in where a part balances. A thing
        without a weight counts nothing; give it one on the Donor bench.
      </caption>
      <thead className="sticky top-0 bg-sheet">
        <tr className="border-b border-graphite text-sm text-pencil">
          <th scope="col" className="py-1 text-left font-normal">
            On the frame when it is cut
          </th>
          <th scope="col" className="figures font-normal">
            weighs
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id} className="border-b border-rule/60">
            <th scope="row" className="text-left font-normal">
              <label className="flex min-h-9 items-center gap-2 pointer-coarse:min-h-12 pointer-coarse:min-w-12">
                <input
                  type="checkbox"
                  className="h-5 w-5 shrink-0 accent-layout"
                  checked={!off.has(row.id)}
                  disabled={!canWrite}
                  aria-label={`${row.name} is on the frame`}
                  onChange={(event) => put(row, event.target.checked)}
                />
                <span className={off.has(row.id) ? 'text-pencil line-through' : ''}>
                  {row.name} <span className="text-sm text-pencil">{row.what}</span>
                </span>
              </label>
            </th>
            <td className="figures">
              {row.mass > 0 ? <Quantity of="mass" value={row.mass} unit={job.display.unit} /> : '?'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
