import {
  inches,
  compareForms,
  contextOf,
  type ComparedForm,
  lastHanger,
  quantityText,
  ratioText,
  ruleValue,
} from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { Bars } from '../../ui/chart.tsx';
import { Length } from '../../ui/length.tsx';
import { type Selection, make, railName, useSelection } from './selection.ts';
import { cyclesText } from './fatigue-list.tsx';
import { JointPicture } from './joint-picture.tsx';

const HEADS: readonly (readonly [name: string, kind: 'figure' | 'words'])[] = [
  ['Joint', 'words'],
  ['Option, and what it needs', 'words'],
  ['Ratio', 'figure'],
  ['At the weld', 'figure'],
  ['Weakest in fatigue', 'words'],
  ['Weld', 'figure'],
  ['Heat', 'figure'],
  ['Steel', 'figure'],
  ['Hours', 'figure'],
];

/** All forms of the joint at hand beside each other: as the rulebook begins with each, the weld as it is now. */
export function CompareDrawer(props: BenchProps) {
  const { store, job, result, canWrite } = props;
  const hand = useSelection(props);
  const rows = useMemo(() => {
    if (!hand) return [];
    const { steel, splice } = hand.one;
    return compareForms(splice, {
      steel,
      rules: job.rules,
      display: job.display,
      material: job.donor.material,
      context: contextOf(job),
      aheadOfHanger: hand.outcome.joint.builtX < lastHanger(result.features),
    });
  }, [hand, job, result.features]);
  if (!hand) return <p className="p-4 text-pencil">There is no joint to compare yet.</p>;
  const { joint } = hand.outcome;
  const asked = ruleValue(job.rules, 'splice/ratio');
  const { unit } = job.display;
  const bars = rows.map(({ name, ratio, atWeld }) => ({ name, value: ratio ?? 0, beside: atWeld ?? 0 }));
  return (
    <div className="p-4">
      <p className="mb-3 max-w-3xl">
        Options for making <b>{joint.letter}</b> on the {railName(hand.one.rail)}, each as the rulebook begins with it
        and with the weld as it is now. Per rail, estimates to compare by. Press a name to make it so.
      </p>
      <div className="overflow-x-auto">
        <table className="w-full text-sm" style={{ minWidth: 700 }}>
          <thead className="text-left text-pencil">
            <tr className="border-b border-graphite align-bottom">
              {HEADS.map(([name, kind]) => (
                <th key={name} scope="col" className={`py-1 pr-3 font-normal ${kind === 'figure' ? 'figures' : ''}`}>
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, index) => (
              <Row
                key={row.id}
                row={row}
                hand={hand}
                asked={asked}
                unit={unit}
                format={job.display}
                now={index === 0}
                onTake={
                  canWrite && index > 0 && row.ratio !== null
                    ? () => make(store, `Made ${joint.letter}: ${row.name.toLowerCase()}`, hand, row.splice)
                    : null
                }
              />
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-5 overflow-x-auto">
        <p className="mb-1 text-sm text-pencil">
          Dark: the ratio, over all that the joint covers. Light: at the weld itself, which may be above the rail.
        </p>
        <Bars
          width={620}
          height={Math.max(160, rows.length * 26 + 34)}
          label="Ratio of each way of making the joint to the bare rail"
          bars={bars}
          against={asked}
        />
      </div>
      <p className="mt-3 text-sm text-pencil">
        Bending strength against the bare rail’s; cycles at the stress range in the rulebook. Planning figures, not an
        approval.
      </p>
    </div>
  );
}

interface RowProps {
  readonly row: ComparedForm;
  readonly hand: Selection;
  readonly asked: number;
  readonly unit: 'in' | 'mm';
  readonly format: BenchProps['job']['display'];
  readonly now: boolean;
  readonly onTake: (() => void) | null;
}

function Row({ row, hand, asked, unit, format, now, onTake }: RowProps) {
  const { name, ratio, atWeld, why, worstDetail, weldLength, heat, steel, hours, reached, apart, schools } = row;
  const enough = ratio !== null && ratio >= asked - 1e-6;
  // An estimate: to the half inch, or the centimetre.
  const coarse = unit === 'in' ? inches(1 / 2) : 10;
  return (
    <tr className={`border-b border-rule align-top ${now ? 'bg-layout-wash' : ''}`}>
      <td className="py-1.5 pr-3">
        <JointPicture splice={row.splice} steel={hand.one.steel} />
      </td>
      <th scope="row" className="min-w-56 py-1.5 pr-3 text-left font-semibold">
        {onTake ? (
          <button type="button" className="min-h-6 text-left text-layout underline underline-offset-2" onClick={onTake}>
            {name}
          </button>
        ) : (
          name
        )}
        {ratio !== null && <span className="block md:hidden">{ratioText(ratio)} of the bare rail</span>}
        {ratio !== null && (
          <span className="block text-[0.82rem] leading-snug font-normal text-pencil">
            Reach {reached.join(', ')}. {apart === 'nothing' ? 'Nothing comes off.' : `Comes off or apart: ${apart}.`}
            <span className="block">
              Weld and reinforce: {schools.weld}. Bolt ahead, weld behind: {schools.bolt}.
            </span>
          </span>
        )}
      </th>
      {ratio === null ? (
        <td colSpan={7} className="py-1.5 text-oxide">
          {why}
        </td>
      ) : (
        <>
          <td className={`figures py-1.5 pr-3 font-semibold ${enough ? 'text-passed' : 'text-oxide'}`}>
            {ratioText(ratio)}
          </td>
          <td className="figures py-1.5 pr-3">{atWeld === null ? '–' : ratioText(atWeld)}</td>
          <td className="py-1.5 pr-3">
            {worstDetail ? `class ${worstDetail.detailClass}, ${cyclesText(worstDetail.cycles)}` : '–'}
          </td>
          <td className="figures py-1.5 pr-3">
            <Length mm={Math.round(weldLength / coarse) * coarse} format={format} />
          </td>
          <td className="figures py-1.5 pr-3">{quantityText('energy', heat, unit)}</td>
          <td className="figures py-1.5 pr-3">{steel > 0 ? quantityText('mass', steel, unit) : '–'}</td>
          <td className="figures py-1.5 pr-3">{hours.toFixed(1)}</td>
        </>
      )}
    </tr>
  );
}
