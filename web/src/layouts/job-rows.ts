import { LRUCache } from 'lru-cache';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { JobRow, type Listed } from '../workbench/job-list.tsx';

/** Rows that were drawn lately, by what they show: most of a list is the same each time it is asked for. */
const drawn = new LRUCache<string, string>({ max: 2000 });

/** The rows of the list as HTML. */
export function jobRows(jobs: readonly (Listed & { readonly of: string })[], writes: boolean): string {
  return jobs
    .map((job) => {
      const key = JSON.stringify([job.id, job.of, job.name, job.place, job.outdated, job.card === null, writes]);
      const row = drawn.get(key) ?? renderToStaticMarkup(createElement(JobRow, { job, writes }));
      drawn.set(key, row);
      return row;
    })
    .join('');
}
