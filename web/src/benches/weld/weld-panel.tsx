import { dotted, FRAME_POSES, type FramePose, quantityText, type RuleId, ruleText, ruleValue } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { BeginAt } from '../../ui/begin-at.tsx';
import { CautionList } from '../../ui/caution-list.tsx';
import { Choice } from '../../ui/choice.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { MachineFields } from './machine-fields.tsx';
import { PullList } from './pull-list.tsx';
import { StepList } from './step-list.tsx';
import { type Timed, useTimed } from './use-timed.ts';
import { decide, useWelding } from './use-welding.ts';
import { timeWords } from './words.ts';

const POSE_NAMES: Readonly<Record<FramePose, string>> = { upright: 'upright', 'rolled-over': 'rolled over' };

/** The steps of the welding in their order, how the machine is set, and what the welds pull. */
export function WeldPanel(bench: BenchProps) {
  const { store, job, canWrite } = bench;
  const hand = useWelding(bench);
  const timed = useTimed(bench, hand);
  const cautions = useCautions(bench, 'welding');
  const { welding } = hand;
  const open = hand.joints.filter(({ decided }) => decided === null).map(({ joint }) => joint.letter);
  if (welding.steps.length === 0)
    return (
      <BeginAt store={store} bench="splice" go="Decide how joints are made">
        Nothing is welded yet: once a joint is cut and decided, its passes, waits and pull stand here.
      </BeginAt>
    );
  return (
    <div className="space-y-3">
      <ul className="flex flex-wrap gap-1" aria-label="Joints">
        {hand.joints.map(({ joint }) => (
          <li key={joint.id}>
            <button
              type="button"
              aria-pressed={joint.id === hand.joint?.joint.id}
              aria-label={`Joint ${joint.letter}`}
              className={`heading min-h-9 min-w-12 px-2 text-lg ${joint.id === hand.joint?.joint.id ? 'border-2 border-layout bg-layout-wash' : 'border border-graphite bg-sheet'}`}
              onClick={() => {
                bench.onSelect(joint.id);
                bench.onLook(joint.builtX);
              }}
            >
              {joint.letter}
            </button>
          </li>
        ))}
      </ul>
      {open.length > 0 && (
        <Verdict kind="warn">
          {dotted(open)}: nobody has decided how {open.length === 1 ? 'it is' : 'they are'} made. Taken here as plain
          butt welds.
          <button
            type="button"
            className="mt-1 block min-h-8 text-sm text-layout underline underline-offset-2"
            onClick={() => goToBench(store, 'splice')}
          >
            Decide on Splice
          </button>
        </Verdict>
      )}
      {welding.early.map(({ step, needs, message }) => (
        <Verdict kind="warn" key={`${step.id} ${needs.id}`}>
          {message}
          {canWrite && (
            <button
              type="button"
              className="mt-1 block min-h-8 text-sm text-layout underline underline-offset-2"
              onClick={() => decide(store, 'Put the welding in its proposed order', (old) => ({ ...old, order: [] }))}
            >
              Put all steps in the proposed order
            </button>
          )}
        </Verdict>
      ))}
      <section>
        <PanelHeading aside={<span>stitches welded</span>}>Steps in order</PanelHeading>
        <StepList bench={bench} hand={hand} />
        <Times timed={timed} job={job} />
      </section>
      <Choice<FramePose>
        label="The frame lies"
        value={welding.welding.pose}
        choices={FRAME_POSES.map((pose) => [pose, POSE_NAMES[pose]] as const)}
        disabled={!canWrite}
        onChange={(pose) => decide(store, `Frame ${POSE_NAMES[pose]} for welding`, (old) => ({ ...old, pose }))}
      />
      <MachineFields bench={bench} hand={hand} />
      <PullList bench={bench} hand={hand} />
      <CautionList {...cautions} />
    </div>
  );
}

/** How long it all takes, how much of that is waiting for steel to cool, and how the shop's rule by the clock compares. */
function Times({ timed, job }: { readonly timed: Timed; readonly job: BenchProps['job'] }) {
  const rule = (id: RuleId) => ruleText(id, ruleValue(job.rules, id), job.display);
  if (timed.state === 'failed')
    return (
      <p role="alert" className="mt-1 text-sm text-oxide">
        {timed.message}
      </p>
    );
  if (timed.state === 'running')
    return (
      <p role="status" className="mt-1 text-sm text-pencil">
        Timing the stitches… {Math.round(timed.share * 100)} %
      </p>
    );
  const { seconds, waiting, byClock } = timed.run;
  const isHotter = byClock.hottest > ruleValue(job.rules, 'weld/interpass');
  return (
    <div role="status" className="mt-1 space-y-1 text-sm">
      <p>
        All passes: <b>{timeWords(seconds)}</b>
        {waiting >= 1 ? (
          <>
            , of it <b>{timeWords(waiting)}</b> waiting for steel to cool below {rule('weld/interpass')}
          </>
        ) : (
          `, and no stitch has to wait: none starts above ${rule('weld/interpass')}`
        )}
        . Tacks, setting up and looking are not in it.
      </p>
      <p className="text-pencil">
        By the clock, {rule('weld/clock-stitches')} and then {rule('weld/clock-pause')}: {timeWords(byClock.seconds)},
        the hottest start at {quantityText('temperature', byClock.hottest, job.display.unit)}
        {isHotter ? ': above the limit' : ''}.
      </p>
    </div>
  );
}
