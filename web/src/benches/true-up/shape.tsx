import { type FrameSurvey, type JudgedPart, lengthText, finer, type ShapePart } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { Length } from '../../ui/length.tsx';
import { Verdict, type VerdictKind } from '../../ui/verdict.tsx';
import { StageChoice, useStage } from './stage-choice.tsx';
import { useTrueUp } from './use-true-up.ts';

/** What a frame out of shape does, for an amount above 0 and below it. */
const PARTS: Readonly<Record<ShapePart, { readonly name: string; readonly over: string; readonly under: string }>> = {
  length: { name: 'Length', over: 'longer than planned', under: 'shorter than planned' },
  width: { name: 'Width', over: 'wider than planned', under: 'narrower than planned' },
  diamond: { name: 'Diamond', over: 'the left rail to the rear', under: 'the right rail to the rear' },
  'side-bend': { name: 'Side-bend', over: 'the middle to the right', under: 'the middle to the left' },
  sag: { name: 'Sag', over: 'the middle hangs', under: 'the middle stands high' },
  twist: { name: 'Twist', over: 'right side higher at the rear', under: 'left side higher at the rear' },
};
export const PART_NAMES = Object.fromEntries(Object.entries(PARTS).map(([part, { name }]) => [part, name])) as Readonly<
  Record<ShapePart, string>
>;
const VERDICTS: Readonly<Record<JudgedPart['verdict'], { readonly kind: VerdictKind; readonly words: string }>> = {
  right: { kind: 'good', words: 'right' },
  doubtful: { kind: 'warn', words: 'the readings cannot tell: more of them, or better ones' },
  off: { kind: 'stop', words: 'out of shape' },
};
const CAUSES = {
  inch: 'an inch: read from the 1 in mark?',
  foot: 'a foot: the wrong foot read off?',
  digits: 'two digits the other way round?',
} as const;
const way = ({ part, amount }: JudgedPart): string => (amount < 0 ? PARTS[part].under : PARTS[part].over);

/** In the panel: what is out of shape, which readings do not go with the others, or what to take next. */
export function ShapeNotice(props: BenchProps) {
  const { job, onSelect } = props;
  const { survey } = useTrueUp(props, useStage(props));
  const format = finer(job.display);
  if (survey.state === 'nothing-read') return null;
  const parts = survey.state === 'held' ? (survey.parts ?? []) : [];
  const off = parts.filter(({ verdict }) => verdict === 'off');
  return (
    <section className="mt-3" aria-label="Shape of the frame">
      <h3 className="label">Shape of the frame</h3>
      {survey.state === 'floats' && <Floats survey={survey} onSelect={onSelect} />}
      {survey.state === 'held' && (
        <ul className="mt-1 space-y-1">
          {off.map((part) => (
            <li key={part.part}>
              <Verdict kind="stop">
                {PARTS[part.part].name} <b>{lengthText(Math.abs(part.amount), format, true)}</b>: {way(part)}
              </Verdict>
            </li>
          ))}
          {off.length === 0 && parts.length > 0 && (
            <li>
              <Verdict kind="good">nothing out of shape that the readings can tell</Verdict>
            </li>
          )}
          <Misreads survey={survey} format={format} onSelect={onSelect} />
        </ul>
      )}
    </section>
  );
}

interface NoticeProps<State extends FrameSurvey['state']> {
  readonly survey: Extract<FrameSurvey, { readonly state: State }>;
  readonly onSelect: BenchProps['onSelect'];
}

function Floats({ survey: { ways, next }, onSelect }: NoticeProps<'floats'>) {
  return (
    <div className="mt-1">
      <Verdict kind="note">
        The readings do not hold the frame yet: it can still move in {ways} {ways === 1 ? 'way' : 'ways'}.
        {next === null &&
          ' No measurement of the list would hold it: add diagonals or heights, on the Donor bench under Control.'}
      </Verdict>
      {next && (
        <p className="mt-1.5">
          Take next:{' '}
          <button
            type="button"
            className="font-semibold text-layout underline underline-offset-2"
            onClick={() => onSelect(next.measurement.id)}
          >
            {next.name}
          </button>
        </p>
      )}
    </div>
  );
}

function Misreads({
  survey: { misreads },
  format,
  onSelect,
}: NoticeProps<'held'> & { readonly format: BenchProps['job']['display'] }) {
  return misreads.map(({ control, error, shouldRead, cause, orElse }) => (
    <li key={control.measurement.id}>
      <Verdict kind="warn">
        <button
          type="button"
          className="text-left font-semibold text-layout underline underline-offset-2"
          onClick={() => onSelect(control.measurement.id)}
        >
          {control.name}
        </button>{' '}
        does not go with the others: {lengthText(Math.abs(error), format, true)} {error > 0 ? 'more' : 'less'} than the{' '}
        {lengthText(shouldRead, format, true)} that they say
        {cause ? `; ${CAUSES[cause]}` : '.'} Read it again
        {orElse.length > 0 && `, or ${orElse.map(({ name }) => name).join(' or ')}: the readings do not tell which`}.
      </Verdict>
    </li>
  ));
}

/** The whole shape with what the readings can tell of it. */
export function ShapeTable(props: BenchProps) {
  const { job, onSelect } = props;
  const { survey } = useTrueUp(props, useStage(props));
  const format = finer(job.display);
  return (
    <>
      <StageChoice {...props} />
      {survey.state === 'nothing-read' && <p className="text-pencil">Nothing was read at this stage yet.</p>}
      {survey.state === 'floats' && <Floats survey={survey} onSelect={onSelect} />}
      {survey.state === 'held' && survey.parts === null && (
        <p className="text-pencil">
          Control points at three places along both rails tell bend from turn; there are fewer. Punch more, on the Donor
          bench under Control.
        </p>
      )}
      {survey.state === 'held' && survey.parts && (
        <>
          <table className="w-full max-w-4xl border-collapse">
            <caption className="sr-only">Shape of the frame</caption>
            <thead>
              <tr className="border-b border-graphite text-sm text-pencil">
                <th scope="col" className="py-1 text-left font-normal">
                  Shape
                </th>
                <th scope="col" className="figures font-normal">
                  by
                </th>
                <th scope="col" className="figures font-normal whitespace-nowrap">
                  give or take
                </th>
                <th scope="col" className="figures font-normal">
                  allowed
                </th>
                <th scope="col" className="pl-4 text-left font-normal">
                  verdict
                </th>
              </tr>
            </thead>
            <tbody>
              {survey.parts.map((part) => (
                <tr key={part.part} className="border-b border-rule/70">
                  <th scope="row" className="py-1.5 pr-4 text-left font-semibold whitespace-nowrap">
                    {PARTS[part.part].name}
                    {part.told && <span className="font-normal text-pencil">, {way(part)}</span>}
                  </th>
                  <td className="figures font-semibold">
                    <Length mm={Math.abs(part.amount)} format={format} />
                  </td>
                  <td className="figures">
                    <Length mm={part.within} format={format} />
                  </td>
                  <td className="figures">
                    <Length mm={part.tolerance} format={format} />
                  </td>
                  <td className="pl-4">
                    <Verdict kind={VERDICTS[part.verdict].kind}>{VERDICTS[part.verdict].words}</Verdict>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 max-w-3xl text-sm text-pencil">
            All readings together, by least squares, with {survey.checks} more than are needed; against{' '}
            {props.job.plan.operations.length > 0 ? 'the plan, or before the cut the donor' : 'the donor'} as it is
            entered. Twist is how much more one rail rises than the other, front to rear. Give or take: nineteen of
            twenty times, if tapes and levels read as well as the rulebook says. What fits none of these stays at{' '}
            {lengthText(survey.rest, format, true)}.
          </p>
          {survey.weak.length > 0 && (
            <p className="mt-2 max-w-3xl text-sm text-pencil">
              Hardly checked by the others, so that an error in one would not show:{' '}
              {survey.weak
                .slice(0, 6)
                .map(({ name }) => name)
                .join('; ')}
              {survey.weak.length > 6 && ` and ${survey.weak.length - 6} more`}. Read these twice.
            </p>
          )}
          <ul className="mt-3 max-w-3xl space-y-1">
            <Misreads survey={survey} format={format} onSelect={onSelect} />
          </ul>
        </>
      )}
    </>
  );
}
