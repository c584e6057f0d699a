import { contextOf, nudgeOf, quantityText, type SeatOutcome } from '@splay/core';
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import { Length } from '../../ui/length.tsx';
import { StepCard, THUMB_KEY } from '../../ui/step-card.tsx';
import { DeckDrawer } from './deck-drawer.tsx';
import { MatchPanel } from './match-panel.tsx';
import { isBad, WAY_WORDS } from './mount-words.ts';
import { MountGapsDrawer } from './mounts-drawer.tsx';
import { place, selectedSeat } from './selected-seat.ts';

const SLIDES = [
  ['mounts', { name: 'Mounts', Content: MountGapsDrawer }],
  ['deck', { name: 'Deck', Content: DeckDrawer }],
] as const;

/** Where a body sits, at the frame: one mount at a time with its gap large, and four keys that nudge the body. */
export function MatchFloor(bench: BenchProps) {
  const seat = selectedSeat(bench.result, bench);
  return (
    <div className="relative p-3">
      <h2 className="sr-only">Match</h2>
      {seat && seat.mounts.length > 0 && <MountCard key={seat.body.id} bench={bench} seat={seat} />}
      <MatchPanel {...bench} />
      <FoldOuts bench={bench} slides={SLIDES} />
    </div>
  );
}

function MountCard({ bench, seat }: { readonly bench: BenchProps; readonly seat: SeatOutcome }) {
  const { store, job, result, canWrite, onLook } = bench;
  const [index, setIndex] = useState(0);
  const at = Math.min(index, seat.mounts.length - 1);
  const mount = seat.mounts[at];
  if (!mount) return null;
  const step = nudgeOf(job.display);
  const { show } = contextOf(job);
  const go = (to: number) => {
    setIndex(to);
    const there = seat.mounts[to];
    if (there) onLook(there.at.x);
  };
  const nudge = (label: string, dx: number, dz: number) =>
    place(store, label, seat, { x: seat.pose.x + dx, z: seat.pose.z + dz });
  const format = job.display;
  const keys = [
    ['Forward', -step, 0, ArrowLeft],
    ['Rearward', step, 0, ArrowRight],
    ['Up', 0, step, ArrowUp],
    ['Down', 0, -step, ArrowDown],
  ] as const;
  return (
    <StepCard
      of="mount"
      name={mount.mount.name}
      where={
        <>
          {at + 1} of {seat.mounts.length} · <Length mm={mount.at.x - result.datum.built} format={format} /> from the
          datum
        </>
      }
      at={at}
      count={seat.mounts.length}
      onGo={go}
    >
      <div className="px-3 py-2 text-center" role="status">
        <p className={`heading text-5xl ${isBad(mount.way) ? 'text-oxide' : ''}`}>
          {mount.up === null ? 'no rail' : <Length mm={mount.up} format={format} signed />}
        </p>
        <p>
          {mount.up === null ? '' : 'over the top of the rail · '}
          <b>{WAY_WORDS[mount.way]}</b>
          {mount.sideways !== 0 && (
            <>
              , <Length mm={Math.abs(mount.sideways)} format={format} /> {mount.sideways > 0 ? 'outboard' : 'inboard'}
            </>
          )}
        </p>
        <p className="text-sm text-pencil">
          carries {mount.load === null ? 'what is not known yet' : quantityText('mass', mount.load, format.unit)}
        </p>
      </div>
      {canWrite && (
        <div role="group" aria-label={`Nudge the body by ${show(step)}`} className="flex border-t border-graphite">
          {keys.map(([name, dx, dz, Icon]) => (
            <button
              key={name}
              type="button"
              className={THUMB_KEY}
              aria-label={`${name} by ${show(step)}`}
              onClick={() => nudge('Nudged the body', dx, dz)}
            >
              <Icon aria-hidden="true" />
            </button>
          ))}
        </div>
      )}
    </StepCard>
  );
}
