import { finer, lengthText } from '@splay/core';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import type { BenchProps } from '../../client/bench-props.ts';
import { recordNow, useJobState } from '../../client/job-store.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { Length } from '../../ui/length.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { selectedLine, readLines } from './lines.ts';
import { InstrumentBar } from './instrument-bar.tsx';
import { AsFarChoice } from './as-far.tsx';
import { NextMove } from './moves.tsx';
import { ReadingCell } from './reading-cell.tsx';
import { RefusedRecords } from './reading-notices.tsx';
import { ShapeNotice } from './shape.tsx';
import { StageChoice, useStage } from './stage-choice.tsx';
import { cautionStepOf, levelApart, LOOKS } from './taking.ts';
import { BeginAt } from '../../ui/begin-at.tsx';

/** One measurement: what it should read, what it does, and whether that is right. */
export function TrueUpPanel(props: BenchProps) {
  const { store, job, selected, canRecord, onSelect, onRecord } = props;
  const unsent = useJobState(store, (state) => state.unsent);
  const stage = useStage(props);
  const cautions = useCautions(props, cautionStepOf(stage));
  const lines = readLines(props, stage);
  const line = selectedLine(lines, selected);
  if (!line)
    return (
      <BeginAt store={store} bench="donor" drawer="controls" go="Choose control points">
        No control measurements yet. Punch control points on both rails, and choose what is taped between them.
      </BeginAt>
    );
  const { control, reading, judged, target } = line;
  const at = lines.indexOf(line);
  const go = (by: number) => onSelect(lines[(at + by + lines.length) % lines.length]?.control.measurement.id ?? null);
  const wrong = lines.filter(
    (each) => each.judged && each.judged.verdict !== 'right' && each.judged.verdict !== 'no-target',
  );
  return (
    <>
      <RefusedRecords {...props} />
      <StageChoice {...props} />
      <AsFarChoice {...props} />
      <section aria-label={control.name} className="border border-graphite bg-paper p-3">
        <div className="flex items-start gap-1">
          <div className="min-w-0 flex-1">
            <p className="label">
              {control.kind} · {at + 1} of {lines.length}
            </p>
            <h3 className="heading text-xl">{control.name}</h3>
          </div>
          <button type="button" className="button px-1.5" aria-label="Previous measurement" onClick={() => go(-1)}>
            <ChevronLeft size={18} />
          </button>
          <button type="button" className="button px-1.5" aria-label="Next measurement" onClick={() => go(1)}>
            <ChevronRight size={18} />
          </button>
        </div>
        <dl className="mt-2 grid grid-cols-[1fr_auto] items-baseline gap-x-2 gap-y-1">
          <dt className="text-sm text-pencil">on the donor</dt>
          <dd className="text-right">
            <Length mm={control.before} format={job.display} />
          </dd>
          <dt className="text-sm text-pencil">should read</dt>
          <dd className="heading text-right text-2xl">
            {target === null ? (
              <span className="text-base">{control.reason}</span>
            ) : (
              <Length mm={target} format={job.display} />
            )}
          </dd>
          <dt className="self-center text-sm text-pencil">does read</dt>
          <dd className="w-28">
            <ReadingCell
              key={`${control.measurement.id}/${stage}`}
              control={control}
              reading={reading}
              waiting={reading !== undefined && unsent.includes(reading.id)}
              format={job.display}
              disabled={!canRecord}
              first
              onTake={(value) =>
                onRecord(recordNow(store, 'reading', { measurement: control.measurement.id, stage, value }))
              }
            />
          </dd>
          {judged && judged.verdict !== 'no-target' && (
            <>
              <dt className="text-sm text-pencil">off by</dt>
              <dd className="text-right font-semibold">
                <Length mm={judged.off} format={finer(job.display)} signed />
              </dd>
            </>
          )}
        </dl>
        <InstrumentBar
          key={`${control.measurement.id}/${stage}`}
          format={job.display}
          control={control}
          apart={levelApart(control, stage)}
          onTake={(value) =>
            onRecord(recordNow(store, 'reading', { measurement: control.measurement.id, stage, value }))
          }
        />
        {judged && (
          <div className="mt-2 border-t border-rule pt-2" role="status">
            <Verdict kind={LOOKS[judged.verdict]}>{judged.message}</Verdict>
          </div>
        )}
        {reading && (
          <p className="mt-1 text-sm text-pencil">
            read by {reading.by}, {reading.taken.slice(0, 16).replace('T', ' ')} UTC
          </p>
        )}
      </section>
      <NextMove {...props} />
      {wrong.length > 0 && (
        <section className="mt-3">
          <h3 className="label">Not right</h3>
          <ul>
            {wrong.map((each) => (
              <li key={each.control.measurement.id} className="border-b border-rule/60">
                <button
                  type="button"
                  className="flex w-full items-baseline justify-between gap-2 py-1 text-left"
                  onClick={() => onSelect(each.control.measurement.id)}
                >
                  <span className="min-w-0 truncate">{each.control.name}</span>
                  <span className="font-semibold whitespace-nowrap text-oxide">
                    {each.judged && each.judged.off > 0 ? '+' : ''}
                    {lengthText(each.judged?.off ?? 0, finer(job.display))}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <ShapeNotice {...props} />
      <div className="mt-3">
        <CautionList {...cautions} />
      </div>
    </>
  );
}
