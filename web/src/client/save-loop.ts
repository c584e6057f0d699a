import { JOB_VERSION } from '@splay/core';
import { api } from './api.ts';
import { forgetDraft, keepDraft, keepDraftNow } from './device.ts';
import type { JobStore } from './job-store.ts';
import { meet } from './meet.ts';

const QUIET_MS = 700;
const RETRY_MS = [1000, 2000, 5000, 10_000];

/**
 * Saves the job some moments after each change, one save at a time, and tries again while the connection is down.
 * A stale save waits for the person to decide. Gives a function that stops it.
 */
export function startSaving(store: JobStore): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;
  let failures = 0;

  const plan = (wait: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), wait);
  };

  async function save(): Promise<void> {
    const { id, job, savedJob, revision, labels, saveState } = store.getState();
    if (busy || job === savedJob || saveState === 'stale') return;
    busy = true;
    store.setState({ saveState: 'saving' });
    const answer = await api.saveJob(id, revision, labels.slice(-4).join(' · ').slice(0, 200) || 'Changed', job);
    busy = false;
    if (answer.ok) {
      failures = 0;
      const later = store.getState().labels.slice(labels.length);
      const unchanged = store.getState().job === job;
      store.setState({
        revision: answer.value.revision,
        savedJob: job,
        labels: later,
        saveState: unchanged ? 'saved' : 'changed',
        saveDetail: answer.value.savedAt,
      });
      if (unchanged) void forgetDraft(id);
      else plan(QUIET_MS);
    } else if (answer.reason === 'stale' && answer.theirs) {
      // Not saved: brought together with what was saved meanwhile, or asked for.
      store.setState({ saveState: 'changed' });
      await meet(store, answer.theirs);
      if (store.getState().saveState === 'changed') plan(0);
    } else if (answer.reason === 'offline') {
      store.setState({ saveState: 'offline' });
      plan(RETRY_MS[Math.min(failures, RETRY_MS.length - 1)] ?? QUIET_MS);
      failures += 1;
    } else {
      const first = answer.problems[0];
      const detail = first ? `${first.path}: ${first.message}` : answer.detail;
      store.setState({ saveState: answer.reason === 'signed-out' ? 'signed-out' : 'refused', saveDetail: detail });
    }
  }

  const stopListening = store.subscribe((state, before) => {
    if (state.job === before.job && state.saveState === before.saveState) return;
    if (state.job === state.savedJob) {
      // Undone to what the server has: there is nothing left to save.
      if (busy || state.saveState === 'saved' || state.saveState === 'stale') return;
      clearTimeout(timer);
      void forgetDraft(state.id);
      store.setState({ saveState: 'saved', labels: [] });
      return;
    }
    if (state.job !== before.job) {
      void keepDraft(state.id, {
        person: state.me,
        basedOn: state.revision,
        version: JOB_VERSION,
        job: state.job,
      });
      if (state.saveState === 'stale') return;
      if (state.saveState !== 'offline') store.setState({ saveState: 'changed' });
      plan(QUIET_MS);
    }
  });
  const online = () => plan(0);
  // Whoever signed in again in another window comes back to this one.
  const back = () => {
    if (store.getState().saveState === 'signed-out') plan(0);
  };
  const leaving = (event: BeforeUnloadEvent) => {
    // What stands in a field is an entry: it is kept on this device with all that is not saved, and the next page goes on with it.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    const { id, me, job, savedJob, revision, keepsNothing } = store.getState();
    if (job !== savedJob) keepDraftNow(id, { person: me, basedOn: revision, version: JOB_VERSION, job });
    if (keepsNothing && job !== savedJob) event.preventDefault();
  };
  window.addEventListener('online', online);
  window.addEventListener('focus', back);
  window.addEventListener('beforeunload', leaving);
  return () => {
    clearTimeout(timer);
    stopListening();
    window.removeEventListener('online', online);
    window.removeEventListener('focus', back);
    window.removeEventListener('beforeunload', leaving);
  };
}
