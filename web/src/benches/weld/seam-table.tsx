import { isHeld, quantityText, seamStates, type SeamState } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { recordNow } from '../../client/job-store.ts';
import { Length } from '../../ui/length.tsx';
import { useWelding } from './use-welding.ts';
import { WeldWords } from './weld-words.tsx';
import { railWords, seamWords } from './words.ts';

/** Every seam with its size, position and passes, how much of it is laid, and how it was looked at. */
export function SeamTable(bench: BenchProps) {
  const { job, records, result } = bench;
  const { welding } = useWelding(bench);
  const states = seamStates(welding, result, records);
  if (states.length === 0) return <p className="p-3 text-pencil">No joint is made yet that is welded.</p>;
  const { unit } = job.display;
  return (
    <>
      <p className="flex flex-wrap gap-x-4 pb-1.5 text-sm">
        {welding.work.map(({ joint, length, mass, arc }) => (
          <span key={joint.id} className="whitespace-nowrap">
            <b>{joint.letter}</b> <Length mm={length} format={job.display} unit /> of weld,{' '}
            {quantityText('mass', mass, unit)} of wire, {Math.round(arc * 60)} min of arc
          </span>
        ))}
      </p>
      <table className="w-full border-collapse text-[0.92rem]">
        <caption className="sr-only">All seams</caption>
        <thead className="sticky top-0 z-10 bg-sheet">
          <tr className="border-b border-graphite text-sm text-pencil">
            {['Joint', 'Rail', 'Seam', 'Weld', 'Position'].map((name) => (
              <th key={name} scope="col" className="py-1 pr-2 text-left font-normal">
                {name}
              </th>
            ))}
            <th scope="col" className="figures font-normal">
              long
            </th>
            <th scope="col" className="figures font-normal">
              passes
            </th>
            <th scope="col" className="pl-3 text-left font-normal">
              welded, checked
            </th>
          </tr>
        </thead>
        <tbody>
          {states.map((state) => (
            <SeamRow key={state.seam.id} state={state} bench={bench} />
          ))}
        </tbody>
      </table>
    </>
  );
}

function SeamRow({ state, bench }: { readonly state: SeamState; readonly bench: BenchProps }) {
  const { job, store, canRecord, onRecord } = bench;
  const { seam, laid, of, checked, coupon } = state;
  const name = `${seam.joint.letter}, ${railWords(seam.rail)}, ${seamWords(seam)}`;
  const say = (result: 'passed' | 'repair', flush: boolean) =>
    onRecord(recordNow(store, 'seam-checked', { seam: seam.id, test: 'visual', result, flush, note: '' }));
  return (
    <tr className="border-b border-rule/60 align-top">
      <th scope="row" className="py-1 text-left font-semibold">
        {seam.joint.letter}
      </th>
      <td className="py-1 pr-2">{railWords(seam.rail)}</td>
      <td className="py-1 pr-2">
        {seamWords(seam)}
        {seam.closedOffBy && <span className="block text-sm text-ochre">out of reach under {seam.closedOffBy}</span>}
      </td>
      <td className="py-1 pr-2 whitespace-nowrap">
        <WeldWords seam={seam} format={job.display} />
      </td>
      <td className="py-1 pr-2">{seam.position}</td>
      <td className="figures py-1">
        <Length mm={seam.length} format={job.display} />
      </td>
      <td className="figures py-1">{seam.passes}</td>
      <td className="py-1 pl-3">
        {laid} of {of}
        {coupon && !isHeld(coupon) && <span className="text-ochre"> · its coupon has not held yet</span>}
        {checked && (
          <span className={checked.body.result === 'passed' ? 'text-passed' : 'text-oxide'}>
            {' '}
            · {checked.body.result === 'passed' ? 'passed by eye' : 'to repair'}
            {checked.body.flush && ', ground flush'}, {checked.by}
          </span>
        )}
        {canRecord && laid === of && (
          <span className="mt-1 flex flex-wrap gap-1.5">
            <button type="button" className="button min-h-8" onClick={() => say('passed', false)}>
              Passed<span className="sr-only">: {name}</span>
            </button>
            <button type="button" className="button min-h-8" onClick={() => say('passed', true)}>
              Passed, ground flush<span className="sr-only">: {name}</span>
            </button>
            <button type="button" className="button min-h-8" onClick={() => say('repair', false)}>
              Repair<span className="sr-only">: {name}</span>
            </button>
          </span>
        )}
      </td>
    </tr>
  );
}
