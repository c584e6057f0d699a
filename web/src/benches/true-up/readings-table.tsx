import {
  type ControlPrediction,
  finer,
  judgeReading,
  latestReadings,
  readReadings,
  recordOfReading,
  STAGE_NAMES,
  targetOf,
} from '@splay/core';
import { MoveDiagonal } from 'lucide-react';
import { Fragment, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { recordNow, useJobState } from '../../client/job-store.ts';
import { CsvFile } from '../../ui/csv-file.tsx';
import { Length } from '../../ui/length.tsx';
import { AssumedPoints } from '../../ui/assumed-points.tsx';
import { ReadingAdvice } from '../../ui/reading-advice.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { ReadingCell } from './reading-cell.tsx';
import { StrayReadings } from './reading-notices.tsx';
import { LOOKS } from './taking.ts';
import { StageChoice, useStage } from './stage-choice.tsx';

/** Every measurement with what it was, should read, does read, and whether that is right. */
export function ReadingsTable(props: BenchProps) {
  const { store, job, readings, canRecord, onRecord } = props;
  const id = useJobState(store, (state) => state.id);
  const stage = useStage(props);
  return (
    <>
      <StageChoice {...props} />
      <table className="w-full border-collapse text-[0.92rem]">
        <caption className="sr-only">Readings, {STAGE_NAMES[stage]}</caption>
        <thead className="sticky top-0 z-10 bg-sheet">
          <tr className="border-b border-graphite text-sm text-pencil">
            <th scope="col" className="py-1 text-left font-normal">
              Measurement
            </th>
            <th scope="col" className="figures font-normal">
              before
            </th>
            <th scope="col" className="figures font-normal">
              {stage === 'before-cut' ? 'target' : 'predicted'}
            </th>
            <th scope="col" className="w-24 pl-3 text-right font-normal">
              measured
            </th>
            <th scope="col" className="figures font-normal">
              off by
            </th>
            <th scope="col" className="w-40 pl-3 text-left font-normal">
              verdict
            </th>
          </tr>
        </thead>
        <tbody>
          <GroupedRows key={stage} {...props} />
        </tbody>
      </table>
      <CsvFile
        name="readings"
        href={`/api/jobs/${id}/table?what=readings`}
        disabled={!canRecord}
        onText={(text) => {
          const fresh = readReadings(text, job, readings);
          for (const reading of fresh) onRecord(recordOfReading(reading));
          return fresh.length === 0 ? 'All of them are here already.' : `${fresh.length} readings were added.`;
        }}
      />
      <StrayReadings job={job} readings={readings} />
      <ReadingAdvice controls={props.result.controls} stage={stage} job={job} />
      <p className="mt-2 text-sm text-pencil">
        Predicted: the straight tape distance in the plan. A diagonal does not grow by the length that is added. Heights
        are over the datum plane, by level or laser.
      </p>
    </>
  );
}

const GROUPS = ['not right', 'to take', 'right'] as const;
type Group = (typeof GROUPS)[number];

/** The rows, those that are not right on top, those that are folded away; none changes its place while one types. */
function GroupedRows(props: BenchProps) {
  const { job, result, readings } = props;
  const stage = useStage(props);
  const [groups] = useState(() => {
    const latest = latestReadings(readings, stage);
    return new Map(
      result.controls.map((control): [string, Group] => {
        const reading = latest.get(control.measurement.id);
        const verdict = reading && judgeReading(control, reading, job.rules, job.display).verdict;
        return [
          control.measurement.id,
          verdict === undefined ? 'to take' : verdict === 'off' || verdict === 'misread' ? 'not right' : 'right',
        ];
      }),
    );
  });
  const of = (group: Group) =>
    result.controls.filter(({ measurement }) => (groups.get(measurement.id) ?? 'to take') === group);
  const [open, setOpen] = useState(of('right').length === result.controls.length);
  return GROUPS.map((group) => {
    const rows = of(group);
    if (rows.length === 0) return null;
    const folded = group === 'right' && !open;
    return (
      <Fragment key={group}>
        <tr className="border-b border-rule bg-bench/40">
          <th scope="rowgroup" colSpan={6} className="label py-1 text-left">
            {group === 'right' ? (
              <button
                type="button"
                aria-expanded={open}
                className="label min-h-8 underline underline-offset-2"
                onClick={() => setOpen(!open)}
              >
                {open ? '' : 'Show the '}
                {rows.length} that {rows.length === 1 ? 'was' : 'were'} right
              </button>
            ) : (
              `${group}, ${rows.length}`
            )}
          </th>
        </tr>
        {!folded && rows.map((control) => <ReadingRow key={control.measurement.id} {...props} control={control} />)}
      </Fragment>
    );
  });
}

/** One measurement with what it was, should read, does read, and whether that is right. */
function ReadingRow(props: BenchProps & { readonly control: ControlPrediction }) {
  const { store, job, readings, canRecord, onShowMeasurement, onRecord, onSelect, selected, control } = props;
  const unsent = useJobState(store, (state) => state.unsent);
  const stage = useStage(props);
  const reading = latestReadings(readings, stage).get(control.measurement.id);
  const judged = reading && judgeReading(control, reading, job.rules, job.display);
  const target = targetOf(control, stage);
  return (
    <tr
      className={`border-b border-rule/70 ${selected === control.measurement.id ? 'bg-layout-wash' : ''} ${judged?.verdict === 'misread' ? 'bg-ochre-wash' : judged?.verdict === 'off' ? 'bg-oxide-wash' : ''}`}
      onMouseEnter={() => onShowMeasurement(control)}
      onFocus={() => {
        onShowMeasurement(control);
        onSelect(control.measurement.id);
      }}
      data-measurement={control.measurement.id}
    >
      <th scope="row" className="py-1 pr-1 text-left font-normal">
        {control.kind === 'diagonal' && (
          <MoveDiagonal size={13} aria-label="diagonal" className="mr-1 inline text-pencil" />
        )}
        {control.name}
        <AssumedPoints names={control.assumed} />
      </th>
      <td className="figures text-pencil">
        <Length mm={control.before} format={job.display} />
      </td>
      <td className="figures font-semibold">{target === null ? '–' : <Length mm={target} format={job.display} />}</td>
      <td className="pl-3">
        <ReadingCell
          control={control}
          reading={reading}
          waiting={reading !== undefined && unsent.includes(reading.id)}
          format={job.display}
          disabled={!canRecord}
          first={false}
          onTake={(value) =>
            onRecord(recordNow(store, 'reading', { measurement: control.measurement.id, stage, value }))
          }
        />
      </td>
      <td className="figures [--whole:1.4ch]">
        {judged && judged.verdict !== 'no-target' && <Length mm={judged.off} format={finer(job.display)} signed />}
      </td>
      <td className="pl-3 text-sm leading-tight">
        {judged && <Verdict kind={LOOKS[judged.verdict]}>{judged.message}</Verdict>}
      </td>
    </tr>
  );
}
