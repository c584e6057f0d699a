import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  customType,
  foreignKey,
  index,
  integer,
  json,
  pgPolicy,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';

import { ROLES } from '../../shared/roles.ts';

const moment = (name: string) => timestamp(name, { withTimezone: true, precision: 3 }).notNull().defaultNow();

// Sign-in (the tables that better-auth keeps).

export const user = pgTable('user', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: text('image'),
  createdAt: moment('created_at'),
  updatedAt: moment('updated_at'),
});

export const session = pgTable('session', {
  id: text('id').primaryKey(),
  expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  token: text('token').notNull().unique(),
  createdAt: moment('created_at'),
  updatedAt: moment('updated_at'),
  ipAddress: text('ip_address'),
  userAgent: text('user_agent'),
  userId: text('user_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' }),
});

export const account = pgTable('account', {
  id: text('id').primaryKey(),
  accountId: text('account_id').notNull(),
  providerId: text('provider_id').notNull(),
  userId: text('user_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' }),
  accessToken: text('access_token'),
  refreshToken: text('refresh_token'),
  idToken: text('id_token'),
  accessTokenExpiresAt: timestamp('access_token_expires_at', { withTimezone: true }),
  refreshTokenExpiresAt: timestamp('refresh_token_expires_at', { withTimezone: true }),
  scope: text('scope'),
  password: text('password'),
  createdAt: moment('created_at'),
  updatedAt: moment('updated_at'),
});

export const verification = pgTable('verification', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  createdAt: moment('created_at'),
  updatedAt: moment('updated_at'),
});

// Shops and who works in them. A membership is looked up before the shop is known, so these are not walled.

export const shops = pgTable('shops', {
  id: uuid('id').primaryKey().defaultRandom(),
  name: text('name').notNull(),
  createdAt: moment('created_at'),
  /** Bytes that its revisions, records and pictures take: see `services/room.ts`. */
  stored: bigint('stored', { mode: 'number' }).notNull().default(0),
  /** The demo shop, whose passwords everybody knows: closed where the program runs without it. */
  demo: boolean('demo').notNull().default(false),
});

export const members = pgTable(
  'members',
  {
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    role: text('role', { enum: ROLES }).notNull(),
    /** What the person is called in the shop: what stands on records and revisions. */
    name: text('name').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.userId, table.shopId] }),
    uniqueIndex('members_called').on(table.shopId, sql`lower(${table.name})`),
  ],
);

/** One-time links: into the shop, or to a new password. Only a hash is kept: whoever reads this table opens nothing. */
export const links = pgTable(
  'links',
  {
    /** SHA-256 of the token that the link carries. */
    token: text('token').primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    kind: text('kind', { enum: ['invitation', 'password'] }).notNull(),
    /** Of an invitation. */
    role: text('role', { enum: ROLES }),
    /** Of a new password. */
    userId: text('user_id').references(() => user.id, { onDelete: 'cascade' }),
    madeBy: text('made_by').notNull(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  },
  (table) => [index('links_of_shop').on(table.shopId)],
);

/** Backups that were made and proved: written by `npm run backup`, which is whoever runs the server. */
export const backups = pgTable('backups', {
  at: moment('at').primaryKey(),
  bytes: bigint('bytes', { mode: 'number' }).notNull(),
});

/** How often a sign-in failed, and who must wait: kept here so that it holds over all processes. Keys are hashes. */
export const attempts = pgTable('attempts', {
  key: text('key').primaryKey(),
  points: integer('points').notNull().default(0),
  expire: timestamp('expire', { withTimezone: true }),
});

// A shop's own rows. PostgreSQL itself walls them: see `withShop`.

const ownShop = () =>
  pgPolicy('own_shop', {
    using: sql`shop_id = nullif(current_setting('splay.shop', true), '')::uuid`,
    withCheck: sql`shop_id = nullif(current_setting('splay.shop', true), '')::uuid`,
  });

export const jobs = pgTable(
  'jobs',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    /** Number of the newest revision. */
    head: integer('head').notNull(),
    createdAt: moment('created_at'),
    updatedAt: moment('updated_at'),
    /** Put away: on the list only when it is asked for. */
    archivedAt: timestamp('archived_at', { withTimezone: true }),
    /** Deleted: it can be brought back for a while, and nothing of it is touched until then. */
    deletedAt: timestamp('deleted_at', { withTimezone: true }),
    /** Of whoever sent the job file: sending again under the same key makes no second job. */
    importKey: text('import_key'),
    /** What the list says of the job, and of which revision, records and program: made again where that is not so any more. */
    card: json('card'),
    cardOf: text('card_of'),
  },
  (table) => [
    unique('jobs_shop_and_id').on(table.shopId, table.id),
    unique('jobs_import').on(table.shopId, table.importKey),
    index('jobs_of_shop').on(table.shopId, table.updatedAt),
    ownShop(),
  ],
);

export const jobRevisions = pgTable(
  'job_revisions',
  {
    shopId: uuid('shop_id').notNull(),
    jobId: uuid('job_id').notNull(),
    number: integer('number').notNull(),
    /** What the save changed, in a few words. */
    label: text('label').notNull(),
    /** The version of the job format that the document is in. */
    version: integer('version').notNull().default(1),
    /** `json`, not `jsonb`: the document is kept as it was written. Read it through `present`. */
    document: json('document').notNull(),
    savedBy: text('saved_by').notNull(),
    savedAt: moment('saved_at'),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.number] }),
    foreignKey({ columns: [table.shopId, table.jobId], foreignColumns: [jobs.shopId, jobs.id] }).onDelete('cascade'),
    ownShop(),
  ],
);

/** Donors and bodies that the shop keeps for the next job, each a copy. */
export const libraryItems = pgTable(
  'library_items',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    kind: text('kind').notNull(),
    name: text('name').notNull(),
    /** The job that it was copied from. */
    from: text('from_job').notNull(),
    /** The item as it travels, with its version. */
    document: json('document').notNull(),
    savedBy: text('saved_by').notNull(),
    savedAt: moment('saved_at'),
  },
  (table) => [index('library_of_shop').on(table.shopId, table.kind, table.name), ownShop()],
);

/** Rule sets that the shop keeps beside the profiles that ship. */
export const ruleSets = pgTable(
  'rule_sets',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
  },
  (table) => [unique('rule_set_called').on(table.shopId, table.name), ownShop()],
);

/** Every version of a rule set: who made it, when, and why. Only ever added to. */
export const ruleSetVersions = pgTable(
  'rule_set_versions',
  {
    setId: uuid('set_id')
      .notNull()
      .references(() => ruleSets.id, { onDelete: 'cascade' }),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    version: integer('version').notNull(),
    rules: json('rules').notNull(),
    by: text('made_by').notNull(),
    at: moment('made_at'),
    why: text('why').notNull(),
  },
  (table) => [primaryKey({ columns: [table.setId, table.version] }), ownShop()],
);

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** What people add while they work: see core/records. Only ever added to. */
export const records = pgTable(
  'records',
  {
    shopId: uuid('shop_id').notNull(),
    jobId: uuid('job_id').notNull(),
    /** Made by the device, so that sending twice stores once. */
    id: text('id').notNull(),
    kind: text('kind').notNull(),
    /** Of its kind's body. */
    version: integer('version').notNull(),
    body: json('body').notNull(),
    /** As the device wrote it: kept to the letter, so that an export gives the same bytes. */
    taken: text('taken').notNull(),
    /** Who was signed in; null for what came with a job file. */
    userId: text('user_id'),
    takenBy: text('taken_by').notNull(),
    replaces: text('replaces'),
    receivedAt: moment('received_at'),
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.id] }),
    foreignKey({ columns: [table.shopId, table.jobId], foreignColumns: [jobs.shopId, jobs.id] }).onDelete('cascade'),
    ownShop(),
  ],
);

/** Pictures that records refer to, once each in a shop. */
export const attachments = pgTable(
  'attachments',
  {
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    /** SHA-256 of the bytes. */
    hash: text('hash').notNull(),
    type: text('type').notNull(),
    bytes: bytea('bytes').notNull(),
    receivedAt: moment('received_at'),
  },
  (table) => [primaryKey({ columns: [table.shopId, table.hash] }), ownShop()],
);

/**
 * What a worker is to do that takes long, and what came of it: written by the web process that waits for it, answered by a
 * worker, gone once the answer is read. Which is next is `pg-boss`'s to say: see `queue/queue.ts`.
 */
export const longTasks = pgTable(
  'long_tasks',
  {
    id: uuid('id').primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id, { onDelete: 'cascade' }),
    /** What it is called in `queue/long-tasks.ts`, who asks, and what it is given: as V8 writes plain data. */
    asked: bytea('asked').notNull(),
    /** What came of it, written likewise; null as long as it is not done. */
    answer: bytea('answer'),
    madeAt: moment('made_at'),
  },
  (table) => [index('long_tasks_of_shop').on(table.shopId, table.madeAt), ownShop()],
);
