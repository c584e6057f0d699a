import { InputError, type InputProblem } from '@splay/core';
import { useState } from 'react';
import { api } from '../client/api.ts';
import { nobodyIsHere, onlyHere } from '../client/device.ts';
import { importJob } from '../client/import-job.ts';
import { useAwake } from '../client/use-awake.ts';
import { Dialog } from '../ui/dialog.tsx';
import { FileButton } from '../ui/file-button.tsx';
import { inWorker } from '../workers/in-worker.ts';
import { leftWords } from './left-words.ts';

/** What is wrong with a job file; nothing where it is right, or where no worker can tell: then the server does. */
async function fileProblems(text: string): Promise<readonly InputProblem[]> {
  try {
    await inWorker('checkJobFile', [text]).done;
    return [];
  } catch (error) {
    return error instanceof InputError ? error.problems : [];
  }
}

/** Takes a job file from this device and opens it as a new job, or says what is wrong with it. */
export function ImportJob() {
  const awake = useAwake();
  const [problems, setProblems] = useState<readonly InputProblem[]>([]);
  const take = async (file: File) => {
    const text = await file.text();
    // What is wrong with a file is found here, in a worker: a large one neither freezes the page nor travels in vain.
    const wrong = await fileProblems(text);
    if (wrong.length > 0) return setProblems(wrong);
    const answer = await importJob(text);
    if (answer.ok) location.assign(`/jobs/${answer.value.id}`);
    else
      setProblems(
        answer.problems.length > 0 ? answer.problems : [{ code: answer.reason, path: '', message: answer.detail }],
      );
  };
  return (
    <>
      <FileButton label="Job file" disabled={!awake} onFile={(file) => void take(file)}>
        Import a job file
      </FileButton>
      {problems.length > 0 && (
        <Dialog title="This file cannot be imported" onClose={() => setProblems([])}>
          <p>Nothing was stored. Put these right in the file and import it again:</p>
          <ul className="mt-2 space-y-1">
            {problems.slice(0, 30).map((problem) => (
              <li key={problem.path + problem.code}>
                {problem.path && <code className="mr-2 bg-bench px-1 text-sm">{problem.path}</code>}
                {problem.message}
              </li>
            ))}
          </ul>
          {problems.length > 30 && <p className="mt-2 text-pencil">… and {problems.length - 30} more.</p>}
        </Dialog>
      )}
    </>
  );
}

export function SignOut() {
  const awake = useAwake();
  const [problem, setProblem] = useState('');
  /** What is on this device only, once somebody asked to leave with that. */
  const [told, setTold] = useState('');
  const leave = async () => {
    const left = leftWords(await onlyHere());
    if (left !== '' && told === '') return setTold(left);
    const answer = await api.signOut();
    if (!answer.ok) return setProblem(`You are still signed in: ${answer.detail} Try again.`);
    await nobodyIsHere(true);
    location.assign('/sign-in');
  };
  return (
    <>
      {problem && (
        <span role="alert" className="text-sm text-oxide">
          {problem}
        </span>
      )}
      {told !== '' && (
        <span role="alert" className="max-w-96 text-sm text-oxide">
          {told}
        </span>
      )}
      <button type="button" className="button" disabled={!awake} onClick={() => void leave()}>
        {told === '' ? 'Sign out' : 'Sign out all the same'}
      </button>
    </>
  );
}
