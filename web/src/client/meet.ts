import type { Job, MergeConflict } from '@splay/core';
import { api, type SavedJob } from './api.ts';
import { forgetDraft, leftDraft, takeEarlier } from './device.ts';
import { change, type JobStore } from './job-store.ts';

const merging = () => import('./merging.ts');

/**
 * Takes up a newer version of the job from the server. What was changed here and there in different fields is kept both; the steps
 * of undo get the other's changes too, so that going back takes back nothing of theirs. Where both changed the same field, nothing
 * is changed here and the page asks.
 *
 * @param store The open job.
 * @param theirs The version that the server has now.
 */
export async function meet(store: JobStore, theirs: SavedJob): Promise<void> {
  const { mergeJobs, jobChanges, checkJob } = await merging();
  const { job, savedJob, revision, memberName } = store.getState();
  if (theirs.revision <= revision) return;
  const { job: merged, conflicts } = mergeJobs(savedJob, job, theirs.job);
  const problem =
    job === savedJob ? [] : conflicts.length > 0 ? conflicts : whole(checkJob, savedJob, job, merged, theirs);
  if (problem.length > 0) {
    store.setState({ saveState: 'stale', theirs, conflicts: problem });
    return;
  }
  const changes = jobChanges(savedJob, theirs.job);
  const own = theirs.savedBy === memberName && job === savedJob && changes.length === 0;
  take(store, theirs, job === savedJob ? theirs.job : merged, (past) => mergeJobs(savedJob, past, theirs.job).job);
  if (!own && changes.length > 0)
    store.setState({ news: { by: theirs.savedBy, at: theirs.savedAt, revision: theirs.revision, changes } });
}

/** Both as one where they cannot stand beside each other: the whole of it is asked for. */
function whole(check: (job: unknown) => Job, base: Job, mine: Job, merged: Job, theirs: SavedJob): MergeConflict[] {
  try {
    check(JSON.parse(JSON.stringify(merged)));
    return [];
  } catch {
    return [{ path: [], base, mine, theirs: theirs.job }];
  }
}

/** Puts a merged job in place of the one on this page, as no step of undo; earlier steps are changed alike. */
function take(store: JobStore, theirs: SavedJob, job: Job, alike: (past: Job) => Job): void {
  const { temporal } = store;
  const brought = (states: readonly Partial<{ job: Job }>[]) =>
    states.flatMap(({ job: past }) => (past ? [{ job: alike(past) }] : []));
  const { pastStates, futureStates, pause, resume } = temporal.getState();
  temporal.setState({ pastStates: brought(pastStates), futureStates: brought(futureStates) });
  pause();
  const same = JSON.stringify(job) === JSON.stringify(theirs.job);
  store.setState({
    job: same ? theirs.job : job,
    savedJob: theirs.job,
    revision: theirs.revision,
    preview: null,
    theirs: null,
    conflicts: [],
    saveState: same ? 'saved' : 'changed',
    saveDetail: theirs.savedAt,
    ...(same ? { labels: [] } : {}),
  });
  resume();
  if (same) void forgetDraft(theirs.id);
}

/**
 * Settles a version that both changed in the same fields: with mine, or with theirs in some of them. What is not chosen is saved as a
 * revision of its own first, so that the history has it.
 *
 * @param store The open job, which waits for an answer.
 * @param taken The fields in which theirs stands.
 * @returns What is wrong, or nothing.
 */
export async function settle(store: JobStore, taken: readonly MergeConflict[]): Promise<string> {
  const { mergeJobs, takingTheirs, checkJob } = await merging();
  const { id, job, savedJob, theirs } = store.getState();
  if (!theirs) return '';
  const { job: mine } = taken.some(({ path }) => path.length === 0) ? { job } : mergeJobs(savedJob, job, theirs.job);
  const chosen = takingTheirs(mine, taken);
  try {
    checkJob(JSON.parse(JSON.stringify(chosen)));
  } catch {
    return 'These do not go together: take all of yours, or all of theirs.';
  }
  let head = theirs;
  if (taken.length > 0) {
    const kept = await api.saveJob(id, theirs.revision, 'Kept beside what was chosen', mine);
    if (!kept.ok) return kept.detail;
    head = { ...kept.value, job: mine };
  }
  take(store, head, chosen, (past) => past);
  return '';
}

/** Goes on with what a page that was left had not saved: as it was, brought together with what was saved meanwhile. */
export async function takeUpDraft(store: JobStore): Promise<void> {
  const { id, me } = store.getState();
  await takeEarlier(id);
  const left = await leftDraft(id, me);
  if (!left) return;
  const { checkJob } = await merging();
  let draft: Job;
  try {
    draft = checkJob(left.job, left.version);
  } catch {
    return void forgetDraft(id);
  }
  const { job, savedJob, revision, canWrite } = store.getState();
  // Changes made meanwhile have a draft of their own: this one is not what was left.
  if (!canWrite || job !== savedJob) return;
  if (JSON.stringify(draft) === JSON.stringify(job)) return void forgetDraft(id);
  if (left.basedOn === revision) return change(store, 'Went on with what was not saved', () => draft);
  const [base, head] = await Promise.all([api.revision(id, left.basedOn), api.job(id)]);
  if (!base.ok || !head.ok || store.getState().job !== job) return;
  store.setState({
    savedJob: base.value.job,
    job: draft,
    revision: left.basedOn,
    labels: ['Went on with what was not saved'],
  });
  await meet(store, head.value);
}
