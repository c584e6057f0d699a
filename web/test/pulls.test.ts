import { newRecord } from '@splay/core';
import { afterAll, expect, it } from 'vitest';
import { closeDatabase } from '../src/server/db/database.ts';
import { importJob } from '../src/server/services/job-files.ts';
import { listPulls } from '../src/server/services/pulls.ts';
import { addRecords } from '../src/server/services/records.ts';
import { flagshipText, newShop } from './shops.ts';

afterAll(closeDatabase);

const pull = (id: string, joints: readonly string[], measured: number) =>
  newRecord(
    'pull-measured',
    { joints, form: 'butt', wall: 4.8, expected: 1, measured },
    { id, taken: `2026-04-1${id}T08:00:00Z`, by: 'x' },
  );

it('lists measured pulls of all jobs of the shop, the last of the same joints, and no other shop’s', async () => {
  const { owner, reviewer } = await newShop();
  const stranger = (await newShop()).owner;
  const [one, two] = [await importJob(owner, flagshipText), await importJob(owner, flagshipText)];
  await addRecords(owner, one.id, [pull('1', ['a'], 1.1), pull('2', ['a'], 1.2)]);
  await addRecords(owner, two.id, [pull('3', ['a'], 1.6), pull('4', ['b', 'c'], 1.4)]);
  const elsewhere = await importJob(stranger, flagshipText);
  await addRecords(stranger, elsewhere.id, [pull('5', ['a'], 9)]);
  const told = await listPulls(reviewer);
  expect(told.map(({ measured }) => measured).toSorted((a, b) => a - b)).toEqual([1.2, 1.4, 1.6]);
  expect((await listPulls(stranger)).map(({ measured }) => measured)).toEqual([9]);
});
