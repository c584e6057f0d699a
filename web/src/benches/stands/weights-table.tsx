import { dotted, shoringOf } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { Quantity } from '../../ui/quantity.tsx';
import { hold } from './selection.ts';

interface Weighing {
  readonly id: string;
  readonly name: string;
  readonly what: string;
  readonly mass: number;
}

/** A time at which a thing is on the frame or off it: all along, or one operation that cuts. */
interface When {
  readonly step: string | null;
  readonly name: string;
  readonly words: string;
}

/** Everything that can be taken off the frame for the cut, heaviest first. */
function weighings({ donor, job }: BenchProps): readonly Weighing[] {
  const weights = donor.points.filter(({ item }) => item.mass > 0);
  const off = new Set(job.plan.shoring.off.map(({ id }) => id));
  return [
    // A unit comes off with all that it carries, weighed or not.
    ...donor.units.map(({ unit }) => {
      const carried = weights.filter(({ carrier }) => carrier?.id === unit.id);
      return {
        id: unit.id,
        name: unit.name,
        what: carried.length > 0 ? 'with what is on it' : 'no weight given',
        mass: carried.reduce((sum, { item }) => sum + item.mass, 0),
      };
    }),
    // A weight that is all of its unit stands there once.
    ...weights.flatMap(({ item, carrier }) => {
      const alone = carrier?.kind === 'unit' && weights.filter((each) => each.carrier?.id === carrier.id).length === 1;
      return alone && !off.has(item.id) ? [] : [{ id: item.id, name: item.name, what: 'weight', mass: item.mass }];
    }),
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
}

/** Everything that weighs on the frame besides its rails, and whether it is still on it when the saw starts, cut by cut. */
export function WeightsTable(bench: BenchProps) {
  const { store, job, canWrite } = bench;
  const { steps } = shoringOf(job);
  const { off } = job.plan.shoring;
  const isOff = (id: string, step: string | null) => off.some((each) => each.id === id && each.step === step);
  const whens: readonly When[] = [
    { step: null, name: steps.length > 1 ? 'all along' : 'on it', words: 'is on the frame' },
    ...(steps.length > 1
      ? steps.map(({ operation, letters, name }) => {
          const cut = letters.length > 0 ? dotted(letters) : name;
          return { step: operation.id, name: cut, words: `is on the frame at ${cut}` };
        })
      : []),
  ];
  const put = (row: Weighing, { step, words }: When, on: boolean) =>
    hold(store, `${row.name} ${on ? words : words.replace('is on', 'is off')}`, (old) => ({
      ...old,
      off: on ? old.off.filter((each) => each.id !== row.id || each.step !== step) : [...old.off, { id: row.id, step }],
    }));
  return (
    <table className="w-full max-w-3xl border-collapse">
      <caption className="pb-2 text-left text-sm text-pencil">
        What is still on the frame when it is cut: each counts in the weights and in where a part balances. A thing
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
          {whens.map(({ step, name }) => (
            <th key={step} scope="col" className="px-2 text-center font-normal">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {weighings(bench).map((row) => {
          const never = isOff(row.id, null);
          return (
            <tr key={row.id} className="border-b border-rule/60">
              <th scope="row" className="py-1 text-left font-normal">
                <span className={never ? 'text-pencil line-through' : ''}>
                  {row.name} <span className="text-sm text-pencil">{row.what}</span>
                </span>
              </th>
              <td className="figures">
                {row.mass > 0 ? <Quantity of="mass" value={row.mass} unit={job.display.unit} /> : '?'}
              </td>
              {whens.map((when) => (
                <td key={when.step} className="px-2 text-center">
                  <label className="inline-flex min-h-9 min-w-9 items-center justify-center pointer-coarse:min-h-[48px] pointer-coarse:min-w-[48px]">
                    <input
                      type="checkbox"
                      className="h-5 w-5 accent-layout"
                      checked={!never && !isOff(row.id, when.step)}
                      disabled={!canWrite || (never && when.step !== null)}
                      aria-label={`${row.name} ${when.words}`}
                      onChange={(event) => put(row, when, event.target.checked)}
                    />
                  </label>
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
