import { angleText, finer, presetFor, presetOff, ruleValue, TEXTBOOK_BAND } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { MeasuredPulls } from './measured-pulls.tsx';
import { decide, type WeldingInHand } from './use-welding.ts';

/** A turn that moves a tail of 2 m by less than a tenth of a mm is none, radians. */
const NO_TURN = 5e-5;

/** What each joint pulls as it is welded, and whether fit-up is set for it. */
export function PullList({ bench, hand }: { readonly bench: BenchProps; readonly hand: WeldingInHand }) {
  const { job } = bench;
  const { pulls } = hand.welding;
  if (pulls.length === 0) return null;
  const format = finer(job.display);
  const factor = ruleValue(job.rules, 'pull/factor');
  const turn = (radians: number, above: string, below: string) =>
    Math.abs(radians) < NO_TURN ? '' : `, ${angleText(Math.abs(radians), 2, false)} ${radians > 0 ? above : below}`;
  return (
    <section>
      <PanelHeading aside={<span>expected</span>}>What the welds pull</PanelHeading>
      <ul>
        {pulls.map(({ joint, pull }) => (
          <li key={joint.id} className="flex justify-between gap-2 border-b border-rule/60 py-1">
            <span className="heading text-lg">{joint.letter}</span>
            <span className="text-right">
              shorter by <Length mm={pull.shortening} format={format} />
              {turn(pull.pitch, 'up behind', 'down behind')}
              {turn(pull.yaw, 'to the right', 'to the left')}
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-pencil">
        By the textbook, 0.10 × weld area ÷ wall{factor === 1 ? '' : `, × ${factor}`}; it can be{' '}
        {TEXTBOOK_BAND[0] * 100} % of that or {TEXTBOOK_BAND[1]} times as much. Plates, sleeves and members beside the
        rails are left out: they hold back a little.
      </p>
      <MeasuredPulls bench={bench} hand={hand} />
      <FitUp bench={bench} hand={hand} />
    </section>
  );
}

/** A preset that is off by less is as it was set, mm. */
const AS_SET = 0.1;

/** Whether fit-up is set for the pull, and whether that still holds. */
function FitUp({ bench, hand }: { readonly bench: BenchProps; readonly hand: WeldingInHand }) {
  const { store, job, canWrite } = bench;
  const { changes, welding } = hand.welding;
  const isSet = welding.preset.length > 0;
  const off = isSet ? presetOff(welding.preset, changes) : 0;
  const set = (label: string, preset: typeof welding.preset) => decide(store, label, (old) => ({ ...old, preset }));
  return (
    <div className="mt-1.5">
      {isSet && off <= AS_SET && (
        <Verdict kind="good">
          Fit-up is set for it: until it is welded, True-up asks for readings that the pull brings to plan.
        </Verdict>
      )}
      {off > AS_SET && (
        <Verdict kind="warn">
          The welds have changed since fit-up was set for their pull: it is off by up to{' '}
          <Length mm={off} format={finer(job.display)} />.
        </Verdict>
      )}
      {!isSet && (
        <p>
          Fit-up is to plan: the welds then pull the frame off it. Set for it, True-up asks until it is welded for
          readings that the pull brings to plan.
        </p>
      )}
      <div className="mt-1 flex flex-wrap gap-1.5">
        {(!isSet || off > AS_SET) && changes.length > 0 && (
          <button
            type="button"
            className="button min-h-9"
            disabled={!canWrite}
            onClick={() => set('Set fit-up for the pull', presetFor(changes))}
          >
            {isSet ? 'Set it again' : 'Set fit-up for it'}
          </button>
        )}
        {isSet && (
          <button
            type="button"
            className="button min-h-9"
            disabled={!canWrite}
            onClick={() => set('Fit-up to plan', [])}
          >
            Back to plan
          </button>
        )}
        <button
          type="button"
          className="min-h-9 text-sm text-layout underline underline-offset-2"
          onClick={() => store.setState({ drawer: 'pull' })}
        >
          How every reading changes
        </button>
      </div>
    </div>
  );
}
