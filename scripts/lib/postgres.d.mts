export interface Cluster {
  readonly data: string;
  readonly port: string;
  readonly superuserUrl: string;
  readonly password: string;
  readonly urlOf: (name: string, role: string, password: string) => string;
  readonly pid: () => number;
  readonly alive: () => boolean;
  readonly remove: () => void;
  readonly bin: string;
  readonly found: boolean;
  readonly stop: () => void;
}
export function startPostgres(folder: string): Promise<Cluster>;
/** Addresses of a database: as the server uses it, and as its owner. */
export interface Addresses {
  readonly DATABASE_URL: string;
  readonly SPLAY_OWNER_URL: string;
}
export function ownDatabase(cluster: Cluster, name: string): Promise<Addresses>;
export function programs(): string | undefined;
export function freePort(): Promise<number>;
