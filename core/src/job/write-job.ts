import { inOrderOfTime } from '../records/index.ts';
import type { JobFile } from './job.ts';

/** Keys that come first in a record, in this order; the others follow by the alphabet. */
const FIRST = ['format', 'version', 'id', 'name', 'kind', 'job', 'x', 'y', 'z'];

function byKey([a]: readonly [string, unknown], [b]: readonly [string, unknown]): number {
  const [first, second] = [FIRST.indexOf(a), FIRST.indexOf(b)];
  if (first >= 0 || second >= 0) return (first < 0 ? FIRST.length : first) - (second < 0 ? FIRST.length : second);
  return a < b ? -1 : 1;
}

const isPlain = (value: unknown): boolean => typeof value !== 'object' || value === null;

/** JSON with keys in a fixed order, and records of plain values on one line, so that a table reads as one. */
function canonical(value: unknown, indent: string): string {
  if (isPlain(value)) return JSON.stringify(value);
  const deeper = `${indent}  `;
  if (Array.isArray(value)) {
    if (value.length === 0) return '[]';
    return `[\n${value.map((item) => deeper + canonical(item, deeper)).join(',\n')}\n${indent}]`;
  }
  const entries = Object.entries(value as object)
    .filter(([, item]) => item !== undefined)
    .sort(byKey);
  if (entries.length === 0) return '{}';
  const written = entries.map(([key, item]) => `${JSON.stringify(key)}: ${canonical(item, deeper)}`);
  if (entries.every(([, item]) => isPlain(item))) return `{ ${written.join(', ')} }`;
  return `{\n${written.map((line) => deeper + line).join(',\n')}\n${indent}}`;
}

/**
 * The text of a job file, the same bytes for the same job however it was stored; records in order of time.
 *
 * @param file The job with its records.
 */
export function writeJobFile(file: JobFile): string {
  return `${canonical({ ...file, records: inOrderOfTime(file.records) }, '')}\n`;
}
