import {
  baseOf,
  type FinderGoal,
  GOAL_MEASURES,
  GOAL_NAMES,
  type GoalMeasure,
  inches,
  isMet,
  type Job,
  type PlanResult,
  suggestedGoals,
} from '@splay/core';
import { useMemo, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { type Finding, forgetUnless, isStale, look, sameGoal, stopLooking } from '../../client/finding.ts';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';

/** What can be asked of this frame, with its figure now. */
const offers = (job: Job) =>
  GOAL_MEASURES.flatMap((of): { of: GoalMeasure; now: number }[] => {
    const { now } = baseOf(job, { of });
    return now === null ? [] : [{ of, now }];
  });

/** What a search begins with: what was asked last, else what the bodies or the pla goal for. */
export function firstGoal(job: Job, result: PlanResult, { found }: Finding): FinderGoal | null {
  return found?.goal ?? suggestedGoals(job, result)[0]?.goal ?? null;
}

/** What must change and to what, who asks for it, and the key that looks for the places. */
export function GoalFields({ bench, finding }: { readonly bench: BenchProps; readonly finding: Finding }) {
  const { store, job, result } = bench;
  const { display } = job;
  const suggested = useMemo(() => suggestedGoals(job, result), [job, result]);
  const can = useMemo(() => offers(job), [job]);
  const first = finding.found?.goal ?? suggested[0]?.goal;
  const [draft, setDraft] = useState<{ readonly of: GoalMeasure; readonly to: number } | null>(null);
  const overhang = useMemo(() => baseOf(job, { of: 'rear-overhang' }).now, [job]);
  const [tail, setTail] = useState<number | null>(null);
  const of = draft?.of ?? first?.of ?? can[0]?.of ?? 'wheelbase';
  const now = can.find((each) => each.of === of)?.now ?? null;
  const to = draft?.of === of ? draft.to : now === null ? 0 : now + (first?.of === of ? first.by : inches(6));
  if (now === null)
    return (
      <p className="text-pencil">
        Nothing can be asked yet: the donor needs both axles, and the back of the cab for cab to axle.
      </p>
    );
  const besides = of !== 'rear-overhang' && tail !== null && overhang !== null ? tail - overhang : 0;
  const goal: FinderGoal = { of, by: to - now, ...(!isMet(besides) ? { tail: besides } : {}) };
  const asked = !isMet(goal.by);
  // What the plan makes is only offered where no body asks for anything.
  const bodies = suggested.filter(({ body }) => body !== null);
  const offered = bodies.length > 0 ? bodies : suggested;
  const stale = isStale(finding, job);
  const shown = finding.found !== null && sameGoal(finding.found.goal, goal);
  /** The goal from now on: old answers do not stay under it. */
  const put = (next: { readonly of: GoalMeasure; readonly to: number; readonly tail?: number | null }) => {
    const at = can.find((each) => each.of === next.of)?.now ?? 0;
    const rear = next.tail === undefined ? tail : next.tail;
    const more = next.of !== 'rear-overhang' && rear !== null && overhang !== null ? rear - overhang : 0;
    setDraft({ of: next.of, to: next.to });
    setTail(rear);
    forgetUnless(store, { of: next.of, by: next.to - at, ...(!isMet(more) ? { tail: more } : {}) });
  };
  return (
    <section aria-label="What must change" className="space-y-2">
      <label className="block text-sm text-pencil">
        What must change
        <select
          className="field mt-1"
          value={of}
          onChange={({ target }) => {
            const next = can.find((each) => each.of === target.value);
            if (!next) return;
            const other = suggested.find((each) => each.goal.of === next.of);
            put({ of: next.of, to: next.now + (other?.goal.by ?? inches(6)) });
          }}
        >
          {can.map((each) => (
            <option key={each.of} value={each.of}>
              {GOAL_NAMES[each.of]}
            </option>
          ))}
        </select>
      </label>
      <div className="flex items-end gap-3">
        <p className="shrink-0 text-sm text-pencil">
          now
          <b className="block pb-1.5 text-lg font-semibold text-graphite">
            <Length mm={now} format={display} />
          </b>
        </p>
        <div className="min-w-0 flex-1">
          <LengthField
            label="wanted"
            mm={to}
            format={display}
            strong
            check={(mm) => (of === 'height' || mm > 0 ? null : 'Type a length above 0.')}
            onChange={(mm) => put({ of, to: mm })}
          />
        </div>
      </div>
      {of !== 'rear-overhang' && overhang !== null && (
        <details className="text-sm">
          <summary className="min-h-8 cursor-pointer text-pencil">and the tail besides</summary>
          <LengthField
            label="axle to end of frame"
            mm={tail ?? overhang}
            format={display}
            onChange={(mm) => put({ of, to, tail: mm })}
            check={(mm) => (mm > 0 ? null : 'Some rail must stay behind the axle: type a length above 0.')}
          />
        </details>
      )}
      {offered.length > 0 && (
        <ul className="text-sm">
          {offered.map(({ goal: other, wanted, body }) => (
            <li key={`${other.of}${body}`}>
              <button
                type="button"
                className="min-h-8 text-left text-layout underline underline-offset-2"
                onClick={() => {
                  setDraft({ of: other.of, to: wanted });
                  look(store, job, other);
                }}
              >
                {body === null ? 'The plan in hand makes' : `${body} asks for`}{' '}
                {GOAL_NAMES[other.of].charAt(0).toLowerCase() + GOAL_NAMES[other.of].slice(1)}{' '}
                <Length mm={wanted} format={display} />
              </button>
            </li>
          ))}
        </ul>
      )}
      {finding.state === 'searching' ? (
        <div className="flex items-center gap-2">
          <progress className="h-3 min-w-0 flex-1" value={finding.share} aria-label="Looking for places" />
          <button type="button" className="button" onClick={stopLooking}>
            Stop
          </button>
        </div>
      ) : (
        <button
          type="button"
          className={`button w-full ${asked && (!shown || stale) ? 'button-dark' : ''}`}
          disabled={!asked}
          onClick={() => look(store, job, goal)}
        >
          {shown && !stale ? 'Look again' : 'Look for the best places'}
        </button>
      )}
      {!asked && <p className="text-sm text-pencil">It is that already: type what it should become.</p>}
      {finding.state === 'failed' && (
        <p role="alert" className="border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          The search broke off. {finding.problem} Look again, or reload the page.
        </p>
      )}
      {stale && finding.state !== 'searching' && (
        <p role="status" className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5">
          Frame, plan or rulebook have changed since these places were looked for: look again.
        </p>
      )}
    </section>
  );
}
