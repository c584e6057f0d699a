import { type Mounting, type MountingOutcome, MOUNT_CODES, quantityText, ruleValue, weldsOffMiddle } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { ConflictList } from '../../ui/conflict-list.tsx';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { useConflictActions } from '../../ui/use-conflict-actions.ts';
import { Verdict } from '../../ui/verdict.tsx';
import { acrossFrom, inOrder, leaveToRule, make, selectedMount, stateOf } from './selection.ts';
import { BracketFields } from './bracket-fields.tsx';
import { MountPicture } from '../../board/mount-picture.tsx';
import { StackFields } from './stack-fields.tsx';
import { BeginAt } from '../../ui/begin-at.tsx';

/** The mounts of all bodies, and how the one at hand is made: its picture, its stack, its bracket, and what that is worth. */
export function MountsPanel(bench: BenchProps) {
  const { store, job, result, canWrite, onSelect, onLook } = bench;
  const outcome = selectedMount(result, bench);
  if (!outcome)
    return (
      <BeginAt store={store} bench="body" go="Measure the body’s mounts">
        There are no mounts yet: measure those of the body, and how each is made is decided here.
      </BeginAt>
    );
  const most = ruleValue(job.rules, 'mount/ratio');
  const open = result.mountings.filter(({ decided, problems }) => !decided && problems.length === 0);
  return (
    <>
      <ul className="flex flex-wrap gap-1" aria-label="Mounts">
        {inOrder(result.mountings).map((each) => (
          <li key={each.seat.mount.id}>
            <MountChip
              outcome={each}
              at={each === outcome}
              most={most}
              onPick={() => {
                onSelect(each.seat.mount.id);
                onLook(each.seat.at.x);
              }}
            />
          </li>
        ))}
      </ul>
      {canWrite && open.length > 1 && (
        <button
          type="button"
          className="button mt-2"
          onClick={() =>
            make(
              store,
              `Took ${open.length} mounts as proposed`,
              open.map(({ mounting }) => mounting),
            )
          }
        >
          Take all {open.length} open ones as proposed
        </button>
      )}
      <OneMount key={outcome.seat.mount.id} bench={bench} outcome={outcome} most={most} />
    </>
  );
}

interface ChipProps {
  readonly outcome: MountingOutcome;
  readonly at: boolean;
  readonly most: number;
  readonly onPick: () => void;
}

const STATE_WORDS = { good: 'holds', bad: 'not as it is', unknown: 'load not known' } as const;

function MountChip({ outcome, at, most, onPick }: ChipProps) {
  const state = stateOf(outcome, most);
  const ink = state === 'bad' ? 'text-oxide' : outcome.decided ? 'text-layout' : 'text-pencil';
  return (
    <button
      type="button"
      aria-pressed={at}
      aria-label={`${outcome.tag}, ${outcome.seat.mount.name}: ${outcome.decided ? 'decided' : 'open'}, ${STATE_WORDS[state]}`}
      className={`heading min-h-9 min-w-12 px-1.5 text-lg ${ink} ${at ? 'border-2 border-layout bg-layout-wash' : outcome.decided ? 'border border-graphite bg-sheet' : 'border border-dashed border-graphite bg-sheet'}`}
      onClick={onPick}
    >
      {outcome.tag}
      {state === 'bad' && <span aria-hidden="true">!</span>}
    </button>
  );
}

interface OneProps {
  readonly bench: BenchProps;
  readonly outcome: MountingOutcome;
  readonly most: number;
}

function OneMount({ bench, outcome, most }: OneProps) {
  const { store, job, result, canWrite } = bench;
  const { mounting, tag, seat, decided } = outcome;
  const across = acrossFrom(outcome, result.mountings);
  const put = (label: string, changes: Partial<Mounting>) => make(store, label, [{ ...mounting, ...changes }]);
  const disabled = !canWrite;
  return (
    <>
      <PanelHeading aside={<span className="text-pencil">{decided ? 'decided' : 'as is usual, not decided'}</span>}>
        {tag} · {seat.mount.name}
      </PanelHeading>
      <Worth bench={bench} outcome={outcome} most={most} />
      <figure className="mt-2 flex justify-center border border-rule bg-paper">
        <MountPicture outcome={outcome} format={job.display} width={272} height={196} />
      </figure>
      {canWrite && (
        <div className="mt-2 flex flex-wrap gap-1.5">
          {!decided && (
            <button type="button" className="button" onClick={() => make(store, `Took ${tag} as proposed`, [mounting])}>
              Use as proposed
            </button>
          )}
          {across && (
            <button
              type="button"
              className="button"
              onClick={() =>
                make(store, `Made ${across.tag} like ${tag}`, [
                  { ...mounting, body: across.body.id, mount: across.seat.mount.id },
                  ...(decided ? [] : [mounting]),
                ])
              }
            >
              Make {across.tag} like this
            </button>
          )}
          {decided && (
            <button
              type="button"
              className="min-h-8 text-sm text-pencil underline underline-offset-2"
              onClick={() => leaveToRule(store, outcome)}
            >
              Leave it to the rule
            </button>
          )}
        </div>
      )}
      <PanelHeading>Stack, from the body down</PanelHeading>
      <StackFields outcome={outcome} format={job.display} disabled={disabled} onChange={put} />
      <PanelHeading>Bracket</PanelHeading>
      <BracketFields outcome={outcome} job={job} disabled={disabled} onChange={put} />
    </>
  );
}

/** What it is worth, or why it cannot be: the reason with its suggested fixes right under the name. */
function Worth({ bench, outcome, most }: OneProps) {
  const { job, result, onPickConflict } = bench;
  const actions = useConflictActions(bench);
  const { checks, problems, share, seat, block, wedge, bolt, grip, mounting } = outcome;
  const own = result.conflicts.filter(({ code, about }) => MOUNT_CODES.has(code) && about === seat.mount.id);
  if (own.length > 0) return <ConflictList opened conflicts={own} onPick={onPickConflict} actions={actions} />;
  const [worst] = checks;
  const format = job.display;
  return (
    <div className="space-y-1 text-[0.95rem]">
      {problems[0] ? (
        <Verdict kind="warn">{problems[0]}</Verdict>
      ) : worst ? (
        <Verdict kind={worst.ratio <= most + 1e-9 ? 'good' : 'warn'}>
          {Math.ceil(worst.ratio * 100)} % of what is allowed: {worst.what}, with{' '}
          {ruleValue(job.rules, 'mount/dynamic')} times its load. Levers, no approval.
        </Verdict>
      ) : (
        <Verdict kind="note">
          {share === null
            ? 'Its load is not known: weigh the body, or type its load on the bench Body.'
            : mounting.bracket.form === 'none'
              ? 'It sits on the rail: there is no bracket to check.'
              : 'Not calculated.'}
        </Verdict>
      )}
      {block !== null && block > 0.4 && (
        <p>
          Cut the bracket from the old frame; <Length mm={block} format={format} className="font-semibold" /> of block
          under it.
        </p>
      )}
      {wedge !== null && (
        <p>
          The rail slopes there: cut what lies on it to{' '}
          <Length mm={Math.abs(wedge)} format={format} className="font-semibold" /> more at its{' '}
          {wedge < 0 ? 'rear' : 'front'} over the width of a bracket.
        </p>
      )}
      {bolt && (
        <p className="text-sm text-pencil">
          {bolt.name} bolt through the body’s <Length mm={seat.mount.hole ?? 0} format={format} /> hole
          {grip !== null && (
            <>
              , <Length mm={grip} format={format} /> of grip without its nut
            </>
          )}
          .
        </p>
      )}
      {checks.length > 0 && share !== null && (
        <OffMiddle key={seat.mount.id} job={job} outcome={outcome} share={share} />
      )}
    </div>
  );
}

interface OffMiddleProps {
  readonly job: BenchProps['job'];
  readonly outcome: MountingOutcome;
  readonly share: number;
}

/** What its welds come to where the bracket is set ahead of its mount or behind it, to clear something: they then turn too. */
function OffMiddle({ job, outcome: { mounting, reach, contact, seat }, share }: OffMiddleProps) {
  const [off, setOff] = useState(0);
  const load = { share, reach, contact, hole: seat.mount.hole ?? 0 };
  const welds = weldsOffMiddle(mounting.bracket, load, off, job.rules);
  if (!welds) return null;
  return (
    <details>
      <summary className="min-h-8 cursor-pointer text-sm text-pencil">If the bracket is set off its mount</summary>
      <LengthField
        label="Middle of its welds from the mount, along the rail"
        mm={off}
        format={job.display}
        disabled={false}
        onChange={setOff}
      />
      <p className="mt-1 text-sm" role="status">
        Its welds come to {quantityText('stress', welds.stress, job.display.unit)}, {Math.ceil(welds.ratio * 100)} % of
        what is allowed, turning in their own plane. Tried here only: mark it off the mount by as much yourself.
      </p>
    </details>
  );
}
