import { BODY_CODES, contextOf, fixesToWheelbase, isMet, type SeatOutcome } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { BodyList } from '../../ui/body-list.tsx';
import { ConflictList } from '../../ui/conflict-list.tsx';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { useConflictActions } from '../../ui/use-conflict-actions.ts';
import { Verdict } from '../../ui/verdict.tsx';
import { WhatFollows, RequiredWidth } from './asked.tsx';
import { PlaceFields } from './place-fields.tsx';
import { selectedSeat } from './selected-seat.ts';
import { BeginAt } from '../../ui/begin-at.tsx';

/** What the body at hand asks for, ways to give it, and where it sits: by rule or by hand. */
export function MatchPanel(bench: BenchProps) {
  const { store, job, result, onSelect } = bench;
  const seat = selectedSeat(result, bench);
  if (!seat)
    return (
      <BeginAt store={store} bench="body" go="Measure a body">
        There is no body yet: measure what goes on, and it is laid over the frame here.
      </BeginAt>
    );
  return (
    <>
      <BodyList
        bodies={result.seats.map(({ body, decided }) => ({ body, note: decided ? 'placed' : 'by rule' }))}
        at={seat.body}
        onPick={onSelect}
      />
      <Asked bench={bench} seat={seat} />
      <RequiredWidth bench={bench} seat={seat} />
      <PlaceFields key={seat.body.id} bench={bench} seat={seat} />
      <Conflicts bench={bench} seat={seat} />
      <WhatFollows bench={bench} seat={seat} />
      {job.bodies.length > 0 && seat.body.mounts.length === 0 && (
        <p className="mt-3 text-pencil">Its mounts are not measured yet: the gaps to the rail wait for them.</p>
      )}
    </>
  );
}

interface SeatProps {
  readonly bench: BenchProps;
  readonly seat: SeatOutcome;
}

/** The wheelbase that its openings ask for, and one press that gives it. */
function Asked({ bench, seat }: SeatProps) {
  const { job, result, canWrite } = bench;
  const actions = useConflictActions(bench);
  const { wheelbase } = seat;
  const { show } = useMemo(() => contextOf(job), [job]);
  if (!wheelbase)
    return <p className="mt-3 text-pencil">Measure both wheel openings: this shows here which wheelbase they need.</p>;
  const { asked, donor, overDonor, overPlan } = wheelbase;
  const there = isMet(overPlan);
  const ways = there ? [] : fixesToWheelbase(seat, { ...result, plan: job.plan }, { show, datum: result.datum.donor });
  const format = job.display;
  return (
    <div
      className={`mt-3 border-l-4 px-3 py-2 ${there ? 'border-passed bg-passed-wash' : 'border-ochre bg-ochre-wash'}`}
    >
      <Verdict kind={there ? 'good' : 'warn'}>
        {seat.body.name} asks <Length mm={asked} format={format} className="font-semibold" />, the donor is{' '}
        <Length mm={donor} format={format} className="font-semibold" />:{' '}
        {isMet(overDonor) ? (
          'as it is.'
        ) : (
          <>
            <Length mm={Math.abs(overDonor)} format={format} className="font-semibold" />{' '}
            {overDonor > 0 ? 'more' : 'less'}.
          </>
        )}{' '}
        {there ? (
          'The plan gives it.'
        ) : (
          <>
            The plan is <Length mm={Math.abs(overPlan)} format={format} className="font-semibold" />{' '}
            {overPlan > 0 ? 'short' : 'too long'}.
          </>
        )}
      </Verdict>
      {canWrite && ways.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-1.5">
          {ways.map(({ say, edit }) => (
            <button key={say} type="button" className="button" onClick={() => edit && actions?.onEdit(edit, say)}>
              {say}
            </button>
          ))}
        </div>
      )}
      {!there && (
        <button
          type="button"
          className="mt-1 min-h-8 text-left text-layout underline underline-offset-2"
          onClick={() => goToBench(bench.store, 'where')}
        >
          Look where to cut for it
        </button>
      )}
    </div>
  );
}

/** What is wrong with where it sits, with the suggested fixes. */
function Conflicts({ bench, seat }: SeatProps) {
  const { result, onPickConflict } = bench;
  const actions = useConflictActions(bench);
  const ids = new Set([
    seat.body.id,
    ...[...seat.body.openings, ...seat.body.mounts, ...seat.body.boxes, ...seat.body.fenders].map(({ id }) => id),
  ]);
  // What the openings ask of the wheelbase is told at the top, with the ways to give it.
  const over = Math.abs(seat.wheelbase?.overPlan ?? 0);
  const told =
    !isMet(over) &&
    seat.openings.every(({ behind }) => behind === null || Math.abs(behind) <= over || isMet(Math.abs(behind), over));
  const own = result.conflicts.filter(
    ({ code, about }) => BODY_CODES.has(code) && about !== null && ids.has(about) && !(told && code === 'opening-off'),
  );
  if (own.length === 0)
    return (
      <p className="mt-3">
        {seat.clearKnown ? (
          <Verdict kind="good">
            Nothing of rails, crossmembers, members, shaft, tank and tires stands in it, with the lock and travel of the
            wheels as the rulebook assumes them.
          </Verdict>
        ) : (
          <Verdict kind="note">
            What must stay clear and the floor are not measured yet: whether anything stands in it cannot be told.
          </Verdict>
        )}
      </p>
    );
  return (
    <>
      <PanelHeading>What it meets</PanelHeading>
      <ConflictList opened conflicts={own} onPick={onPickConflict} actions={actions} />
    </>
  );
}
