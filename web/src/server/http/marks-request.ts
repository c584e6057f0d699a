import { type Gate, InputError, isPassed, type SheetPart } from '@splay/core';
import { isTimeZone, type SheetFacts } from '../../shared/sheet-facts.ts';
import type { Member } from '../db/shop.ts';
import { type JobHead, readJob } from '../services/jobs.ts';
import { issuedSheet } from '../services/sheets.ts';

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
  const [sheet, rail, cut, zone] = (['sheet', 'rail', 'cut', 'zone'] as const).map((key) => asked.get(key));
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
      ...(zone && isTimeZone(zone) ? { timeZone: zone } : {}),
      ...(issued ? { number: issued.body.number, url: `${origin}/sheets/${job}/${issued.id}` } : {}),
    },
  };
}

/** How the hold point before cutting stands, in a line. */
export function holdPointWords(gates: readonly Gate[]): string {
  const gate = gates.find(({ id }) => id === 'before-cutting');
  if (!gate) return '';
  const open = gate.checks.filter(({ passed, signed }) => !passed && signed === null).length;
  return isPassed(gate)
    ? `Hold point “${gate.name}”: passed`
    : `Hold point “${gate.name}”: ${open} of ${gate.checks.length} open`;
}
