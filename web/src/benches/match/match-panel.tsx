import {
  axlePlaces,
  BODY_CODES,
  lowestThatClears,
  contextOf,
  floorLevel,
  groundUnder,
  openingOver,
  placedBy,
  PLACING_RULES,
  type PlacingRule,
  type OpeningWeights,
  type SeatOutcome,
  sectionLookup,
  waysToWheelbase,
  wheelsUnder,
} from '@splay/core';
import { useMemo, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { AngleField } from '../../ui/angle-field.tsx';
import { BodyList } from '../../ui/body-list.tsx';
import { CountField } from '../../ui/count-field.tsx';
import { ConflictList } from '../../ui/conflict-list.tsx';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { useConflictActions } from '../../ui/use-conflict-actions.ts';
import { Verdict } from '../../ui/verdict.tsx';
import { WhatFollows, WidthAsked } from './asked.tsx';
import { leaveToRule, place, seatAtHand } from './seat-at-hand.ts';

const RULE_NAMES: Readonly<Record<PlacingRule, string>> = {
  'front-opening': 'Front opening over its axle',
  'rear-opening': 'Rear opening over its axle',
  'both-openings': 'Both, as near as can be',
  'round-wheels': 'Both round their wheels',
  'round-wheels-keep-rake': 'Round their wheels, rake kept',
};

/** What the body at hand asks for, ways to give it, and where it sits: by rule or by hand. */
export function MatchPanel(bench: BenchProps) {
  const { store, job, result, onSelect } = bench;
  const seat = seatAtHand(result, bench);
  if (!seat)
    return (
      <>
        <p className="text-pencil">There is no body yet: measure what goes on, and it is laid over the frame here.</p>
        <button type="button" className="button mt-2" onClick={() => goToBench(store, 'body')}>
          Measure a body
        </button>
      </>
    );
  return (
    <>
      <BodyList
        bodies={result.seats.map(({ body, decided }) => ({ body, note: decided ? 'placed' : 'by rule' }))}
        at={seat.body}
        onPick={onSelect}
      />
      <Asked bench={bench} seat={seat} />
      <WidthAsked bench={bench} seat={seat} />
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
    return (
      <p className="mt-3 text-pencil">Measure both wheel openings, and it is told here what wheelbase they ask for.</p>
    );
  const { asked, donor, overDonor, overPlan } = wheelbase;
  const there = Math.abs(overPlan) < 0.5;
  const ways = there ? [] : waysToWheelbase(seat, { ...result, plan: job.plan }, { show, datum: result.datum.donor });
  const format = job.display;
  return (
    <div
      className={`mt-3 border-l-4 px-3 py-2 ${there ? 'border-passed bg-passed-wash' : 'border-ochre bg-ochre-wash'}`}
    >
      <Verdict kind={there ? 'good' : 'warn'}>
        {seat.body.name} asks <Length mm={asked} format={format} className="font-semibold" />, the donor is{' '}
        <Length mm={donor} format={format} className="font-semibold" />:{' '}
        {Math.abs(overDonor) < 0.5 ? (
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
    </div>
  );
}

/** Where it sits: the rules that serve, then along, height and rake to type. */
function PlaceFields({ bench, seat }: SeatProps) {
  const { store, job, result, canWrite } = bench;
  const { body, pose, decided, openings } = seat;
  const axles = useMemo(() => axlePlaces(result.axles, 'built'), [result.axles]);
  const lowest = useMemo(
    () => lowestThatClears(body, pose, { ...result, ...result.obstacles }, sectionLookup(job.donor)),
    [body, pose, result, job.donor],
  );
  const level = useMemo(() => {
    const wheels = wheelsUnder(result.axles);
    return wheels && floorLevel(body, pose, groundUnder(wheels).slope);
  }, [body, pose, result.axles]);
  const [weights, setWeights] = useState<OpeningWeights>({ front: 1, rear: 1 });
  const disabled = !canWrite;
  const rules = PLACING_RULES.flatMap((rule) => {
    const placed = placedBy(rule, body, axles, pose, weights);
    return placed ? [{ rule, placed }] : [];
  });
  const held = openings.find(({ opening }) => opening === (openingOver(body, 'front') ?? openingOver(body, 'rear')));
  const behind = held?.behind ?? null;
  const common = { format: job.display, disabled };
  return (
    <>
      <PanelHeading aside={<span className="text-pencil">{decided ? 'placed here' : 'by the first rule'}</span>}>
        Where it sits
      </PanelHeading>
      <div className="flex flex-wrap gap-1.5">
        {rules.map(({ rule, placed }) => {
          const here = Math.hypot(placed.x - pose.x, placed.z - pose.z) < 0.05;
          return (
            <button
              key={rule}
              type="button"
              className={`button ${here ? 'border-ochre bg-ochre-wash' : ''}`}
              aria-pressed={here}
              disabled={disabled}
              onClick={() => place(store, RULE_NAMES[rule], seat, placed)}
            >
              {RULE_NAMES[rule]}
            </button>
          );
        })}
        {lowest && (
          <button
            type="button"
            className={`button ${Math.abs(lowest.z - pose.z) < 0.05 ? 'border-ochre bg-ochre-wash' : ''}`}
            aria-pressed={Math.abs(lowest.z - pose.z) < 0.05}
            disabled={disabled}
            onClick={() => place(store, 'Lowest that clears', seat, lowest)}
          >
            Lowest that clears
          </button>
        )}
        {level && (
          <button
            type="button"
            className={`button ${Math.abs(level.rake - pose.rake) < 1e-5 ? 'border-ochre bg-ochre-wash' : ''}`}
            aria-pressed={Math.abs(level.rake - pose.rake) < 1e-5}
            disabled={disabled}
            onClick={() => place(store, 'Floor level', seat, level)}
          >
            Floor level
          </button>
        )}
      </div>
      {lowest && Math.abs(lowest.z - pose.z) >= 0.05 && (
        <p className="mt-2 text-sm text-pencil">
          The lowest that clears is{' '}
          <Length mm={Math.abs(lowest.z - pose.z)} format={job.display} className="font-semibold" />{' '}
          {lowest.z > pose.z ? 'higher than it sits: so much more height is asked for' : 'lower than it sits'}.
        </p>
      )}
      {rules.some(({ rule }) => rule === 'both-openings') && (
        <details className="mt-2 text-sm">
          <summary className="min-h-8 cursor-pointer text-pencil">
            Where both cannot be met they count {weights.front} to {weights.rear}
          </summary>
          <div className="grid grid-cols-2 gap-2">
            {(['front', 'rear'] as const).map((end) => (
              <CountField
                key={end}
                label={`${end} opening counts`}
                value={weights[end]}
                least={1}
                most={20}
                disabled={disabled}
                onChange={(count) => setWeights({ ...weights, [end]: count })}
              />
            ))}
          </div>
        </details>
      )}
      {seat.floor && (
        <p className="mt-2 text-sm text-pencil">
          Its floor is <Length mm={seat.floor.front} format={job.display} className="font-semibold" /> over the ground
          at the front, <Length mm={seat.floor.rear} format={job.display} className="font-semibold" /> at the rear.
        </p>
      )}
      <div className="mt-2 grid grid-cols-2 gap-2">
        {behind === null ? (
          <LengthField
            {...common}
            label="Its tape’s zero, from the datum hole"
            mm={pose.x - result.datum.built}
            onChange={(mm) => place(store, 'Moved the body', seat, { x: mm + result.datum.built })}
          />
        ) : (
          <LengthField
            {...common}
            label={`${held?.opening.name ?? 'Opening'} behind its axle`}
            mm={behind}
            onChange={(mm) => place(store, 'Moved the body', seat, { x: pose.x + mm - behind })}
          />
        )}
        <LengthField
          {...common}
          label="Level line over the datum plane"
          mm={pose.z}
          onChange={(z) => place(store, 'Raised or lowered the body', seat, { z })}
        />
        <AngleField
          label="Rake, rear up above 0"
          radians={pose.rake}
          signed
          disabled={disabled}
          onChange={(rake) => place(store, 'Raked the body', seat, { rake })}
        />
        {decided && !disabled && (
          <button
            type="button"
            className="self-end pb-2 text-left text-sm text-pencil underline underline-offset-2"
            onClick={() => leaveToRule(store, seat)}
          >
            Leave it to the rule
          </button>
        )}
      </div>
    </>
  );
}

/** What is wrong with where it sits, with the ways out. */
function Conflicts({ bench, seat }: SeatProps) {
  const { result, onPickConflict } = bench;
  const actions = useConflictActions(bench);
  const ids = new Set([
    seat.body.id,
    ...[...seat.body.openings, ...seat.body.mounts, ...seat.body.boxes, ...seat.body.fenders].map(({ id }) => id),
  ]);
  // What the openings ask of the wheelbase is told at the top, with the ways to give it.
  const told = seat.wheelbase !== null && Math.abs(seat.wheelbase.overPlan) >= 0.5;
  const own = result.conflicts.filter(
    ({ code, about }) => BODY_CODES.has(code) && about !== null && ids.has(about) && !(told && code === 'opening-off'),
  );
  if (own.length === 0)
    return (
      <p className="mt-3">
        {seat.clearKnown ? (
          <Verdict kind="good">
            Nothing of rails, crossmembers, members, shaft, tank and tyres stands in it, with the lock and travel of the
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
