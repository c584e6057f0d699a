import {
  type ControlPrediction,
  finer,
  frameSurvey,
  judgeReading,
  lengthText,
  type MoveLine,
  movePractice,
  moveText,
  parseLength,
  PRACTICE_LEVELS,
  type PracticeFrame,
  type Reading,
  readPractice,
  scorePractice,
  surveyAndMoves,
} from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { simulatedInstrument } from '../../client/instruments/simulated.ts';
import { Choice } from '../../ui/choice.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { LOOKS } from './taking.ts';

interface Read {
  readonly value: number;
  /** Something was moved since. */
  readonly stale: boolean;
}

/** Things that can be done to the loose half, and how each is named. */
const ACTIONS = [
  ['left front stand', (by: number): MoveLine => ({ do: 'stand', at: 'front', side: 'left', by })],
  ['right front stand', (by: number): MoveLine => ({ do: 'stand', at: 'front', side: 'right', by })],
  ['both front stands', (by: number): MoveLine => ({ do: 'stand', at: 'front', side: 'both', by })],
  ['left rear stand', (by: number): MoveLine => ({ do: 'stand', at: 'rear', side: 'left', by })],
  ['right rear stand', (by: number): MoveLine => ({ do: 'stand', at: 'rear', side: 'right', by })],
  ['both rear stands', (by: number): MoveLine => ({ do: 'stand', at: 'rear', side: 'both', by })],
  ['front end sideways', (by: number): MoveLine => ({ do: 'slide', at: 'front', by })],
  ['rear end sideways', (by: number): MoveLine => ({ do: 'slide', at: 'rear', by })],
  ['both ends sideways', (by: number): MoveLine => ({ do: 'slide', at: 'both', by })],
  ['all of it along', (by: number): MoveLine => ({ do: 'pull', by })],
] as const;
type Action = (typeof ACTIONS)[number][0];

/** A reading of a practice frame: it is nobody's and of no time. */
export const asReading = ({ measurement: { id } }: ControlPrediction, value: number): Reading => ({
  id,
  measurement: id,
  stage: 'fit-up',
  value,
  taken: '2000-01-01T00:00:00Z',
  by: '',
});

interface PracticeRunProps {
  readonly job: BenchProps['job'];
  readonly result: BenchProps['result'];
  readonly first: PracticeFrame;
  readonly onEnd: () => void;
}

/** One practice frame: what is measured of it, what is done to it, and its score. */
export function PracticeRun({ job, result, first, onEnd }: PracticeRunProps) {
  const [frame, setFrame] = useState(first);
  const [reads, setReads] = useState<ReadonlyMap<string, Read>>(new Map());
  const [action, setAction] = useState<Action>('left front stand');
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const [hint, setHint] = useState(false);
  const [over, setOver] = useState(false);
  const controls = result.controls.filter(({ predicted }) => predicted !== null);
  const format = finer(job.display);

  const measure = (some: readonly ControlPrediction[]) => {
    let now = frame;
    const next = new Map(reads);
    for (const control of some) {
      // The instrument is held to the hidden frame, and its key pressed.
      const instrument = simulatedInstrument(() => {
        const read = readPractice(now, control, job.rules);
        now = read.frame;
        return { kind: 'distance', mm: read.value };
      });
      void instrument.connect(
        (reading) =>
          reading.kind === 'distance' && next.set(control.measurement.id, { value: reading.mm, stale: false }),
        () => undefined,
      );
      instrument.press();
    }
    setFrame(now);
    setReads(next);
  };
  const move = (lines: readonly MoveLine[]) => {
    setFrame(lines.reduce(movePractice, frame));
    setReads(new Map([...reads].map(([id, read]) => [id, { ...read, stale: true }])));
    setHint(false);
  };
  const fresh = controls.flatMap((control) => {
    const read = reads.get(control.measurement.id);
    return read && !read.stale ? [asReading(control, read.value)] : [];
  });
  const survey = frameSurvey(controls, fresh, 'fit-up', job.rules);
  const advice = hint && survey.state === 'held' ? surveyAndMoves(job, result, fresh, 'fit-up').trueUp : null;
  const score = over ? scorePractice(frame, controls, job.rules) : null;
  const onMove = () => {
    const read = parseLength(text, job.display.unit);
    if (!read.ok) return setProblem(read.problem.message);
    if (Math.abs(read.value) > 100) return setProblem('A move of so much is no correction: try less than 4 in.');
    setProblem('');
    setText('');
    const make = ACTIONS.find(([name]) => name === action)?.[1];
    if (make) move([make(read.value)]);
  };
  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_320px]">
      <div className="min-w-0 overflow-x-auto">
        <p className="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-1" role="status">
          <b className="heading text-lg">{PRACTICE_LEVELS[frame.level].name}</b>
          <span>
            {frame.readings} readings, {frame.moves} moves
          </span>
          <button type="button" className="button" disabled={over} onClick={() => measure(controls)}>
            Measure everything
          </button>
        </p>
        <table className="w-full border-collapse text-[0.92rem]">
          <caption className="sr-only">Measurements of the practice frame</caption>
          <thead>
            <tr className="border-b border-graphite text-sm text-pencil">
              <th scope="col" className="py-1 text-left font-normal">
                Measurement
              </th>
              <th scope="col" className="figures font-normal whitespace-nowrap">
                should read
              </th>
              <th scope="col" className="figures font-normal">
                reads
              </th>
              <th scope="col" className="pl-3 text-left font-normal">
                verdict
              </th>
              <th />
            </tr>
          </thead>
          <tbody>
            {controls.map((control) => {
              const read = reads.get(control.measurement.id);
              const judged =
                read && !read.stale
                  ? judgeReading(control, { stage: 'fit-up', value: read.value }, job.rules, job.display)
                  : null;
              return (
                <tr key={control.measurement.id} className="border-b border-rule/60">
                  <th scope="row" className="py-1 text-left font-normal">
                    {control.name}
                  </th>
                  <td className="figures whitespace-nowrap">{lengthText(control.predicted ?? 0, job.display)}</td>
                  <td
                    className={`figures whitespace-nowrap ${read?.stale ? 'text-pencil line-through' : 'font-semibold'}`}
                  >
                    {read ? lengthText(read.value, format) : ''}
                  </td>
                  <td className="pl-3 text-sm">
                    {judged && <Verdict kind={LOOKS[judged.verdict]}>{judged.message}</Verdict>}
                    {read?.stale && <span className="text-pencil">moved since</span>}
                  </td>
                  <td className="text-right">
                    <button
                      type="button"
                      className="button min-h-8"
                      disabled={over}
                      aria-label={`Measure ${control.name}`}
                      onClick={() => measure([control])}
                    >
                      Measure
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="space-y-3">
        {score ? (
          <section aria-label="Score" className="border-2 border-graphite bg-sheet p-3">
            <p className="heading text-4xl">{score.points}</p>
            <p>
              {score.true
                ? 'True: every measurement is inside what is allowed.'
                : `${score.wrong} of ${controls.length} measurements are still out; the worst by ${score.worst.toFixed(1)} times what is allowed.`}
            </p>
            <p className="text-sm text-pencil">
              {frame.readings} readings and {frame.moves} moves. One of each reading and five moves cost nothing.
            </p>
            <button type="button" className="button button-dark mt-2" onClick={onEnd}>
              Another one
            </button>
          </section>
        ) : (
          <>
            <section aria-label="Move the loose half" className="space-y-2 border border-graphite bg-paper p-3">
              <Choice
                list
                label="Move"
                value={action}
                choices={ACTIONS.map(([name]) => [name, name])}
                disabled={false}
                onChange={setAction}
              />
              <label className="block text-sm text-pencil">
                By how much: up, to the right, to the rear; with a minus the other way
                <input
                  className="field mt-1 min-h-10"
                  value={text}
                  aria-invalid={problem !== ''}
                  onChange={(event) => setText(event.target.value)}
                  onKeyDown={(event) => event.key === 'Enter' && onMove()}
                />
              </label>
              {problem && (
                <p role="alert" className="text-sm text-oxide">
                  {problem}
                </p>
              )}
              <button type="button" className="button" disabled={text.trim() === ''} onClick={onMove}>
                Move it
              </button>
            </section>
            {survey.state === 'floats' && survey.next && (
              <p className="text-sm text-pencil">The readings do not hold it yet. Next: {survey.next.name}.</p>
            )}
            {survey.state === 'held' &&
              survey.misreads.map(({ control }) => (
                <Verdict key={control.measurement.id} kind="warn">
                  {control.name} does not go with the others: measure it again.
                </Verdict>
              ))}
            {survey.state === 'held' && !hint && (
              <button type="button" className="button" onClick={() => setHint(true)}>
                Show what Splay would do
              </button>
            )}
            {advice && (
              <section aria-label="What Splay would do">
                <ul className="font-semibold">
                  {advice.list.moves
                    .flatMap(({ lines }) => lines)
                    .map((line) => moveText(line, advice.holds, result.datum.built, job.display))
                    .map((said) => (
                      <li key={said}>{said}</li>
                    ))}
                  {advice.list.moves.length === 0 && <li>Nothing: it lies true.</li>}
                </ul>
                {advice.list.moves.length > 0 && (
                  <button
                    type="button"
                    className="button mt-1"
                    onClick={() => move(advice.list.moves.flatMap(({ lines }) => lines))}
                  >
                    Do all of it
                  </button>
                )}
              </section>
            )}
            <button type="button" className="button button-dark" onClick={() => setOver(true)}>
              It is true: score it
            </button>
          </>
        )}
      </div>
    </div>
  );
}
