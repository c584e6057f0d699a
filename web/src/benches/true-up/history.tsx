import {
  CORRECTION_WAYS,
  type CorrectionWay,
  finer,
  type JudgedPart,
  lengthText,
  parseLength,
  type Stage,
  STAGE_NAMES,
  standing,
  STAGES,
  surveyAndMoves,
} from '@splay/core';
import { useMemo, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { recordNow } from '../../client/job-store.ts';
import { Choice } from '../../ui/choice.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { PART_NAMES } from './shape.tsx';

interface StageShape {
  readonly stage: Stage;
  readonly parts: readonly JudgedPart[] | null;
  readonly wrong: number | null;
}

/** How the frame came true from stage to stage, how much welding pulled it, and what was corrected by heat or force. */
export function HistoryTable(props: BenchProps) {
  const { job, result, readings } = props;
  const shapes = useMemo(
    () =>
      STAGES.filter((stage) => readings.some((reading) => reading.stage === stage)).map((stage): StageShape => {
        const { survey, trueUp } = surveyAndMoves(job, result, readings, stage);
        return {
          stage,
          parts: survey.state === 'held' ? survey.parts : null,
          wrong: trueUp?.list.before.wrong ?? null,
        };
      }),
    [job, result, readings],
  );
  const pulled = pullOf(shapes);
  const format = finer(job.display);
  const amount = (mm: number | undefined) => (mm === undefined ? '–' : lengthText(mm, format));
  const kinds = shapes.find(({ parts }) => parts)?.parts?.map(({ part }) => part) ?? [];
  return (
    <>
      {kinds.length > 0 ? (
        <table className="w-full max-w-4xl border-collapse text-[0.92rem]">
          <caption className="pb-1 text-left text-sm text-pencil">
            The shape of the frame as the readings of each stage say. What welding pulled is the last column less the
            one before it: keep it in mind for the next job, and lay the halves so much the other way.
          </caption>
          <thead>
            <tr className="border-b border-graphite text-sm text-pencil">
              <th scope="col" className="py-1 text-left font-normal">
                Shape
              </th>
              {shapes.map(({ stage }) => (
                <th key={stage} scope="col" className="figures font-normal">
                  {STAGE_NAMES[stage].toLowerCase()}
                </th>
              ))}
              {pulled && (
                <th scope="col" className="figures font-normal">
                  pulled by welding
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {kinds.map((part) => (
              <tr key={part} className="border-b border-rule/60">
                <th scope="row" className="py-1 text-left font-normal">
                  {PART_NAMES[part]}
                </th>
                {shapes.map(({ stage, parts }) => {
                  const found = parts?.find((each) => each.part === part);
                  return (
                    <td key={stage} className={`figures ${found?.verdict === 'off' ? 'font-semibold text-oxide' : ''}`}>
                      {amount(found?.amount)}
                    </td>
                  );
                })}
                {pulled && <td className="figures font-semibold">{amount(pulled.get(part))}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <p className="text-pencil">No stage has readings yet that hold the frame: its history begins with them.</p>
      )}
      <Corrections {...props} />
    </>
  );
}

/** What welding out changed: the shape then less that when it was tacked. */
function pullOf(shapes: readonly StageShape[]): ReadonlyMap<string, number> | null {
  const at = (stage: Stage) => shapes.find((each) => each.stage === stage)?.parts;
  const [tacked, welded] = [at('tacked'), at('welded')];
  if (!tacked || !welded) return null;
  return new Map(
    welded.map(({ part, amount }) => [part, amount - (tacked.find((each) => each.part === part)?.amount ?? 0)]),
  );
}

function Corrections(props: BenchProps) {
  const { store, job, result, records, canRecord, onRecord } = props;
  const [how, setHow] = useState<CorrectionWay>('heat');
  const [measurement, setMeasurement] = useState(result.controls[0]?.measurement.id ?? '');
  const [texts, setTexts] = useState({ before: '', after: '', note: '' });
  const [problem, setProblem] = useState('');
  const done = standing(records, 'correction');
  const nameOf = (id: string) => result.controls.find((control) => control.measurement.id === id)?.name ?? id;
  const show = (mm: number) => lengthText(mm, finer(job.display), true);
  const onAdd = () => {
    const [before, after] = [parseLength(texts.before, job.display.unit), parseLength(texts.after, job.display.unit)];
    if (!before.ok) return setProblem(`Before: ${before.problem.message}`);
    if (!after.ok) return setProblem(`After: ${after.problem.message}`);
    setProblem('');
    setTexts({ before: '', after: '', note: '' });
    onRecord(
      recordNow(store, 'correction', {
        how,
        measurement,
        before: before.value,
        after: after.value,
        note: texts.note.trim(),
      }),
    );
  };
  const field = (key: 'before' | 'after' | 'note', label: string) => (
    <label className="block text-sm text-pencil">
      {label}
      <input
        className="field mt-1 min-h-9"
        value={texts[key]}
        disabled={!canRecord}
        onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
      />
    </label>
  );
  return (
    <section className="mt-5 max-w-4xl" aria-label="Corrections">
      <PanelHeading>Corrected by heat or force</PanelHeading>
      <p className="border-l-4 border-oxide bg-oxide-wash px-3 py-1.5 text-sm">
        Never heat a heat-treated or high-strength rail: it loses what makes it strong, and nothing shows. A press lets
        go suddenly: nobody stands in line with it. When in doubt, cut the joint and fit it again.
      </p>
      {done.length > 0 && (
        <ul className="mt-2">
          {done.map(({ id, by, taken, body }) => (
            <li key={id} className="border-b border-rule/60 py-1">
              <b className="font-semibold">{body.how}</b>, {nameOf(body.measurement)}: {show(body.before)} →{' '}
              {show(body.after)}
              <span className="text-sm text-pencil">
                {' '}
                by {by}, {taken.slice(0, 10)}
                {body.note && `: ${body.note}`}
              </span>
            </li>
          ))}
        </ul>
      )}
      {result.controls.length > 0 && (
        <div className="mt-2 grid grid-cols-2 items-end gap-2 md:grid-cols-6">
          <Choice
            list
            label="How"
            value={how}
            choices={CORRECTION_WAYS.map((each) => [each, each])}
            disabled={!canRecord}
            onChange={setHow}
          />
          <Choice
            list
            label="Told by"
            value={measurement}
            choices={result.controls.map((control) => [control.measurement.id, control.name])}
            disabled={!canRecord}
            onChange={setMeasurement}
          />
          {field('before', 'It read before')}
          {field('after', 'It reads after')}
          {field('note', 'Where, and how')}
          <button type="button" className="button min-h-9" disabled={!canRecord} onClick={onAdd}>
            Write it down
          </button>
        </div>
      )}
      {problem && (
        <p role="alert" className="mt-1 text-sm text-oxide">
          {problem}
        </p>
      )}
    </section>
  );
}
