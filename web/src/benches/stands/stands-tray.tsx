import { datumStation, inches, loadText, neutralOf, type Neutral, type ShoringCut, quantityText } from '@splay/core';
import { memo } from 'react';
import { CUT_MOMENTS, jobRested, useJobState } from '../../client/job-store.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { Length } from '../../ui/length.tsx';
import { holdsUp, lookAt, shoresUnder, useSelection } from './selection.ts';
import { KerfPicture } from './kerf-picture.tsx';

/** The kerf as it stands at the moment that is looked at, and beside it what each stand carries and should. */
export function StandsTray(props: PictureProps) {
  const { store, job, tray } = props;
  const { step, moment } = useSelection(props);
  if (!step)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        The kerf stands here once the plan cuts through the rails.
      </p>
    );
  const wide = tray.width >= 700;
  const picture = { width: wide ? Math.round(tray.width * 0.56) : tray.width, height: tray.height - 42 };
  return (
    <div className="flex h-full flex-col">
      <div role="group" aria-label="Moment of the cut" className="flex shrink-0 border-b border-rule">
        {CUT_MOMENTS.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={each === moment}
            className={`heading min-h-10 flex-1 border-r border-rule px-2 text-base last:border-r-0 ${each === moment ? 'bg-graphite text-paper' : 'bg-sheet'}`}
            onClick={() => lookAt(store, step.operation.id, each)}
          >
            {each}
          </button>
        ))}
      </div>
      <div className="flex min-h-0 flex-1">
        {step.cuts[0] && (
          <KerfPicture cut={step.cuts[0]} second={step.cuts[1]} moment={moment} size={picture} job={job} />
        )}
        {wide && (
          <div
            className="min-w-0 flex-1 overflow-auto border-l border-rule px-3 py-2"
            role="region"
            aria-label="What the stands carry"
            tabIndex={0}
          >
            <LoadsBeside store={store} selected={props.selected} />
          </div>
        )}
      </div>
    </div>
  );
}

/** What the stands carry once the hand that drags one rests; while it does not, their loads stand at the stands. */
const LoadsBeside = memo(function LoadsBeside({ store, selected }: Pick<PictureProps, 'store' | 'selected'>) {
  const job = useJobState(store, jobRested);
  const { step, parts } = useSelection({ store, job, selected });
  return <StandLoads job={job} cut={step?.cuts[0]} under={shoresUnder(parts)} />;
});

interface LoadsProps {
  readonly job: PictureProps['job'];
  readonly cut: ShoringCut | undefined;
  readonly under: ReturnType<typeof shoresUnder>;
}

/** What every stand carries at this moment, what it must carry for the cut to be without force, and the shims to begin with. */
function StandLoads({ job, cut, under }: LoadsProps) {
  const up = under.filter(({ shore }) => holdsUp(shore));
  const neutral: Neutral | null = cut ? neutralOf(cut) : null;
  const datum = datumStation(job.donor);
  const lowest = neutral ? Math.min(...neutral.shims) : 0;
  const at = (x: number) => (cut ? cut.stands.findIndex((each) => Math.abs(each - x) < 1.5) : -1);
  if (up.length === 0)
    return <p className="text-pencil">No stands yet: place them in one press, or one by one under All stands.</p>;
  return (
    <>
      <table className="w-full border-collapse text-[0.92rem]">
        <caption className="sr-only">What each stand carries, both of a pair together</caption>
        <thead>
          <tr className="border-b border-graphite text-sm text-pencil">
            <th scope="col" className="py-0.5 text-left font-normal">
              From datum
            </th>
            <th scope="col" className="figures font-normal">
              carries
            </th>
            <th scope="col" className="figures font-normal whitespace-nowrap">
              must carry
            </th>
            <th scope="col" className="figures font-normal">
              shim
            </th>
          </tr>
        </thead>
        <tbody>
          {up.map(({ shore, stands, load }) => {
            const index = at(stands[0]?.at.x ?? NaN);
            const wanted = neutral?.loads[index];
            const shim = neutral?.shims[index];
            return (
              <tr key={shore.id} className="border-b border-rule/60">
                <th scope="row" className="py-1 text-left font-normal">
                  <Length mm={shore.x - datum} format={job.display} />
                  <span className="text-pencil"> {shore.side}</span>
                </th>
                <td className={`figures font-semibold ${load !== null && load <= 1e-6 ? 'text-oxide' : ''}`}>
                  {load === null ? '?' : load <= 1e-6 ? 'lifts off' : loadText(load, job)}
                </td>
                <td className="figures">{wanted === undefined ? '' : loadText(wanted, job)}</td>
                <td className="figures">
                  {shim === undefined ? '' : <Length mm={shim - lowest} format={{ ...job.display, division: 64 }} />}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1.5 text-sm text-pencil">
        {neutral && cut ? (
          <>
            Set to what each must carry, nothing is in the steel at cut {cut.name}. Shims are a start, and sensitive:{' '}
            {job.display.unit === 'mm' ? '1 mm' : '1/32 in'} more under one stand puts up to{' '}
            {quantityText(
              'moment',
              (job.display.unit === 'mm' ? 1 : inches(1 / 32)) * Math.max(...neutral.sensitive.map(Math.abs)),
              job.display.unit,
            )}{' '}
            into the cut. A scale, a jack gauge or a slack feeler in the kerf decides.
          </>
        ) : (
          'With two pairs or more on each side of the cut, Splay says what each must carry for the cut to be without force.'
        )}{' '}
        Four stands or more share by a hair: their loads are a guide.
      </p>
    </>
  );
}
