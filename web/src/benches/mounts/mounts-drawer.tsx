import { mountAssumptions } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { useJobState } from '../../client/job-store.ts';
import { MAKING_RULES, MountAssumptions, MountsTable } from '../../ui/mounts-table.tsx';

/** Every mount in the order in which it is made, with the sheet to take to the frame. */
export function MountsDrawer({ store, job, result, onLook, onSelect }: BenchProps) {
  const id = useJobState(store, (state) => state.id);
  if (result.mountings.length === 0)
    return <p className="p-4 text-pencil">No mount is measured yet: they are entered on the bench Body.</p>;
  const bodies = [...new Set(result.mountings.map(({ body }) => body))];
  return (
    <div className="p-4">
      <p className="mb-3">
        <a className="button" href={`/print/${id}/mounts`} target="_blank" rel="noreferrer">
          Print the mounts sheet
        </a>
      </p>
      {bodies.map((body) => (
        <section key={body.id} aria-label={body.name} className="mb-5">
          <h3 className="heading text-lg">Mounts of {body.name}, in the order they are made</h3>
          <p className="mb-2 max-w-3xl text-sm text-pencil">{MAKING_RULES}</p>
          <MountsTable
            caption={`Mounts of ${body.name}`}
            outcomes={result.mountings.filter((outcome) => outcome.body === body)}
            datum={result.datum.built}
            format={job.display}
            onPick={({ seat }) => {
              onSelect(seat.mount.id);
              onLook(seat.at.x);
            }}
          />
        </section>
      ))}
      <MountAssumptions assumptions={mountAssumptions(result.mountings, job.rules, job.display)} />
    </div>
  );
}
