import { between, type Between, type LengthFormat, type PlanResult, type Thing, thingsOn } from '@splay/core';
import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { type JobStore, useJobState } from '../client/job-store.ts';
import { Length } from '../ui/length.tsx';
import { endsBetween } from './measuring.ts';

interface MeasureBarProps {
  readonly store: JobStore;
  readonly result: PlanResult;
  readonly format: LengthFormat;
}

const PARTS: readonly (readonly [name: string, part: keyof Between])[] = [
  ['straight', 'straight'],
  ['along', 'along'],
  ['across', 'across'],
  ['up', 'up'],
];

/** Measuring between two things: pressed on the drawing, or typed by their names; then the tape between them. */
export function MeasureBar({ store, result, format }: MeasureBarProps) {
  const { measuring, measurement } = useJobState(store, (state) => ({
    measuring: state.measuring,
    measurement: state.measurement,
  }));
  const things = useMemo(() => thingsOn(result), [result]);
  const nameOf = (id: string | null) => things.find((thing) => thing.id === id || thing.of === id)?.name;
  const first = measuring || null;
  const done = measurement?.things;
  const put = (thing: Thing) => {
    if (!first) store.setState({ measuring: thing.id, measurement: null });
    else store.setState({ measurement: endsBetween(result, first, thing.id), measuring: '' });
  };
  const on = (which: 'donor' | 'built'): Between | null => {
    const [a, b] = done?.map((id) => things.find((thing) => thing.id === id)?.[which]) ?? [];
    return a && b ? between(a, b) : null;
  };
  const [donor, built] = [on('donor'), on('built')];
  return (
    <section
      aria-label="Measure between two things"
      className="flex min-h-12 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-graphite bg-layout-wash px-4 py-1.5"
    >
      {done && donor && built ? (
        <>
          <p className="font-semibold">
            {nameOf(done[0])} to {nameOf(done[1])}
          </p>
          <dl className="flex flex-wrap gap-x-4">
            {PARTS.map(([name, part]) => (
              <div key={part} className="flex items-baseline gap-1.5">
                <dt className="text-sm text-pencil">{name}</dt>
                <dd className="font-semibold">
                  <Length mm={donor[part]} format={format} />
                  {Math.abs(built[part] - donor[part]) > 0.05 && (
                    <>
                      {' → '}
                      <Length mm={built[part]} format={format} className="text-layout" />
                    </>
                  )}
                </dd>
              </div>
            ))}
          </dl>
          <button type="button" className="button" onClick={() => store.setState({ measurement: null, measuring: '' })}>
            Another
          </button>
        </>
      ) : (
        <>
          <p role="status">
            {first ? (
              <>
                From <b>{nameOf(first)}</b>: now press the second thing
              </>
            ) : (
              'Press the first thing on the drawing'
            )}
          </p>
          <Named key={first ?? ''} things={things} onPut={put} />
        </>
      )}
      <button
        type="button"
        className="button ml-auto px-2"
        aria-label="Stop measuring"
        onClick={() => store.setState({ measuring: null, measurement: null })}
      >
        <X size={16} aria-hidden="true" />
      </button>
    </section>
  );
}

/** A thing by its name, for who does not press on drawings. */
function Named({ things, onPut }: { readonly things: readonly Thing[]; readonly onPut: (thing: Thing) => void }) {
  const [text, setText] = useState('');
  return (
    <label className="flex items-center gap-2 text-sm">
      or type its name
      <input
        className="field w-56"
        list="things"
        value={text}
        onChange={(event) => {
          const thing = things.find(({ name }) => name === event.target.value);
          setText(event.target.value);
          if (thing) onPut(thing);
        }}
      />
      <datalist id="things">
        {things.map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
    </label>
  );
}
