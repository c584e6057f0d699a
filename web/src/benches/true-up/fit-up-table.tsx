import {
  finer,
  fitUpOf,
  GAP_PLACES,
  type Joint,
  lengthText,
  parseLength,
  type Side,
  SIDES,
  standing,
} from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { recordNow } from '../../client/job-store.ts';
import { Verdict } from '../../ui/verdict.tsx';

const READ = [...GAP_PLACES, 'out', 'up'] as const;
type Read = (typeof READ)[number];
const HEADS: Readonly<Record<Read, string>> = {
  top: 'gap, top',
  web: 'gap, web',
  bottom: 'gap, bottom',
  out: 'rear end outward',
  up: 'rear end higher',
};

/** Every joint's ends as read with a gauge, and what to take off where. */
export function FitUpTable(bench: BenchProps) {
  const { result } = bench;
  if (result.joints.length === 0) return <p className="text-pencil">The plan makes no joint yet.</p>;
  return (
    <div className="space-y-5">
      <p className="max-w-3xl text-sm text-pencil">
        Before a joint is tacked: the gap at three places of each rail, and how far the rear end stands off the front
        one. First the halves are true by the readings; what is uneven then is dressed.
      </p>
      {result.joints.map((joint) => (
        <OneJoint key={joint.id} bench={bench} joint={joint} />
      ))}
    </div>
  );
}

function OneJoint({ bench, joint }: { readonly bench: BenchProps; readonly joint: Joint }) {
  const { job, records } = bench;
  const read = SIDES.flatMap((side) => {
    const found = standing(records, 'fit-up').findLast(({ body }) => body.joint === joint.id && body.side === side);
    return found ? [found] : [];
  });
  const found =
    read.length > 0
      ? fitUpOf(
          read.map(({ body }) => body),
          job.rules,
        )
      : null;
  const show = (mm: number) => lengthText(Math.abs(mm), finer(job.display), true);
  return (
    <section aria-label={`Joint ${joint.letter}`}>
      <h3 className="heading text-xl">Joint {joint.letter}</h3>
      <table className="w-full max-w-4xl border-collapse text-[0.92rem]">
        <caption className="sr-only">Fit-up of joint {joint.letter}</caption>
        <thead>
          <tr className="border-b border-graphite text-sm text-pencil">
            <th scope="col" className="text-left font-normal">
              Rail
            </th>
            {READ.map((key) => (
              <th key={key} scope="col" className="figures font-normal">
                {HEADS[key]}
              </th>
            ))}
            <th />
          </tr>
        </thead>
        <tbody>
          {SIDES.map((side) => (
            <EndsRow
              key={side}
              bench={bench}
              joint={joint}
              side={side}
              known={read.find(({ body }) => body.side === side)?.body ?? null}
            />
          ))}
        </tbody>
      </table>
      {found && (
        <ul className="mt-2 space-y-1" aria-label={`What to do at joint ${joint.letter}`}>
          {found.dress.map(({ side, place, off }) => (
            <li key={side + place}>
              <Verdict kind="warn">
                <b className="font-semibold">
                  {show(off)} off the {side} {place}
                </b>
                : chase it a little at a time, and read again.
              </Verdict>
            </li>
          ))}
          {found.steps.map(({ side, way, by }) => (
            <li key={side + way}>
              <Verdict kind="warn">
                The {side} rear end stands <b className="font-semibold">{show(by)}</b>{' '}
                {way === 'out' ? (by > 0 ? 'outward' : 'inward') : by > 0 ? 'high' : 'low'}: draw it in with clamps
                before it is tacked.
              </Verdict>
            </li>
          ))}
          {!found.fits && Math.abs(found.draw) > 0.2 && (
            <li>
              <Verdict kind="note">
                Then the loose half {found.draw > 0 ? 'comes forward' : 'goes back'} {show(found.draw)} to the root gap.
              </Verdict>
            </li>
          )}
          {found.fits && (
            <li>
              <Verdict kind="good">The ends fit: even, in line, and at the root gap.</Verdict>
            </li>
          )}
          {read.length === 1 && (
            <li>
              <Verdict kind="note">Only the {read[0]?.body.side} rail is read.</Verdict>
            </li>
          )}
        </ul>
      )}
    </section>
  );
}

interface EndsRowProps {
  readonly bench: BenchProps;
  readonly joint: Joint;
  readonly side: Side;
  readonly known: Readonly<Record<Read, number>> | null;
}

function EndsRow({ bench: { store, job, canRecord, onRecord }, joint, side, known }: EndsRowProps) {
  const [texts, setTexts] = useState<Partial<Record<Read, string>>>({});
  const [problem, setProblem] = useState('');
  const textOf = (key: Read) => texts[key] ?? (known ? lengthText(known[key], finer(job.display)) : '');
  const onTake = () => {
    const values: Partial<Record<Read, number>> = {};
    for (const key of READ) {
      const text = textOf(key).trim();
      const read = parseLength(text === '' && (key === 'out' || key === 'up') ? '0' : text, job.display.unit);
      if (!read.ok) return setProblem(`${HEADS[key]}: ${read.problem.message}`);
      if (key !== 'out' && key !== 'up' && read.value < 0)
        return setProblem(`${HEADS[key]}: a gap is 0 or more; where the ends touch it is 0.`);
      values[key] = read.value;
    }
    setProblem('');
    setTexts({});
    onRecord(recordNow(store, 'fit-up', { joint: joint.id, side, ...(values as Record<Read, number>) }));
  };
  return (
    <>
      <tr className="border-b border-rule/60">
        <th scope="row" className="py-1 pr-2 text-left font-normal">
          {side}
        </th>
        {READ.map((key) => (
          <td key={key} className="py-1 pl-2">
            <input
              className="field min-h-9 px-1 text-right"
              aria-label={`Joint ${joint.letter}, ${side}: ${HEADS[key]}`}
              placeholder={key === 'out' || key === 'up' ? '0' : ''}
              value={textOf(key)}
              disabled={!canRecord}
              onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
              onKeyDown={(event) => event.key === 'Enter' && onTake()}
            />
          </td>
        ))}
        <td className="py-1 pl-2">
          <button
            type="button"
            className="button min-h-9"
            disabled={!canRecord || Object.keys(texts).length === 0}
            onClick={onTake}
          >
            Take
          </button>
        </td>
      </tr>
      {problem && (
        <tr>
          <td colSpan={7} role="alert" className="text-sm text-oxide">
            {problem}
          </td>
        </tr>
      )}
    </>
  );
}
