import {
  type AttachmentType,
  checkJob,
  contextOf,
  drawingOf,
  drawParts,
  type FlatPart,
  InputError,
  type Job,
  lettersToKeep,
  type LibraryItem,
  type MarkedLine,
  markedLines,
  markSheet,
  mountParts,
  parseItem,
  parseJobFile,
  planOf,
  sceneOf,
  spliceParts,
  writeDxf,
  writeGlb,
  writeSvg,
} from '@splay/core';
import * as yup from 'yup';
import { line } from '../http/line-field.ts';
import { jsonOf } from '../http/json-of.ts';
import { marksPdf } from '../pdf/marks-pdf.ts';
import { partsPdf } from '../pdf/parts-pdf.ts';
import { standsPdf } from '../pdf/stands-pdf.ts';
import type { Paper } from '../pdf/sheet.ts';
import { checkPicture, hashOf } from '../pictures.ts';
import type { JobText } from '../services/revisions.ts';
import { batchesOf } from '../services/record-batches.ts';
import { jobCard } from '../../shared/job-card.ts';
import type { SavedJob } from '../../shared/saved-job.ts';
import { sharedJob } from './shared-job.ts';

/**
 * What takes long, or as long as whoever sends it wants: it runs in a thread of its own (`pool.ts`), so that no request
 * holds up another. Each takes and gives plain data.
 */

/** A picture that came with a job file, checked. */
export interface Picture {
  readonly hash: string;
  readonly type: AttachmentType;
  readonly bytes: Uint8Array;
}

/** A job file, checked. */
interface ReadJobFile {
  readonly job: Job;
  /** Its records in batches, as they are stored. */
  readonly records: readonly string[];
  readonly pictures: readonly Picture[];
}

/** More values than this are in no job: what is in a list or an object counts one each. */
const MOST_VALUES = 400_000;

/**
 * The text of a body, refused before it is parsed where it holds more values than any job: parsed they would take many
 * times the room of their text. @throws InputError
 */
function textOf(bytes: Uint8Array): string {
  let values = 0;
  for (const byte of bytes) if (byte === 0x2c || byte === 0x5b || byte === 0x7b) values += 1;
  if (values > MOST_VALUES)
    throw new InputError([
      { code: 'body/too-much', path: '', message: `This holds more than ${MOST_VALUES} values: no job does.` },
    ]);
  return new TextDecoder().decode(bytes);
}

const save = yup
  .object({
    basedOn: yup.number().strict().integer().min(1).required(),
    label: line(200),
    /** The version of the job format that the job is in. */
    version: yup.number().strict().integer().min(1).required('is missing: load the page again'),
    job: yup.mixed().required(),
  })
  .noUnknown();

/** A save as it is sent: which revision it is based on, and the job, checked, as text to store. @throws InputError */
function readSave(bytes: Uint8Array): JobText & { readonly basedOn: number; readonly label: string } {
  const { basedOn, label, version, job: sent } = jsonOf(textOf(bytes), save);
  const job = checkJob(sent, version);
  return { basedOn, label, name: job.name, text: JSON.stringify(job) };
}

/** @throws InputError for a file that is not right, its pictures included. */
function readJobFile(bytes: Uint8Array): ReadJobFile {
  const { job, records, attachments } = parseJobFile(textOf(bytes));
  const pictures = attachments.map(({ hash, type, data }, index): Picture => {
    const picture = Buffer.from(data, 'base64');
    checkPicture(picture, type, `attachments[${index}]`);
    if (hashOf(picture) !== hash)
      throw new InputError([
        {
          code: 'attachment/hash',
          path: `attachments[${index}].hash`,
          message: 'This is not the hash of the picture: the file was changed or cut short.',
        },
      ]);
    return { hash, type, bytes: picture };
  });
  return { job, records: batchesOf(records), pictures };
}

const readItem = (bytes: Uint8Array): LibraryItem => parseItem(textOf(bytes));

/** A view of the frame in real size. */
function drawing(job: Job, what: 'side' | 'plan', as: 'dxf' | 'svg'): string {
  const shapes = drawingOf(sharedJob(job), what);
  return as === 'dxf' ? writeDxf(shapes) : writeSvg(shapes, `${job.name} ${what}`);
}

/** The parts of a job's joints or of its mounts, or one of them; null where there is none. */
async function partsFile(
  head: SavedJob,
  asked: {
    readonly of: 'joints' | 'mounts';
    readonly mark: string | null;
    readonly as: 'dxf' | 'svg' | 'pdf';
    readonly paper: Paper;
    readonly name: string;
  },
): Promise<string | Uint8Array | null> {
  const job = sharedJob(head.job);
  const all: readonly FlatPart[] =
    asked.of === 'mounts' ? mountParts(planOf(job).mountings, contextOf(job)) : spliceParts(planOf(job), job);
  const parts = asked.mark === null ? all : all.filter(({ mark }) => mark === asked.mark);
  if (parts.length === 0) return null;
  switch (asked.as) {
    case 'dxf':
      return writeDxf(drawParts(parts));
    case 'svg':
      return writeSvg(drawParts(parts), asked.name);
    case 'pdf':
      return partsPdf(head, parts, asked.paper);
  }
}

/** What a marks sheet of a job is kept by, and the job with its letters kept; null where they are already. */
function marksToIssue(sent: Job): { readonly lines: readonly MarkedLine[]; readonly withLetters: Job | null } {
  const job = sharedJob(sent);
  const plan = planOf(job);
  const letters = lettersToKeep(plan, job.plan.letters);
  return {
    lines: markedLines(markSheet(job, plan)),
    withLetters: letters.length === (job.plan.letters?.length ?? 0) ? null : { ...job, plan: { ...job.plan, letters } },
  };
}

/** The frame as planned with its bodies, in space, as binary glTF. */
const glb = (job: Job): Promise<Uint8Array> => writeGlb(sceneOf(job.donor, planOf(job)), job.name);

export const tasks = {
  jobCard,
  marksToIssue,
  readSave,
  readJobFile,
  readItem,
  marksPdf,
  standsPdf,
  partsFile,
  drawing,
  glb,
} as const;
export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
