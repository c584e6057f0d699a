import {
  type ControlPrediction,
  finer,
  frameSurvey,
  judgeReading,
  latestReadings,
  lengthText,
  parseLength,
  type Reading,
  readingOf,
  type Stage,
  STAGE_NAMES,
  stageCount,
  STAGES,
  targetOf,
} from '@splay/core';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { signalVerdict } from '../../client/touch-settings.ts';
import { recordNow } from '../../client/job-store.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import { Length } from '../../ui/length.tsx';
import { type Taken, TakenCard } from './taken-card.tsx';
import { readingOrderOf } from '../../ui/reading-advice.tsx';
import { ThumbEntry } from '../../ui/thumb-entry.tsx';
import { ThumbLayout } from '../../ui/thumb-layout.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { AsFarChoice } from './as-far.tsx';
import { FitUpTable } from './fit-up-table.tsx';
import { HistoryTable } from './history.tsx';
import { InstrumentBar } from './instrument-bar.tsx';
import { MovesTable, NextMove } from './moves.tsx';
import { PracticeDrawer } from './practice.tsx';
import { RefusedRecords } from './reading-notices.tsx';
import { ShapeTable } from './shape.tsx';
import { cautionStepOf, levelApart, LOOKS, readingProblemOf } from './taking.ts';
import { BeginAt } from '../../ui/begin-at.tsx';

/**
 * Index of the measurement to take next: of those without a reading the one that tells most, else one whose reading is not
 * right, from `from` on and going round, else the next.
 */
function nextToTake(
  { job, result }: BenchProps,
  latest: ReadonlyMap<string, Reading>,
  stage: Stage,
  from: number,
): number {
  const { controls } = result;
  const survey = frameSurvey(controls, [...latest.values()], stage, job.rules);
  const asked = survey.state === 'nothing-read' ? (readingOrderOf(controls, stage, job).order[0] ?? null) : survey.next;
  if (asked) return controls.indexOf(asked);
  const order = controls.map((_, step) => (from + step) % controls.length);
  const state = (index: number): 'missing' | 'right' | 'wrong' => {
    const control = controls[index];
    const reading = control && latest.get(control.measurement.id);
    if (!reading) return 'missing';
    return judgeReading(control, reading, job.rules, job.display).verdict === 'right' ? 'right' : 'wrong';
  };
  const first = (wanted: 'missing' | 'wrong') => order.find((index) => state(index) === wanted);
  return first('missing') ?? first('wrong') ?? from % Math.max(1, controls.length);
}

/** So long a good verdict stands before the next measurement comes by itself, ms; a bad one stands until somebody goes on. */
const GOES_ON = 1800;

const SLIDES = [
  ['moves', { name: 'Moves', Content: MovesTable }],
  ['shape', { name: 'Shape', Content: ShapeTable }],
  ['ends', { name: 'Ends', Content: FitUpTable }],
  ['history', { name: 'History', Content: HistoryTable }],
  ['practice', { name: 'Practice', Content: PracticeDrawer }],
] as const;

/** Readings at the frame: one measurement at a time, what it should be, a keypad, and at once whether it is right. */
export function FloorReadings(props: BenchProps) {
  const { store, job, result, readings, canRecord, onRecord, onShowMeasurement } = props;
  const [stage, setStage] = useState<Stage>(() => props.whole.stage);
  const cautions = useCautions(props, cautionStepOf(stage));
  const latest = latestReadings(readings, stage);
  const [index, setIndex] = useState(() => nextToTake(props, latest, stage, 0));
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  // What was taken just now: its verdict stands where the keypad was, until one goes on.
  const [taken, setTaken] = useState<Taken | null>(null);
  // A good one that was gone on from by itself: it can be typed again.
  const [before, setBefore] = useState<Taken | null>(null);
  const control = result.controls[index];
  useEffect(() => {
    if (!taken?.isRight) return;
    const goingOn = setTimeout(() => {
      setBefore(taken);
      setTaken(null);
      setIndex(taken.next);
    }, GOES_ON);
    return () => clearTimeout(goingOn);
  }, [taken]);
  // The strip over the keypad shows where both hooks go.
  useEffect(() => {
    if (control) onShowMeasurement(control);
  }, [control, onShowMeasurement]);
  if (!control)
    return (
      <div className="p-4">
        <BeginAt store={store} bench="donor" drawer="controls" go="Choose control points">
          No control measurements yet. Punch control points on both rails, and choose what is taped between them.
        </BeginAt>
      </div>
    );

  const count = stageCount(job, result, readings, stage);
  const stored = latest.get(control.measurement.id);
  const target = targetOf(control, stage);
  const go = (by: number) => goOn((index + by + result.controls.length) % result.controls.length);
  const take = () => {
    const read = parseLength(text, job.display.unit);
    const wrong = read.ok ? readingProblemOf(control, read.value) : read.problem.message;
    setProblem(wrong);
    if (!read.ok || wrong) return;
    const record = recordNow(store, 'reading', { measurement: control.measurement.id, stage, value: read.value });
    onRecord(record);
    const { verdict } = judgeReading(control, { stage, value: read.value }, job.rules, job.display);
    signalVerdict(verdict === 'right' ? 'good' : 'bad');
    setBefore(null);
    setTaken({
      control,
      index,
      isRight: verdict === 'right',
      value: read.value,
      next: nextToTake(props, new Map(latest).set(record.body.measurement, readingOf(record)), stage, index + 1),
    });
    setText('');
  };
  const goOn = (to: number) => {
    setTaken(null);
    setBefore(null);
    setIndex(to);
    setText('');
    setProblem('');
  };
  const judge = (of: ControlPrediction, value: number) => {
    const { verdict, message, off } = judgeReading(of, { stage, value }, job.rules, job.display);
    return (
      <Verdict kind={LOOKS[verdict]}>
        {message}
        {verdict === 'right' && Math.abs(off) > 0.2 && (
          <>
            , off <Length mm={off} format={finer(job.display)} signed />
          </>
        )}
      </Verdict>
    );
  };
  const step = 'flex h-13 w-13 shrink-0 items-center justify-center border border-graphite bg-sheet';
  return (
    <ThumbLayout
      entry={
        taken ? (
          <TakenCard
            taken={taken}
            judge={judge}
            format={job.display}
            onNext={() => goOn(taken.next)}
            onAgain={() => setTaken(null)}
          />
        ) : (
          <>
            {before && (
              <p role="status" className="flex items-center gap-2 border-l-4 border-passed bg-sheet px-2 text-base">
                <span className="min-w-0 flex-1">
                  <b>
                    <Length mm={before.value} format={finer(job.display)} /> right
                  </b>
                  , {before.control.name}
                </span>
                <button type="button" className="button min-h-12" onClick={() => goOn(before.index)}>
                  Type it again
                </button>
              </p>
            )}
            <ThumbEntry
              text={text}
              before="0"
              problem={problem}
              unit={job.display.unit}
              minus={control.kind === 'height' || control.kind === 'rise'}
              disabled={!canRecord}
              onText={setText}
              onTake={take}
            />
          </>
        )
      }
    >
      <RefusedRecords {...props} />
      <div className="flex items-center gap-2">
        <select
          className="field h-13 text-base"
          aria-label="Stage of the job"
          value={stage}
          onChange={(event) => setStage(event.target.value as Stage)}
        >
          {STAGES.map((candidate) => (
            <option key={candidate} value={candidate}>
              {STAGE_NAMES[candidate]}
            </option>
          ))}
        </select>
        <p className="shrink-0 text-right text-sm" role="status">
          {count.right} right{count.wrong > 0 && `, ${count.wrong} not`}
          <br />
          {count.missing > 0 ? `${count.missing} to take` : 'all taken'}
        </p>
      </div>

      <AsFarChoice {...props} />
      <section aria-label={control.name} className="border-2 border-graphite bg-sheet p-3">
        <div className="flex items-start gap-2">
          <div className="min-w-0 flex-1">
            <p className="label">
              {control.kind} · {index + 1} of {result.controls.length}
            </p>
            <h2 className="heading text-2xl">{control.name}</h2>
          </div>
          <button type="button" className={step} aria-label="Previous measurement" onClick={() => go(-1)}>
            <ChevronLeft />
          </button>
          <button type="button" className={step} aria-label="Next measurement" onClick={() => go(1)}>
            <ChevronRight />
          </button>
        </div>
        <p className="mt-2 flex items-baseline justify-between">
          <span className="text-pencil">should read</span>
          <span className="heading text-4xl">
            {target === null ? control.reason : <Length mm={target} format={job.display} />}
          </span>
        </p>
        {stored && (
          <div className="mt-1 border-t border-rule pt-1 text-sm">
            <span className="text-pencil">
              read {lengthText(stored.value, finer(job.display))} by {stored.by}:
            </span>{' '}
            {judge(control, stored.value)}
          </div>
        )}
      </section>

      <InstrumentBar
        format={job.display}
        control={control}
        apart={levelApart(control, stage)}
        onTake={(mm) => setText(lengthText(mm, finer(job.display)))}
      />
      <NextMove {...props} />
      <CautionList {...cautions} />
      <FoldOuts bench={props} slides={SLIDES} />
    </ThumbLayout>
  );
}
