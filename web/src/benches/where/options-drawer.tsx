import { datumStation, hoursText } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { pick, pickedOf, useFinding } from '../../client/finding.ts';
import { Length } from '../../ui/length.tsx';

/** Every way that was found, in a table, and what was left on each lane. */
export function OptionsDrawer({ store, job }: BenchProps) {
  const finding = useFinding(store);
  const { found } = finding;
  const picked = pickedOf(finding);
  const datum = datumStation(job.donor);
  if (!found || found.answers.length === 0) return <p className="p-4 text-pencil">No options are found yet.</p>;
  return (
    <div className="p-4">
      <table className="w-full text-sm">
        <caption className="sr-only">All options, the best first; stations from the datum hole</caption>
        <thead className="text-left text-pencil">
          <tr className="border-b border-graphite">
            <th scope="col" className="py-1 pr-3 font-normal">
              CutOption
            </th>
            <th scope="col" className="figures pr-3 font-normal">
              From datum
            </th>
            <th scope="col" className="figures pr-3 font-normal">
              Straight
            </th>
            <th scope="col" className="figures pr-3 font-normal">
              Work
            </th>
            <th scope="col" className="figures pr-3 font-normal">
              With weights
            </th>
            <th scope="col" className="font-normal">
              In words
            </th>
          </tr>
        </thead>
        <tbody>
          {found.answers.map((answer, index) => (
            <tr
              key={answer.id}
              className={`border-b border-rule align-top ${answer === picked ? 'bg-layout-wash' : ''}`}
            >
              <th scope="row" className="py-1.5 pr-3 text-left">
                <button
                  type="button"
                  className="button min-w-9 px-2"
                  aria-label={`Show option ${index + 1}`}
                  onClick={() => {
                    pick(store, answer.id);
                    const [cut] = answer.cuts;
                    if (cut) store.setState({ blade: cut.x });
                  }}
                >
                  {index + 1}
                </button>
              </th>
              <td className="figures py-1.5 pr-3 font-semibold">
                {answer.cuts.length === 0
                  ? 'the end'
                  : answer.cuts.map(({ x }) => (
                      <span key={x} className="block">
                        <Length mm={x - datum} format={job.display} />
                      </span>
                    ))}
              </td>
              <td className="figures py-1.5 pr-3">
                {answer.cuts.map(({ x, straight }) => (
                  <span key={x} className="block">
                    <Length mm={straight} format={job.display} />
                  </span>
                ))}
              </td>
              <td className="figures py-1.5 pr-3 whitespace-nowrap">{hoursText(answer.judged.hours)}</td>
              <td className="figures py-1.5 pr-3 font-semibold">{answer.judged.score.toFixed(1)}</td>
              <td className="py-1.5">{answer.says}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
