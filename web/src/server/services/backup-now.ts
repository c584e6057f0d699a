import { env } from '../env.ts';
import type { Member } from '../db/shop.ts';
import { mustManage } from './errors.ts';

/** Longer than this no backup takes, ms. */
const LONGEST = 15 * 60_000;

/** How a backup went: what the program that made it said. */
export interface MadeBackup {
  readonly ok: boolean;
  readonly detail: string;
}

let making: Promise<MadeBackup> | null = null;

/**
 * Has a backup made by whatever started this server: the server itself may not read all of the database. Whoever asks
 * while one is made waits for that one.
 *
 * @throws Forbidden
 */
export function backUpNow(member: Member): Promise<MadeBackup> {
  mustManage(member);
  if (!env.backsUp)
    return Promise.resolve({
      ok: false,
      detail: 'This server was started by another program: whoever runs it makes backups with npm run backup.',
    });
  making ??= ask().finally(() => {
    making = null;
  });
  return making;
}

function ask(): Promise<MadeBackup> {
  return new Promise((resolve) => {
    const end = (made: MadeBackup) => {
      clearTimeout(clock);
      process.off('message', hear);
      resolve(made);
    };
    const hear = (message: unknown) => {
      const { answer, ok, detail } = (message ?? {}) as Record<string, unknown>;
      if (answer === 'backup') end({ ok: ok === true, detail: String(detail) });
    };
    const clock = setTimeout(() => end({ ok: false, detail: 'No answer: look at the log of the server.' }), LONGEST);
    process.on('message', hear);
    process.send?.({ ask: 'backup' });
  });
}
