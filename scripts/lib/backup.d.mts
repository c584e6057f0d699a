export interface Place {
  readonly bin: string;
  readonly url: string;
}
export function timeOf(name: string): Date | null;
export function outdated(names: readonly string[]): string[];
export function prove(place: Place, file: string): Promise<Record<string, number>>;
export function makeBackup(
  place: Place,
  folder: string,
): Promise<{ readonly file: string; readonly bytes: number; readonly dropped: readonly string[] }>;
export function restoreBackup(place: Place, file: string): Promise<string>;
export function settleRestore(
  client: { query(text: string, values?: unknown[]): Promise<{ rows: { datname: string; open: boolean }[] }> },
  name: string,
): Promise<void>;
