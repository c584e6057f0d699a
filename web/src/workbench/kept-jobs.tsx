import { useEffect } from 'react';
import type { KeptJob } from '../client/device.ts';
import type { NotOpened } from '../client/open-job.ts';
import { momentWords } from '../ui/moment-words.ts';
import { benchOf } from './benches.ts';

export interface KeptJobsProps {
  /** The jobs on this device, the one that was open last first. */
  readonly jobs: readonly KeptJob[];
  /** A job that was asked for and does not open. */
  readonly notOpened?: NotOpened;
}

/** The jobs that are on this device, to go on with while the server cannot be reached. */
export function KeptJobs({ jobs, notOpened }: KeptJobsProps) {
  const [last] = jobs;
  useEffect(() => {
    // Opened from the device's own screen: the last job is what is wanted.
    if (last && location.search === '?last') location.replace(addressOf(last));
    else document.title = `${notOpened?.title ?? 'No connection'} · Splay`;
  }, [last, notOpened]);
  return (
    <main className="mx-auto max-w-2xl px-5 py-10">
      <p className="heading text-2xl">Splay</p>
      <h1 className="heading mt-6 border-t-2 border-graphite pt-4 text-4xl">{notOpened?.title ?? 'No connection'}</h1>
      <p className="mt-3 text-lg">
        {notOpened?.detail ??
          'The server cannot be reached from here. What you read and change in these jobs stays on this device, and goes out when the connection is back.'}
      </p>
      <p className="mt-5 flex gap-3">
        <button type="button" className="button button-dark" onClick={() => location.reload()}>
          Try again
        </button>
        {notOpened && (
          <a className="button" href="/">
            To the jobs
          </a>
        )}
      </p>
      {jobs.length > 0 && (
        <section aria-label="Jobs on this device" className="mt-8">
          <h2 className="label">On this device</h2>
          <ul className="border-t-2 border-graphite">
            {jobs.map((job) => (
              <li key={job.saved.id} className="border-b border-graphite">
                <a href={addressOf(job)} className="block py-4 no-underline hover:text-layout">
                  <span className="heading block text-2xl">{job.saved.job.name}</span>
                  <span className="text-pencil">
                    {benchOf(job.bench).name}, as it was, {momentWords(job.keptAt)}
                  </span>
                </a>
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}

const addressOf = ({ saved, bench }: KeptJob): string => `/jobs/${saved.id}/${bench}`;
