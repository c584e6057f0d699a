import { type BodyPose, type MountWish, placedAtMounts, type SeatOutcome } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { CountField } from '../../ui/count-field.tsx';
import { Length } from '../../ui/length.tsx';
import { MaybeLength } from '../../ui/maybe-length.tsx';

interface MountWishesProps {
  readonly bench: BenchProps;
  readonly seat: SeatOutcome;
  readonly onPlace: (pose: BodyPose) => void;
}

/** Chosen mounts with where each is wanted, how much it counts, and how far it is off when the body is placed by all of them. */
export function MountWishes({ bench: { job, result, canWrite }, seat, onPlace }: MountWishesProps) {
  const { body, pose } = seat;
  const [wishes, setWishes] = useState<readonly MountWish[]>([]);
  if (body.mounts.length === 0) return null;
  const datum = result.datum.built;
  const placed = placedAtMounts(body, wishes, pose);
  const free = body.mounts.filter(({ id }) => !wishes.some(({ mount }) => mount === id));
  const nameOf = (mount: string) => body.mounts.find(({ id }) => id === mount)?.name ?? mount;
  const change = (mount: string, wish: Partial<MountWish>) =>
    setWishes(wishes.map((old) => (old.mount === mount ? { ...old, ...wish } : old)));
  return (
    <details className="mt-2 text-sm">
      <summary className="min-h-8 cursor-pointer text-pencil">Place it by its mounts</summary>
      <ul className="space-y-2">
        {wishes.map(({ mount, x, z, weight }) => {
          const off = placed?.misses.find((miss) => miss.mount === mount);
          return (
            <li key={mount} className="border-b border-rule/60 pb-2">
              <div className="flex items-baseline justify-between gap-2">
                <b>{nameOf(mount)}</b>
                <button
                  type="button"
                  className="min-h-8 text-pencil underline underline-offset-2"
                  onClick={() => setWishes(wishes.filter((old) => old.mount !== mount))}
                >
                  Leave it out
                </button>
              </div>
              <div className="grid grid-cols-3 gap-2">
                <MaybeLength
                  label="From the datum hole"
                  mm={x === undefined ? undefined : x - datum}
                  format={job.display}
                  empty="as it comes"
                  disabled={!canWrite}
                  onChange={(mm) => {
                    change(mount, { x: mm === undefined ? undefined : mm + datum });
                    return '';
                  }}
                />
                <MaybeLength
                  label="Over the datum plane"
                  mm={z}
                  format={job.display}
                  empty="as it comes"
                  disabled={!canWrite}
                  onChange={(mm) => {
                    change(mount, { z: mm });
                    return '';
                  }}
                />
                <CountField
                  label="Counts"
                  value={weight}
                  least={1}
                  most={20}
                  disabled={!canWrite}
                  onChange={(count) => change(mount, { weight: count })}
                />
              </div>
              {off && (
                <p className="mt-1 text-pencil">
                  {off.x !== null && (
                    <>
                      then <Length mm={Math.abs(off.x)} format={job.display} className="font-semibold" />{' '}
                      {off.x < 0 ? 'ahead' : 'behind'}
                      {off.z === null ? '' : ', '}
                    </>
                  )}
                  {off.z !== null && (
                    <>
                      {off.x === null && 'then '}
                      <Length mm={Math.abs(off.z)} format={job.display} className="font-semibold" />{' '}
                      {off.z < 0 ? 'below' : 'above'}
                    </>
                  )}{' '}
                  what is wanted
                </p>
              )}
            </li>
          );
        })}
      </ul>
      <div className="mt-2 flex flex-wrap gap-1.5">
        {free.length > 0 && (
          <select
            aria-label="Add a mount to place it by"
            className="field h-9 w-auto"
            value=""
            disabled={!canWrite}
            onChange={(event) => setWishes([...wishes, { mount: event.target.value, weight: 1 }])}
          >
            <option value="" disabled>
              Add a mount …
            </option>
            {free.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        )}
        {placed && (
          <button type="button" className="button" disabled={!canWrite} onClick={() => onPlace(placed.pose)}>
            Place it so
          </button>
        )}
      </div>
    </details>
  );
}
