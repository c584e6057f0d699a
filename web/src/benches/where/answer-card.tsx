import {
  type Answer,
  baseOf,
  datumStation,
  evaluatePlan,
  type FinderResult,
  hoursText,
  inputWith,
  MOST_VARIANTS,
  sectionLookup,
  withOptionAsPlan,
  withOptionAsVariant,
} from '@splay/core';
import { useMemo } from 'react';
import { PlanStrip } from '../../board/plan-strip.tsx';
import { type Reach, reachOfAll } from '../../board/view.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { freshId } from '../../client/fresh-id.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { change } from '../../client/job-store.ts';
import { Length } from '../../ui/length.tsx';

/** Room beside the frame for the letters of cuts at its ends, mm. */
const BESIDE = 130;
const wider = ([from, to]: Reach): Reach => [from - BESIDE, to + BESIDE];

interface AnswerCardProps {
  readonly bench: BenchProps;
  readonly found: FinderResult;
  readonly answer: Answer;
  readonly rank: number;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly width?: number;
}

/** One way: its rank, its hours, the frame drawn small, what speaks for it and against; opened, what to do with it. */
export function AnswerCard({ bench, found, answer, rank, open, onOpen, width = 250 }: AnswerCardProps) {
  const { store, job, donor, readings, canWrite } = bench;
  const { judged, cuts, says } = answer;
  const datum = datumStation(job.donor);
  const result = useMemo(
    () => evaluatePlan(inputWith(baseOf(job, found.goal), answer.operations)),
    [job, found, answer],
  );
  const full = job.variants.length >= MOST_VARIANTS;
  const cutAlready = readings.some(({ stage }) => stage !== 'before-cut');
  return (
    <article className={`border bg-sheet ${open ? 'border-2 border-layout' : 'border-graphite'}`}>
      <button
        type="button"
        aria-expanded={open}
        className="flex w-full items-baseline gap-2 px-2.5 py-1.5 text-left"
        onClick={onOpen}
      >
        <b className="heading text-2xl leading-none text-layout">{rank}</b>
        <span className="min-w-0 flex-1">
          {cuts.length === 0
            ? 'the end'
            : cuts.map(({ x }, index) => (
                <span key={x}>
                  {index > 0 && ' and '}
                  <Length mm={x - datum} format={job.display} className="font-semibold" />
                </span>
              ))}
        </span>
        <b className="heading text-xl leading-none whitespace-nowrap">{hoursText(judged.hours)}</b>
      </button>
      <div className="px-2.5 pb-2">
        <PlanStrip
          result={result}
          section={sectionLookup(job.donor)}
          reach={wider(reachOfAll([donor, result]))}
          width={width}
        />
        {open && (
          <>
            {canWrite && (
              <div className="mt-1 flex flex-wrap gap-1.5">
                <button
                  type="button"
                  className="button button-dark"
                  disabled={full && found.replaced.length > 0}
                  onClick={() => {
                    const made: string[] = [];
                    const newId = () => {
                      const id = freshId('cut');
                      made.push(id);
                      return id;
                    };
                    change(store, `Cut ${answer.name.toLowerCase()}`, (old) =>
                      withOptionAsPlan(old, found.goal, answer, newId),
                    );
                    goToBench(store, 'cuts');
                    store.setState({ selected: made.at(-answer.operations.length) ?? null });
                  }}
                >
                  Make it the plan
                </button>
                <button
                  type="button"
                  className="button"
                  disabled={full}
                  onClick={() =>
                    change(store, `Kept “${answer.name}” beside the plan`, (old) =>
                      withOptionAsVariant(old, found.goal, answer, () => freshId('cut')),
                    )
                  }
                >
                  Save as another option
                </button>
              </div>
            )}
            {cutAlready && (
              <p className="mt-1.5 border-l-4 border-ochre bg-ochre-wash px-2 py-1 text-sm">
                This frame is being cut by the plan in hand: another plan judges its readings against its own targets.
              </p>
            )}
            {full && (
              <p className="mt-1 text-sm text-pencil">
                {MOST_VARIANTS} plans are kept already: drop one under Compare first.
              </p>
            )}
          </>
        )}
        <p className="mt-1.5 text-[0.94rem]">{says}</p>
        {rank === 1 && found.lanes.unmeasured.length > 0 && (
          <p className="mt-1.5 border-l-4 border-steel bg-paper px-2 py-1 text-sm">
            <b>Unknown is not clear.</b> Before this can be trusted, measure{' '}
            {found.lanes.unmeasured.map(({ measure }) => measure).join('; ')}.
          </p>
        )}
        {open && (
          <button
            type="button"
            className="min-h-8 text-sm text-layout underline underline-offset-2"
            onClick={() => store.setState({ drawer: 'costs' })}
          >
            Costs, part by part
          </button>
        )}
      </div>
    </article>
  );
}
