import { type Between, between, type Job, type PlanResult, type Thing, thingsOn } from '@splay/core';
import { useMemo, useState } from 'react';
import type { ShownMeasurement } from '../client/job-store.ts';
import { Choice } from '../ui/choice.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { Length } from '../ui/length.tsx';

interface MeasureBetweenProps {
  readonly job: Job;
  readonly result: PlanResult;
  /** What is selected on the board: the tape begins there. */
  readonly selected: string | null;
  readonly onShow: (measurement: ShownMeasurement) => void;
  readonly onClose: () => void;
}

const PARTS: readonly (readonly [name: string, part: keyof Between])[] = [
  ['Tape pulled straight', 'straight'],
  ['along the frame', 'along'],
  ['across, to the right', 'across'],
  ['up', 'up'],
];

const measured = (from: Thing | undefined, to: Thing | undefined, on: 'donor' | 'built'): Between | null => {
  const [a, b] = [from?.[on], to?.[on]];
  return a && b ? between(a, b) : null;
};

/** The distance between any two things on the frame, on the donor and as built. */
export function MeasureBetween({ job, result, selected, onShow, onClose }: MeasureBetweenProps) {
  const things = useMemo(() => thingsOn(result), [result]);
  const of = (id: string | null) => things.find((thing) => thing.of === id);
  const first = of(selected) ?? of(job.donor.datum) ?? things[0];
  const [from, setFrom] = useState(first?.id ?? '');
  const [to, setTo] = useState(things.find(({ id }) => id !== first?.id)?.id ?? '');
  const [a, b] = [from, to].map((id) => things.find((thing) => thing.id === id));
  const [donor, built] = [measured(a, b, 'donor'), measured(a, b, 'built')];
  const choices = things.map(({ id, name }) => [id, name] as const);
  const cell = (of: Between | null, part: keyof Between) =>
    of ? <Length mm={of[part]} format={job.display} unit /> : 'not there';
  const ends = (on: 'donor' | 'built') => (a?.[on] && b?.[on] ? [a[on], b[on]] : null);
  return (
    <Dialog title="Measure between two things" onClose={onClose}>
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice list label="From" value={from} choices={choices} disabled={false} onChange={setFrom} />
        <Choice list label="To" value={to} choices={choices} disabled={false} onChange={setTo} />
      </div>
      <table className="mt-3 w-full">
        <thead>
          <tr className="border-b border-graphite text-pencil">
            <td />
            <th scope="col" className="text-right font-normal">
              donor
            </th>
            <th scope="col" className="text-right font-normal">
              built
            </th>
          </tr>
        </thead>
        <tbody>
          {PARTS.map(([name, part], index) => (
            <tr key={part} className={`border-b border-rule/60 ${index === 0 ? 'text-lg font-semibold' : ''}`}>
              <th scope="row" className={`py-1 text-left ${index === 0 ? '' : 'font-normal text-pencil'}`}>
                {name}
              </th>
              <td className="text-right">{cell(donor, part)}</td>
              <td className="text-right">{cell(built, part)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <button
        type="button"
        className="button button-dark mt-3"
        disabled={!donor && !built}
        onClick={() => {
          onShow({
            kind: 'straight',
            before: donor?.straight ?? null,
            predicted: built?.straight ?? null,
            ends: { donor: ends('donor'), built: ends('built') },
          });
          onClose();
        }}
      >
        Draw it on the plan view
      </button>
      <p className="mt-3 text-sm text-pencil">
        Features are measured at the middle of their length, at the face they stand on; as entered, not as read.
      </p>
    </Dialog>
  );
}
