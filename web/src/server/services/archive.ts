import { type AttachmentType, writeItem } from '@splay/core';
import type { Member } from '../db/shop.ts';
import { doLong } from '../queue/queue.ts';
import { plainName } from '../http/problem.ts';
import { ARCHIVE } from '../../shared/archive-names.ts';
import { readAttachment } from './attachments.ts';
import { listItems, readItem } from './library.ts';
import { everyJob } from './job-listing.ts';
import { listRuleSets } from './rule-sets.ts';

/** A file of the archive. */
interface ArchivedFile {
  readonly name: string;
  readonly input: string | Uint8Array<ArrayBuffer>;
}

/**
 * Everything of the shop: its jobs by where they are kept, the pictures of their records beside them, once each, every item
 * of its library, and its rule sets. One at a time: an archive may be larger than memory.
 */
export async function* archiveOf(member: Member): AsyncGenerator<ArchivedFile> {
  const pictures = new Set<string>();
  for (const { id, place } of await everyJob(member)) {
    const job = await doLong(member, 'exportJob', id, 'beside');
    // Two jobs may go by one name.
    yield { name: `${ARCHIVE.jobs[place]}${plainName(job.name)}-${id.slice(0, 8)}.splay.json`, input: job.text };
    for (const hash of job.pictures) pictures.add(hash);
  }
  for (const hash of pictures) {
    const { type, bytes } = await readAttachment(member, hash);
    yield { name: `${ARCHIVE.pictures}${hash}.${ARCHIVE.endings[type as AttachmentType]}`, input: bytes };
  }
  for (const { id, name } of await listItems(member))
    yield {
      name: `${ARCHIVE.library}${plainName(name)}-${id.slice(0, 8)}.splay-item.json`,
      input: writeItem(await readItem(member, id)),
    };
  const sets = await listRuleSets(member);
  if (sets.length > 0) yield { name: ARCHIVE.ruleSets, input: `${JSON.stringify(sets, null, 2)}\n` };
}
