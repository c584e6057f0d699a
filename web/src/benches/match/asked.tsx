import { type SeatOutcome, contextOf, fixesToWidth } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { useConflictActions } from '../../ui/use-conflict-actions.ts';

interface TasksProps {
  readonly bench: BenchProps;
  readonly seat: SeatOutcome;
}

/** What width its mounts ask for, and one press that gives it; nothing where the frame is as wide as they want. */
export function RequiredWidth({ bench, seat }: TasksProps) {
  const { job, canWrite } = bench;
  const actions = useConflictActions(bench);
  const { show } = useMemo(() => contextOf(job), [job]);
  const { wider, mounts } = seat;
  const beside = mounts.filter(({ sideways }) => sideways !== 0).length;
  if (mounts.length === 0 || beside === 0) return null;
  return (
    <p className="mt-2 border-l-4 border-rule px-3 py-1 text-[0.95rem]">
      {beside} of {mounts.length} mounts stand beside the rail:{' '}
      {wider === null || wider === 0 ? (
        'no one width brings all of them over it.'
      ) : (
        <>
          <Length mm={Math.abs(wider)} format={job.display} className="font-semibold" />{' '}
          {wider > 0 ? 'wider' : 'narrower'} brings all of them over it.{' '}
        </>
      )}{' '}
      {canWrite &&
        fixesToWidth(seat, { show }).map(({ say, edit }) => (
          <button
            key={say}
            type="button"
            className="button mt-1.5 block h-auto py-1 text-left whitespace-normal"
            onClick={() => edit && actions?.onEdit(edit, say)}
          >
            {say}
          </button>
        ))}
    </p>
  );
}

const degrees = (radians: number): string => `${((radians * 180) / Math.PI).toFixed(1)}°`;

/** What follows from where it sits: room round the tires, cover, the gap ahead, steps, approach and departure. */
export function WhatFollows({ bench, seat }: TasksProps) {
  const format = bench.job.display;
  const { openings, fenders, ahead, steps } = seat;
  const { approach, departure } = bench.result.ramps;
  const rows = [
    ...openings.flatMap(({ opening, room }) =>
      room
        ? [
            {
              key: opening.id,
              name: `${opening.name}, round the tire`,
              value: (
                <>
                  <Length mm={room.ride} format={format} /> · <Length mm={room.bump} format={format} /> at full bump
                </>
              ),
            },
          ]
        : [],
    ),
    ...fenders.map(({ fender, out, inside }) => ({
      key: fender.id,
      name: `${fender.name} covers, out and in`,
      value: (
        <>
          <Length mm={out} format={format} signed /> · <Length mm={inside} format={format} signed />
        </>
      ),
    })),
    ...(ahead
      ? [
          {
            key: 'ahead',
            name: `Gap to ${ahead.name}`,
            value: (
              <>
                <Length mm={ahead.gap} format={format} signed /> <span className="text-pencil">of</span>{' '}
                <Length mm={ahead.wanted} format={format} />
              </>
            ),
          },
        ]
      : []),
    ...steps.map(({ point, height }) => ({
      key: point.id,
      name: `${point.name}, over the ground`,
      value: <Length mm={height} format={format} />,
    })),
    ...(approach === null ? [] : [{ key: 'approach', name: 'Approach with the body', value: degrees(approach) }]),
    ...(departure === null ? [] : [{ key: 'departure', name: 'Departure with the body', value: degrees(departure) }]),
  ];
  if (rows.length === 0) return null;
  return (
    <>
      <PanelHeading>What follows</PanelHeading>
      <dl className="text-[0.92rem]">
        {rows.map(({ key, name, value }) => (
          <div key={key} className="flex items-baseline justify-between gap-2 border-b border-rule py-1">
            <dt className="text-pencil">{name}</dt>
            <dd className="text-right font-semibold whitespace-nowrap">{value}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
