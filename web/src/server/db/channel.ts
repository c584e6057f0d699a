import { Client } from 'pg';
import { env } from '../env.ts';
import { logError } from '../log.ts';
import type { Database, Transaction } from './database.ts';

/** How long until a lost connection is tried again, ms. */
const AGAIN_AFTER = 1000;

/** What processes on one database tell each other: PostgreSQL carries it, on a connection that is opened again when it is lost. */
export class Channel {
  readonly #name: string;
  readonly #hear: (payload: string) => void;
  readonly #missed: () => void;
  /** The connection, or the opening of one. */
  #client: Promise<Client> | undefined;
  /** The connection once it is open. */
  #current: Client | undefined;
  #wanted = false;

  /**
   * @param name Of the channel in PostgreSQL.
   * @param hear Gets each notice, those of this process too.
   * @param missed Called after a lost connection is back: anything may have been told meanwhile.
   */
  constructor(name: string, hear: (payload: string) => void, missed: () => void) {
    this.#name = name;
    this.#hear = hear;
    this.#missed = missed;
  }

  /** Tells every process that listens; within a transaction, once it is committed. A notice holds 8000 bytes. */
  async tell(on: Database | Transaction, notice: unknown): Promise<void> {
    const values = [this.#name, JSON.stringify(notice)];
    await on.$client.query({ name: 'tell', text: 'select pg_notify($1, $2)', values });
  }

  /** Listens from now on. @throws Error where the database cannot be reached */
  async open(): Promise<void> {
    this.#wanted = true;
    this.#client ??= this.#connect();
    await this.#client;
  }

  /** Listens no more. */
  async close(): Promise<void> {
    this.#wanted = false;
    const client = await this.#client?.catch(() => undefined);
    this.#client = undefined;
    await client?.end();
  }

  async #connect(): Promise<Client> {
    const client = new Client({ connectionString: env.databaseUrl, connectionTimeoutMillis: 5000 });
    client.on('error', (error) => this.#lost(client, error));
    client.on('end', () => this.#lost(client));
    client.on('notification', ({ payload }) => {
      if (payload) this.#hear(payload);
    });
    try {
      await client.connect();
      await client.query(`LISTEN ${this.#name}`);
      this.#current = client;
      return client;
    } catch (error) {
      this.#client = undefined;
      throw error;
    }
  }

  #lost(client: Client, error?: Error): void {
    if (this.#current !== client) return;
    this.#current = undefined;
    this.#client = undefined;
    if (error) logError(error, `channel ${this.#name}`);
    if (this.#wanted) setTimeout(() => this.#again(), AGAIN_AFTER).unref();
  }

  #again(): void {
    if (!this.#wanted || this.#client) return;
    this.open().then(this.#missed, () => setTimeout(() => this.#again(), AGAIN_AFTER).unref());
  }
}
