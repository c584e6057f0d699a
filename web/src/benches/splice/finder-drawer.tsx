import {
  contextOf,
  findSleeves,
  type FoundSleeve,
  inches,
  inTheWay,
  lengthText,
  type RackTube,
  ratioText,
  sectionLookup,
} from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { freshId } from '../../client/fresh-id.ts';
import { change } from '../../client/job-store.ts';
import { editProblems } from '../../ui/check-edit.ts';
import { EditTable } from '../../ui/edit-table.tsx';
import { type Column, lengthColumn, textColumn } from '../../ui/table-columns.ts';
import { make, railName, useSelection } from './selection.ts';

const FROM: Readonly<Record<FoundSleeve['from'], string>> = {
  rack: 'rack',
  frame: 'this frame',
  yard: 'yard',
};

/** How a tube serves, and what has to be done to it first. */
function fitWords({ fit }: FoundSleeve, show: (mm: number) => string): string {
  switch (fit.fit) {
    case 'slides-in':
      return `slides in: ${show(fit.clearance.height)} clear in height, ${show(fit.clearance.width)} in width`;
    case 'slides-in-ground': {
      const { height, width, corner } = fit.grind;
      const off = [
        ...(height > 0 ? [`${show(height)} off its height`] : []),
        ...(width > 0 ? [`${show(width)} off its width`] : []),
        ...(corner > 0 ? [`${show(corner)} off its corners`] : []),
      ];
      return `slides in once ground: ${off.join(', ')}`;
    }
    case 'wedge':
      return fit.packing > 0.5 ? `as a wedge, with a filler strip of ${show(fit.packing)}` : 'as a wedge';
    case 'slides-over':
      return `goes over: ${show(fit.clearance.height)} clear in height, ${show(fit.clearance.width)} in width`;
  }
}

/** The tubes that can serve as a sleeve at the joint at hand, and the shop's rack that is looked through first. */
export function FinderDrawer(props: BenchProps) {
  const { store, job, result, canWrite } = props;
  const hand = useSelection(props);
  const { show } = useMemo(() => contextOf(job), [job]);
  const found = useMemo(() => {
    if (!hand) return [];
    const { steel, splice } = hand.one;
    return findSleeves({
      steel,
      splice,
      rules: job.rules,
      display: job.display,
      rack: job.rack,
      result,
      sectionOf: sectionLookup(job.donor),
      show,
    });
  }, [hand, job, result, show]);
  const columns: Column<RackTube>[] = [
    textColumn('name', 'Name', '34%'),
    lengthColumn('height', 'High', '13%'),
    lengthColumn('width', 'Wide', '13%'),
    lengthColumn('wall', 'Wall', '13%'),
    lengthColumn('cornerRadius', 'Corner outside', '14%'),
    lengthColumn('length', 'Long', '13%'),
  ];
  const way = hand ? inTheWay(result, hand.outcome.joint, hand.one.rail, [-inches(12), inches(12)]) : [];
  return (
    <div className="p-4">
      {hand && (
        <>
          <p className="mb-2 max-w-3xl">
            Tube that can serve as a sleeve at <b>{hand.outcome.joint.letter}</b>, {railName(hand.one.rail)}: the rack
            first, then what comes out of this frame, then the yard. Weld seams and corners of tube are allowed for by
            their radius; inside corners of the rail are taken as round as its wall is thick.
          </p>
          {way.length > 0 && (
            <p className="mb-3 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5">
              Rivets, bolts and captive nuts in the way within a foot: {way.join(', ')}.
            </p>
          )}
          {found.length === 0 ? (
            <p className="mb-4">
              No tube of the rack or the yard fits this rail. A channel folded from sheet fits an open one; plates fit
              both.
            </p>
          ) : (
            <table className="mb-5 w-full text-sm">
              <thead className="text-left text-pencil">
                <tr className="border-b border-graphite">
                  <th scope="col" className="py-1 pr-3 font-normal">
                    Tube
                  </th>
                  <th scope="col" className="pr-3 font-normal">
                    From
                  </th>
                  <th scope="col" className="pr-3 font-normal">
                    How
                  </th>
                  <th scope="col" className="pr-3 font-normal">
                    Against it
                  </th>
                  <th scope="col" className="figures pr-3 font-normal">
                    Ratio
                  </th>
                  <th scope="col">
                    <span className="sr-only">Use it</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {found.map((one) => (
                  <tr key={`${one.from}${one.tube.name}`} className="border-b border-rule align-baseline">
                    <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                      {one.tube.name}
                    </th>
                    <td className="pr-3">{FROM[one.from]}</td>
                    <td className="pr-3">{fitWords(one, (mm) => lengthText(mm, job.display, true))}</td>
                    <td className="pr-3 text-oxide">{one.against.join('; ')}</td>
                    <td className="figures pr-3 font-semibold">{one.ratio === null ? '–' : ratioText(one.ratio)}</td>
                    <td>
                      {canWrite && (
                        <button
                          type="button"
                          className="button"
                          aria-label={`Put ${one.tube.name} in`}
                          onClick={() => make(store, 'Put a sleeve in', hand, one.splice)}
                        >
                          Take
                        </button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </>
      )}
      <h3 className="heading text-lg">The shop’s rack and offcuts</h3>
      <EditTable<RackTube>
        caption="The shop’s rack and offcuts"
        columns={columns}
        rows={job.rack}
        format={job.display}
        disabled={!canWrite}
        addLabel="Add a tube"
        newRow={(_, count) => ({
          id: freshId('tube'),
          name: `Tube ${count + 1}`,
          height: inches(4),
          width: inches(2),
          wall: inches(3 / 16),
          cornerRadius: inches(3 / 8),
          length: inches(24),
        })}
        onChange={(rack) => {
          const wrong = editProblems({ ...job, rack }, 'rack', job);
          if (wrong) return wrong.cells;
          change(store, 'Edited the rack', (old) => ({ ...old, rack }));
          return [];
        }}
      />
    </div>
  );
}
