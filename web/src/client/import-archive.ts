import type { AttachmentType, LibraryItem } from '@splay/core';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { unzipSync } from 'fflate';
import { ARCHIVE } from '../shared/archive-names.ts';
import { type api as Server, type Answer } from './api.ts';
import { importJob, type SendsJobs, untilReached } from './import-job.ts';

/** What an archive is sent by. */
export type SendsArchives = SendsJobs &
  Pick<typeof Server, 'placeJob' | 'keepItem' | 'libraryItems' | 'libraryItem' | 'importRuleSet'>;

/** How far an import has come. */
export interface ArchiveProgress {
  readonly done: number;
  readonly all: number;
  /** The file at hand. */
  readonly file: string;
}

/** What became of the files of an archive. */
export interface ArchiveOutcome {
  readonly jobs: number;
  readonly pictures: number;
  readonly items: number;
  readonly ruleSets: number;
  /** Files that were not taken in, and why; nothing of them was stored. */
  readonly refused: readonly { readonly file: string; readonly why: string }[];
  /** Somebody stopped it: what comes after was not sent. */
  readonly stopped: boolean;
}

/** No archive at all, or one that was cut short. */
export class NoArchive extends Error {}

const TYPES = Object.fromEntries(
  Object.entries(ARCHIVE.endings).map(([type, ending]) => [ending, type as AttachmentType]),
);
const PLACES = Object.entries(ARCHIVE.jobs) as [keyof typeof ARCHIVE.jobs, string][];
/** Pictures first, since records refer to them; jobs as they were made. */
const ORDER = [ARCHIVE.pictures, ARCHIVE.ruleSets, ...PLACES.map(([, folder]) => folder), ARCHIVE.library];

const rank = (name: string) => ORDER.findIndex((start) => name.startsWith(start));

/** A folder that somebody packed an opened archive in again with, before the name that a file has in ours. */
const PACKED_IN = /^(?!__MACOSX)[^/]+\//;

/** The files of a shop in a zip archive: what each is called in ours, and there. @throws NoArchive */
function filesIn(bytes: Uint8Array): ReadonlyMap<string, string> {
  const names: string[] = [];
  try {
    unzipSync(bytes, {
      filter: ({ name }) => {
        if (!name.endsWith('/')) names.push(name);
        return false;
      },
    });
  } catch {
    throw new NoArchive('This is no archive, or one that was cut short: download it again.');
  }
  const known = names.flatMap((name) => {
    const ours = rank(name) >= 0 ? name : name.replace(PACKED_IN, '');
    return rank(ours) >= 0 ? [[ours, name] as const] : [];
  });
  return new Map(known);
}

/** One file of a zip archive. */
function fileIn(bytes: Uint8Array, file: string): Uint8Array<ArrayBuffer> | null {
  try {
    const { [file]: found } = unzipSync(bytes, { filter: ({ name }) => name === file });
    return found ? new Uint8Array(found) : null;
  } catch {
    return null;
  }
}

/**
 * Takes an archive of a shop's work in, file by file: the pictures, the rule sets, the jobs to where they were kept, the
 * library. Each job goes under a key made of what is in its file, so that the same archive sent again makes no second one.
 * A file that is refused takes no other along.
 *
 * @param archive The archive, as it was downloaded.
 * @param server Where it goes.
 * @param onProgress Hears of each file before it is sent.
 * @param signal Stops it between two files.
 * @throws NoArchive
 */
export async function importArchive(
  archive: Uint8Array,
  server: SendsArchives,
  onProgress: (progress: ArchiveProgress) => void = () => {},
  signal?: AbortSignal,
): Promise<ArchiveOutcome> {
  const files = filesIn(archive);
  if (files.size === 0)
    throw new NoArchive('There is nothing of a shop in this archive: no job, no item, no rule set.');
  const inTurn = [...files.keys()].toSorted((a, b) => rank(a) - rank(b));
  const refused: { file: string; why: string }[] = [];
  const counts = { jobs: 0, pictures: 0, items: 0, ruleSets: 0 };
  const here = inTurn.some((name) => name.startsWith(ARCHIVE.library)) ? await untilReached(server.libraryItems) : null;
  let stopped = false;
  for (const [done, file] of inTurn.entries()) {
    if (signal?.aborted) {
      stopped = true;
      break;
    }
    onProgress({ done, all: inTurn.length, file });
    const bytes = fileIn(archive, files.get(file) ?? file);
    const why = bytes === null ? 'it is damaged in the archive' : await take(file, bytes);
    if (why !== null) refused.push({ file, why });
  }
  return { ...counts, refused, stopped };

  /** Sends one file; null where it was taken, else why not. */
  async function take(file: string, bytes: Uint8Array<ArrayBuffer>): Promise<string | null> {
    if (file.startsWith(ARCHIVE.pictures)) {
      const type = TYPES[file.slice(file.lastIndexOf('.') + 1)];
      if (!type) return 'this is no kind of picture that is kept';
      const answer = await untilReached(() => server.sendPicture(new Blob([bytes], { type })));
      return counted('pictures', answer);
    }
    const text = new TextDecoder().decode(bytes);
    try {
      if (file === ARCHIVE.ruleSets) return await takeRuleSets(JSON.parse(text));
      if (file.startsWith(ARCHIVE.library)) return await takeItem(text);
      return await takeJob(file, text, bytes);
    } catch {
      return 'it cannot be read: it was changed or cut short';
    }
  }

  async function takeJob(file: string, text: string, bytes: Uint8Array): Promise<string | null> {
    const answer = await importJob(text, `archive-${bytesToHex(sha256(bytes))}`, server);
    const why = counted('jobs', answer);
    const place = PLACES.find(([, folder]) => file.startsWith(folder))?.[0] ?? 'listed';
    if (answer.ok) {
      const put = await untilReached(() => server.placeJob(answer.value.id, place));
      if (!put.ok) return `it is stored, and on the list in place of ${place}: ${put.detail}`;
    }
    return why;
  }

  async function takeItem(text: string): Promise<string | null> {
    // Whether it is an item the server says; here it is only looked for among those that are kept.
    const item = JSON.parse(text) as Partial<LibraryItem>;
    const name = item.item?.name;
    const alike = here?.ok ? here.value.filter((one) => one.name === name) : [];
    for (const { id } of alike) {
      const known = await untilReached(() => server.libraryItem(id));
      if (known.ok && JSON.stringify(known.value) === JSON.stringify(item)) return null;
    }
    return counted('items', await untilReached(() => server.keepItem(text)));
  }

  async function takeRuleSets(sets: unknown): Promise<string | null> {
    if (!Array.isArray(sets)) return 'it is no list of rule sets';
    const problems: string[] = [];
    for (const set of sets) {
      const why = counted('ruleSets', await untilReached(() => server.importRuleSet(set)));
      if (why !== null) problems.push(why);
    }
    return problems.length === 0 ? null : problems.join(' ');
  }

  function counted(what: keyof typeof counts, answer: Answer<unknown>): string | null {
    if (answer.ok) counts[what] += 1;
    return answer.ok ? null : (answer.problems[0]?.message ?? answer.detail);
  }
}
