import { loadText, neutralOf, NO_SHORING, shoringOf } from '@splay/core';
import { extractText, getDocumentProxy } from 'unpdf';
import { describe, expect, it } from 'vitest';
import { standsPdf } from '../src/server/pdf/stands-pdf.ts';
import { demoJob } from './demo.ts';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');

async function textOf(job: typeof van, timeZone?: string): Promise<string> {
  const head = { id: 'x', revision: 3, job, savedBy: 'owner', savedAt: '2026-05-02T10:00:00.000Z' };
  const { text } = await extractText(
    await getDocumentProxy(await standsPdf(head, 'letter', timeZone ? { timeZone } : {})),
    { mergePages: true },
  );
  return text.replace(/⁄/g, '/').replace(/\s+/g, ' ');
}

describe('the shore sheet as a PDF, read back', () => {
  it('has every stand with what it must carry, every part, and what to do first', async () => {
    const text = await textOf(van);
    const [step] = shoringOf(van).steps;
    const { loads } = neutralOf(step!.cuts[0]!)!;
    const alone = step!.loose.flatMap(({ stands }) => stands.map(({ load }) => load ?? 0));
    expect(alone.reduce((sum, load) => sum + load, 0)).toBeCloseTo(
      loads.reduce((sum, load) => sum + load, 0),
      3,
    );
    for (const load of alone) expect(text).toContain(loadText(load, van).replace(/\s/g, ' '));
    expect(text).toContain(
      'Cut A·B closes at the bottom (under 1/64 in): begin at the top, leave the last at the bottom',
    );
    expect(text).toContain('Rear part');
    expect(text).toContain('Before the saw');
    expect(text).toContain('not an approval');
    expect(text).not.toContain('NOT RELEASED');
  });

  it('tells its moment by the clock of whoever prints it, and leaves lines to sign on', async () => {
    expect(await textOf(van)).toContain('Saved May 2, 2026, 10:00 AM UTC');
    const text = await textOf(van, 'America/Chicago');
    expect(text).toContain('Saved May 2, 2026, 5:00 AM, inches');
    expect(text).toContain('stands set by checked by date');
  });

  it('says that a part which would go over is not released, and what is not said yet', async () => {
    const [first] = van.plan.shoring.shores;
    const text = await textOf({
      ...van,
      plan: { ...van.plan, shoring: { ...van.plan.shoring, level: null, shores: [first!] } },
    });
    expect(text).toContain('NOT RELEASED');
    expect(text).toContain('Heights of stands are not given');
    expect(await textOf({ ...sprayer, plan: { ...sprayer.plan, shoring: NO_SHORING } })).toContain(
      'No stands are placed',
    );
  });
});
