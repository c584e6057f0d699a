import { type Ask, type Job, measuringGuide } from '@splay/core';
import { change, type JobStore, useJobState } from '../../client/job-store.ts';
import { PanelHeading } from '../../ui/panel.tsx';

interface GuideProps {
  readonly store: JobStore;
  readonly job: Job;
  readonly canWrite: boolean;
  readonly onPart: (part: Ask['part']) => void;
}

const STATES: Readonly<Record<Ask['state'], readonly [word: string, className: string]>> = {
  there: ['measured', 'text-passed'],
  partly: ['in part', 'text-ochre'],
  missing: ['to do', 'text-oxide'],
};

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
      <table className="w-full border-collapse text-[0.92rem]">
        <caption className="sr-only">What to measure on the donor, in order</caption>
        <thead className="sr-only">
          <tr>
            <th scope="col">What, where, and which answers wait for it</th>
            <th scope="col">State</th>
          </tr>
        </thead>
        <tbody>
          {asks.map((ask) => {
            const [word, className] = STATES[ask.state];
            return (
              <tr key={ask.id} className="border-b border-rule/60 align-top">
                <td className="py-1 pr-3">
                  <button type="button" className="text-left hover:underline" onClick={() => onPart(ask.part)}>
                    {ask.what}
                  </button>
                  <span className="block text-sm text-pencil">
                    {ask.where}
                    {ask.state !== 'there' && <> · for {ask.answers}</>}
                  </span>
                </td>
                <td className={`py-1 text-right text-sm font-semibold whitespace-nowrap ${className}`}>{word}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
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
      <PanelHeading>On paper, and in files</PanelHeading>
      <p className="flex flex-wrap items-center gap-x-3 gap-y-2 text-sm">
        <a className="button" href={`/print/${id}/survey`} target="_blank" rel="noreferrer">
          Blank survey sheet
        </a>
        {(['side', 'plan'] as const).flatMap((view) =>
          (['dxf', 'svg'] as const).map((as) => (
            <a key={view + as} className="underline" href={`/api/jobs/${id}/drawing?what=${view}&as=${as}`} download>
              {view} view {as.toUpperCase()}
            </a>
          )),
        )}
      </p>
    </>
  );
}
