import { evaluatePlan, type Job, type LengthFormat, lengthText, markSheet, markTables } from '@splay/core';
import { extractText, getDocumentProxy } from 'unpdf';
import { describe, expect, it } from 'vitest';
import { operationsFor, planned, ZOO } from '../../core/test/zoo.ts';
import { marksPdf } from '../src/server/pdf/marks-pdf.ts';
import { demoJob } from './demo.ts';

const { job: van } = demoJob('parcel-van');

/** What stands on the pages of a marks sheet, as one text with single spaces. */
async function textOf(job: Job, paper: 'a4' | 'letter' = 'a4'): Promise<string> {
  const head = { id: 'x', revision: 3, job, savedBy: 'owner', savedAt: '2026-05-02T10:00:00.000Z' };
  const { text } = await extractText(await getDocumentProxy(await marksPdf(head, paper)), { mergePages: true });
  return text.replace(/⁄/g, '/').replace(/\s+/g, ' ');
}

/** A length as the sheet sets it: the reader may part whole and fraction, or not. */
const pattern = (mm: number, format: LengthFormat): RegExp =>
  new RegExp(lengthText(mm, format).replace(/[.+]/g, '\\$&').replace(/ /g, ' ?'));

describe('the marks sheet as a PDF, read back', () => {
  it.each(['a4', 'letter'] as const)('has every figure, letter and word of the sheet, on %s', async (paper) => {
    const text = await textOf(van, paper);
    const sheet = markSheet(van, evaluatePlan(van));
    for (const { caption, rows } of markTables(sheet)) {
      expect(text).toContain(caption);
      for (const { cells } of rows)
        for (const cell of cells) if (typeof cell !== 'string') expect(text).toMatch(pattern(cell.mm, van.display));
    }
    expect(text).toContain(van.name);
    expect(text).toContain('revision 3');
    expect(text).toContain('Hitch bracket');
    expect(text).toContain('Gaps and the pull of the welds are in the lengths of new rail');
    expect(text).toContain('Weld from one side on a backing, checked with dye');
    expect(text).toMatch(/The strength of the joints rests on: .*AWS D1\.1/);
    expect(text).toContain('not an approval');
    expect(text).not.toContain('NOT RELEASED');
  });

  it('says what the check in 3D finds of the saved plan, and where it finds nothing', async () => {
    expect(await textOf(van)).toMatch(/Check in 3D (Nothing found|.*overlap)/);
    // A crossmember put where another one stands.
    const [first] = van.donor.crossmembers;
    const twin = { ...first!, id: 'twin', name: 'Twin crossmember' };
    const adding = {
      id: 'adds',
      note: '',
      off: false,
      kind: 'crossmember',
      change: { what: 'add', at: { x: first!.x, on: 'donor' }, crossmember: twin },
    } as const;
    const text = await textOf({ ...van, plan: { ...van.plan, operations: [adding], splices: [], fittings: [] } });
    expect(text).toMatch(/Check in 3D .*Twin crossmember/);
  });

  it('says on every page that a stopped plan is not released, and why; and what was accepted', async () => {
    const [first] = van.plan.operations;
    const stopped = { ...van, plan: { ...van.plan, operations: [{ ...first, at: { x: 1e5, on: 'donor' } } as never] } };
    expect(await textOf(stopped)).toMatch(/NOT RELEASED: This place is not on the frame/);
    const apart = {
      ...van,
      plan: { ...van.plan, operations: [{ ...first, align: { out: 0, up: 60, yaw: 0, pitch: 0 } } as never] },
    };
    const conflict = evaluatePlan(apart).conflicts.find(({ code }) => code.startsWith('joint-needs'))!;
    const accepted = [{ conflict: conflict.key, reason: 'a doubler plate bridges it', by: 'owner' }];
    const text = await textOf({ ...apart, plan: { ...apart.plan, accepted } });
    expect(text).toContain('Accepted by owner because a doubler plate bridges it');
  });

  it('holds for frames and operations of every kind', async () => {
    // A sheet takes a while to draw: each operation on another frame.
    const [first] = ZOO;
    for (const [index] of operationsFor(first!).entries()) {
      const animal = ZOO[index % ZOO.length]!;
      const [name, operation] = operationsFor(animal)[index]!;
      const job = { ...van, ...planned(animal, operation) };
      const text = await textOf(job);
      for (const { from } of markSheet(job, evaluatePlan(job)).lines)
        for (const mm of [from.top, from.web, from.bottom])
          if (mm !== null) expect(text, `${animal.name}, ${name}`).toMatch(pattern(mm, job.display));
      expect(text).not.toMatch(/NaN|undefined|Infinity/);
    }
  });
});
