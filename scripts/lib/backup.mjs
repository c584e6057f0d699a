// Backups of the database: made while it runs, proved by bringing them back, kept by day, week and month.
import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** How many are kept: the last ones, and the newest of so many days, weeks and months. */
const KEPT = { last: 5, day: 7, week: 5, month: 12 };
const NAME = /^splay-(\d{4})-(\d{2})-(\d{2})T(\d{2})(\d{2})(\d{2})Z\.dump$/;
const DAY = 86_400_000;

const nameAt = (time) => `splay-${time.toISOString().slice(0, 19).replaceAll(':', '')}Z.dump`;

/** When a backup was made, by its name; null for other files. */
export function timeOf(name) {
  const [, year, month, day, hour, minute, second] = NAME.exec(name) ?? [];
  return year === undefined ? null : new Date(`${year}-${month}-${day}T${hour}:${minute}:${second}Z`);
}

/** Of some backups by name, those that are not kept any more. */
export function outdated(names) {
  const periods = {
    last: (time) => time,
    day: (time) => Math.floor(time / DAY),
    // Weeks that begin on Monday: day 0 was a Thursday.
    week: (time) => Math.floor((time / DAY + 3) / 7),
    month: (time) => new Date(time).toISOString().slice(0, 7),
  };
  const made = names.filter(timeOf).toSorted().toReversed();
  const kept = new Set();
  for (const [period, of] of Object.entries(periods)) {
    const newest = new Map();
    for (const name of made) {
      const key = of(timeOf(name).getTime());
      if (!newest.has(key)) newest.set(key, name);
    }
    for (const name of [...newest.values()].slice(0, KEPT[period])) kept.add(name);
  }
  return made.filter((name) => !kept.has(name));
}

/** Runs a program of PostgreSQL on a database. The password goes in its environment: arguments stand in the list of processes. */
function must({ bin }, program, url, args) {
  const at = new URL(url);
  const env = { ...process.env, PGPASSWORD: decodeURIComponent(at.password) };
  at.password = '';
  const { status, stderr } = spawnSync(join(bin, program), ['--dbname', at.href, ...args], { encoding: 'utf8', env });
  if (status !== 0) throw new Error(`${program} failed: ${stderr.trim().split('\n').slice(-3).join(' ')}`);
}

async function connected(url, run) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await run(client);
  } finally {
    await client.end();
  }
}

const databaseIn = (url, name) => Object.assign(new URL(url), { pathname: `/${name}` }).href;

/** How many rows each table of ours holds. */
const countsAt = (url) =>
  connected(url, async (client) => {
    const { rows } = await client.query("select tablename from pg_tables where schemaname = 'public' order by 1");
    const counts = {};
    for (const { tablename } of rows) {
      const { rows: found } = await client.query(`select count(*)::int as count from "${tablename}"`);
      counts[tablename] = found[0].count;
    }
    return counts;
  });

/** Brings a file back into a database of a new name, with the owner of the one that is there. */
async function bringBack(place, file, name) {
  const { url } = place;
  await connected(databaseIn(url, 'postgres'), async (client) => {
    const { rows } = await client.query('select pg_get_userbyid(datdba) as owner from pg_database where datname = $1', [
      new URL(url).pathname.slice(1),
    ]);
    await client.query(`create database "${name}" owner "${rows[0].owner}"`);
  });
  must(place, 'pg_restore', databaseIn(url, name), ['--exit-on-error', file]);
}

const drop = (url, name) =>
  connected(databaseIn(url, 'postgres'), (client) => client.query(`drop database if exists "${name}" with (force)`));

/** Brings a file back into a database that is thrown away, and gives how many rows of each table it held. */
async function prove(place, file) {
  const name = `splay_proof_${randomBytes(4).toString('hex')}`;
  try {
    await bringBack(place, file, name);
    return await countsAt(databaseIn(place.url, name));
  } finally {
    await drop(place.url, name);
  }
}

/**
 * Makes a backup while the database runs, proves it, notes it where the shop's page sees it, and takes away what is out
 * of date.
 *
 * @param place `bin`: the folder of PostgreSQL's programs; `url`: the database, as a role that row-level security does
 *   not hold for.
 * @param folder Where backups are kept.
 */
export async function makeBackup(place, folder) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const at = new Date();
  const file = join(folder, nameAt(at));
  const before = await countsAt(place.url);
  try {
    must(place, 'pg_dump', place.url, ['--format=custom', '--file', `${file}.part`]);
    const held = await prove(place, `${file}.part`);
    // Nothing that was there when it began is missing from it.
    for (const table of ['job_revisions', 'records', 'attachments', 'jobs'])
      if (!(held[table] >= before[table]))
        throw new Error(`The backup holds ${held[table] ?? 'no'} rows of ${table}, and there were ${before[table]}.`);
    renameSync(`${file}.part`, file);
  } finally {
    rmSync(`${file}.part`, { force: true });
  }
  const bytes = statSync(file).size;
  await connected(place.url, (client) => client.query('insert into backups (at, bytes) values ($1, $2)', [at, bytes]));
  const dropped = outdated(readdirSync(folder));
  for (const name of dropped) rmSync(join(folder, name));
  return { file, bytes, dropped };
}

/** How long what a restore put aside is kept, days. */
const DAYS_ASIDE = 30;
const freshOf = (name) => `${name}_restored`;

/** Databases that restores put aside, the newest first, with when that was. */
async function putAside(client, name) {
  const { rows } = await client.query('select datname from pg_database where starts_with(datname, $1)', [
    `${name}_before_`,
  ]);
  return rows
    .flatMap(({ datname }) => {
      const at = timeOf(`splay-${datname.slice(`${name}_before_`.length).toUpperCase()}.dump`);
      return at === null ? [] : [{ name: datname, at }];
    })
    .toSorted((a, b) => b.at - a.at);
}

/**
 * Finishes what a restore left that was killed: a database that is closed is opened again; one that is missing is the one that
 * was brought back, or where there is none, the one that was put aside last. Nothing to do where all is well.
 *
 * @param client Connected to another database, as whoever may rename.
 * @param name The database.
 */
export async function settleRestore(client, name) {
  const { rows } = await client.query(
    'select datname, datallowconn as open from pg_database where datname in ($1, $2)',
    [name, freshOf(name)],
  );
  const there = new Map(rows.map(({ datname, open }) => [datname, open]));
  if (!there.has(name)) {
    const [aside] = await putAside(client, name);
    // Only where something was put aside is what lies beside it whole: before that it is still being brought back.
    const from = aside && there.has(freshOf(name)) ? freshOf(name) : aside?.name;
    if (from === undefined) return;
    await client.query(`alter database "${from}" rename to "${name}"`);
    there.set(name, false);
  }
  if (!there.get(name)) await client.query(`alter database "${name}" with allow_connections true`);
}

/** Drops what restores put aside long ago. */
const dropOld = ({ url }, now) =>
  connected(databaseIn(url, 'postgres'), async (client) => {
    for (const { name, at } of await putAside(client, new URL(url).pathname.slice(1)))
      if (now - at > DAYS_ASIDE * DAY) await client.query(`drop database if exists "${name}" with (force)`);
  });

/**
 * Puts a backup in the place of the database: first beside it, then the two change names, so that nothing is lost where
 * it fails, nor of what was there before. Gives the name that the old one has from now on.
 */
export async function restoreBackup(place, file) {
  const name = new URL(place.url).pathname.slice(1);
  const [fresh, old] = [freshOf(name), `${name}_before_${nameAt(new Date()).slice(6, -5).toLowerCase()}`];
  await connected(databaseIn(place.url, 'postgres'), (client) => settleRestore(client, name));
  await drop(place.url, fresh);
  try {
    await bringBack(place, file, fresh);
  } catch (error) {
    await drop(place.url, fresh);
    throw error;
  }
  await connected(databaseIn(place.url, 'postgres'), async (client) => {
    // Nobody comes in while the two change names; whoever is in is asked to leave, and comes again by itself.
    await client.query(`alter database "${name}" with allow_connections false`);
    for (let tries = 0; ; tries += 1) {
      await client.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [name]);
      try {
        // Both at once or neither: whenever it is killed, there is a database of that name.
        await client.query('begin');
        await client.query(`alter database "${name}" rename to "${old}"`);
        await client.query(`alter database "${fresh}" rename to "${name}"`);
        await client.query(`alter database "${old}" with allow_connections true`);
        await client.query('commit');
        break;
      } catch (error) {
        await client.query('rollback');
        if (tries === 20) {
          await client.query(`alter database "${name}" with allow_connections true`);
          throw error;
        }
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
    }
  });
  await dropOld(place, Date.now());
  return old;
}
