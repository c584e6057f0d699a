// One start at a time over one data folder, and what a killed one left running.
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** True when a process of that id runs a program of that name: an id alone may belong to another by now. */
export function runs(pid, program) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(program);
  } catch {
    return false;
  }
}

/**
 * Holds the folder for this process, or gives what another said that holds it.
 *
 * @param folder The data folder.
 * @param program What a holder's command line names.
 * @param about What others are told.
 */
export async function hold(folder, program, about) {
  const file = join(folder, 'start.json');
  for (let unread = 0; ;) {
    try {
      writeFileSync(file, JSON.stringify({ pid: process.pid, ...about }), { flag: 'wx' });
      process.on('exit', () => rmSync(file, { force: true }));
      return null;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    let other = {};
    try {
      other = JSON.parse(readFileSync(file, 'utf8'));
    } catch {
      // Half written: by one that begins just now, or by one that was killed over it.
      unread += 1;
      await new Promise((resolve) => setTimeout(resolve, 100));
      if (unread < 10) continue;
    }
    if (other.pid !== process.pid && runs(other.pid, program)) return other;
    rmSync(file, { force: true });
  }
}

/** Ends a server that outlived its start, if there is one. */
export async function endOrphan(folder, program) {
  const file = join(folder, 'web.pid');
  if (!existsSync(file)) return false;
  const pid = Number(readFileSync(file, 'utf8'));
  const found = runs(pid, program);
  for (let tries = 0; tries < 100 && runs(pid, program); tries += 1) {
    process.kill(pid, tries < 50 ? 'SIGTERM' : 'SIGKILL');
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  rmSync(file, { force: true });
  return found;
}

/** Notes a server, so that a later start finds it. */
export const noteServer = (folder, pid) => writeFileSync(join(folder, 'web.pid'), String(pid));
