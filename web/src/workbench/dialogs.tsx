import { checkJob, dotted, planOf, InputError, type Job, type PlanResult } from '@splay/core';
import { memo, useEffect, useState } from 'react';
import { api, type RevisionNote, type SavedJob } from '../client/api.ts';
import { change, type JobStore, takeTheirs, useJobState } from '../client/job-store.ts';
import { forgetDraft, leftDraft } from '../client/device.ts';
import type { BenchParts } from '../client/bench.ts';
import { Dialog } from '../ui/dialog.tsx';
import { Length } from '../ui/length.tsx';
import type { WorkbenchActions } from './actions.ts';
import { benchOf } from './benches.ts';
import { GoToStation } from './go-to-station.tsx';
import { Palette } from './palette.tsx';
import { RulebookDialog } from './rulebook-dialog.tsx';
import { KEY_LIST } from './use-keys.ts';

interface DialogsProps {
  readonly store: JobStore;
  readonly open: OpenDialog | null;
  readonly result: PlanResult;
  readonly parts: BenchParts;
  readonly actions: WorkbenchActions;
  readonly onDialog: (dialog: OpenDialog | null) => void;
  readonly onClose: () => void;
}

export type OpenDialog = 'history' | 'keys' | 'station' | 'rules' | 'palette';

/** The dialog that is asked for, or that has to be answered. */
export const Dialogs = memo(function Dialogs({ store, open, result, parts, actions, onDialog, onClose }: DialogsProps) {
  const { saveState, theirs, job, bench } = useJobState(store, (state) => ({
    bench: state.bench,
    saveState: state.saveState,
    theirs: state.theirs,
    job: state.job,
  }));
  if (saveState === 'stale' && theirs) return <TwoVersions store={store} mine={job} theirs={theirs} />;
  if (open === 'station') return <GoToStation job={job} result={result} onLook={actions.onLook} onClose={onClose} />;
  if (open === 'palette') return <Palette {...{ store, result, parts, actions, onDialog }} />;
  if (open === 'rules') return <RulebookDialog store={store} onClose={onClose} />;
  if (open === 'history') return <HistoryDialog store={store} onClose={onClose} />;
  if (open === 'keys')
    return (
      <Dialog title="Keys" onClose={onClose}>
        <table className="w-full">
          <tbody>
            {[...KEY_LIST, ...benchOf(bench).keys].map(([keys, what]) => (
              <tr key={keys + what} className="border-b border-rule/60">
                <th scope="row" className="w-24 py-1.5 text-left font-semibold">
                  {keys}
                </th>
                <td>{what}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Dialog>
    );
  return <LeftDraft store={store} />;
});

/** A job's main figures and operations, to compare two versions by. */
function Version({ title, job }: { readonly title: string; readonly job: Job }) {
  const { measures, operations } = planOf(job);
  return (
    <section className="min-w-0 flex-1 border border-rule p-3">
      <h3 className="heading text-lg">{title}</h3>
      <p className="mt-1">
        Wheelbase{' '}
        {measures.after.wheelbase === null ? (
          '–'
        ) : (
          <Length mm={measures.after.wheelbase} format={job.display} className="font-semibold" />
        )}
        , plan “{job.plan.name}”
      </p>
      <ul className="mt-2 list-inside list-disc text-sm">
        {operations.map(({ operation, letters }) => (
          <li key={operation.id}>
            {dotted(letters)} {operation.kind}{' '}
            {'length' in operation && <Length mm={operation.length} format={job.display} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Somebody else saved first: both versions, side by side, and nothing lost either way. */
function TwoVersions({
  store,
  mine,
  theirs,
}: {
  readonly store: JobStore;
  readonly mine: Job;
  readonly theirs: SavedJob;
}) {
  return (
    <Dialog title="Somebody else changed this job" onClose={() => undefined} dismissable={false}>
      <p>
        Revision {theirs.revision} was saved by {theirs.savedBy} while you were working on an earlier one. Nothing was
        overwritten.
      </p>
      <div className="mt-3 flex gap-3">
        <Version title="Yours, on this page" job={mine} />
        <Version title={`Theirs, revision ${theirs.revision}`} job={theirs.job} />
      </div>
      <div className="mt-4 flex flex-wrap gap-2">
        <button
          type="button"
          className="button button-dark"
          onClick={() => {
            store.setState({ revision: theirs.revision, savedJob: theirs.job, theirs: null, saveState: 'changed' });
            change(store, 'Kept over a later revision', (job) => ({ ...job }));
          }}
        >
          Save yours on top
        </button>
        <button
          type="button"
          className="button"
          onClick={() => {
            void forgetDraft(store.getState().id);
            takeTheirs(store, theirs);
          }}
        >
          Take theirs (Undo brings yours back)
        </button>
      </div>
      <p className="mt-3 text-sm text-pencil">Either way both stay in the history.</p>
    </Dialog>
  );
}

function HistoryDialog({ store, onClose }: { readonly store: JobStore; readonly onClose: () => void }) {
  const { id, revision, canWrite } = useJobState(store, (state) => ({
    id: state.id,
    revision: state.revision,
    canWrite: state.canWrite,
  }));
  const [notes, setNotes] = useState<readonly RevisionNote[] | null>(null);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    void api.revisions(id).then((answer) => (answer.ok ? setNotes(answer.value) : setProblem(answer.detail)));
  }, [id, revision]);
  const restore = async (number: number) => {
    const answer = await api.restore(id, number, revision);
    if (answer.ok) {
      takeTheirs(store, answer.value);
      onClose();
    } else setProblem(answer.detail);
  };
  return (
    <Dialog title="History" onClose={onClose}>
      {problem && <p className="text-oxide">{problem}</p>}
      {!notes && !problem && <p className="text-pencil">Reading the history …</p>}
      <ol>
        {notes?.map((note) => (
          <li key={note.number} className="flex items-center gap-3 border-b border-rule/60 py-1.5">
            <span className="w-9 text-right font-semibold">{note.number}</span>
            <span className="min-w-0 flex-1">
              <span className="block truncate">{note.label}</span>
              <span className="text-sm text-pencil">
                {note.savedBy}, {new Date(note.savedAt).toLocaleString()}
              </span>
            </span>
            {note.number === revision ? (
              <span className="text-sm text-pencil">now</span>
            ) : (
              <button type="button" className="button" disabled={!canWrite} onClick={() => void restore(note.number)}>
                Restore
              </button>
            )}
          </li>
        ))}
      </ol>
    </Dialog>
  );
}

/** What this device still holds of the job, when it is a job and not the one the server has. */
async function draftOf(store: JobStore): Promise<Job | null> {
  const { id, job } = store.getState();
  const left = await leftDraft(id);
  // What is changed meanwhile is kept anew, and is not what was left.
  if (!left || store.getState().job !== job) return null;
  try {
    const found = checkJob(left.job, left.version);
    if (JSON.stringify(found) !== JSON.stringify(job)) return found;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
  }
  void forgetDraft(id);
  return null;
}

/** Changes that a reload or a crash left on this device, offered once. */
function LeftDraft({ store }: { readonly store: JobStore }) {
  const [draft, setDraft] = useState<Job | null>(null);
  useEffect(() => {
    void draftOf(store).then(setDraft);
  }, [store]);
  if (!draft) return null;
  const close = () => {
    void forgetDraft(store.getState().id);
    setDraft(null);
  };
  return (
    <Dialog title="Changes that were not saved" onClose={close}>
      <p>This device still has changes of this job that never reached the server.</p>
      <div className="mt-3 flex gap-3">
        <Version title="On this device" job={draft} />
        <Version title="On the server" job={store.getState().savedJob} />
      </div>
      <div className="mt-4 flex gap-2">
        <button
          type="button"
          className="button button-dark"
          onClick={() => {
            change(store, 'Brought back unsaved changes', () => draft);
            setDraft(null);
          }}
        >
          Bring them back
        </button>
        <button type="button" className="button" onClick={close}>
          Drop them
        </button>
      </div>
    </Dialog>
  );
}
