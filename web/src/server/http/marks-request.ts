import { InputError, type SheetPart } from '@splay/core';
import type { SheetFacts } from '../../shared/sheet-facts.ts';
import type { Member } from '../db/shop.ts';
import { type JobHead, readJob } from '../services/jobs.ts';
import { issuedSheet } from '../services/sheets.ts';
import { zoneOf } from './sheet-endpoint.ts';

/** What a request for a marks sheet asks for: of which revision, which part of it, and what its strip says. */
export interface MarksRequest {
  readonly head: JobHead;
  readonly part: SheetPart;
  readonly facts: SheetFacts;
}

/**
 * Reads `?sheet=`, `?rail=`, `?cut=` and `?zone=`. A sheet that was issued is of its own revision, however the plan is now.
 *
 * @throws InputError, NotFound
 */
export async function marksRequest(member: Member, job: string, url: URL, origin: string): Promise<MarksRequest> {
  const asked = url.searchParams;
  const [sheet, rail, cut] = (['sheet', 'rail', 'cut'] as const).map((key) => asked.get(key));
  if (rail && rail !== 'left' && rail !== 'right')
    throw new InputError([{ code: 'rail', path: 'rail', message: 'The rail is left or right.' }]);
  const issued = sheet ? await issuedSheet(member, job, sheet) : null;
  const head = await readJob(member, job, issued?.body.revision);
  return {
    head,
    part: cut
      ? { of: 'cut', letters: cut.slice(0, 40) }
      : rail === 'left' || rail === 'right'
        ? { of: 'rail', side: rail }
        : { of: 'all' },
    facts: {
      ...zoneOf(url),
      ...(issued ? { number: issued.body.number, url: `${origin}/sheets/${job}/${issued.id}` } : {}),
    },
  };
}
