import { lazy, use, useState } from 'react';
import { type KeptJob, keptJobs } from '../client/device.ts';
import type { JobStart } from '../client/job-store.ts';
import { keepProgram } from '../client/program.ts';
import { type NotOpened, openJob } from '../client/open-job.ts';
import Workbench from './workbench.tsx';
import { Waits } from '../ui/waits.tsx';

const KeptJobs = lazy(() => import('./kept-jobs.tsx'));

const JOB_PAGE = /^\/jobs\/([0-9a-f-]{36})(?:\/([a-z-]+))?\/?$/;

/**
 * What the address asks for, from the server or from what this device keeps: a job at one of its benches. All other pages
 * need the server; without it they are the list of the jobs that are here.
 */
export default function AtThisAddress() {
  const [kept] = useState(keptJobs);
  const [asked] = useState(() => {
    keepProgram();
    const [, id, bench] = JOB_PAGE.exec(location.pathname) ?? [];
    return id === undefined ? null : openJob(id, bench);
  });
  return (
    <Waits
      place={
        <p className="heading flex h-dvh items-center justify-center text-2xl" role="status">
          Splay
        </p>
      }
    >
      {asked ? <Opened asked={asked} kept={kept} /> : <KeptJobs kept={kept} />}
    </Waits>
  );
}

interface OpenedProps {
  readonly asked: Promise<JobStart | NotOpened>;
  readonly kept: Promise<readonly KeptJob[]>;
}

function Opened({ asked, kept }: OpenedProps) {
  const opened = use(asked);
  if (!('saved' in opened)) return <KeptJobs kept={kept} notOpened={opened} />;
  return <Workbench {...opened} />;
}
