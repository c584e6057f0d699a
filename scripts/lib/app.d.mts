import type { ChildProcess } from 'node:child_process';
export const SERVER: string;
export function serve(env: Record<string, string>, options: { port: number; quiet?: boolean }): Promise<ChildProcess>;
export function work(env: Record<string, string>, options?: { quiet?: boolean }): Promise<ChildProcess>;
export function prepareDatabase(env: Record<string, string>, demo: boolean): Promise<void>;
