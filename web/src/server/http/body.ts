import { InputError, schemaProblems } from '@splay/core';
import type { Schema } from 'yup';

export class BodyTooLarge extends Error {
  readonly limit: number;
  constructor(limit: number) {
    super('body too large');
    this.limit = limit;
  }
}

/** The largest job file that is taken, bytes. */
export const JOB_LIMIT = 4 * 1024 * 1024;
export const SMALL_LIMIT = 64 * 1024;

/** The text of a request, read no further than `limit` bytes. @throws BodyTooLarge */
export async function readText(request: Request, limit: number): Promise<string> {
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw new BodyTooLarge(limit);
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    size += part.value.byteLength;
    if (size > limit) {
      await reader?.cancel();
      throw new BodyTooLarge(limit);
    }
    chunks.push(part.value);
  }
  return new TextDecoder().decode(Buffer.concat(chunks));
}

/** The JSON of a request that fits a schema. @throws BodyTooLarge, InputError */
export async function readJson<T>(request: Request, schema: Schema<T>, limit: number): Promise<T> {
  const text = await readText(request, limit);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new InputError([{ code: 'body/not-json', path: '', message: 'The body must be JSON.' }]);
  }
  const problems = schemaProblems(schema, value);
  if (problems.length > 0) throw new InputError(problems);
  return value as T;
}
