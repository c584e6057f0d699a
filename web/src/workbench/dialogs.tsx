import type { PlanResult, ShopRecord } from '@splay/core';
import { memo, useEffect, useState } from 'react';
import { api, type RevisionNote } from '../client/api.ts';
import { type JobStore, takeTheirs, useJobState } from '../client/job-store.ts';
import type { BenchParts } from '../client/bench.ts';
import { Dialog } from '../ui/dialog.tsx';
import type { WorkbenchActions } from './actions.ts';
import { BothChanged } from './both-changed.tsx';
import { benchOf } from './benches.ts';
import { GoToStation } from './go-to-station.tsx';
import { HandoffDialog } from './handoff-dialog.tsx';
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
  readonly onRecord: (record: ShopRecord) => void;
  readonly onClose: () => void;
}

export type OpenDialog = 'history' | 'keys' | 'station' | 'rules' | 'palette' | 'handoff';

/** The dialog that is asked for, or that has to be answered. */
export const Dialogs = memo(function Dialogs({
  store,
  open,
  result,
  parts,
  actions,
  onRecord,
  onDialog,
  onClose,
}: DialogsProps) {
  const { saveState, theirs, job, bench } = useJobState(store, (state) => ({
    bench: state.bench,
    saveState: state.saveState,
    theirs: state.theirs,
    job: state.job,
  }));
  if (saveState === 'stale' && theirs) return <BothChanged store={store} theirs={theirs} />;
  if (open === 'station') return <GoToStation job={job} result={result} onLook={actions.onLook} onClose={onClose} />;
  if (open === 'palette') return <Palette {...{ store, result, parts, actions, onDialog }} />;
  if (open === 'rules') return <RulebookDialog store={store} onClose={onClose} />;
  if (open === 'handoff') return <HandoffDialog store={store} onRecord={onRecord} onClose={onClose} />;
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
  return null;
});

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
