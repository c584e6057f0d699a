import { JOB_VERSION } from '@splay/core';
import { api } from './api.ts';
import { type KeptJob, forgetJob, hereIs, keepJob, keptJob, nobodyIsHere } from './device.ts';
import type { JobStart, JobStore } from './job-store.ts';
import { meet } from './meet.ts';
import { withRecords } from './record-queue.ts';

/** A server that does not answer for so long is not there, ms: where the job is on this device nobody waits longer. */
const PATIENCE = { kept: 6000, alone: 30_000 } as const;
/** How often it is asked again, ms. */
const AGAIN = 5000;

/** Why a job does not open, in words. */
export interface NotOpened {
  readonly title: string;
  readonly detail: string;
}

/**
 * Opens a job: as the server has it, or where the server cannot be reached, as this device kept it.
 *
 * @param id The job.
 * @param asked The bench that is asked for; where it was worked at last if not said.
 */
export async function openJob(id: string, asked?: string): Promise<JobStart | NotOpened> {
  const kept = await keptJob(id);
  const bench = asked ?? kept?.bench ?? 'cuts';
  const answer = await api.openJob(id, kept ? PATIENCE.kept : PATIENCE.alone);
  if (answer.ok) {
    await hereIs(answer.value.me);
    return { ...answer.value, bench, asOf: null };
  }
  if (answer.reason === 'offline' && kept) return fromDevice(kept, bench);
  if (answer.reason === 'offline')
    return {
      title: 'This job is not on this device',
      detail:
        'The server cannot be reached, and the job was not open here lately. Try again when the connection is back.',
    };
  if (answer.reason === 'signed-out') {
    await nobodyIsHere(false);
    return { title: 'You are signed out', detail: 'Sign in to go on with this job.' };
  }
  await forgetJob(id);
  return { title: 'This job does not open', detail: answer.detail };
}

/** A job as this device kept it; what an earlier version of the program kept is brought up, which needs no server. */
async function fromDevice(kept: KeptJob, bench: string): Promise<JobStart | NotOpened> {
  const asOf = kept.keptAt;
  if (kept.version === JOB_VERSION) return { ...kept, bench, asOf };
  try {
    const { checkJob } = await import('./upgrade-job.ts');
    // Before versions were kept with them, jobs here were of version 7.
    const job = checkJob(kept.saved.job, kept.version ?? 7);
    return { ...kept, saved: { ...kept.saved, job }, bench, asOf };
  } catch {
    return {
      title: 'This job is here in an older form',
      detail: 'This version of Splay cannot read what an earlier one kept of it. It opens when the server is back.',
    };
  }
}

/** Keeps the open job on this device as it changes on the server, for as long as the page is open. */
export function keepOpenJob(store: JobStore): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const keep = () => {
    clearTimeout(timer);
    timer = undefined;
    const { id, savedJob, revision, saveDetail, records, unsent, bench, asOf, ...state } = store.getState();
    const waiting = new Set(unsent);
    void keepJob({
      saved: { id, revision, job: savedJob, savedBy: state.memberName, savedAt: saveDetail },
      records: records.filter((record) => !waiting.has(record.id)),
      canWrite: state.canWrite,
      canRecord: state.canRecord,
      memberName: state.memberName,
      shopName: state.shopName,
      me: state.me,
      bench,
      version: JOB_VERSION,
      keptAt: asOf ?? new Date().toISOString(),
    });
  };
  const soon = () => {
    clearTimeout(timer);
    timer = setTimeout(keep, 400);
  };
  soon();
  const unsubscribe = store.subscribe((state, before) => {
    if (state.savedJob !== before.savedJob || state.records !== before.records || state.bench !== before.bench) soon();
  });
  // Whoever leaves at once leaves it as it is.
  const leaving = () => timer !== undefined && keep();
  window.addEventListener('pagehide', leaving);
  return () => {
    leaving();
    unsubscribe();
    window.removeEventListener('pagehide', leaving);
  };
}

/** Takes the server's state up when it can be reached again, where the job was opened from this device. */
export function catchUp(store: JobStore): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const again = async () => {
    clearTimeout(timer);
    if (store.getState().asOf === null) return;
    const answer = await api.openJob(store.getState().id, PATIENCE.kept);
    if (answer.ok) {
      const { saved, records, canWrite, canRecord, memberName, shopName, me } = answer.value;
      // Somebody else signed in meanwhile: what was done on this page is not theirs to send.
      if (me !== store.getState().me) return store.setState({ saveState: 'signed-out', saveDetail: '' });
      // What was changed here meanwhile is brought together with what was saved there.
      await meet(store, saved);
      store.setState({
        records: withRecords(records, store.getState().records),
        canWrite,
        canRecord,
        memberName,
        shopName,
        asOf: null,
      });
    } else if (answer.reason === 'offline') timer = setTimeout(() => void again(), AGAIN);
    else
      store.setState({
        saveState: answer.reason === 'signed-out' ? 'signed-out' : 'refused',
        saveDetail: answer.detail,
      });
  };
  const online = () => void again();
  window.addEventListener('online', online);
  timer = setTimeout(() => void again(), AGAIN);
  return () => {
    clearTimeout(timer);
    window.removeEventListener('online', online);
  };
}
