import type { ISchema } from 'yup';
import { jsonOf } from './json-of.ts';

export class BodyTooLarge extends Error {
  readonly limit: number;
  constructor(limit: number) {
    super('body too large');
    this.limit = limit;
  }
}

/** The largest job document that is taken, bytes. */
export const JOB_LIMIT = 4 * 1024 * 1024;
export const SMALL_LIMIT = 64 * 1024;

/** The bytes of a request, read no further than `limit`. @throws BodyTooLarge */
export async function readBytes(request: Request, limit: number): Promise<Uint8Array> {
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
  return Buffer.concat(chunks);
}

/** The text of a request, read no further than `limit` bytes. @throws BodyTooLarge */
export const readText = async (request: Request, limit: number): Promise<string> =>
  new TextDecoder().decode(await readBytes(request, limit));

/**
 * The JSON of a small request that fits a schema; what may be large is read in a thread (`threads/tasks.ts`).
 *
 * @throws BodyTooLarge, InputError
 */
export const readJson = async <T>(request: Request, schema: ISchema<T>, limit: number): Promise<T> =>
  jsonOf(await readText(request, limit), schema);
