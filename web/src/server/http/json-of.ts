import { InputError, schemaProblems } from '@splay/core';
import type { ISchema } from 'yup';

/** The value of a JSON text that fits a schema. @throws InputError */
export function jsonOf<T>(text: string, schema: ISchema<T>): T {
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
