import type { JobCard } from '../shared/job-card.ts';
import { Length } from '../ui/length.tsx';
import { FrameThumb } from './frame-thumb.tsx';
import { JobTools } from './job-tools.tsx';

/** A job of the shop as lists show it. */
export interface Listed {
  readonly id: string;
  readonly name: string;
  readonly place: 'listed' | 'archived' | 'deleted';
  readonly savedAt: string;
  /** Null where this program cannot read the job, or has not yet calculated what the list shows of it. */
  readonly card: JobCard | null;
  /** The card is of an earlier state of the job. */
  readonly outdated: boolean;
}

interface JobRowProps {
  readonly job: Listed;
  readonly writes: boolean;
}

/** A job on the list: its frame, what becomes of it, how far it has come and what comes next. */
export function JobRow({ job: { id, name, place, card, outdated }, writes }: JobRowProps) {
  return (
    <li className="grid grid-cols-1 items-center gap-x-6 gap-y-3 border-b border-graphite py-5 md:grid-cols-[13rem_1fr_auto] lg:grid-cols-[15rem_1fr_19rem_auto]">
      {card ? <FrameThumb {...card.thumb} /> : <span />}
      <div>
        <h2 className="heading text-2xl">
          <a className="hover:text-layout" href={`/jobs/${id}`}>
            {name}
          </a>
        </h2>
        {card && <p className="text-pencil">{card.about}</p>}
        {card && <Wheelbase card={card} />}
        {outdated && (
          <p className="text-sm text-pencil" data-outdated="">
            {card ? 'as it was before: its present state is being computed …' : 'being computed …'}
          </p>
        )}
      </div>
      {/* On a tablet under what is said of the job, beside it on a desk. */}
      <div className="md:max-lg:col-start-2">
        {card ? <HowFar id={id} card={card} /> : !outdated && <Unreadable id={id} />}
      </div>
      {writes && (
        <div className="md:max-lg:col-start-3 md:max-lg:row-start-1">
          <JobTools id={id} name={name} place={place} />
        </div>
      )}
    </li>
  );
}

function Wheelbase({ card: { wheelbase, display } }: { readonly card: JobCard }) {
  const { before, after } = wheelbase;
  if (before === null || after === null) return null;
  return (
    <p className="mt-1">
      Wheelbase <Length mm={before} format={display} />
      {before !== after && (
        <b className="text-layout">
          {' → '}
          <Length mm={after} format={display} />
        </b>
      )}
      {` ${display.unit}`}
    </p>
  );
}

function HowFar({ id, card: { steps, next, handoff } }: { readonly id: string; readonly card: JobCard }) {
  return (
    <div>
      <ol className="flex gap-1" aria-label="Progress">
        {steps.map(({ name, passed }) => (
          <li key={name} className="min-w-0 flex-1">
            <span className={`block h-2.5 border ${passed ? 'border-passed bg-passed' : 'border-pencil'}`} />
            <span className={`block truncate text-xs ${passed ? '' : 'text-pencil'}`} title={name}>
              {name}
              <span className="sr-only">: {passed ? 'yes' : 'not yet'}</span>
            </span>
          </li>
        ))}
      </ol>
      {handoff && (
        <p className="mt-1.5 border-l-4 border-layout bg-layout-wash px-2 py-0.5 text-sm">
          <b>Next: {handoff.to}</b>, {handoff.task}
          {handoff.note !== '' && <span className="text-pencil"> · {handoff.note}</span>}
        </p>
      )}
      <p className="mt-1">
        <a className="font-semibold text-layout underline underline-offset-2" href={`/jobs/${id}/${next.bench}`}>
          {next.text}
        </a>
      </p>
    </div>
  );
}

const Unreadable = ({ id }: { readonly id: string }) => (
  <p className="border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
    This job cannot be read by this program. Nothing of it is lost:{' '}
    <a className="underline" href={`/api/jobs/${id}/export`}>
      download its file
    </a>{' '}
    and have it looked at.
  </p>
);

interface JobsAsideProps {
  readonly title: string;
  readonly about: string;
  /** How many there are; the latest of them are listed. */
  readonly all: number;
  readonly jobs: readonly Listed[];
  readonly writes: boolean;
}

/** Jobs that were put away or deleted, folded up. */
export function JobsAside({ title, about, all, jobs, writes }: JobsAsideProps) {
  if (jobs.length === 0) return null;
  return (
    <details className="mt-6">
      <summary className="label cursor-pointer">
        {title} ({all}){about && `, ${about}`}
      </summary>
      <ul className="mt-1 border-t border-rule">
        {jobs.map(({ id, name, place, savedAt }) => (
          <li key={id} className="flex items-center justify-between gap-4 border-b border-rule py-2">
            <span>
              {name}
              <span className="ml-2 text-sm text-pencil">last saved {savedAt.slice(0, 10)}</span>
            </span>
            {writes && <JobTools id={id} name={name} place={place} />}
          </li>
        ))}
      </ul>
      {all > jobs.length && (
        <p className="py-2 text-pencil">
          The latest {jobs.length} of {all}: find the others by name.
        </p>
      )}
    </details>
  );
}
