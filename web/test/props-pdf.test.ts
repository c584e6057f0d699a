import { loadText, neutralOf, NO_PROPS, propsOf } from '@splay/core';
import { extractText, getDocumentProxy } from 'unpdf';
import { describe, expect, it } from 'vitest';
import { propsPdf } from '../src/server/pdf/props-pdf.ts';
import { demoJob } from './demo.ts';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');

async function textOf(job: typeof van, timeZone?: string): Promise<string> {
  const head = { id: 'x', revision: 3, job, savedBy: 'owner', savedAt: '2026-05-02T10:00:00.000Z' };
  const { text } = await extractText(
    await getDocumentProxy(await propsPdf(head, 'letter', timeZone ? { timeZone } : {})),
    { mergePages: true },
  );
  return text.replace(/⁄/g, '/').replace(/\s+/g, ' ');
}

describe('the prop sheet as a PDF, read back', () => {
  it('has every stand with what it must carry, every part, and what to do first', async () => {
    const text = await textOf(van);
    const [step] = propsOf(van).steps;
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
    const [first] = van.plan.propping.props;
    const text = await textOf({
      ...van,
      plan: { ...van.plan, propping: { ...van.plan.propping, level: null, props: [first!] } },
    });
    expect(text).toContain('NOT RELEASED');
    expect(text).toContain('Heights of stands are not given');
    expect(await textOf({ ...sprayer, plan: { ...sprayer.plan, propping: NO_PROPS } })).toContain(
      'No stands are placed',
    );
  });
});
