import { isBeside, ruleValue } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import { Length } from '../../ui/length.tsx';
import { StepCard } from '../../ui/step-card.tsx';
import { inOrder, selectedMount, stateOf } from './selection.ts';
import { ContourDrawer } from './contour-drawer.tsx';
import { MountPicture } from '../../board/mount-picture.tsx';
import { MountsDrawer } from './mounts-drawer.tsx';
import { MountsPanel } from './mounts-panel.tsx';
import { MountPartsDrawer } from './parts-drawer.tsx';

const SLIDES = [
  ['making', { name: 'Mounts', Content: MountsDrawer }],
  ['parts', { name: 'Parts', Content: MountPartsDrawer }],
  ['contour', { name: 'Contour', Content: ContourDrawer }],
] as const;

/** The mounts at the frame: one at a time with its bracket's height large and its stack to scale. */
export function MountsFloor(bench: BenchProps) {
  return (
    <div className="relative p-3">
      <h2 className="sr-only">Mounts</h2>
      <MountCard {...bench} />
      <MountsPanel {...bench} />
      <FoldOuts bench={bench} slides={SLIDES} />
    </div>
  );
}

function MountCard(bench: BenchProps) {
  const { job, result, onSelect, onLook } = bench;
  const outcome = selectedMount(result, bench);
  if (!outcome) return null;
  const all = inOrder(result.mountings);
  const at = all.indexOf(outcome);
  const go = (to: number) => {
    const there = all[to];
    if (!there) return;
    onSelect(there.seat.mount.id);
    onLook(there.seat.at.x);
  };
  const { tag, seat, height, name, turn, problems, decided } = outcome;
  const beside = isBeside(outcome.mounting.bracket);
  const bad = stateOf(outcome, ruleValue(job.rules, 'mount/ratio')) === 'bad';
  return (
    <StepCard
      of="mount"
      name={tag}
      where={
        <>
          {seat.mount.name} · {at + 1} of {all.length} ·{' '}
          <Length mm={seat.at.x - result.datum.built} format={job.display} /> from the datum
        </>
      }
      at={at}
      count={all.length}
      onGo={go}
    >
      <div className="px-3 py-2 text-center" role="status">
        <p className={`heading text-5xl ${bad ? 'text-oxide' : ''}`}>
          {height === null ? 'no rail' : <Length mm={height} format={job.display} signed={beside} />}
        </p>
        <p>
          <b>{name}</b>, {beside ? 'its top over the top of the rail' : 'over all, its top plate counted'}
          {decided ? '' : ' · proposed'}
        </p>
        {problems[0] && <p className="text-oxide">{problems[0]}</p>}
        <p className="text-sm text-pencil">
          made {ordinal(turn.turn)}: {turn.why}
        </p>
      </div>
      <div className="flex justify-center border-t border-rule">
        <MountPicture outcome={outcome} format={job.display} width={300} height={230} />
      </div>
    </StepCard>
  );
}

const ordinal = (count: number): string => ['first', 'second', 'third', 'fourth'][count - 1] ?? `as number ${count}`;
