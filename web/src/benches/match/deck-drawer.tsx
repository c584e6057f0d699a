import {
  type Body,
  type DeckLayer,
  type DeckMechanism,
  endWords,
  isMet,
  newWorkBody,
  type SeatOutcome,
  type WorkBody,
} from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { freshId } from '../../client/fresh-id.ts';
import { putBody } from '../../ui/put-body.ts';
import { EditTable } from '../../ui/edit-table.tsx';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import { type Column, flagColumn, lengthColumn, textColumn } from '../../ui/table-columns.ts';
import { Verdict } from '../../ui/verdict.tsx';
import { selectedSeat } from './selected-seat.ts';

const LAYERS: readonly Column<DeckLayer>[] = [
  textColumn('name', 'Layer, from the frame up', '40%'),
  lengthColumn('height', 'High', '25%'),
  flagColumn('open', 'Hoses pass through it', '35%'),
];

const HOIST: DeckMechanism = { name: 'Hoist', least: 700, most: 1400, stands: 1000, foot: 200 };
const above = (mm: number): string | null => (mm > 0 ? null : 'It must be more than 0.');
const atLeast = (mm: number): string | null => (mm >= 0 ? null : 'It must be 0 or more.');

/** The deck of the body at hand: cab to axle against its length, its stack, and where a mechanism under it may stand. */
export function DeckDrawer(bench: BenchProps) {
  const { job, result, canWrite } = bench;
  const seat = selectedSeat(result, bench);
  const body = job.bodies.find(({ id }) => id === seat?.body.id);
  const [problem, setProblem] = useState('');
  if (!seat || !body) return <p className="p-4 text-pencil">There is no body yet: add one on the bench Body.</p>;
  const put = (label: string, work: WorkBody | undefined): string => {
    const { work: _, ...rest } = body;
    const wrong = putBody(bench, label, work ? { ...rest, work } : (rest as Body), 'work');
    const said = wrong.elsewhere || (wrong.cells[0]?.message ?? '');
    setProblem(said);
    return said;
  };
  if (!body.work)
    return (
      <div className="p-4">
        <p className="mb-2">
          A flatbed, a dump body or a service body has a deck: how long the frame must be for it, how high it stands,
          what passes under it, and where its hoist may stand.
        </p>
        <button
          type="button"
          className="button"
          disabled={!canWrite}
          onClick={() => put(`${body.name} has a deck`, newWorkBody(freshId))}
        >
          {body.name} has a deck
        </button>
      </div>
    );
  return (
    <section aria-label="Deck" className="grid gap-6 p-4 lg:grid-cols-2">
      <Fields {...{ bench, put }} work={body.work} problem={problem} name={body.name} />
      {seat.work && <Findings bench={bench} work={seat.work} />}
    </section>
  );
}

interface FieldsProps {
  readonly bench: BenchProps;
  readonly name: string;
  readonly work: WorkBody;
  readonly problem: string;
  readonly put: (label: string, work: WorkBody | undefined) => string;
}

function Fields({ bench: { job, canWrite }, name, work, problem, put }: FieldsProps) {
  const common = { format: job.display, disabled: !canWrite };
  const change = (changes: Partial<WorkBody>) => put('Changed the deck', { ...work, ...changes });
  const { mechanism } = work;
  const moved = (changes: Partial<DeckMechanism>) => mechanism && change({ mechanism: { ...mechanism, ...changes } });
  return (
    <div className="space-y-3">
      <h3 className="heading text-lg">Deck of {name}</h3>
      {problem && (
        <p role="alert" className="border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem} Nothing was changed.
        </p>
      )}
      <div className="grid grid-cols-2 gap-2">
        <LengthField
          {...common}
          label="Deck long"
          mm={work.length}
          check={above}
          onChange={(length) => change({ length })}
        />
        <QuantityField
          label="Of it behind the axle"
          of="share"
          value={work.behind}
          unit={job.display.unit}
          disabled={!canWrite}
          check={(value) => (value < 1 ? null : 'It must be less than the whole.')}
          onChange={(behind) => change({ behind })}
        />
        <LengthField
          {...common}
          label="Hose or line, across"
          mm={work.hose}
          check={atLeast}
          onChange={(hose) => change({ hose })}
        />
        <LengthField
          {...common}
          label="Room on each side of it"
          mm={work.clearance}
          check={atLeast}
          onChange={(clearance) => change({ clearance })}
        />
      </div>
      <EditTable<DeckLayer>
        caption="From the frame to the deck"
        columns={LAYERS}
        rows={work.stack}
        format={job.display}
        disabled={!canWrite}
        addLabel="Add a layer"
        newRow={(_, at) => ({ id: freshId('layer'), name: `Layer ${at + 1}`, height: 50, open: false })}
        onChange={(stack) => {
          change({ stack });
          return [];
        }}
      />
      {work.hinge === null ? (
        <button
          type="button"
          className="button"
          disabled={!canWrite}
          onClick={() => change({ hinge: 0, mechanism: HOIST })}
        >
          It turns about a hinge
        </button>
      ) : (
        <div className="grid grid-cols-2 gap-2">
          <LengthField
            {...common}
            label="Hinge behind the frame’s end"
            mm={work.hinge}
            onChange={(hinge) => change({ hinge })}
          />
          {mechanism && (
            <>
              <LengthField
                {...common}
                label="Hinge to pivot, at least"
                mm={mechanism.least}
                check={above}
                onChange={(least) => moved({ least })}
              />
              <LengthField
                {...common}
                label="At most"
                mm={mechanism.most}
                check={above}
                onChange={(most) => moved({ most })}
              />
              <LengthField
                {...common}
                label="It stands from the hinge"
                mm={mechanism.stands}
                check={above}
                onChange={(stands) => moved({ stands })}
              />
              <LengthField
                {...common}
                label="Its foot, along the rail"
                mm={mechanism.foot}
                check={atLeast}
                onChange={(foot) => moved({ foot })}
              />
            </>
          )}
          {canWrite && (
            <button type="button" className="button self-end" onClick={() => change({ hinge: null, mechanism: null })}>
              It does not turn
            </button>
          )}
        </div>
      )}
      {canWrite && (
        <button type="button" className="button" onClick={() => put(`${name} has no deck`, undefined)}>
          It has no deck
        </button>
      )}
    </div>
  );
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

function Findings({
  bench: { job, result },
  work,
}: {
  readonly bench: BenchProps;
  readonly work: NonNullable<SeatOutcome['work']>;
}) {
  const format = job.display;
  const { cabToAxle, longest, overhang, beyondFrame, deckHeight, open, mechanism } = work;
  const fits = cabToAxle.has !== null && (cabToAxle.asked <= cabToAxle.has || isMet(cabToAxle.has, cabToAxle.asked));
  const length = (mm: number) => <Length mm={mm} format={format} className="font-semibold" />;
  const from = (x: number) => length(x - result.datum.built);
  return (
    <div className="space-y-2">
      <h3 className="heading text-lg">What follows</h3>
      <p>
        <Verdict kind={cabToAxle.has === null ? 'note' : fits ? 'good' : 'warn'}>
          It asks {length(cabToAxle.asked)} from cab to axle
          {cabToAxle.has === null ? (
            '; the back of the cab is not measured yet.'
          ) : (
            <>, the plan has {length(cabToAxle.has)}.</>
          )}
          {longest !== null && <> The longest deck like it is {length(longest)}.</>}
        </Verdict>
      </p>
      <p>
        {length(overhang)} hang behind the axle
        {beyondFrame !== null && (
          <>
            , {length(Math.abs(beyondFrame))} {beyondFrame > 0 ? 'beyond' : 'short of'} the {endWords(work.frameEnd)}
          </>
        )}
        . The deck stands {length(deckHeight)} over the frame.
      </p>
      {open.map(({ layer, left }) => (
        <p key={layer.id}>
          <Verdict kind={left < 0 ? 'warn' : 'good'}>
            {layer.name}:{' '}
            {left < 0 ? (
              <>{length(-left)} are missing round the hose.</>
            ) : (
              <>{length(left)} more than the hose wants.</>
            )}
          </Verdict>
        </p>
      ))}
      {mechanism && (
        <>
          <p>
            <Verdict kind={mechanism.works && mechanism.standsOn.length === 0 ? 'good' : 'warn'}>
              {mechanism.mechanism.name} stands {from(mechanism.at)} from the datum
              {mechanism.works ? '' : ', outside of what it works with'}
              {mechanism.standsOn.length > 0 ? `, where ${mechanism.standsOn.join(', ')} is` : ''}.
            </Verdict>
          </p>
          <p>
            It may stand{' '}
            {mechanism.clear.length === 0
              ? 'nowhere in its range: a crossmember is always in the way'
              : mechanism.clear.map(([a, b], at) => (
                  <span key={a}>
                    {at > 0 && ' or '}from {from(a)} to {from(b)}
                  </span>
                ))}
            . Holes there under its foot:{' '}
            {mechanism.holes.length === 0
              ? 'none'
              : mechanism.holes
                  .map(({ name, sides }) => (sides.length === 2 ? name : `${name}, ${sides[0]} only`))
                  .join('; ')}
            .
          </p>
          <p className="text-sm text-pencil">
            By levers, against standing as far ahead as it may: {percent(mechanism.capacity)} of its capacity, its
            stroke lifts the deck {mechanism.lift.toFixed(2)} times as high. Nearer the hinge it lifts higher and
            carries less. No approval.
          </p>
        </>
      )}
    </div>
  );
}
