import { type MeasuringTask, itemOf, type Job, measuringGuide, writeItem } from '@splay/core';
import { change, type JobStore, useJobState } from '../../client/job-store.ts';
import { TaskTable } from '../../ui/task-table.tsx';
import { KeepInLibrary } from '../../ui/library-tools.tsx';
import { PointListFile } from './point-list-file.tsx';
import { PanelHeading } from '../../ui/panel.tsx';

interface GuideProps {
  readonly store: JobStore;
  readonly job: Job;
  readonly canWrite: boolean;
  readonly onPart: (part: MeasuringTask['part']) => void;
}

/** What to measure next, where, and which answers wait for it. */
export function Guide({ store, job, canWrite, onPart }: GuideProps) {
  const asks = measuringGuide(job);
  const next = asks.find(({ state }) => state === 'missing') ?? asks.find(({ state }) => state === 'partly');
  const done = job.done.includes('donor');
  const id = useJobState(store, (state) => state.id);
  return (
    <>
      {next ? (
        <button
          type="button"
          className="mb-3 block w-full border-l-4 border-layout bg-layout-wash px-3 py-2 text-left"
          onClick={() => onPart(next.part)}
        >
          <span className="label block">Measure next</span>
          <span className="heading block text-lg">{next.what}</span>
          <span className="block">{next.where}</span>
          <span className="block text-sm text-pencil">Needed for: {next.answers}.</span>
        </button>
      ) : (
        <p className="mb-3 border-l-4 border-passed bg-passed-wash px-3 py-2">
          Everything a plan asks for is measured.
        </p>
      )}
      <TaskTable caption="What to measure on the donor, in order" asks={asks} onPick={({ part }) => onPart(part)} />
      <button
        type="button"
        className={`button mt-4 ${done ? '' : 'button-dark'}`}
        disabled={!canWrite}
        onClick={() =>
          change(store, done ? 'Reopened the donor' : 'Donor measured', (old) => ({
            ...old,
            done: done ? old.done.filter((bench) => bench !== 'donor') : [...old.done, 'donor'],
          }))
        }
      >
        {done ? 'Reopen the donor' : 'The donor is measured'}
      </button>
      {job.donor.copiedFrom && (
        <p className="mt-2 text-sm text-pencil">Copied from {job.donor.copiedFrom}, out of the library.</p>
      )}
      {canWrite && (
        <div className="mt-2">
          <KeepInLibrary what="this donor" textOf={() => writeItem(itemOf(job))} />
        </div>
      )}
      <PanelHeading>On paper, and in files</PanelHeading>
      <p className="flex flex-wrap items-center gap-x-3 gap-y-2 text-sm">
        <a className="button" href={`/print/${id}/survey`} target="_blank" rel="noreferrer">
          Survey sheet
        </a>
        {(['side', 'plan'] as const).flatMap((view) =>
          (['dxf', 'svg'] as const).map((as) => (
            <a key={view + as} className="underline" href={`/api/jobs/${id}/drawing?what=${view}&as=${as}`} download>
              {view} view {as.toUpperCase()}
            </a>
          )),
        )}
      </p>
      <PointListFile store={store} disabled={!canWrite} />
    </>
  );
}
