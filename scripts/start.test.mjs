import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepRunning } from './lib/keep.mjs';
import { root } from './lib/run.mjs';
import { endOrphan, hold, noteServer, runs } from './lib/single.mjs';

let folder;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'splay-start-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A process that goes by a name, and does nothing. */
const sleeper = () => spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)', 'sleeper-of-the-tests']);
const ended = (child) => new Promise((resolve) => child.once('exit', (_, signal) => resolve(signal)));

describe('one start over a folder', () => {
  it('another is told who holds it', async () => {
    const child = sleeper();
    await vi.waitFor(() => expect(runs(child.pid, 'sleeper-of-the-tests')).toBe(true));
    writeFileSync(join(folder, 'start.json'), JSON.stringify({ pid: child.pid, address: 'http://there' }));
    expect(await hold(folder, 'sleeper-of-the-tests', {})).toMatchObject({ pid: child.pid, address: 'http://there' });
    child.kill('SIGKILL');
    await ended(child);
    expect(await hold(folder, 'sleeper-of-the-tests', { address: 'here' })).toBeNull();
    expect(JSON.parse(readFileSync(join(folder, 'start.json'), 'utf8'))).toEqual({ pid: process.pid, address: 'here' });
  });

  it('takes over from one that was killed, whose id another process has by now, or that left half a note', async () => {
    for (const left of [JSON.stringify({ pid: process.pid + 1 }), JSON.stringify({ pid: 1 }), '{"pid": 12']) {
      writeFileSync(join(folder, 'start.json'), left);
      expect([left, await hold(folder, 'nothing-goes-by-this', {})]).toEqual([left, null]);
      rmSync(join(folder, 'start.json'));
    }
  });

  it('ends a server that outlived its start, and nothing else', async () => {
    const child = sleeper();
    await vi.waitFor(() => expect(runs(child.pid, 'sleeper-of-the-tests')).toBe(true));
    noteServer(folder, child.pid);
    expect(await endOrphan(folder, 'another-program')).toBe(false);
    expect(runs(child.pid, 'sleeper-of-the-tests')).toBe(true);
    noteServer(folder, child.pid);
    const gone = ended(child);
    expect(await endOrphan(folder, 'sleeper-of-the-tests')).toBe(true);
    expect(await gone).toBe('SIGTERM');
    expect(await endOrphan(folder, 'sleeper-of-the-tests')).toBe(false);
  });
});

describe('what dies is started again', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.spyOn(console, 'log').mockImplementation(() => undefined);
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
  });

  it('later each time, and soon again after it was up for a while', async () => {
    const starts = [];
    let die;
    const began = Date.now();
    const start = async () => {
      starts.push(Date.now() - began);
      return { died: new Promise((resolve) => (die = resolve)) };
    };
    const stop = keepRunning('thing', start, Promise.resolve());
    await vi.advanceTimersByTimeAsync(500);
    for (const wait of [1000, 2000, 4000]) {
      die();
      await vi.advanceTimersByTimeAsync(wait);
    }
    expect(starts).toEqual([500, 1500, 3500, 7500]);
    await vi.advanceTimersByTimeAsync(61_000);
    die();
    await vi.advanceTimersByTimeAsync(500);
    expect(starts).toHaveLength(5);
    stop();
    die();
    await vi.advanceTimersByTimeAsync(120_000);
    expect(starts).toHaveLength(5);
  });

  it('also where starting it fails, and nothing else stops for that', async () => {
    let tries = 0;
    const stop = keepRunning(
      'thing',
      async () => {
        tries += 1;
        if (tries < 3) throw new Error('not yet');
        return { died: new Promise(() => undefined) };
      },
      Promise.resolve(),
    );
    await vi.advanceTimersByTimeAsync(500 + 1000 + 2000);
    expect(tries).toBe(3);
    stop();
  });
});

it('ends when the process that started it is killed', async () => {
  const noted = join(folder, 'ended');
  const child = `
    import { writeFileSync } from 'node:fs';
    import { whenParentEnds } from ${JSON.stringify(join(root, 'scripts/lib/parent.mjs'))};
    whenParentEnds(() => { writeFileSync(${JSON.stringify(noted)}, 'ended'); process.exit(0); }, 20);
    setTimeout(() => {}, 60000);
    process.stdout.write('here');`;
  const parent = `
    const { spawn } = require('node:child_process');
    spawn(process.execPath, ['--input-type=module', '-e', ${JSON.stringify(child)}], { stdio: 'inherit' });
    setTimeout(() => {}, 60000);`;
  const started = spawn(process.execPath, ['-e', parent], { stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((here) => started.stdout.once('data', here));
  expect(existsSync(noted)).toBe(false);
  started.kill('SIGKILL');
  await vi.waitFor(() => expect(readFileSync(noted, 'utf8')).toBe('ended'), { timeout: 60_000 });
});
