import { writeItem } from '@splay/core';
import type { Member } from '../db/shop.ts';
import { plainName } from '../http/problem.ts';
import { exportJob } from './job-files.ts';
import { listItems, readItem } from './library.ts';
import { jobIds } from './job-listing.ts';
import { listRuleSets } from './rule-sets.ts';

/** A file of the archive. */
interface ArchivedFile {
  readonly name: string;
  readonly input: string;
}

/** Every job of the shop, those put away and deleted too, and every item of its library, and its rule sets. */
export async function* archiveOf(member: Member): AsyncGenerator<ArchivedFile> {
  for (const id of await jobIds(member)) {
    const { name, text } = await exportJob(member, id);
    // Two jobs may go by one name.
    yield { name: `jobs/${plainName(name)}-${id.slice(0, 8)}.splay.json`, input: text };
  }
  for (const { id, name } of await listItems(member))
    yield {
      name: `library/${plainName(name)}-${id.slice(0, 8)}.splay-item.json`,
      input: writeItem(await readItem(member, id)),
    };
  const sets = await listRuleSets(member);
  if (sets.length > 0) yield { name: 'rule-sets.json', input: `${JSON.stringify(sets, null, 2)}\n` };
}
