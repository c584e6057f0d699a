import { angleText, finer, ruleValue, TEXTBOOK_BAND } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { MeasuredPulls } from './measured-pulls.tsx';
import { decide, type WeldingInHand } from './use-welding.ts';

/** A turn that moves a tail of 2 m by less than a tenth of a mm is none, radians. */
const NO_TURN = 5e-5;

/** What each joint pulls as it is welded, and whether fit-up is set for it. */
export function PullList({ bench, hand }: { readonly bench: BenchProps; readonly hand: WeldingInHand }) {
  const { store, job, canWrite } = bench;
  const { pulls, welding } = hand.welding;
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
      <label className="mt-1.5 flex items-start gap-2">
        <input
          type="checkbox"
          className="mt-1 size-4"
          checked={welding.preset}
          disabled={!canWrite}
          onChange={({ target }) =>
            decide(store, target.checked ? 'Set fit-up for the pull' : 'Fit-up to plan', (old) => ({
              ...old,
              preset: target.checked,
            }))
          }
        />
        <span>
          Set fit-up for it: until it is welded, True-up asks for readings that the pull then brings to plan.
          <button
            type="button"
            className="block min-h-8 text-sm text-layout underline underline-offset-2"
            onClick={() => store.setState({ drawer: 'pull' })}
          >
            How every reading changes
          </button>
        </span>
      </label>
    </section>
  );
}
