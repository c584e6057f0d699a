export interface Cluster {
  readonly data: string;
  readonly port: string;
  readonly superuserUrl: string;
  readonly password: string;
  readonly urlOf: (name: string, role: string, password: string) => string;
  readonly pid: () => number;
  readonly stop: () => void;
}
export function startPostgres(folder: string): Promise<Cluster>;
export function ownDatabase(cluster: Cluster, name: string): Promise<string>;
export function freePort(): Promise<number>;
