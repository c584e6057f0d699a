import { handoffIn, recordName, type ShopRecord } from '@splay/core';
import { type SubmitEvent, useEffect, useState } from 'react';
import { api, type RevisionNote } from '../client/api.ts';
import { type JobStore, recordNow, useJobState } from '../client/job-store.ts';
import { Dialog } from '../ui/dialog.tsx';
import { momentWords } from '../ui/moment-words.ts';

interface HandoffDialogProps {
  readonly store: JobStore;
  readonly onRecord: (record: ShopRecord) => void;
  readonly onClose: () => void;
}

const isToday = (iso: string): boolean => new Date(iso).toDateString() === new Date().toDateString();

/** Who is next, for what, and what changed today. */
export function HandoffDialog({ store, onRecord, onClose }: HandoffDialogProps) {
  const { records, canRecord } = useJobState(store, (state) => ({
    records: state.records,
    canRecord: state.canRecord,
  }));
  const waiting = handoffIn(records);
  const [problem, setProblem] = useState('');
  const hand = (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const [to, task, note] = ['to', 'task', 'note'].map((key) => String(form.get(key) ?? '').trim()) as [
      string,
      string,
      string,
    ];
    if (to === '' || task === '') return setProblem('Enter who is next, and the task.');
    onRecord(recordNow(store, 'handoff', { to, task, note, done: false }));
    onClose();
  };
  const people = [...new Set(records.map(({ by }) => by))];
  return (
    <Dialog title="Hand over" onClose={onClose}>
      {waiting && (
        <section className="mb-4 border-l-4 border-layout bg-layout-wash px-3 py-2">
          <p>
            <b>Next: {waiting.body.to}</b>, {waiting.body.task}
          </p>
          {waiting.body.note !== '' && <p>{waiting.body.note}</p>}
          <p className="text-sm text-pencil">
            from {waiting.by}, {momentWords(waiting.taken)}
          </p>
          {canRecord && (
            <button
              type="button"
              className="button mt-2"
              onClick={() => onRecord(recordNow(store, 'handoff', { ...waiting.body, done: true }))}
            >
              Taken up
            </button>
          )}
        </section>
      )}
      {canRecord && (
        <form className="grid gap-3 sm:grid-cols-2" onSubmit={hand}>
          <Entry name="to" label="Next person" longest={120} options={people} />
          <Entry name="task" label="Next task" longest={200} options={[]} />
          <div className="sm:col-span-2">
            <Entry name="note" label="Note" longest={500} options={[]} />
          </div>
          {problem && (
            <p role="alert" className="border-l-4 border-oxide bg-oxide-wash px-3 py-1.5 sm:col-span-2">
              {problem}
            </p>
          )}
          <button type="submit" className="button button-dark sm:col-span-2">
            Hand over
          </button>
        </form>
      )}
      <Today store={store} records={records} />
    </Dialog>
  );
}

function Entry({
  name,
  label,
  longest,
  options,
}: {
  readonly name: string;
  readonly label: string;
  readonly longest: number;
  readonly options: readonly string[];
}) {
  return (
    <label className="block text-sm text-pencil">
      {label}
      <input
        className="field mt-1 h-9 text-graphite"
        name={name}
        maxLength={longest}
        autoComplete="off"
        list={options.length > 0 ? `handoff-${name}` : undefined}
      />
      {options.length > 0 && (
        <datalist id={`handoff-${name}`}>
          {options.map((option) => (
            <option key={option} value={option} />
          ))}
        </datalist>
      )}
    </label>
  );
}

/** What was saved and what was recorded since midnight, newest first. */
function Today({ store, records }: { readonly store: JobStore; readonly records: readonly ShopRecord[] }) {
  const { id, revision } = useJobState(store, (state) => ({ id: state.id, revision: state.revision }));
  const [notes, setNotes] = useState<readonly RevisionNote[] | null>(null);
  useEffect(() => {
    void api.revisions(id).then((answer) => setNotes(answer.ok ? answer.value : null));
  }, [id, revision]);
  const lines = [
    ...(notes ?? [])
      .filter(({ savedAt }) => isToday(savedAt))
      .map(({ number, label, savedBy, savedAt }) => ({ key: `r${number}`, at: savedAt, text: label, by: savedBy })),
    ...records
      .filter(({ taken }) => isToday(taken))
      .map((record) => ({ key: record.id, at: record.taken, text: recordName(record.kind), by: record.by })),
  ].sort((a, b) => b.at.localeCompare(a.at));
  return (
    <section className="mt-5" aria-label="Changed today">
      <h3 className="label border-b border-rule pb-1">Changed today</h3>
      {lines.length === 0 ? (
        <p className="py-1 text-pencil">
          {notes === null ? 'The history is not at hand: no answer from the server.' : 'Nothing yet.'}
        </p>
      ) : (
        <ul className="max-h-56 overflow-auto">
          {lines.map(({ key, at, text, by }) => (
            <li key={key} className="flex gap-3 border-b border-rule/60 py-1">
              <span className="w-20 shrink-0 text-sm text-pencil">{momentWords(at)}</span>
              <span className="min-w-0 flex-1">{text}</span>
              <span className="text-sm text-pencil">{by}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
