import { itemOf, jobFileOf, newRecord, parseJobFile, type ShopRecord, writeItem, writeJobFile } from '@splay/core';
import { downloadZip } from 'client-zip';
import { unzipSync } from 'fflate';
import { afterAll, describe, expect, it } from 'vitest';
import type { Answer } from '../src/client/api.ts';
import { importArchive, NoArchive, type SendsArchives } from '../src/client/import-archive.ts';
import { importJob as sendJob } from '../src/client/import-job.ts';
import { closeDatabase } from '../src/server/db/database.ts';
import type { Member } from '../src/server/db/shop.ts';
import { hashOf } from '../src/server/pictures.ts';
import { archiveOf } from '../src/server/services/archive.ts';
import { addAttachment } from '../src/server/services/attachments.ts';
import { Forbidden } from '../src/server/services/errors.ts';
import { importJob } from '../src/server/services/job-files.ts';
import { everyJob, listJobs } from '../src/server/services/job-listing.ts';
import { placeJob } from '../src/server/services/jobs.ts';
import { keepItem, listItems, readItem } from '../src/server/services/library.ts';
import { addRuleVersion, importRuleSet, keepRuleSet, listRuleSets } from '../src/server/services/rule-sets.ts';
import { roomOf } from '../src/server/services/shop-state.ts';
import { closeThreads } from '../src/server/threads/pool.ts';
import { JOB_FILE_LIMIT } from '../src/shared/archive-names.ts';
import { flagshipText, newShop } from './shops.ts';

const { job, records } = parseJobFile(flagshipText);
const control = job.donor.controlMeasurements[0]!.id;
const encoder = new TextEncoder();
/** A picture that no other is like: what makes it one, and so many bytes. */
const pictureOf = (at: number, size = 2000) => {
  const bytes = new Uint8Array(size).fill(at % 251);
  bytes.set([0x89, 0x50, 0x4e, 0x47, at >> 8, at & 255]);
  return bytes;
};
const taken = (at: number) => new Date(Date.UTC(2026, 4, 2) + at * 1000).toISOString();
const readings = (count: number): ShopRecord[] =>
  Array.from({ length: count }, (_, at) =>
    newRecord(
      'reading',
      { measurement: control, stage: 'before-cut', value: 700 + at / 8 },
      { id: `many-${at}`, taken: taken(at), by: at % 2 ? 'fabricator' : 'welder “Ж”' },
    ),
  );
const photos = (count: number): ShopRecord[] =>
  Array.from({ length: count }, (_, at) =>
    newRecord(
      'photo',
      { of: null, note: `no. ${at}`, attachment: hashOf(pictureOf(at)), width: 40, height: 30 },
      { id: `photo-${at}`, taken: taken(30_000 + at), by: 'fabricator' },
    ),
  );

afterAll(async () => {
  await closeThreads();
  await closeDatabase();
});

/** What the browser sends an archive by, straight to the services; `fails` drops the connection at some calls. */
function serverOf(member: Member, fails: () => boolean = () => false): SendsArchives {
  const answered = async <T>(work: () => T | Promise<T>): Promise<Answer<T>> => {
    if (fails()) return { ok: false, reason: 'offline', detail: '', problems: [] };
    try {
      return { ok: true, value: await work() };
    } catch (error) {
      return { ok: false, reason: 'refused', detail: String(error), problems: [] };
    }
  };
  return {
    sendPicture: async (picture) => {
      const bytes = new Uint8Array(await picture.arrayBuffer());
      return answered(async () => ({ hash: await addAttachment(member, picture.type as 'image/png', bytes) }));
    },
    importJob: (text, key) => answered(() => importJob(member, text, key)),
    placeJob: (id, place) => answered(() => placeJob(member, id, place)),
    keepItem: (text) => answered(() => keepItem(member, encoder.encode(text))),
    libraryItems: () => answered(() => listItems(member)),
    libraryItem: (id) => answered(() => readItem(member, id)),
    importRuleSet: (set) => answered(() => importRuleSet(member, set as Parameters<typeof importRuleSet>[1])),
  };
}

const archiveBytes = async (member: Member) => new Uint8Array(await downloadZip(archiveOf(member)).arrayBuffer());
/** The files of an archive under the names that they have in any shop: without the ids of jobs and items. */
const filesOf = (archive: Uint8Array) =>
  Object.fromEntries(
    Object.entries(unzipSync(archive)).map(([name, bytes]) => [
      name.replace(/-[0-9a-f]{8}(?=\.splay)/, ''),
      hashOf(bytes),
    ]),
  );

/** A shop with everything in it that a shop can keep. */
async function fullShop(many: number, pictures: number): Promise<Member> {
  const { owner } = await newShop();
  for (let at = 0; at < pictures; at += 1) await addAttachment(owner, 'image/png', pictureOf(at));
  const set = await keepRuleSet(owner, 'House rules', {
    rules: { profile: job.rules.profile, changes: {} },
    why: 'ours',
  });
  await addRuleVersion(owner, set.id, 1, { rules: { profile: job.rules.profile, changes: {} }, why: 'again' });
  const rules = { ...job.rules, from: { set: set.id, name: set.name, version: 1 } };
  const all = [...records, ...readings(many), ...photos(pictures)];
  await importJob(owner, writeJobFile(jobFileOf({ ...job, rules }, all)));
  for (const place of ['archived', 'deleted'] as const) {
    const { id } = await importJob(owner, writeJobFile(jobFileOf({ ...job, name: `Put away: ${place}` }, [])));
    await placeJob(owner, id, place);
  }
  await keepItem(owner, encoder.encode(writeItem(itemOf(job))));
  await keepItem(owner, encoder.encode(writeItem(itemOf(job, job.bodies[0]))));
  return owner;
}

describe('an archive of a shop', () => {
  it('comes back byte for byte in another shop: 20,000 records, 200 photos, the library, the rule sets', async () => {
    const owner = await fullShop(20_000, 200);
    const archive = await archiveBytes(owner);
    const { owner: other } = await newShop();
    const heard: number[] = [];
    const outcome = await importArchive(archive, serverOf(other), ({ done, all }) => heard.push(done / all));
    expect(outcome).toEqual({ jobs: 3, pictures: 200, items: 2, ruleSets: 1, refused: [], stopped: false });
    expect(heard).toEqual([...heard].sort((a, b) => a - b));
    const [before, after] = [filesOf(archive), filesOf(await archiveBytes(other))];
    // Another shop had the id of the set: here it has one of its own, and all else of it is as it was.
    delete before['rule-sets.json'];
    delete after['rule-sets.json'];
    expect(after).toEqual(before);
    const without = async (member: Member) => (await listRuleSets(member)).map(({ id: _, ...set }) => set);
    expect(await without(other)).toEqual(await without(owner));
    expect((await everyJob(other)).map(({ place }) => place)).toEqual(['listed', 'archived', 'deleted']);
    // All of it counts as stored: the records, the photos, the jobs.
    expect((await roomOf(other)).stored).toBeGreaterThan(20_000 * 150 + 200 * 2000);
  });

  it('taken in again makes nothing twice, and what was dropped on the way is sent again', async () => {
    const archive = await archiveBytes(await fullShop(3, 2));
    const { owner: other } = await newShop();
    let calls = 0;
    const server = serverOf(other, () => (calls += 1) % 3 === 0);
    expect((await importArchive(archive, server)).refused).toEqual([]);
    const once = filesOf(await archiveBytes(other));
    await importArchive(archive, serverOf(other));
    expect(filesOf(await archiveBytes(other))).toEqual(once);
    // A job that was deleted since is on the list again: it was asked for.
    const [first] = await listJobs(other, { place: 'listed' });
    await placeJob(other, first!.id, 'deleted');
    await importArchive(archive, serverOf(other));
    expect((await listJobs(other, { place: 'listed' })).map(({ id }) => id)).toEqual([first!.id]);
  });

  it('stops between two files, and goes on where it was', async () => {
    const archive = await archiveBytes(await fullShop(3, 2));
    const { owner: other } = await newShop();
    const stop = new AbortController();
    const onProgress = ({ done }: { readonly done: number }) => {
      if (done === 2) stop.abort();
    };
    expect(await importArchive(archive, serverOf(other), onProgress, stop.signal)).toMatchObject({
      pictures: 2,
      jobs: 0,
      stopped: true,
    });
    expect(await listJobs(other)).toEqual([]);
    expect(await importArchive(archive, serverOf(other))).toMatchObject({ jobs: 3, stopped: false });
  });

  it('says of each file that is not right why, and takes the others', async () => {
    const { owner } = await newShop();
    const text = (name: string, input: string) => ({ name, input });
    const archive = new Uint8Array(
      await downloadZip([
        text('jobs/good.splay.json', flagshipText),
        text('jobs/cut-short.splay.json', flagshipText.slice(0, 900)),
        text('library/none.splay-item.json', '{}'),
        text('photos/x.gif', 'GIF89a'),
        text('rule-sets.json', '{}'),
        text('read-me.txt', 'not ours'),
      ]).arrayBuffer(),
    );
    const { jobs, refused } = await importArchive(archive, serverOf(owner));
    expect(jobs).toBe(1);
    expect(refused.map(({ file }) => file)).toEqual([
      'photos/x.gif',
      'rule-sets.json',
      'jobs/cut-short.splay.json',
      'library/none.splay-item.json',
    ]);
    for (const { why } of refused) expect(why).toMatch(/\w/);
  });

  it('is the same after somebody opened it and packed it again in a folder', async () => {
    const archive = await archiveBytes(await fullShop(3, 2));
    const again = Object.entries(unzipSync(archive)).flatMap(([name, input]) => [
      { name: `splay of May/${name}`, input: new Uint8Array(input) },
      { name: `__MACOSX/${name}`, input: 'not ours' },
    ]);
    const { owner } = await newShop();
    const packed = new Uint8Array(await downloadZip(again).arrayBuffer());
    expect(await importArchive(packed, serverOf(owner))).toMatchObject({ jobs: 3, pictures: 2, items: 2, refused: [] });
  });

  it('is refused where it is none, or was cut short', async () => {
    const { owner } = await newShop();
    const archive = await archiveBytes(await fullShop(1, 1));
    for (const bytes of [encoder.encode(flagshipText), archive.subarray(0, archive.length / 2), new Uint8Array(0)])
      await expect(importArchive(bytes, serverOf(owner))).rejects.toThrow(NoArchive);
    const other = new Uint8Array(await downloadZip([{ name: 'a.txt', input: 'a' }]).arrayBuffer());
    await expect(importArchive(other, serverOf(owner))).rejects.toThrow(/nothing of a shop/);
  });
});

it('a job file larger than the server takes sends its pictures ahead', async () => {
  const { owner } = await newShop();
  const all = Array.from({ length: 32 }, (_, at) => pictureOf(at, 500_000));
  const attachments = all.map((bytes) => ({
    hash: hashOf(bytes),
    type: 'image/png' as const,
    data: Buffer.from(bytes).toString('base64'),
  }));
  const shots = attachments.map(({ hash }, at) =>
    newRecord(
      'photo',
      { of: null, note: '', attachment: hash, width: 4, height: 3 },
      { id: `p${at}`, taken: taken(at), by: 'owner' },
    ),
  );
  const text = writeJobFile(jobFileOf(job, shots, attachments));
  expect(text.length).toBeGreaterThan(JOB_FILE_LIMIT);
  const answer = await sendJob(text, 'import-large-1', serverOf(owner));
  expect(answer.ok).toBe(true);
  const archive = unzipSync(await archiveBytes(owner));
  expect(Object.keys(archive).filter((name) => name.startsWith('photos/'))).toHaveLength(32);
});

describe('rule sets of an archive', () => {
  it('keep their id where it is free, who made each version and when; the same again is left as it is', async () => {
    const { owner, reviewer } = await newShop();
    const set = await keepRuleSet(owner, 'Ours', { rules: { profile: job.rules.profile, changes: {} }, why: 'ours' });
    const moved = { ...set, id: '5b1fd7a4-7f2e-4a52-9c8e-1d2f3a4b5c6d', name: 'Ours too' };
    expect(await importRuleSet(owner, moved)).toEqual(moved);
    expect(await importRuleSet(owner, moved)).toEqual(moved);
    expect(await listRuleSets(owner)).toEqual([set, moved]);
    await expect(
      importRuleSet(owner, { ...moved, versions: [{ ...moved.versions[0]!, why: 'another' }] }),
    ).rejects.toThrow();
    await expect(importRuleSet(reviewer, moved)).rejects.toThrow(Forbidden);
  });
});
