import { spawn } from 'node:child_process';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { root } from '../../../scripts/lib/run.mjs';
import { DEMO_SHOP } from '../../src/shared/demo.ts';

let server: pg.Client;
let superuser: pg.Client;

beforeAll(async () => {
  server = new pg.Client({ connectionString: process.env.DATABASE_URL });
  superuser = new pg.Client({ connectionString: process.env.SUPERUSER_URL });
  await Promise.all([server.connect(), superuser.connect()]);
});
afterAll(() => Promise.all([server.end(), superuser.end()]));

describe('the role that serves', () => {
  it('owns nothing, and passes no walls', async () => {
    const { rows: roles } = await superuser.query(
      "select rolsuper, rolbypassrls, rolcreaterole, rolcreatedb from pg_roles where rolname = 'splay'",
    );
    expect(roles).toEqual([{ rolsuper: false, rolbypassrls: false, rolcreaterole: false, rolcreatedb: false }]);
    const { rows: owners } = await superuser.query<{ tableowner: string }>(
      "select distinct tableowner from pg_tables where schemaname = 'public'",
    );
    expect(owners).toEqual([{ tableowner: 'splay_owner' }]);
  });

  it('every table of a shop is walled, the owner’s queries too', async () => {
    const { rows } = await superuser.query<{ relname: string; relrowsecurity: boolean; relforcerowsecurity: boolean }>(
      `select c.relname, c.relrowsecurity, c.relforcerowsecurity from pg_class c
       join pg_attribute a on a.attrelid = c.oid and a.attname = 'shop_id'
       where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace order by 1`,
    );
    const open = rows.filter((row) => !row.relrowsecurity || !row.relforcerowsecurity).map(({ relname }) => relname);
    // Looked up before the shop is known.
    expect(open).toEqual(['links', 'members']);
    expect(rows.length).toBeGreaterThan(6);
  });

  it.each([
    'truncate jobs cascade',
    'drop table jobs',
    'alter table jobs disable row level security',
    'drop policy own_shop on jobs',
    'update job_revisions set label = label',
    'delete from records',
    'create table mine (id int)',
    'create function mine() returns int language sql as $$ select 1 $$',
    'set role splay_owner',
  ])('may not: %s', async (query) => {
    await expect(server.query(query)).rejects.toMatchObject({ code: '42501' });
  });
});

it('four that set up, migrate and load at once make one shop with each job once', async () => {
  await superuser.query('create database together owner splay_owner');
  const at = (url: string) => url.replace(/\/[^/]*$/, '/together');
  const env = {
    ...process.env,
    DATABASE_URL: at(process.env.DATABASE_URL ?? ''),
    SPLAY_OWNER_URL: at(process.env.SPLAY_OWNER_URL ?? ''),
  };
  const server = (file: string) => JSON.stringify(join(root, 'web/src/server', file));
  const prepare = `await (await import(${server('db/migrate.ts')})).migrateDatabase();
    await (await import(${server('load-demo.ts')})).loadDemo();
    process.exit(0);`;
  const run = () =>
    new Promise<number | null>((resolve) => {
      const args = ['--import', 'tsx', '--input-type=module', '-e', prepare];
      spawn(process.execPath, args, { env, stdio: 'ignore' }).on('exit', resolve);
    });
  expect(await Promise.all(Array.from({ length: 4 }, run))).toEqual([0, 0, 0, 0]);
  const there = new pg.Client({ connectionString: at(process.env.SUPERUSER_URL ?? '') });
  await there.connect();
  const { rows: shops } = await there.query('select name from shops');
  const { rows: jobs } = await there.query<{ count: string; names: string }>(
    'select count(*), count(distinct name) as names from jobs',
  );
  await there.end();
  await superuser.query('drop database together with (force)');
  expect(shops).toEqual([{ name: DEMO_SHOP }]);
  expect(jobs).toEqual([{ count: '4', names: '4' }]);
});
