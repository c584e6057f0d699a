import {
  type ControlPrediction,
  finer,
  formatLength,
  judgeReading,
  latestReadings,
  parseLength,
  type Reading,
  readReadings,
  recordOfReading,
  type Stage,
  STAGE_NAMES,
  stageCount,
  STAGES,
  targetOf,
} from '@splay/core';
import { CloudOff, MoveDiagonal } from 'lucide-react';
import { type KeyboardEvent, useRef, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { recordNow, useJobState } from '../../client/job-store.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { CsvFile } from '../../ui/csv-file.tsx';
import { Length } from '../../ui/length.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { RefusedRecords, StrayReadings } from './reading-notices.tsx';
import { cautionStepOf, LOOKS, readingProblemOf } from './taking.ts';

/** What the tape says against what the plan predicts, measurement by measurement. */
export function TrueUpBench(props: BenchProps) {
  const { store, job, result, readings, canWrite, onShowMeasurement, onRecord } = props;
  const { id, unsent } = useJobState(store, (state) => ({ id: state.id, unsent: state.unsent }));
  const [stage, setStage] = useState<Stage>(() => props.whole.stage);
  const cautions = useCautions(props, cautionStepOf(stage));
  const latest = latestReadings(readings, stage);
  const count = stageCount(job, result, readings, stage);
  const waiting = new Set(unsent);

  const take = ({ measurement }: ControlPrediction, value: number) =>
    onRecord(recordNow(store, 'reading', { measurement: measurement.id, stage, value }));

  if (result.controls.length === 0)
    return (
      <p className="text-pencil">
        No control measurements yet. Punch control points on both rails and choose what is taped between them, on the
        Donor bench under Control points.
      </p>
    );
  return (
    <>
      <RefusedRecords {...props} />
      <div className="mb-2 flex items-center justify-between gap-3">
        <div role="group" aria-label="Stage of the job" className="flex border border-graphite">
          {STAGES.map((candidate) => (
            <button
              key={candidate}
              type="button"
              aria-pressed={candidate === stage}
              className={`min-h-8 border-r border-graphite px-2.5 text-sm last:border-r-0 ${candidate === stage ? 'bg-graphite font-semibold text-paper' : ''}`}
              onClick={() => setStage(candidate)}
            >
              {STAGE_NAMES[candidate]}
            </button>
          ))}
        </div>
        <p className="text-sm whitespace-nowrap" role="status">
          <b className="text-passed">{count.right}</b> right
          {count.wrong > 0 && (
            <>
              {', '}
              <b className="text-oxide">{count.wrong}</b> not
            </>
          )}
          {count.missing > 0 && `, ${count.missing} to take`}
        </p>
      </div>
      <div className="mb-2">
        <CautionList {...cautions} />
      </div>
      <table className="w-full border-collapse text-[0.92rem]">
        <caption className="sr-only">Readings, {STAGE_NAMES[stage]}</caption>
        <thead className="sticky -top-3 z-10 bg-sheet">
          <tr className="border-b border-graphite text-sm text-pencil">
            <th scope="col" className="py-1 text-left font-normal">
              Measurement
            </th>
            <th scope="col" className="text-right font-normal">
              before
            </th>
            <th scope="col" className="pl-2 text-right font-normal">
              {stage === 'before-cut' ? 'target' : 'predicted'}
            </th>
            <th scope="col" className="w-24 pl-3 text-right font-normal">
              measured
            </th>
            <th scope="col" className="pl-2 text-right font-normal">
              off by
            </th>
            <th scope="col" className="w-40 pl-3 text-left font-normal">
              verdict
            </th>
          </tr>
        </thead>
        <tbody>
          {result.controls.map((control, index) => {
            const reading = latest.get(control.measurement.id);
            const judged = reading && judgeReading(control, reading, job.rules, job.display);
            const target = targetOf(control, stage);
            return (
              <tr
                key={control.measurement.id}
                className={`border-b border-rule/70 ${judged?.verdict === 'misread' ? 'bg-ochre-wash' : judged?.verdict === 'off' ? 'bg-oxide-wash' : ''}`}
                onMouseEnter={() => onShowMeasurement(control)}
                onFocus={() => onShowMeasurement(control)}
                data-measurement={control.measurement.id}
              >
                <th scope="row" className="py-1 pr-1 text-left font-normal">
                  {control.kind === 'diagonal' && (
                    <MoveDiagonal size={13} aria-label="diagonal" className="mr-1 inline text-pencil" />
                  )}
                  {control.name}
                </th>
                <td className="text-right text-pencil">
                  <Length mm={control.before} format={job.display} />
                </td>
                <td className="pl-2 text-right font-semibold">
                  {target === null ? '–' : <Length mm={target} format={job.display} />}
                </td>
                <td className="pl-3">
                  <ReadingCell
                    control={control}
                    reading={reading}
                    waiting={reading !== undefined && waiting.has(reading.id)}
                    format={job.display}
                    disabled={!canWrite}
                    first={index === firstMissing(result.controls, latest)}
                    onTake={(value) => take(control, value)}
                  />
                </td>
                <td className="pl-2 text-right">
                  {judged && judged.verdict !== 'no-target' && (
                    <Length mm={judged.off} format={finer(job.display)} signed />
                  )}
                </td>
                <td className="pl-3 text-sm leading-tight">
                  {judged && <Verdict kind={LOOKS[judged.verdict]}>{judged.message}</Verdict>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <CsvFile
        name="readings"
        href={`/api/jobs/${id}/table?what=readings`}
        disabled={!canWrite}
        onText={(text) => {
          const fresh = readReadings(text, job, readings);
          for (const reading of fresh) onRecord(recordOfReading(reading));
          return fresh.length === 0 ? 'All of them are here already.' : `${fresh.length} readings were added.`;
        }}
      />
      <StrayReadings job={job} readings={readings} />
      <p className="mt-2 text-sm text-pencil">
        Predicted: the straight tape distance in the plan. A diagonal does not grow by the length that is added. Heights
        are over the datum plane, by level or laser.
      </p>
    </>
  );
}

const firstMissing = (controls: readonly ControlPrediction[], latest: ReadonlyMap<string, Reading>): number => {
  const index = controls.findIndex((control) => !latest.has(control.measurement.id));
  return index < 0 ? 0 : index;
};

interface ReadingCellProps {
  readonly control: ControlPrediction;
  readonly reading: Reading | undefined;
  readonly waiting: boolean;
  readonly format: BenchProps['job']['display'];
  readonly disabled: boolean;
  readonly first: boolean;
  readonly onTake: (value: number) => void;
}

/** A cell to type a reading into: Enter takes it and goes on to the next. */
function ReadingCell({ control, reading, waiting, format, disabled, first, onTake }: ReadingCellProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const stored = reading ? formatLength(reading.value, finer(format)).text : '';
  // Enter takes the reading and moves on, and moving on takes it once more: the second time there is nothing to take.
  const taken = useRef<string | null>(null);
  const commit = (): boolean => {
    if (draft === null || draft.trim() === stored || draft === taken.current) {
      setDraft(null);
      setProblem('');
      return true;
    }
    if (draft.trim() === '') {
      setDraft(null);
      setProblem(reading ? 'A reading is never taken back: type the new one over it.' : '');
      return false;
    }
    const read = parseLength(draft, format.unit);
    const message = read.ok ? readingProblemOf(control, read.value) : read.problem.message;
    setProblem(message);
    if (!read.ok || message) return false;
    taken.current = draft;
    setDraft(null);
    onTake(read.value);
    return true;
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Escape') {
      setDraft(null);
      setProblem('');
    }
    if (event.key !== 'Enter' && event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    if (!commit()) return;
    const row = event.currentTarget.closest('tr');
    const next = event.key === 'ArrowUp' ? row?.previousElementSibling : row?.nextElementSibling;
    next?.querySelector('input')?.focus();
  };
  return (
    <>
      <span className="flex items-center gap-1">
        {waiting && <CloudOff size={14} className="shrink-0 text-ochre" aria-label="not sent yet" />}
        <input
          className={`field min-h-7 min-w-0 px-1 text-right ${reading ? 'border-rule' : ''}`}
          aria-label={`Measured: ${control.name}`}
          aria-invalid={problem !== ''}
          data-key={first ? 'new-reading' : undefined}
          autoComplete="off"
          value={draft ?? stored}
          disabled={disabled}
          onChange={(event) => {
            taken.current = null;
            setDraft(event.target.value);
          }}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={onKeyDown}
        />
      </span>
      {problem && (
        <span role="alert" className="block text-xs text-oxide">
          {problem}
        </span>
      )}
    </>
  );
}
