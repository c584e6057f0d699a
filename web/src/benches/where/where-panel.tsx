import { hoursText, type FinderResult, nameOfKind } from '@splay/core';
import { useEffect } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { type Finding, look, pick, pickedOf, useFinding } from '../../client/finding.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { AnswerCard } from './answer-card.tsx';
import { GoalFields, firstGoal } from './goal-fields.tsx';

/** As many options as are drawn. */
const DRAWN = 5;

/** Opens with the places for what the bodies or the pla goal for. */
function useFirstLook({ store, job, result }: BenchProps, finding: Finding): void {
  const idle = finding.state === 'idle' && finding.found === null;
  useEffect(() => {
    if (!idle || typeof Worker === 'undefined') return;
    const goal = firstGoal(job, result, finding);
    if (goal) look(store, job, goal);
    // Once: after that somebody asks.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
}

/** The goal, the best options, and what became of the places that seem obvious. */
export function WherePanel(bench: BenchProps) {
  const finding = useFinding(bench.store);
  useFirstLook(bench, finding);
  return (
    <div className="space-y-3">
      <GoalFields bench={bench} finding={finding} />
      {finding.found && <Answers bench={bench} finding={finding} found={finding.found} />}
    </div>
  );
}

interface AnswersProps {
  readonly bench: BenchProps;
  readonly finding: Finding;
  readonly found: FinderResult;
}

function Answers({ bench, finding, found }: AnswersProps) {
  const { store, job } = bench;
  const picked = pickedOf(finding);
  const { answers, replaced, obvious } = found;
  return (
    <>
      {replaced.length > 0 && (
        <p className="text-sm text-pencil">
          Compared with the plan without its {replaced.map(({ kind }) => `“${nameOfKind(kind)}”`).join(' and ')}, which
          an option replaces.
        </p>
      )}
      {answers.length === 0 ? (
        <Verdict kind="stop">
          No place does it: everything is forbidden. The lanes say by what; the obvious places are below.
        </Verdict>
      ) : (
        <ol className="space-y-2" aria-label="Best options">
          {answers.slice(0, DRAWN).map((answer, index) => (
            <li key={answer.id}>
              <AnswerCard
                bench={bench}
                found={found}
                answer={answer}
                rank={index + 1}
                open={answer === picked}
                onOpen={() => {
                  pick(store, answer.id);
                  const [cut] = answer.cuts;
                  if (cut) store.setState({ blade: cut.x });
                }}
              />
            </li>
          ))}
        </ol>
      )}
      {answers.length > DRAWN && (
        <button
          type="button"
          className="min-h-8 text-sm text-layout underline underline-offset-2"
          onClick={() => store.setState({ drawer: 'options' })}
        >
          {answers.length - DRAWN} more options
        </button>
      )}
      {job.variants.length > 0 && (
        <button
          type="button"
          className="button w-full"
          onClick={() => {
            goToBench(store, 'cuts');
            store.setState({ drawer: 'compare' });
          }}
        >
          Compare the {job.variants.length + 1} plans
        </button>
      )}
      {obvious.length > 0 && (
        <section>
          <PanelHeading>The obvious places</PanelHeading>
          <ul className="space-y-2 text-[0.94rem]">
            {obvious.map(({ id, name, x, rank, judged, says }) => (
              <li key={id}>
                <Verdict kind={judged.refusals.length > 0 ? 'stop' : rank === 1 ? 'good' : 'warn'}>
                  <button
                    type="button"
                    className="font-semibold text-layout underline underline-offset-2"
                    onClick={() => store.setState({ blade: x })}
                  >
                    {name}
                  </button>
                  {rank !== null && rank > 1 && `, option ${rank}`}
                  {judged.refusals.length === 0 && `, ${hoursText(judged.hours)}`}. {says}
                </Verdict>
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="text-sm text-pencil">
        {found.counted.places.toLocaleString('en')} places
        {found.counted.pairs > 0 && ` and ${found.counted.pairs.toLocaleString('en')} pairs of them`} were looked at,{' '}
        <Length mm={job.display.unit === 'in' ? 25.4 / 16 : 1} format={{ ...job.display, division: 16 }} /> apart. Hours
        and weights are rules of the shop. A planning aid, not an approval.
      </p>
    </>
  );
}
