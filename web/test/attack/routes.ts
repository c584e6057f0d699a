import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const pages = fileURLToPath(new URL('../../src/pages/', import.meta.url));

export const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;
type Method = (typeof METHODS)[number];

/** A page or an endpoint as it lies in the folder of pages: nothing that is added there can be forgotten. */
export interface Route {
  /** `/api/jobs/[job]/export` */
  readonly path: string;
  readonly methods: readonly Method[];
  readonly api: boolean;
}

/** All of them. */
export const routes = (): readonly Route[] =>
  readdirSync(pages, { recursive: true })
    .map(String)
    .filter((file) => /\.(ts|astro)$/.test(file))
    .map((file): Route => {
      const path = `/${file.replace(/\.(ts|astro)$/, '').replace(/(^|\/)index$/, '')}`;
      if (file.endsWith('.astro')) return { path, methods: ['GET'], api: false };
      const source = readFileSync(pages + file, 'utf8');
      const methods = METHODS.filter((method) => new RegExp(`^export const ${method}\\b`, 'm').test(source));
      return { path, methods, api: true };
    })
    .toSorted((a, b) => (a.path < b.path ? -1 : 1));
