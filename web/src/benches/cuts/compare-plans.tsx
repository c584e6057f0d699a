import {
  type Job,
  plansOf,
  type PlanResult,
  type Reading,
  sectionLookup,
  takeUp,
  withoutVariant,
  withPlanNamed,
} from '@splay/core';
import { useMemo } from 'react';
import { reachOfAll } from '../../board/view.ts';
import { change, type JobStore } from '../../client/job-store.ts';
import { Dialog } from '../../ui/dialog.tsx';
import { AnotherOption } from './another-option.tsx';
import { type Candidate, candidateOf, comparisonLines } from './comparison-lines.tsx';
import { PlanName } from './plan-name.tsx';
import { PlanStrip } from '../../board/plan-strip.tsx';
import { Waits } from '../../ui/waits.tsx';
import { lazyComponent } from '../../client/lazy-component.tsx';

interface ComparePlansProps {
  readonly store: JobStore;
  readonly job: Job;
  /** The donor alone, evaluated. */
  readonly donor: PlanResult;
  readonly readings: readonly Reading[];
  readonly canWrite: boolean;
  readonly onClose: () => void;
}

/** Width of a plan's column at least, and of the frame that is drawn in it, px. */
const COLUMN = 250;
const STRIP_WIDTH = COLUMN - 28;

/** Charts are heavy: only drawn where plans are held against each other. */
const WorkChart = lazyComponent(() => import('./work-chart.tsx').then((file) => file.WorkChart));

/** The plan in hand and its variants side by side: first what tells them apart, then what they have in common. */
export function ComparePlans({ store, job, donor, readings, canWrite, onClose }: ComparePlansProps) {
  const candidates = useMemo(() => plansOf(job).map((plan) => candidateOf(job, plan)), [job]);
  const section = useMemo(() => sectionLookup(job.donor), [job.donor]);
  const reach = useMemo(() => reachOfAll([donor, ...candidates.map(({ result }) => result)]), [candidates, donor]);
  const lines = comparisonLines(job);
  const apart = lines.filter(({ differs }) => differs(candidates));
  const alike = lines.filter((line) => !apart.includes(line));
  const measured = readings.some(({ stage }) => stage !== 'before-cut');
  const first = candidates[0] as Candidate;
  return (
    <Dialog title="Compare plans" wide onClose={onClose}>
      {candidates.length > 1 && (
        <Waits>
          <WorkChart
            candidates={candidates}
            width={Math.min(760, typeof window === 'undefined' ? 760 : window.innerWidth - 60)}
          />
        </Waits>
      )}
      <table className="w-full table-fixed text-[0.94rem]" style={{ minWidth: 130 + candidates.length * COLUMN }}>
        <colgroup>
          <col className="w-[84px] sm:w-[130px]" />
          {candidates.map(({ plan }) => (
            <col key={plan.name} />
          ))}
        </colgroup>
        <thead>
          <tr className="align-top">
            <td />
            {candidates.map(({ plan, result }, index) => (
              <th
                key={plan.name}
                scope="col"
                className={`px-3 pt-1 pb-2 text-left font-normal ${index === 0 ? 'bg-layout-wash' : ''}`}
              >
                <PlanName
                  job={job}
                  name={plan.name}
                  disabled={!canWrite}
                  onRename={(name) => change(store, 'Renamed a plan', (old) => withPlanNamed(old, plan.name, { name }))}
                />
                <PlanStrip result={result} section={section} reach={reach} width={STRIP_WIDTH} />
                <div className="mt-1 flex h-8 items-center gap-2">
                  {index === 0 ? (
                    <span className="label">Current</span>
                  ) : (
                    canWrite && (
                      <>
                        <button
                          type="button"
                          className="button"
                          onClick={() => change(store, `Switched to “${plan.name}”`, (old) => takeUp(old, plan.name))}
                        >
                          Use this plan
                        </button>
                        <button
                          type="button"
                          className="text-sm text-pencil underline underline-offset-2"
                          onClick={() =>
                            change(store, `Dropped “${plan.name}”`, (old) => withoutVariant(old, plan.name))
                          }
                        >
                          Drop
                        </button>
                      </>
                    )
                  )}
                </div>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr className="border-t border-rule align-top">
            <th scope="row" className="py-1.5 pr-2 text-left font-normal text-pencil">
              Pros and cons
            </th>
            {candidates.map(({ plan }, index) => (
              <td key={plan.name} className={`px-3 py-1.5 ${index === 0 ? 'bg-layout-wash' : ''}`}>
                <textarea
                  key={plan.note}
                  aria-label={`Pros and cons ${plan.name}`}
                  className="field w-full py-1 text-[0.94rem]"
                  rows={3}
                  maxLength={2000}
                  defaultValue={plan.note}
                  disabled={!canWrite}
                  onBlur={({ target }) =>
                    target.value !== plan.note &&
                    change(store, 'Noted pros and cons', (old) => withPlanNamed(old, plan.name, { note: target.value }))
                  }
                />
              </td>
            ))}
          </tr>
          {candidates.length > 1 &&
            apart.map(({ name, show }) => (
              <tr key={name} className="border-t border-rule align-top">
                <th scope="row" className="py-1.5 pr-2 text-left font-normal text-pencil">
                  {name}
                </th>
                {candidates.map((candidate, index) => (
                  <td key={candidate.plan.name} className={`px-3 py-1.5 ${index === 0 ? 'bg-layout-wash' : ''}`}>
                    {show(candidate)}
                  </td>
                ))}
              </tr>
            ))}
        </tbody>
      </table>
      <section className="mt-3 border-t border-graphite pt-2">
        <h3 className="label">{candidates.length > 1 ? 'The same in all' : 'Summary'}</h3>
        <dl className="mt-1 flex flex-wrap gap-x-6 gap-y-1 text-[0.94rem]">
          {(candidates.length > 1 ? alike : lines).map(({ name, show }) => (
            <div key={name} className="flex gap-1.5">
              <dt className="text-pencil">{name}</dt>
              <dd>{show(first)}</dd>
            </div>
          ))}
        </dl>
      </section>
      {measured && candidates.length > 1 && canWrite && (
        <p className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5">
          Readings after the cut are there already. They keep their figures, but another current plan judges them
          against its own targets.
        </p>
      )}
      {canWrite && <AnotherOption store={store} job={job} />}
      <p className="mt-3 text-sm text-pencil">
        Axle loads are computed from the masses entered, with the body’s front wheel opening on the front axle. Planning
        figures, not an approval.
      </p>
    </Dialog>
  );
}
