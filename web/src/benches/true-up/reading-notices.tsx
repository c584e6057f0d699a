import { finer, lengthText, recordName, type ShopRecord, STAGE_NAMES, strayReadings } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { useJobState } from '../../client/job-store.ts';

/** What a record says, in a few words. */
const saidBy = (record: ShopRecord, { display }: BenchProps['job']): string =>
  record.kind === 'reading'
    ? `${record.body.measurement}, ${lengthText(record.body.value, finer(display), true)}`
    : recordName(record.kind);

/** Records that the server will not take, with the reason: nothing is lost in silence. */
export function RefusedRecords({ store, job, onDropRecord }: Pick<BenchProps, 'store' | 'job' | 'onDropRecord'>) {
  const refused = useJobState(store, (state) => state.refusedRecords);
  if (refused.length === 0) return null;
  return (
    <section role="alert" className="mb-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
      <h3 className="font-semibold">
        {refused.length === 1 ? '1 record was not stored' : `${refused.length} records were not stored`}
      </h3>
      <ul className="text-sm">
        {refused.map(({ record, message }) => (
          <li key={record.id} className="flex flex-wrap items-center justify-between gap-x-3">
            <span>
              {saidBy(record, job)}: {message}
            </span>
            <button type="button" className="button" onClick={() => onDropRecord(record.id)}>
              Drop it
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Readings of measurements that were taken off the list: kept, and shown as such. */
export function StrayReadings({ job, readings }: Pick<BenchProps, 'job' | 'readings'>) {
  const stray = strayReadings(readings, job.donor.controlMeasurements);
  if (stray.length === 0) return null;
  return (
    <details className="mt-3 text-sm">
      <summary className="cursor-pointer text-layout underline underline-offset-2">
        {stray.length === 1 ? '1 reading' : `${stray.length} readings`} of measurements that are not on the list any
        more
      </summary>
      <ul className="mt-1">
        {stray.map(({ id, measurement, stage, value, by, taken }) => (
          <li key={id}>
            {measurement}: {lengthText(value, finer(job.display), true)}, {STAGE_NAMES[stage].toLowerCase()}, by {by},{' '}
            {taken.slice(0, 10)}
          </li>
        ))}
      </ul>
    </details>
  );
}
