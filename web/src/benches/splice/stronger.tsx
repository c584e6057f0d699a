import {
  asStrongAsAsked,
  improvements,
  type Improving,
  type Job,
  PLAIN_BOLTED,
  PLAIN_BUTT,
  ratioText,
  ruleValue,
  type SpliceOutcome,
  withoutDeadAcceptances,
} from '@splay/core';
import { useMemo, useState } from 'react';
import { change } from '../../client/job-store.ts';
import { Verdict } from '../../ui/verdict.tsx';
import { type Selection, make, railName } from './selection.ts';
import type { SpliceFieldsProps } from './field-props.ts';

/** What a way of lifting a joint goes by. */
const improvingOf = (job: Job, { one }: Selection): Improving => ({
  steel: one.steel,
  rules: job.rules,
  display: job.display,
});

/** A joint that nobody has decided on: what it is taken for, and ways to begin. */
export function NotDecided({
  store,
  job,
  hand,
  disabled,
  weldable,
}: SpliceFieldsProps & { readonly weldable: boolean }) {
  const { outcome, one } = hand;
  const strong = useMemo(
    () => asStrongAsAsked(weldable ? PLAIN_BUTT : PLAIN_BOLTED, improvingOf(job, hand)),
    [weldable, job, hand],
  );
  const ratio = one.strength?.ratio;
  return (
    <div className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2">
      <p>
        Nobody has decided how <b>{outcome.joint.letter}</b> is made. It is calculated as{' '}
        {weldable ? 'a plain butt weld from one side, only looked at' : 'bolted, with nothing over it yet'}
        {ratio === undefined ? '.' : `: ${ratioText(ratio)} of the bare rail.`}
        {!strong &&
          ' Nothing that can be welded in place here makes it as strong as the rail: decide how it is made, and ask a licensed engineer.'}
      </p>
      {!disabled && (
        <div className="mt-2 flex flex-wrap gap-1.5">
          <button type="button" className="button" onClick={() => make(store, 'Decided on a joint', hand, one.splice)}>
            Decide it here
          </button>
          {strong && (
            <button
              type="button"
              className="button"
              onClick={() => make(store, 'Made a joint as strong as the rail', hand, strong)}
            >
              As strong as the rail
            </button>
          )}
        </div>
      )}
    </div>
  );
}

/** What limits the joint, one press that makes it as strong as is asked, and the smallest changes that lift it. */
export function Stronger({ store, job, hand, disabled }: SpliceFieldsProps) {
  const { outcome, one } = hand;
  const { strength, made, splice } = one;
  const improving = improvingOf(job, hand);
  const asked = ruleValue(job.rules, 'splice/ratio');
  const [open, setOpen] = useState(false);
  const better = useMemo(
    () => improvements(splice, improving),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what `improving` is made of
    [splice, one.steel, job.rules, job.display],
  );
  const enough = strength !== null && strength.ratio >= asked - 1e-6;
  const press = () => {
    const strong = asStrongAsAsked(splice, improving);
    if (strong) make(store, 'Made a joint as strong as the rail', hand, strong);
    else setOpen(true);
  };
  const rails = outcome.rails.length > 1;
  return (
    <div className="mt-3">
      {rails && (
        <div role="group" aria-label="Rail" className="mb-2 flex border border-graphite">
          {outcome.rails.map(({ rail }) => (
            <button
              key={rail}
              type="button"
              aria-pressed={rail === one.rail}
              className={`min-h-8 flex-1 px-2 text-sm ${rail === one.rail ? 'bg-graphite font-semibold text-paper' : 'bg-sheet'}`}
              onClick={() => store.setState({ splice: { joint: outcome.joint.id, rail } })}
            >
              {outcome.joint.of === 'rails' && rail !== 'left' && rail !== 'right'
                ? rail.replace('/', ' ')
                : railName(rail)}
            </button>
          ))}
        </div>
      )}
      {made.problems.length > 0 ? (
        made.problems.map(({ message }) => (
          <Verdict key={message} kind="stop">
            {message}
          </Verdict>
        ))
      ) : (
        <Verdict kind={enough ? 'good' : 'warn'}>
          {strength && (
            <>
              <b>{ratioText(strength.ratio)}</b> of the bare rail
              {enough ? ', nowhere weaker than asked' : `; asked ${ratioText(asked)}`}.{' '}
              {strength.limitedBy === 'weld' && 'The weld in the wall limits it.'}
              {strength.limitedBy === 'feeding' && `The welds of the ${strength.underfed.join(', ')} limit it.`}
              {strength.limitedBy === 'rail' && `${ratioText(strength.ratioAtWeld)} at the weld itself.`}
            </>
          )}
        </Verdict>
      )}
      {!enough && !disabled && (
        <button type="button" className="button mt-2 w-full" onClick={press}>
          As strong as the rail
        </button>
      )}
      {!enough && better.length > 0 && (
        <details className="mt-2" open={open || undefined}>
          <summary className="cursor-pointer text-layout">Smallest changes that lift it</summary>
          <ul className="mt-1">
            {better.slice(0, 8).map(({ say, splice: next, ratio }) => (
              <li key={say} className="flex items-baseline gap-2 border-b border-rule/60 py-1">
                <button
                  type="button"
                  className="min-h-8 flex-1 text-left underline-offset-2 hover:underline disabled:no-underline"
                  disabled={disabled}
                  onClick={() => make(store, say, hand, next)}
                >
                  {say}
                </button>
                <b className={ratio >= asked - 1e-6 ? 'text-passed' : ''}>{ratioText(ratio)}</b>
              </li>
            ))}
          </ul>
        </details>
      )}
      {open && better.length === 0 && !enough && (
        <p role="status" className="mt-2 text-sm">
          No change of this joint brings it there. Lay it where the frame bends less, or ask an engineer.
        </p>
      )}
      {outcome.decided && !disabled && <Undecide onPress={() => putUndecided(store, outcome)} />}
    </div>
  );
}

const Undecide = ({ onPress }: { readonly onPress: () => void }) => (
  <button type="button" className="mt-2 text-sm text-pencil underline underline-offset-2" onClick={onPress}>
    Leave it undecided
  </button>
);

const putUndecided = (store: SpliceFieldsProps['store'], { joint }: SpliceOutcome): void =>
  change(store, 'Left a joint undecided', (old) =>
    withoutDeadAcceptances({
      ...old,
      plan: { ...old.plan, splices: old.plan.splices.filter((splice) => splice.joint !== joint.id) },
    }),
  );
