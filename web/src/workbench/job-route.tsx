import { useEffect, useState } from 'react';
import { keptJobs } from '../client/device.ts';
import type { JobStart } from '../client/job-store.ts';
import { lazyComponent } from '../client/lazy-component.tsx';
import { openJob } from '../client/open-job.ts';
import { keepProgram } from '../client/program.ts';
import { Waits } from '../ui/waits.tsx';
import { partsOf } from './benches.ts';
import type { KeptJobsProps } from './kept-jobs.tsx';
import Workbench from './workbench.tsx';

const KeptJobs = lazyComponent(() => import('./kept-jobs.tsx').then((file) => file.KeptJobs));

const JOB_PAGE = /^\/jobs\/([0-9a-f-]{36})(?:\/([a-z-]+))?\/?$/;

/** A job with the code of its bench, or why it does not open and which jobs this device keeps. */
async function whatIsHere(): Promise<JobStart | KeptJobsProps> {
  const kept = keptJobs();
  const [, id, bench] = JOB_PAGE.exec(location.pathname) ?? [];
  if (id === undefined) return { jobs: await kept };
  const opened = await openJob(id, bench);
  if (!('saved' in opened)) return { jobs: await kept, notOpened: opened };
  await partsOf(opened.bench);
  return opened;
}

type Found = JobStart | KeptJobsProps | { readonly error: unknown };

/**
 * What the address asks for, from the server or from what this device keeps: a job at one of its benches. All other pages
 * need the server; without it they are the list of the jobs that are here.
 */
export default function JobRoute() {
  const [found, setFound] = useState<Found | null>(null);
  useEffect(() => {
    keepProgram();
    whatIsHere().then(setFound, (error: unknown) => setFound({ error }));
  }, []);
  const place = (
    <p className="heading flex h-dvh items-center justify-center text-2xl" role="status">
      Splay
    </p>
  );
  return <Waits place={place}>{found ? <Shown found={found} /> : place}</Waits>;
}

function Shown({ found }: { readonly found: Found }) {
  if ('error' in found) throw found.error;
  return 'saved' in found ? <Workbench {...found} /> : <KeptJobs {...found} />;
}
