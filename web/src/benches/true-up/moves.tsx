import {
  finer,
  judgeReading,
  type LengthFormat,
  lengthText,
  type MoveLine,
  moveText,
  observationOf,
  readOf,
  type Stage,
  STAGE_NAMES,
  type TrueUp,
} from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { Verdict } from '../../ui/verdict.tsx';
import { StageChoice, useStage } from './stage-choice.tsx';
import { usePushed, useTrueUp } from './use-true-up.ts';

const counted = (wrong: number): string =>
  wrong === 0 ? 'all readings right' : wrong === 1 ? '1 reading not right' : `${wrong} readings not right`;

/** In the panel: the next thing to do to the loose half; or what the half pushed by hand makes of the readings. */
export function NextMove(props: BenchProps) {
  const { store, job } = props;
  const stage = useStage(props);
  const found = usePushed(props, stage);
  if (!found) return null;
  const { trueUp, pushed, lines, points } = found;
  const { list, joint, holdsAssumed } = trueUp;
  const say = (line: MoveLine) => moveText(line, trueUp.holds, props.result.datum.built, job.display);
  if (pushed) {
    const wrong = props.result.controls.filter((control) => {
      if (control.ends.built === null) return false;
      const value = readOf(points, observationOf(control, 0, job.rules));
      return judgeReading(control, { stage, value }, job.rules, job.display).verdict !== 'right';
    }).length;
    return (
      <section className="mt-3 border-2 border-layout bg-layout-wash p-2" aria-label="Pushed">
        <h3 className="label">Pushed by hand</h3>
        <p role="status">
          <Verdict kind={wrong === 0 ? 'good' : 'warn'}>{counted(wrong)}</Verdict>
        </p>
        <ul className="mt-1 font-semibold">
          {lines.map((line) => (
            <li key={`${line.do}${'at' in line ? line.at : ''}`}>{say(line)}</li>
          ))}
          {lines.length === 0 && <li>Where it lies.</li>}
        </ul>
        <button type="button" className="button mt-2" onClick={() => store.setState({ pushed: null })}>
          Let it go back
        </button>
      </section>
    );
  }
  const [next] = list.moves;
  const inside = list.before.wrong === 0;
  const all = (
    <button
      type="button"
      className="min-h-8 text-sm text-layout underline underline-offset-2"
      onClick={() => store.setState({ drawer: 'moves' })}
    >
      {inside ? 'To bring it nearer still' : 'All moves, and what each reading becomes'}
    </button>
  );
  return (
    <section className="mt-3" aria-label="Next move">
      <h3 className="label">
        Behind cut {joint.letter}: {inside ? 'lies true' : 'next'}
      </h3>
      {next && !inside ? (
        <>
          <ul className="heading text-xl leading-snug">
            {next.lines.map((line) => (
              <li key={`${line.do}${'at' in line ? line.at : ''}${'side' in line ? line.side : ''}`}>{say(line)}</li>
            ))}
          </ul>
          <p className="text-sm text-pencil">
            {stage === 'welded'
              ? 'Fully welded, it moves only by heat or a press: cautions first, and write down what was done.'
              : `${counted(list.before.wrong)} now, ${counted(next.wrong)} after it${list.moves.length > 1 ? `; ${list.moves.length - 1} more to do` : ''}. Measure again after them.`}
            {holdsAssumed && ' Where its stands are is taken as usual: place them on the bench Stands.'}
          </p>
          {all}
        </>
      ) : inside ? (
        <>
          <Verdict kind="good">All readings together put the loose half inside every tolerance.</Verdict>
          {next && all}
        </>
      ) : null}
      {trueUp.asPlanned && <AsPlanned {...trueUp.asPlanned} format={finer(job.display)} />}
      {!list.reaches && (
        <Verdict kind="warn">
          No move brings every reading right: the halves themselves differ from the plan by about{' '}
          {lengthText(Math.max(trueUp.halves.left.front, trueUp.halves.left.rear), finer(job.display), true)}.
        </Verdict>
      )}
    </section>
  );
}

/** By how little the moves are known: each half is taken as it was typed. */
function AsPlanned({ checks, left, format }: NonNullable<TrueUp['asPlanned']> & { readonly format: LengthFormat }) {
  return (
    <Verdict kind="note">
      So few readings do not hold every point: each half is taken as rigid, with the shape of its control points on the
      Donor bench.{' '}
      {checks === 0
        ? 'Nothing checks them: one misread reading spoils the moves.'
        : `${checks === 1 ? '1 reading more than is needed checks' : `${checks} readings more than are needed check`} them: they disagree by ${lengthText(left, format, true)}.`}
    </Verdict>
  );
}

/** The whole list, and every reading as it is and after each move. */
export function MovesTable(props: BenchProps) {
  const { job, result, onSelect } = props;
  const stage = useStage(props);
  const { trueUp, survey } = useTrueUp(props, stage);
  if (!trueUp)
    return (
      <>
        <StageChoice {...props} />
        <p className="text-pencil">
          {survey.state === 'held'
            ? 'There is no loose half: before the cut the frame is one, and without a joint between measured points nothing can be moved.'
            : 'The readings of this stage do not hold the frame yet: take those that Shape asks for. Nine across the cut are enough: both lengths, both diagonals, and heights at the corners of both halves.'}
        </p>
      </>
    );
  const { list, halves } = trueUp;
  const stands = [{ lines: [], points: halves.points, ...list.before }, ...list.moves];
  const shown = result.controls.filter(({ ends }) => ends.built !== null);
  const valueOf = (control: (typeof shown)[0], points: typeof halves.points) =>
    readOf(points, observationOf(control, 0, job.rules));
  const judge = (control: (typeof shown)[0], points: typeof halves.points) =>
    judgeReading(control, { stage, value: valueOf(control, points) }, job.rules, job.display);
  // What is right before and after needs no line: the others stand on top.
  const moved = shown.filter((control) => stands.some(({ points }) => judge(control, points).verdict !== 'right'));
  return (
    <>
      <StageChoice {...props} />
      <ol className="mb-3 list-decimal space-y-1 pl-6">
        {list.moves.map((move, at) => (
          <li key={at}>
            <b className="font-semibold">
              {move.lines.map((line) => moveText(line, trueUp.holds, result.datum.built, job.display)).join('; ')}
            </b>
            <span className="text-pencil">: then {counted(move.wrong)}</span>
          </li>
        ))}
        {list.moves.length === 0 && <li className="list-none">Nothing to move: the loose half lies as planned.</li>}
      </ol>
      {trueUp.asPlanned && <AsPlanned {...trueUp.asPlanned} format={finer(job.display)} />}
      {moved.length > 0 && (
        <table className="w-full max-w-4xl border-collapse text-[0.92rem]">
          <caption className="pb-1 text-left text-sm text-pencil">
            Off by how much, as all readings of {STAGE_NAMES[stage as Stage].toLowerCase()} together say, and after each
            move. Those that are right throughout are left out.
          </caption>
          <thead>
            <tr className="border-b border-graphite text-sm text-pencil">
              <th scope="col" className="py-1 text-left font-normal">
                Reading
              </th>
              {stands.map((_, at) => (
                <th key={at} scope="col" className="figures font-normal">
                  {at === 0 ? 'now' : `after ${at}`}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {moved.map((control) => (
              <tr key={control.measurement.id} className="border-b border-rule/60">
                <th scope="row" className="py-1 text-left font-normal">
                  <button type="button" className="text-left" onClick={() => onSelect(control.measurement.id)}>
                    {control.name}
                  </button>
                </th>
                {stands.map(({ points }, at) => {
                  const { off, verdict } = judge(control, points);
                  return (
                    <td key={at} className={`figures ${verdict === 'right' ? '' : 'font-semibold text-oxide'}`}>
                      {off > 0 ? '+' : ''}
                      {lengthText(off, finer(job.display))}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
