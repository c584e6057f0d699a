import { type Job } from '@splay/core';
import { change, type JobStore, useJobState } from '../../client/job-store.ts';
import { Verdict } from '../../ui/verdict.tsx';

interface GuideProps {
  readonly store: JobStore;
  readonly job: Job;
  readonly canWrite: boolean;
  readonly onTab: (tab: 'stations' | 'crossmembers' | 'features' | 'controls' | 'frame') => void;
}

interface Ask {
  readonly what: string;
  readonly why: string;
  readonly tab: Parameters<GuideProps['onTab']>[0];
  readonly there: boolean;
}

/** What a plan can be made from, in the order it is best measured, and what each answer needs. */
function asksOf({ donor, body }: Job): Ask[] {
  const kind = (...kinds: readonly string[]) => donor.features.some((feature) => kinds.includes(feature.kind));
  const stations =
    donor.rails.kind === 'mirrored'
      ? donor.rails.stations.length
      : Math.min(donor.rails.left.length, donor.rails.right.length);
  return [
    {
      what: 'Level the frame on stands and pick a datum hole that stays',
      why: 'Every mark is given from it.',
      tab: 'frame',
      there: donor.features.some(({ id }) => id === donor.datum),
    },
    {
      what: 'Section and wall of the rails, at a clean edge or a hole',
      why: 'Strength, sleeves, weld settings.',
      tab: 'frame',
      there: donor.sections.length > 0,
    },
    {
      what: 'Stations where the rail bends, tapers or changes',
      why: 'Whether two ends meet after a cut.',
      tab: 'stations',
      there: stations >= 4,
    },
    {
      what: 'Both axles: station, height, tyre',
      why: 'Wheelbase, clearance and angles.',
      tab: 'frame',
      there: donor.axles.length >= 2,
    },
    {
      what: 'Crossmembers',
      why: 'A cut must clear them; they hold the rails apart.',
      tab: 'crossmembers',
      there: donor.crossmembers.length >= 3,
    },
    {
      what: 'Spring, link and shock brackets, in a group',
      why: 'The finder keeps a suspension in one piece.',
      tab: 'features',
      there: donor.features.some((feature) => feature.group !== undefined),
    },
    {
      what: 'The identity stamp',
      why: 'It must never be cut, ground, covered or moved.',
      tab: 'features',
      there: kind('identity-stamp'),
    },
    {
      what: 'Body, cab and bed mounts',
      why: 'What the body can sit on, and what must move.',
      tab: 'features',
      there: kind('body-mount', 'cab-mount', 'bed-mount'),
    },
    {
      what: 'Control points punched on both rails, with diagonals',
      why: 'After the cut only they tell how the halves lie.',
      tab: 'controls',
      there: donor.controlMeasurements.some(({ from, to }) => from.side !== to.side && from.point !== to.point),
    },
    {
      what: 'The wheelbase the body asks for',
      why: 'How much to add or take out.',
      tab: 'frame',
      there: body !== null,
    },
  ];
}

/** What to measure next and why, and what is still missing for which answer. */
export function Guide({ store, job, canWrite, onTab }: GuideProps) {
  const asks = asksOf(job);
  const done = job.done.includes('donor');
  const id = useJobState(store, (state) => state.id);
  return (
    <>
      <ol className="space-y-1">
        {asks.map(({ what, why, tab, there }) => (
          <li key={what}>
            <button
              type="button"
              className="w-full border-b border-rule/60 py-1.5 text-left hover:bg-layout-wash"
              onClick={() => onTab(tab)}
            >
              <Verdict kind={there ? 'good' : 'note'}>
                <span className={there ? '' : 'font-semibold'}>{what}</span>
                <span className="block text-sm text-pencil">{why}</span>
              </Verdict>
            </button>
          </li>
        ))}
      </ol>
      <p className="mt-4 flex flex-wrap items-center gap-2 text-sm">
        <a className="button" href={`/print/${id}/survey`} target="_blank" rel="noreferrer">
          Blank survey sheet
        </a>
        {(['stations', 'features', 'control-points', 'readings'] as const).map((table) => (
          <a key={table} className="underline" href={`/api/jobs/${id}/table?what=${table}`}>
            {table.replace('-', ' ')} CSV
          </a>
        ))}
        {(['side', 'plan'] as const).map((view) => (
          <a key={view} className="underline" href={`/api/jobs/${id}/drawing?what=${view}&as=dxf`}>
            {view} DXF
          </a>
        ))}
      </p>
      <button
        type="button"
        className={`button mt-4 ${done ? '' : 'button-dark'}`}
        disabled={!canWrite}
        onClick={() =>
          change(store, done ? 'Donor opened again' : 'Donor measured', (old) => ({
            ...old,
            done: done ? old.done.filter((id) => id !== 'donor') : [...old.done, 'donor'],
          }))
        }
      >
        {done ? 'Open the donor again' : 'The donor is measured'}
      </button>
    </>
  );
}
