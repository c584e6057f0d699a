import {
  type FigureId,
  freezeDocuments,
  guarded,
  type Job,
  type JobChange,
  type MergeConflict,
  newRecord,
  type RailId,
  type RecordKind,
  type ShopRecord,
  type Stage,
  type Vec3,
} from '@splay/core';
import { dequal } from 'dequal/lite';
import { temporal } from 'zundo';
import { createStore, useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { freshId } from './fresh-id.ts';
import { lag } from './lag.ts';
import type { OpenedJob } from '../shared/opened-job.ts';
import type { SavedJob } from './api.ts';

if (import.meta.env?.DEV) freezeDocuments(true);

/** A cut from the frame that stands to its parts that lie apart. */
export const CUT_MOMENTS = ['standing', 'half cut', 'through', 'apart'] as const;
export type CutMoment = (typeof CUT_MOMENTS)[number];

/** How the document on this page stands against the server's. */
export type SaveState = 'saved' | 'changed' | 'saving' | 'offline' | 'stale' | 'refused' | 'signed-out';

export interface JobState {
  readonly id: string;
  readonly job: Job;
  /** The job while something is dragged: shown, but not yet a change. */
  readonly preview: Job | null;
  /** The preview of when the hand last rested: what all but the board shows meanwhile; null before it did. */
  readonly rested: Job | null;
  /** What the changes since the last save did. */
  readonly labels: readonly string[];
  /** The newest revision we know of: what the next save is based on. */
  readonly revision: number;
  readonly savedJob: Job;
  readonly saveState: SaveState;
  readonly saveDetail: string;
  /** The server's version while it has to be chosen between that and what is here, and the fields that both changed. */
  readonly theirs: SavedJob | null;
  readonly conflicts: readonly MergeConflict[];
  /** What another page changed last, until it was read. */
  readonly news: News | null;
  /** Names of those who have the job open. */
  readonly here: readonly string[];
  readonly records: readonly ShopRecord[];
  /** Ids of records that are not yet on the server. */
  readonly unsent: readonly string[];
  /** Records that the server will not take, each with its reason; kept on this device until somebody drops them. */
  readonly refusedRecords: readonly RefusedRecord[];
  readonly bench: string;
  /** What slides over the tray; null for nothing. */
  readonly drawer: string | null;
  /** Benches whose layer stays on the board of others that show the same frame. */
  readonly pinned: readonly string[];
  /** Where the blade stands, built station, mm; null before somebody put it anywhere. */
  readonly blade: number | null;
  /** The joint that is worked on, and which rail or member of it is looked at; null for the first there is. */
  readonly splice: { readonly joint: string | null; readonly rail: RailId | null };
  /** The cut whose stands are shown, by its operation; null for the first there is; and at which moment of it. */
  readonly shoring: { readonly step: string | null; readonly moment: CutMoment };
  /** The figure whose thread is pulled. */
  readonly thread: FigureId | null;
  /** How far the loose half is pushed by hand on the picture: its ends to the right, all of it to the rear, mm; null: not. */
  readonly pushed: { readonly front: number; readonly rear: number; readonly back: number } | null;
  /** The operation up to which the frame is done and held against its readings; null: all of them. */
  readonly asFar: string | null;
  /** The stage of readings that is looked at; null for the one at hand. */
  readonly stage: Stage | null;
  /** The first of the two things that are measured between; empty while none is picked; null when not measuring. */
  readonly measuring: string | null;
  /** Id of the selected operation, feature, conflict place … on the bench at hand. */
  readonly selected: string | null;
  readonly showBefore: boolean;
  /** The board is turned into a view in space. */
  readonly lookingAround: boolean;
  /** The measurement drawn across the plan view. */
  readonly measurement: ShownMeasurement | null;
  /** What the board was asked to bring into sight last. */
  readonly look: Look | null;
  /** Built station in the middle of what the board shows, mm; null before it was drawn. */
  readonly center: number | null;
  readonly canWrite: boolean;
  /** May add readings, notes and photos, whether or not the job may be changed. */
  readonly canRecord: boolean;
  readonly memberName: string;
  readonly shopName: string;
  /** Who is signed in. */
  readonly me: string;
  /** The job is as this device kept it at that time, since the server could not be reached; null where it is the server's. */
  readonly asOf: string | null;
  /** This browser keeps nothing: what waits to be sent is lost when the page goes. */
  readonly keepsNothing: boolean;
}

/** What another page changed of the job, by whom and when. */
interface News {
  readonly by: string;
  readonly at: string;
  readonly revision: number;
  readonly changes: readonly JobChange[];
}

/** A record that the server refused, and why. */
interface RefusedRecord {
  readonly record: ShopRecord;
  readonly message: string;
}

/** A measurement as it is drawn: a control measurement, or a tape between any two things. mm; null where it has none. */
export interface ShownMeasurement {
  readonly kind: string;
  readonly before: number | null;
  readonly predicted: number | null;
  readonly ends: { readonly donor: readonly Vec3[] | null; readonly built: readonly Vec3[] | null };
  /** Ids of the two things that it runs between, where it is not a control measurement. */
  readonly things?: readonly [from: string, to: string];
}

/** A place that somebody wants to see, and the thing there, if one; a new object each time it is asked for. */
export interface Look {
  readonly builtX: number;
  readonly about: string | null;
}

export type JobStore = ReturnType<typeof createJobStore>;

export interface JobStart extends OpenedJob {
  readonly bench: string;
  /** When this device kept it so; null where it comes from the server. */
  readonly asOf: string | null;
}

/** The state of one open job. Only the job itself is undone and redone. */
export function createJobStore({
  saved,
  records,
  bench,
  canWrite,
  canRecord,
  memberName,
  shopName,
  me,
  asOf,
}: JobStart) {
  return createStore<JobState>()(
    temporal(
      (): JobState => ({
        id: saved.id,
        job: saved.job,
        preview: null,
        rested: null,
        labels: [],
        revision: saved.revision,
        savedJob: saved.job,
        saveState: 'saved',
        saveDetail: '',
        theirs: null,
        conflicts: [],
        news: null,
        here: [],
        records,
        unsent: [],
        refusedRecords: [],
        bench,
        drawer: null,
        pinned: [],
        blade: null,
        splice: { joint: null, rail: null },
        shoring: { step: null, moment: 'standing' },
        pushed: null,
        asFar: null,
        thread: null,
        stage: null,
        measuring: null,
        selected: null,
        showBefore: false,
        lookingAround: false,
        measurement: null,
        look: null,
        center: null,
        canWrite,
        canRecord,
        memberName,
        shopName,
        me,
        asOf,
        keepsNothing: false,
      }),
      { partialize: ({ job }) => ({ job }), equality: (a, b) => a.job === b.job, limit: 200 },
    ),
  );
}

/** Makes a change of the job: one step of undo, saved soon after. Nothing happens when the job stays the same. */
export function change(store: JobStore, label: string, edit: (job: Job) => Job): void {
  const { job, labels, canWrite } = store.getState();
  if (!canWrite) return;
  const next = guarded(edit(job));
  if (next === job) return store.setState({ preview: null });
  store.setState({ job: next, preview: null, labels: labels.at(-1) === label ? labels : [...labels, label] });
}

/** Shows a change without making it. Nothing happens when it is what is shown already: what is dragged goes by steps. */
export function preview(store: JobStore, edit: (job: Job) => Job): void {
  const { job, preview: shown, canWrite } = store.getState();
  if (!canWrite) return;
  const next = edit(job);
  if (shown === null || !dequal(next, shown)) store.setState({ preview: next });
}

/** The job as the board shows it: with what is dragged, as it is now. */
export const jobNow = ({ job, preview }: JobState): Job => preview ?? job;

/** The job as it was last changed, without what is only shown while it is dragged. */
export const jobMade = ({ job }: JobState): Job => job;

/** The job as everything beside the board shows it: with what is dragged, as it was when the hand last rested. */
export const jobRested = ({ job, preview, rested }: JobState): Job => (preview && rested) ?? job;

/** Notes when the hand that drags something rests. Gives how to stop. */
export function noteRests(store: JobStore): () => void {
  const lagging = lag((rested: Job) => store.setState({ rested }));
  const unsubscribe = store.subscribe(({ preview, rested }, before) => {
    if (preview === before.preview) return;
    if (preview) return lagging.tell(preview);
    lagging.forget();
    if (rested) store.setState({ rested: null });
  });
  return () => {
    unsubscribe();
    lagging.forget();
  };
}

/** Says in the history that a step was undone or redone, unless that brought back what the server has. */
function stepped(store: JobStore, label: string): void {
  const { job, savedJob, labels } = store.getState();
  store.setState({ preview: null, labels: job === savedJob ? [] : [...labels, label] });
}

export function undo(store: JobStore): void {
  store.temporal.getState().undo();
  stepped(store, 'Undo');
}

export function redo(store: JobStore): void {
  store.temporal.getState().redo();
  stepped(store, 'Redo');
}

/** Takes a version from the server as the one on this page; undo still reaches what was here. */
export function takeTheirs(store: JobStore, theirs: SavedJob): void {
  store.setState({
    job: theirs.job,
    savedJob: theirs.job,
    revision: theirs.revision,
    labels: [],
    preview: null,
    saveState: 'saved',
    theirs: null,
    conflicts: [],
  });
}

export const useJobState = <T>(store: JobStore, pick: (state: JobState) => T): T => useStore(store, useShallow(pick));
export const useHistory = (store: JobStore) =>
  useStore(
    store.temporal,
    useShallow((state) => ({ past: state.pastStates.length, future: state.futureStates.length })),
  );

/** A record made now on this device, by who is signed in. */
export const recordNow = <K extends RecordKind>(store: JobStore, kind: K, body: ShopRecord<K>['body']): ShopRecord<K> =>
  newRecord(kind, body as never, {
    id: freshId('record'),
    taken: new Date().toISOString(),
    by: store.getState().memberName,
  });
