import { type SpliceOutcome, type SplicePlan } from '@splay/core';
import { useState } from 'react';
import { change } from '../../client/job-store.ts';
import { PanelHeading } from '../../ui/panel.tsx';
import { putPlan, railName } from './selection.ts';
import type { SpliceFieldsProps } from './field-props.ts';

/** Other joints made like this one, and one rail made otherwise, with the reason. */
export function MadeAlike({
  store,
  hand,
  disabled,
  splices,
}: SpliceFieldsProps & { readonly splices: readonly SpliceOutcome[] }) {
  const { outcome, one } = hand;
  const { decided, joint } = outcome;
  const [reason, setReason] = useState('');
  if (!decided || disabled) return null;
  const others = splices.filter((other) => other.joint.id !== joint.id && other.joint.of === joint.of);
  const own = decided.others.find(({ rail }) => rail === one.rail);
  const copy = (to: SpliceOutcome) =>
    putPlan(store, `Made ${to.joint.letter} like ${joint.letter}`, {
      joint: to.joint.id,
      rails: one.splice,
      others: to.decided?.others ?? [],
    });
  const apart = (next: SplicePlan) => putPlan(store, 'Made one rail otherwise', next);
  const isRail = joint.of === 'rails' && (one.rail === 'left' || one.rail === 'right');
  return (
    <>
      {others.length > 0 && (
        <>
          <PanelHeading>Other joints</PanelHeading>
          <div className="flex flex-wrap gap-1.5">
            {others.map((other) => (
              <button key={other.joint.id} type="button" className="button" onClick={() => copy(other)}>
                Make {other.joint.letter} like this
              </button>
            ))}
            {others.length > 1 && (
              <button
                type="button"
                className="button"
                onClick={() =>
                  change(store, 'Made all joints alike', (old) => ({
                    ...old,
                    plan: {
                      ...old.plan,
                      splices: [
                        ...old.plan.splices.filter(
                          (splice) => !others.some((other) => other.joint.id === splice.joint),
                        ),
                        ...others.map((other) => ({
                          joint: other.joint.id,
                          rails: one.splice,
                          others: other.decided?.others ?? [],
                        })),
                      ],
                    },
                  }))
                }
              >
                Make all like this
              </button>
            )}
          </div>
        </>
      )}
      {isRail && (
        <>
          <PanelHeading>Left and right</PanelHeading>
          {own ? (
            <p className="text-sm">
              The {railName(one.rail)} is made otherwise: {own.reason}{' '}
              <button
                type="button"
                className="text-layout underline underline-offset-2"
                onClick={() => apart({ ...decided, others: decided.others.filter(({ rail }) => rail !== one.rail) })}
              >
                Make it like the other
              </button>
            </p>
          ) : (
            <form
              className="text-sm"
              onSubmit={(event) => {
                event.preventDefault();
                if (reason.trim() === '') return;
                apart({
                  ...decided,
                  others: [...decided.others, { rail: one.rail, splice: one.splice, reason: reason.trim() }],
                });
                setReason('');
              }}
            >
              <label className="block text-pencil">
                Both are made alike. To make the {railName(one.rail)} otherwise, say why
                <span className="mt-1 flex gap-1.5">
                  <input
                    className="field text-graphite"
                    value={reason}
                    maxLength={500}
                    onChange={({ target }) => setReason(target.value)}
                  />
                  <button type="submit" className="button" disabled={reason.trim() === ''}>
                    Part
                  </button>
                </span>
              </label>
            </form>
          )}
        </>
      )}
    </>
  );
}
