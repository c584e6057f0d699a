import { readFileSync } from 'node:fs';
import { parseJobFile, planOf } from '@splay/core';
import { expect, it } from 'vitest';
import { sharedJob } from '../src/server/threads/shared-job.ts';

const parcelVan = () => parseJobFile(readFileSync(new URL('../../demo/parcel-van.json', import.meta.url), 'utf8')).job;

it('evaluates a job once, however often it arrives', () => {
  const first = planOf(sharedJob(parcelVan()));
  expect(planOf(sharedJob(parcelVan()))).toBe(first);
});

it('keeps the donor, and nothing else, of a job whose plan changed', () => {
  const first = sharedJob(parcelVan());
  const sent = parcelVan();
  const changed = sharedJob({ ...sent, plan: { ...sent.plan, operations: sent.plan.operations.slice(1) } });
  expect(changed.donor).toBe(first.donor);
  expect(changed.plan.operations).toHaveLength(first.plan.operations.length - 1);
  expect(planOf(changed)).not.toBe(planOf(first));
});

it('never answers with a job that differs in anything but identity', () => {
  const first = sharedJob(parcelVan());
  const renamed = sharedJob({ ...parcelVan(), name: `${first.name} again` });
  expect(renamed.name).toBe(`${first.name} again`);
});

it('does not hold on to a job of many megabytes', () => {
  const large = () => ({ ...parcelVan(), name: 'x'.repeat(3_000_000) });
  const first = sharedJob(large());
  expect(sharedJob(large())).not.toBe(first);
});
