import { datumStation, loadText, neutralOf, parseQuantity, SHORE_FACTS, quantityUnit, standing } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { recordNow, useJobState } from '../../client/job-store.ts';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import { Length } from '../../ui/length.tsx';
import { Quantity } from '../../ui/quantity.tsx';
import { StepCard } from '../../ui/step-card.tsx';
import { type Selection, holdsUp, shoresUnder, type ShoreUnder, useSelection } from './selection.ts';
import { KerfPicture } from './kerf-picture.tsx';
import { StandsPanel } from './stands-panel.tsx';
import { StandsTable } from './stands-table.tsx';
import { WeightsTable } from './weights-table.tsx';

const SLIDES = [
  ['stands', { name: 'All stands', Content: StandsTable }],
  ['weights', { name: 'What is on the frame', Content: WeightsTable }],
] as const;

/** The shores at the frame: one stand at a time with its height large, then how to cut. */
export function FloorProps(bench: BenchProps) {
  const hand = useSelection(bench);
  return (
    <div className="relative p-3">
      <h2 className="sr-only">Stands</h2>
      <StandCard bench={bench} hand={hand} />
      <CutCard bench={bench} hand={hand} />
      <StandsPanel {...bench} />
      <FoldOuts bench={bench} slides={SLIDES} />
    </div>
  );
}

function StandCard({ bench, hand }: { readonly bench: BenchProps; readonly hand: Selection }) {
  const { job, selected, onSelect, onLook } = bench;
  const { step } = hand;
  if (!step) return null;
  const all = shoresUnder([step.whole]).filter(({ shore }) => holdsUp(shore));
  const at = Math.max(
    0,
    all.findIndex(({ shore }) => shore.id === selected),
  );
  const one = all[at];
  if (!one) return null;
  const datum = datumStation(job.donor);
  return (
    <StepCard
      of="stand"
      name={`${SHORE_FACTS[one.shore.kind].name} ${at + 1}`}
      where={
        <>
          {at + 1} of {all.length} · <Length mm={one.shore.x - datum} format={job.display} /> from the datum ·{' '}
          {one.shore.side}
        </>
      }
      at={at}
      count={all.length}
      onGo={(to) => {
        const there = all[to];
        if (!there) return;
        onSelect(there.shore.id);
        onLook(there.shore.x);
      }}
    >
      <StandToSet key={one.shore.id} bench={bench} hand={hand} one={one} />
    </StepCard>
  );
}

/** How high it stands, what it must carry, and the key that says it was set so. */
function StandToSet({
  bench,
  hand,
  one,
}: {
  readonly bench: BenchProps;
  readonly hand: Selection;
  readonly one: ShoreUnder;
}) {
  const { store, job, records, canRecord, onRecord } = bench;
  const unsent = useJobState(store, (state) => state.unsent);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const { shore, stands } = one;
  const height = stands[0]?.height ?? null;
  const [cut] = hand.step?.cuts ?? [];
  const index = cut ? cut.stands.findIndex((each) => Math.abs(each - (stands[0]?.at.x ?? NaN)) < 1.5) : -1;
  const wanted = cut && index >= 0 ? neutralOf(cut)?.loads[index] : undefined;
  const set = standing(records, 'prop-set').findLast(({ body }) => body.prop === shore.id);
  const { unit } = job.display;
  const onSet = () => {
    const read = text.trim() === '' ? null : parseQuantity('mass', text, unit);
    if (read && !read.ok) return setProblem(read.problem.message);
    setProblem('');
    setText('');
    onRecord(recordNow(store, 'prop-set', { prop: shore.id, load: read ? read.value : null }));
  };
  return (
    <div className="px-3 py-2 text-center">
      <p className="heading text-5xl" role="status">
        {height === null ? '?' : <Length mm={height - shore.shim} format={job.display} />}
      </p>
      <p className="text-sm text-pencil">
        {height === null
          ? 'say how high the datum plane is over the floor, below'
          : 'from the floor to the steel, plumb both ways'}
        {shore.shim > 0 && (
          <>
            , under a shim of <Length mm={shore.shim} format={job.display} />
          </>
        )}
      </p>
      <p className="mt-1 text-lg">
        {wanted === undefined ? (
          one.load === null ? (
            'load not known'
          ) : (
            <>
              carries about <b>{loadText(one.load, job)}</b>
            </>
          )
        ) : (
          <>
            must carry <b>{loadText(wanted, job)}</b>
            {shore.side === 'both' && ', both sides together'}
          </>
        )}
      </p>
      <div className="mt-2 flex items-end gap-2">
        <label className="flex-1 text-left text-sm text-pencil">
          The scale reads, {quantityUnit('mass', unit)}
          <input
            className="field mt-1 h-13 text-center text-lg"
            inputMode="decimal"
            placeholder="not weighed"
            value={text}
            disabled={!canRecord}
            aria-invalid={problem !== ''}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button
          type="button"
          className="button button-dark min-h-13 flex-1 text-lg"
          disabled={!canRecord}
          onClick={onSet}
        >
          Set
        </button>
      </div>
      {problem && (
        <p role="alert" className="text-left text-sm text-oxide">
          {problem}
        </p>
      )}
      {set && (
        <p className="mt-1 text-sm" role="status">
          Set by {set.by}, {set.taken.slice(0, 10)}
          {set.body.load !== null && (
            <>
              , <Quantity of="mass" value={set.body.load} unit={unit} />
            </>
          )}
          {unsent.includes(set.id) && ' · not sent yet'}
        </p>
      )}
    </div>
  );
}

function CutCard({ bench: { job }, hand }: { readonly bench: BenchProps; readonly hand: Selection }) {
  const { step } = hand;
  const [cut, second] = step?.cuts ?? [];
  if (!step || !cut) return null;
  return (
    <figure className="mb-4 border-2 border-graphite bg-paper">
      <KerfPicture cut={cut} second={second} moment={hand.moment} size={{ width: 362, height: 236 }} job={job} />
    </figure>
  );
}
